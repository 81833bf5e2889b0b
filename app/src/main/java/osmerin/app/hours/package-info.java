/** What steps took, against what was planned; start with {@link osmerin.app.hours.HoursReport}. */
@NullMarked
package osmerin.app.hours;

import org.jspecify.annotations.NullMarked;
