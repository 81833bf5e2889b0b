/**
 * Publish dates that hang on the day of another article; start with {@link
 * osmerin.app.follows.Follows}.
 */
@NullMarked
package osmerin.app.follows;

import org.jspecify.annotations.NullMarked;
