/** What was put out of sight, and bringing it back. */
@NullMarked
package osmerin.app.archive;

import org.jspecify.annotations.NullMarked;
