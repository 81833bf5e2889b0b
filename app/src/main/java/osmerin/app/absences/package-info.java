/**
 * The page on which people say when they work, and what that does to the site's articles; start
 * with {@link osmerin.app.absences.AbsenceEdits}.
 */
@NullMarked
package osmerin.app.absences;

import org.jspecify.annotations.NullMarked;
