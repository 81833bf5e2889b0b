/**
 * What people search for, and how a file spells it; start with {@link
 * osmerin.core.keyword.Keyword}.
 */
@NullMarked
package osmerin.core.keyword;

import org.jspecify.annotations.NullMarked;
