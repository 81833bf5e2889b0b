/** The steps before and after a publish day; start with {@link osmerin.core.runup.BackPlan}. */
@NullMarked
package osmerin.core.runup;

import org.jspecify.annotations.NullMarked;
