/**
 * Gets evidence for keyword groups: from the search service, for one or many in the background, and
 * from pages that people bring; start with {@link osmerin.app.gathering.EvidenceJob}.
 */
@NullMarked
package osmerin.app.gathering;

import org.jspecify.annotations.NullMarked;
