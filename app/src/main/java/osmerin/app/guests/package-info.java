/**
 * Guests: people with a name and a mail address but no account, who do their steps of an article
 * through a link. Start with {@link osmerin.app.guests.Guests}; what the link opens is {@link
 * osmerin.app.guests.ByLink}.
 */
@NullMarked
package osmerin.app.guests;

import org.jspecify.annotations.NullMarked;
