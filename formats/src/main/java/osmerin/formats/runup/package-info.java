/** Run-ups as JSON; start with {@link osmerin.formats.runup.BackPlanFile}. */
@NullMarked
package osmerin.formats.runup;

import org.jspecify.annotations.NullMarked;
