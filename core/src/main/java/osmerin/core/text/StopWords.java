package osmerin.core.text;

import java.util.Collection;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.de.GermanAnalyzer;
import org.apache.lucene.analysis.es.SpanishAnalyzer;
import org.apache.lucene.analysis.fr.FrenchAnalyzer;
import org.apache.lucene.analysis.it.ItalianAnalyzer;
import org.apache.lucene.analysis.nl.DutchAnalyzer;
import org.apache.lucene.analysis.pt.PortugueseAnalyzer;

/**
 * Words that carry no subject of their own, by language (those of other languages than English from
 * Lucene). Words that change what is asked (not, without, vs, how, what) are no stop words.
 */
public final class StopWords {
  private static final Set<String> ENGLISH =
      Set.of(
          "a", "an", "and", "are", "as", "at", "be", "been", "but", "by", "can", "could", "did",
          "do", "does", "for", "from", "had", "has", "have", "he", "her", "his", "i", "if", "in",
          "into", "is", "it", "its", "itself", "just", "may", "me", "might", "my", "of", "on",
          "one", "or", "our", "own", "she", "should", "so", "some", "such", "than", "that", "the",
          "their", "them", "then", "there", "these", "they", "this", "those", "to", "too", "us",
          "very", "was", "we", "were", "will", "with", "would", "you", "your", "yours");

  /** Of Lucene's lists what changes the question, in German, the Romance languages and Dutch. */
  private static final List<String> ASKING =
      List.of(
          ("wie was wo wann warum wer welche welcher welches nicht kein keine ohne gegen wollen"
                  + " comment pourquoi quand que qui quoi quel quelle quels quelles pas sans où ou"
                  + " como cómo cuando cuándo donde qué quien cual no sin contra"
                  + " come cosa quando dove perché quale quali non senza"
                  + " onde qual quais não sem porque"
                  + " hoe wat waar wanneer waarom welk niet geen zonder tegen")
              .split(" "));

  private static final Map<Language, Set<String>> WORDS = new EnumMap<>(Language.class);

  static {
    WORDS.put(Language.ENGLISH, ENGLISH);
    WORDS.put(Language.GERMAN, without(GermanAnalyzer.getDefaultStopSet()));
    WORDS.put(Language.FRENCH, without(FrenchAnalyzer.getDefaultStopSet()));
    WORDS.put(Language.SPANISH, without(SpanishAnalyzer.getDefaultStopSet()));
    WORDS.put(Language.ITALIAN, without(ItalianAnalyzer.getDefaultStopSet()));
    WORDS.put(Language.PORTUGUESE, without(PortugueseAnalyzer.getDefaultStopSet()));
    WORDS.put(Language.DUTCH, without(DutchAnalyzer.getDefaultStopSet()));
  }

  private StopWords() {}

  private static Set<String> without(Collection<?> list) {
    Set<String> words =
        list.stream()
            .map(word -> word instanceof char[] chars ? new String(chars) : word.toString())
            .collect(Collectors.toCollection(HashSet::new));
    ASKING.forEach(words::remove);
    return Set.copyOf(words);
  }

  /**
   * Whether the word, in lower case, is an English stop word. A single letter or digit other than a
   * stop word is none: "cone 6" asks something else than "cone".
   */
  public static boolean contains(String word) {
    return ENGLISH.contains(word);
  }

  /** Whether the word, in lower case, is a stop word of a language. */
  public static boolean contains(String word, Language language) {
    return of(language).contains(word);
  }

  /** The stop words of a language, in lower case. */
  static Set<String> of(Language language) {
    return WORDS.get(language);
  }
}
