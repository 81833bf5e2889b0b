/**
 * Keyword groups as they stand: their pages, their articles, their worth; start with {@link
 * osmerin.app.groups.GroupService}, and for lists with {@link osmerin.app.groups.GroupLists}.
 */
@NullMarked
package osmerin.app.groups;

import org.jspecify.annotations.NullMarked;
