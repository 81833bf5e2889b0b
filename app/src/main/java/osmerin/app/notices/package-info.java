/** What Osmerin tells people; start with {@link osmerin.app.notices.Notices}. */
@NullMarked
package osmerin.app.notices;

import org.jspecify.annotations.NullMarked;
