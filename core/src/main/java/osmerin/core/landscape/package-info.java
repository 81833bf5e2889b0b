/** Geometry of the pictures of research: circles by demand, labels that fit, and the plot. */
@NullMarked
package osmerin.core.landscape;

import org.jspecify.annotations.NullMarked;
