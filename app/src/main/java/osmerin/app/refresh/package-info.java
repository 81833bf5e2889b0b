/** Refreshing what is live; start with {@link osmerin.app.refresh.RefreshService}. */
@NullMarked
package osmerin.app.refresh;

import org.jspecify.annotations.NullMarked;
