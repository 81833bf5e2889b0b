/** How much of anything a file may hold; start with {@link osmerin.formats.limits.Limits}. */
@NullMarked
package osmerin.formats.limits;

import org.jspecify.annotations.NullMarked;
