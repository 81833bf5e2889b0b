/** Which days people work; start with {@link osmerin.app.workdays.WorkdayService}. */
@NullMarked
package osmerin.app.workdays;

import org.jspecify.annotations.NullMarked;
