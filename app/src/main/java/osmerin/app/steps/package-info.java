/**
 * The steps of one article, apart from those of its type, and the form in which a recipe is edited;
 * start with {@link osmerin.app.steps.StepEdits}.
 */
@NullMarked
package osmerin.app.steps;

import org.jspecify.annotations.NullMarked;
