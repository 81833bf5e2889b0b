/**
 * What must be right before an article is published: the list of a type, what of it is right, and
 * whether it holds publishing up; start with {@link osmerin.app.checklists.Checklists}.
 */
@NullMarked
package osmerin.app.checklists;

import org.jspecify.annotations.NullMarked;
