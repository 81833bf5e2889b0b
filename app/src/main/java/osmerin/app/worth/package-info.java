/**
 * What a site can reach and what a visit is worth to it; start with {@link
 * osmerin.app.worth.StrengthService}.
 */
@NullMarked
package osmerin.app.worth;

import org.jspecify.annotations.NullMarked;
