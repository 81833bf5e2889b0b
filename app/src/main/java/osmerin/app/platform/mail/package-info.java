/** Mail to people; start with {@link osmerin.app.platform.mail.Post}. */
@NullMarked
package osmerin.app.platform.mail;

import org.jspecify.annotations.NullMarked;
