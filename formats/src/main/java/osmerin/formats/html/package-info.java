/** Web pages; start with {@link osmerin.formats.html.PageReader}. */
@NullMarked
package osmerin.formats.html;

import org.jspecify.annotations.NullMarked;
