/**
 * Who changed what, and taking it back; start with {@link osmerin.app.history.History}, which every
 * service that changes something calls, and {@link osmerin.app.history.Reversal}, which a feature
 * gives for what it can take back.
 */
@NullMarked
package osmerin.app.history;

import org.jspecify.annotations.NullMarked;
