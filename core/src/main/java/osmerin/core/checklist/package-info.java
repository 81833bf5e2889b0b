/**
 * What must be right before an article is published; start with {@link
 * osmerin.core.checklist.Checklist}.
 */
@NullMarked
package osmerin.core.checklist;

import org.jspecify.annotations.NullMarked;
