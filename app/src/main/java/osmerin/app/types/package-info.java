/**
 * Editing the site's article types, refresh depths and step roles; start with {@link
 * osmerin.app.types.TypeEdits}.
 */
@NullMarked
package osmerin.app.types;

import org.jspecify.annotations.NullMarked;
