/** Bytes to text and text to rows; start with {@link osmerin.formats.text.DecodedText}. */
@NullMarked
package osmerin.formats.text;

import org.jspecify.annotations.NullMarked;
