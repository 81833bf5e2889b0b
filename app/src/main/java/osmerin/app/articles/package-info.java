/**
 * Articles, their rounds, steps and stages; start with {@link osmerin.app.articles.ArticleService}.
 */
@NullMarked
package osmerin.app.articles;

import org.jspecify.annotations.NullMarked;
