/**
 * Rounds, what is known of their article, and their steps worked out for today; start with {@link
 * osmerin.app.rounds.RoundPlanner}.
 */
@NullMarked
package osmerin.app.rounds;

import org.jspecify.annotations.NullMarked;
