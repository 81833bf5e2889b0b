/** How a month stands against its target; start with {@link osmerin.core.pace.Pace}. */
@NullMarked
package osmerin.core.pace;

import org.jspecify.annotations.NullMarked;
