/**
 * Each morning people are reminded of their steps; start with {@link
 * osmerin.app.reminders.Reminders}.
 */
@NullMarked
package osmerin.app.reminders;

import org.jspecify.annotations.NullMarked;
