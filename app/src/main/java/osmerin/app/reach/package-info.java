/**
 * What a site can reach and what a visit is worth to it; start with {@link
 * osmerin.app.reach.ReachService}.
 */
@NullMarked
package osmerin.app.reach;

import org.jspecify.annotations.NullMarked;
