/**
 * Article types with their run-ups, and the steps of rounds; start with {@link
 * osmerin.app.runups.ArticleTypeService}.
 */
@NullMarked
package osmerin.app.runups;

import org.jspecify.annotations.NullMarked;
