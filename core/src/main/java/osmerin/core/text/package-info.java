/** Words, stems and phrases of English text; start with {@link osmerin.core.text.Stems}. */
@NullMarked
package osmerin.core.text;

import org.jspecify.annotations.NullMarked;
