/**
 * Topics: the landscape, the table, a topic with its groups, and what people say of a topic; start
 * with {@link osmerin.app.topics.TopicService}.
 */
@NullMarked
package osmerin.app.topics;

import org.jspecify.annotations.NullMarked;
