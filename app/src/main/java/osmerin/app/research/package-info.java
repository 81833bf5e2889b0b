/**
 * Keyword research: imports, groups, topics; start with {@link osmerin.app.research.ImportService}.
 */
@NullMarked
package osmerin.app.research;

import org.jspecify.annotations.NullMarked;
