/** What a host lets programs fetch; start with {@link osmerin.formats.robots.Robots}. */
@NullMarked
package osmerin.formats.robots;

import org.jspecify.annotations.NullMarked;
