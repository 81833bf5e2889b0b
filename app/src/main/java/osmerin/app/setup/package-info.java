/** The first visit of an empty installation. */
@NullMarked
package osmerin.app.setup;

import org.jspecify.annotations.NullMarked;
