/** What is live already: brought in from outside, matched with groups, checked for overlaps. */
@NullMarked
package osmerin.app.inventory;

import org.jspecify.annotations.NullMarked;
