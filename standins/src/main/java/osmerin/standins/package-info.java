/**
 * The outside world, small and simulated: a search service, a blog host and a mailbox; start with
 * {@link osmerin.standins.StandIns}.
 */
@NullMarked
package osmerin.standins;

import org.jspecify.annotations.NullMarked;
