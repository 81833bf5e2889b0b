/** Days on which work is done; start with {@link osmerin.core.workday.WorkCalendar}. */
@NullMarked
package osmerin.core.workday;

import org.jspecify.annotations.NullMarked;
