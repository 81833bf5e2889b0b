/**
 * Named links of an article to what lies elsewhere: notes, a design, a folder. Start with {@link
 * osmerin.app.links.LinkEdits}; which names a type has, {@link osmerin.app.types.UsualEdits} says.
 */
@NullMarked
package osmerin.app.links;

import org.jspecify.annotations.NullMarked;
