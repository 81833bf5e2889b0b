/**
 * Find: anything by name or number, and commands; start with {@link osmerin.app.find.FindService}.
 */
@NullMarked
package osmerin.app.find;

import org.jspecify.annotations.NullMarked;
