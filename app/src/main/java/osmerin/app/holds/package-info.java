/** Articles that wait for something outside; start with {@link osmerin.app.holds.Holds}. */
@NullMarked
package osmerin.app.holds;

import org.jspecify.annotations.NullMarked;
