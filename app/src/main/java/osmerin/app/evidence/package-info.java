/**
 * What ranks for a primary keyword, from the search service; start with {@link
 * osmerin.app.evidence.EvidenceService}.
 */
@NullMarked
package osmerin.app.evidence;

import org.jspecify.annotations.NullMarked;
