/**
 * The outside world, small and simulated: a search service and a blog host; start with {@link
 * osmerin.standins.StandIns}.
 */
@NullMarked
package osmerin.standins;

import org.jspecify.annotations.NullMarked;
