/** A draft held against its brief; start with {@link osmerin.core.draft.DraftCheck}. */
@NullMarked
package osmerin.core.draft;

import org.jspecify.annotations.NullMarked;
