/**
 * How much of what people search for a site's articles answer; start with {@link
 * osmerin.core.coverage.Coverage}.
 */
@NullMarked
package osmerin.core.coverage;

import org.jspecify.annotations.NullMarked;
