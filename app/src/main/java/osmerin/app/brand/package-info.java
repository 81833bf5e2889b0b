/**
 * What a site is for and how it sounds, kept once for all its briefs; start with {@link
 * osmerin.app.brand.BrandSheets}.
 */
@NullMarked
package osmerin.app.brand;

import org.jspecify.annotations.NullMarked;
