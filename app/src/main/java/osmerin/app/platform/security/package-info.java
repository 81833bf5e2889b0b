/** Who is signed in, and what the browser may load. */
@NullMarked
package osmerin.app.platform.security;

import org.jspecify.annotations.NullMarked;
