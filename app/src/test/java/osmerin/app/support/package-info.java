/**
 * What the tests of the application share; start with {@link osmerin.app.support.ApplicationTest}.
 */
@NullMarked
package osmerin.app.support;

import org.jspecify.annotations.NullMarked;
