/** Evidence from saved pages; start with {@link osmerin.formats.evidence.EvidenceFile}. */
@NullMarked
package osmerin.formats.evidence;

import org.jspecify.annotations.NullMarked;
