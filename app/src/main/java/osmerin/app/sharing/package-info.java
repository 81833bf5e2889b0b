/**
 * Briefs by link, for people without an account: start with {@link
 * osmerin.app.sharing.SharedBrief}.
 */
@NullMarked
package osmerin.app.sharing;

import org.jspecify.annotations.NullMarked;
