/** Web pages; start with {@link osmerin.formats.html.PageText}. */
@NullMarked
package osmerin.formats.html;

import org.jspecify.annotations.NullMarked;
