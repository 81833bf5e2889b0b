/** Which keyword group a live page answers, and where pages compete. */
@NullMarked
package osmerin.core.inventory;

import org.jspecify.annotations.NullMarked;
