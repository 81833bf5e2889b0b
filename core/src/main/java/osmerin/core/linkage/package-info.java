/**
 * Average linkage, by shared ranking pages and by meaning; start with {@link
 * osmerin.core.linkage.AverageLinkage}.
 */
@NullMarked
package osmerin.core.linkage;

import org.jspecify.annotations.NullMarked;
