/**
 * The keywords of a site as they are stored, their languages, variants and nearness: what all other
 * rooms of research stand on; start with {@link osmerin.app.research.SiteKeywords}.
 */
@NullMarked
package osmerin.app.research;

import org.jspecify.annotations.NullMarked;
