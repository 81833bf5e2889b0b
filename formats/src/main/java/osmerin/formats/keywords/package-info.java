/** Keyword research as files; start with {@link osmerin.formats.keywords.KeywordFile}. */
@NullMarked
package osmerin.formats.keywords;

import org.jspecify.annotations.NullMarked;
