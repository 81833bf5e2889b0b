/** What the writer needs to know; start with {@link osmerin.core.brief.Outline}. */
@NullMarked
package osmerin.core.brief;

import org.jspecify.annotations.NullMarked;
