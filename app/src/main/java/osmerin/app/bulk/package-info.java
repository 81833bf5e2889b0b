/** One change of many articles at once; start with {@link osmerin.app.bulk.BulkEdits}. */
@NullMarked
package osmerin.app.bulk;

import org.jspecify.annotations.NullMarked;
