/** Values between Java and PostgreSQL. */
@NullMarked
package osmerin.app.platform.data;

import org.jspecify.annotations.NullMarked;
