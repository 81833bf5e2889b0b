/**
 * Briefs out of the house: printed, as files, by link; start with {@link
 * osmerin.app.handout.BriefDocument}.
 */
@NullMarked
package osmerin.app.handout;

import org.jspecify.annotations.NullMarked;
