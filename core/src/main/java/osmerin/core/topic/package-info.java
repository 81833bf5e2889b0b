/** Topic clusters; start with {@link osmerin.core.topic.Topics}. */
@NullMarked
package osmerin.core.topic;

import org.jspecify.annotations.NullMarked;
