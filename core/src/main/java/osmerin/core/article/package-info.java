/**
 * Stages, kinds and reference numbers of articles; start with {@link osmerin.core.article.Stage}.
 */
@NullMarked
package osmerin.core.article;

import org.jspecify.annotations.NullMarked;
