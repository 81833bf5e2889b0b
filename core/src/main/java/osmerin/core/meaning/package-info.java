/** How near short texts are in what they mean; start with {@link osmerin.core.meaning.Nearness}. */
@NullMarked
package osmerin.core.meaning;

import org.jspecify.annotations.NullMarked;
