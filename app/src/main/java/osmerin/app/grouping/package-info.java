/**
 * What moves keywords: a run, a regrouping, a hand edit; start with {@link
 * osmerin.app.grouping.Rearranging}.
 */
@NullMarked
package osmerin.app.grouping;

import org.jspecify.annotations.NullMarked;
