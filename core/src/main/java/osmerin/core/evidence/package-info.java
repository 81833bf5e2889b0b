/**
 * What the ranking pages of a group have in common; start with {@link
 * osmerin.core.evidence.Evidence}.
 */
@NullMarked
package osmerin.core.evidence;

import org.jspecify.annotations.NullMarked;
