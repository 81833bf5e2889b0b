/** Drafts in Markdown; start with {@link osmerin.formats.markdown.Markdown}. */
@NullMarked
package osmerin.formats.markdown;

import org.jspecify.annotations.NullMarked;
