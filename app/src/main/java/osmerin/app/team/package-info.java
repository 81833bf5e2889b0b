/** People and the sites they work on. */
@NullMarked
package osmerin.app.team;

import org.jspecify.annotations.NullMarked;
