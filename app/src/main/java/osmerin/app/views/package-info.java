/**
 * Views of a ledger that a person keeps under a name; start with {@link osmerin.app.views.Views}.
 */
@NullMarked
package osmerin.app.views;

import org.jspecify.annotations.NullMarked;
