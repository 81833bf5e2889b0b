/** Long work that shows its progress; start with {@link osmerin.app.work.LongWork}. */
@NullMarked
package osmerin.app.work;

import org.jspecify.annotations.NullMarked;
