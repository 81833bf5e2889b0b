/** Sites and who may see which; start with {@link osmerin.app.site.SiteService}. */
@NullMarked
package osmerin.app.site;

import org.jspecify.annotations.NullMarked;
