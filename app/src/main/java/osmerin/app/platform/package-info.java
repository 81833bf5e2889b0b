/** What has no feature of its own. */
@NullMarked
package osmerin.app.platform;

import org.jspecify.annotations.NullMarked;
