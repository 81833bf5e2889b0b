/**
 * Keywords and words that the site does not want; start with {@link
 * osmerin.app.exclusions.Exclusions}.
 */
@NullMarked
package osmerin.app.exclusions;

import org.jspecify.annotations.NullMarked;
