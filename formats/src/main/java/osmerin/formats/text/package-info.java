/** Bytes to text, whatever wrote them; start with {@link osmerin.formats.text.DecodedText}. */
@NullMarked
package osmerin.formats.text;

import org.jspecify.annotations.NullMarked;
