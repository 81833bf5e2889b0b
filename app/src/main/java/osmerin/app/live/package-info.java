/** Publishing, and refreshing what is live. */
@NullMarked
package osmerin.app.live;

import org.jspecify.annotations.NullMarked;
