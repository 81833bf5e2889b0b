/**
 * Sentence vectors from a model that ships inside; start with {@link
 * osmerin.meaning.SentenceModel}.
 */
@NullMarked
package osmerin.meaning;

import org.jspecify.annotations.NullMarked;
