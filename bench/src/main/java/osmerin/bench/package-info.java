/** Figures of quality and speed, said as ratios of one run. Begin with {@link Bench}. */
@NullMarked
package osmerin.bench;

import org.jspecify.annotations.NullMarked;
