/** A person's own page; start with {@link osmerin.app.desk.DeskService}. */
@NullMarked
package osmerin.app.desk;

import org.jspecify.annotations.NullMarked;
