/** Briefs and the evidence behind them. */
@NullMarked
package osmerin.app.briefs;

import org.jspecify.annotations.NullMarked;
