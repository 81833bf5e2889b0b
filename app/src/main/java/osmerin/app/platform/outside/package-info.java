/** Asks the outside world, guarded and bounded; start with {@link GuardedFetch}. */
@NullMarked
package osmerin.app.platform.outside;

import org.jspecify.annotations.NullMarked;
