/** The demo scenario, loaded into an empty database. */
@NullMarked
package osmerin.app.demo;

import org.jspecify.annotations.NullMarked;
