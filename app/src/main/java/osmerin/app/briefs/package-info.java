/** What a writer is asked to write; start with {@link osmerin.app.briefs.BriefService}. */
@NullMarked
package osmerin.app.briefs;

import org.jspecify.annotations.NullMarked;
