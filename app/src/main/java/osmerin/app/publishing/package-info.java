/**
 * Publishing to a blog host, now or at an hour; start with {@link
 * osmerin.app.publishing.PublishService}.
 */
@NullMarked
package osmerin.app.publishing;

import org.jspecify.annotations.NullMarked;
