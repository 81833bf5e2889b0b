/**
 * Tables in files: delimited text in any encoding, and spreadsheets; start with {@link
 * osmerin.formats.table.TableFile}.
 */
@NullMarked
package osmerin.formats.table;

import org.jspecify.annotations.NullMarked;
