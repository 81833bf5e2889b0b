/**
 * Which keyword group an article answers, and what research says beside it; start with {@link
 * osmerin.app.answers.Answers}.
 */
@NullMarked
package osmerin.app.answers;

import org.jspecify.annotations.NullMarked;
