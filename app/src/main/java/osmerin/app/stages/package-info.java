/**
 * The stages of a site: setting them up, and what happens when an article enters one. Start with
 * {@link osmerin.app.stages.StageEdits}; moving an article is {@link
 * osmerin.app.articles.StageMoves}.
 */
@NullMarked
package osmerin.app.stages;

import org.jspecify.annotations.NullMarked;
