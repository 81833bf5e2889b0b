/**
 * The keyword ledger: filters, views, the drawer, and edits of many at once; start with {@link
 * osmerin.app.keywords.KeywordLedger}.
 */
@NullMarked
package osmerin.app.keywords;

import org.jspecify.annotations.NullMarked;
