/** What texts mean, computed once and kept; start with {@link osmerin.app.meaning.Meanings}. */
@NullMarked
package osmerin.app.meaning;

import org.jspecify.annotations.NullMarked;
