/**
 * The articles ledger: filters, columns, sorting and pages; start with {@link
 * osmerin.app.ledger.ArticleLedger}.
 */
@NullMarked
package osmerin.app.ledger;

import org.jspecify.annotations.NullMarked;
