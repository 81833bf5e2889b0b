/** Keywords that one article can answer; start with {@link osmerin.core.group.Grouping}. */
@NullMarked
package osmerin.core.group;

import org.jspecify.annotations.NullMarked;
