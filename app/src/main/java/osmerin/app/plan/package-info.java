/** The month: targets, pace, calendar. */
@NullMarked
package osmerin.app.plan;

import org.jspecify.annotations.NullMarked;
