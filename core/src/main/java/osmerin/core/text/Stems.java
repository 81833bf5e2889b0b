package osmerin.core.text;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.tartarus.snowball.ext.EnglishStemmer;

/**
 * Stems of English words (Porter's second algorithm, from Lucene). Remembers what it has stemmed,
 * so one instance serves one computation; the threads of it may share it.
 */
public final class Stems {
  private final EnglishStemmer stemmer = new EnglishStemmer();
  private final Map<String, String> known = new ConcurrentHashMap<>();

  /** The stem of one word in lower case. */
  public String of(String word) {
    String stem = known.get(word);
    return stem != null ? stem : known.computeIfAbsent(word, this::stem);
  }

  private synchronized String stem(String word) {
    String bare = word.endsWith("'s") ? word.substring(0, word.length() - 2) : word;
    stemmer.setCurrent(bare);
    stemmer.stem();
    return stemmer.getCurrent();
  }

  /** The stems of all words of the text in order, stop words among them. */
  public List<String> all(String text) {
    List<String> stems = new ArrayList<>();
    for (String word : Words.lower(text)) {
      stems.add(of(word));
    }
    return stems;
  }

  /**
   * The distinct stems of the words that carry the subject, in order of appearance. A text of stop
   * words only keeps them, so that no text with words is left without a stem.
   */
  public Set<String> subject(String text) {
    Set<String> stems = new LinkedHashSet<>();
    List<String> words = Words.lower(text);
    for (String word : words) {
      if (!StopWords.contains(word)) {
        stems.add(of(word));
      }
    }
    if (stems.isEmpty()) {
      words.forEach(word -> stems.add(of(word)));
    }
    return stems;
  }
}
