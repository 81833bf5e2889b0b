/** What a keyword group is worth to a site; start with {@link osmerin.core.worth.Worth}. */
@NullMarked
package osmerin.core.worth;

import org.jspecify.annotations.NullMarked;
