/**
 * What a brief starts from: templates of the site, and other briefs; start with {@link
 * osmerin.app.starts.BriefTemplates}.
 */
@NullMarked
package osmerin.app.starts;

import org.jspecify.annotations.NullMarked;
