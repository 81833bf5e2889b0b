/** Drafts, their versions and the draft check. */
@NullMarked
package osmerin.app.drafts;

import org.jspecify.annotations.NullMarked;
