/** Tasks that belong to no article; start with {@link osmerin.app.tasks.Tasks}. */
@NullMarked
package osmerin.app.tasks;

import org.jspecify.annotations.NullMarked;
