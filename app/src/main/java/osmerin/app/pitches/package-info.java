/** Proposed articles. */
@NullMarked
package osmerin.app.pitches;

import org.jspecify.annotations.NullMarked;
