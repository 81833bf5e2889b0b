package osmerin.core.text;

import java.util.Set;

/**
 * English words that carry no subject of their own. Words that change what is asked (not, without,
 * vs, how, what) are no stop words.
 */
public final class StopWords {
  private static final Set<String> WORDS =
      Set.of(
          "a", "an", "and", "are", "as", "at", "be", "been", "but", "by", "can", "could", "did",
          "do", "does", "for", "from", "had", "has", "have", "he", "her", "his", "i", "if", "in",
          "into", "is", "it", "its", "itself", "just", "may", "me", "might", "my", "of", "on",
          "one", "or", "our", "own", "she", "should", "so", "some", "such", "than", "that", "the",
          "their", "them", "then", "there", "these", "they", "this", "those", "to", "too", "us",
          "very", "was", "we", "were", "will", "with", "would", "you", "your", "yours");

  private StopWords() {}

  /**
   * Whether the word, in lower case, is a stop word. A single letter or digit other than a stop
   * word is none: "cone 6" asks something else than "cone".
   */
  public static boolean contains(String word) {
    return WORDS.contains(word);
  }
}
