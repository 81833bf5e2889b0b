/** Why somebody searches; start with {@link osmerin.core.intent.IntentReader}. */
@NullMarked
package osmerin.core.intent;

import org.jspecify.annotations.NullMarked;
