/**
 * What is live: the ledger, pages taken in from elsewhere, and which groups they answer; start with
 * {@link osmerin.app.live.LiveMatching}.
 */
@NullMarked
package osmerin.app.live;

import org.jspecify.annotations.NullMarked;
