/** The frame around every page: areas with their counts, and the tideline. */
@NullMarked
package osmerin.app.frame;

import org.jspecify.annotations.NullMarked;
