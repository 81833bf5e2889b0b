/**
 * Word documents (DOCX), written and read; start with {@link osmerin.formats.word.WordDocument}.
 */
@NullMarked
package osmerin.formats.word;

import org.jspecify.annotations.NullMarked;
