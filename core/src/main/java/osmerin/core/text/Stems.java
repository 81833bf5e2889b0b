package osmerin.core.text;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.tartarus.snowball.SnowballStemmer;
import org.tartarus.snowball.ext.DutchStemmer;
import org.tartarus.snowball.ext.EnglishStemmer;
import org.tartarus.snowball.ext.FrenchStemmer;
import org.tartarus.snowball.ext.GermanStemmer;
import org.tartarus.snowball.ext.ItalianStemmer;
import org.tartarus.snowball.ext.PortugueseStemmer;
import org.tartarus.snowball.ext.SpanishStemmer;

/**
 * Stems of words (M. Porter's Snowball stemmers, from Lucene), English ones where no language is
 * said. Remembers what it has stemmed, so one instance serves one computation; the threads of it
 * may share it.
 */
public final class Stems {
  private final Map<Language, OfLanguage> languages = new EnumMap<>(Language.class);

  public Stems() {
    for (Language language : Language.values()) {
      languages.put(language, new OfLanguage(stemmer(language)));
    }
  }

  private static SnowballStemmer stemmer(Language language) {
    return switch (language) {
      case ENGLISH -> new EnglishStemmer();
      case GERMAN -> new GermanStemmer();
      case FRENCH -> new FrenchStemmer();
      case SPANISH -> new SpanishStemmer();
      case ITALIAN -> new ItalianStemmer();
      case PORTUGUESE -> new PortugueseStemmer();
      case DUTCH -> new DutchStemmer();
    };
  }

  /** The stems of one language that are known so far. */
  private static final class OfLanguage {
    private final SnowballStemmer stemmer;
    private final Map<String, String> known = new ConcurrentHashMap<>();

    OfLanguage(SnowballStemmer stemmer) {
      this.stemmer = stemmer;
    }

    String of(String word) {
      String stem = known.get(word);
      return stem != null ? stem : known.computeIfAbsent(word, this::stem);
    }

    private synchronized String stem(String word) {
      String bare = word.endsWith("'s") ? word.substring(0, word.length() - 2) : word;
      stemmer.setCurrent(bare);
      stemmer.stem();
      return stemmer.getCurrent();
    }
  }

  /** The stem of one English word in lower case. */
  public String of(String word) {
    return of(word, Language.ENGLISH);
  }

  /** The stem of one word in lower case. */
  public String of(String word, Language language) {
    return languages.get(language).of(word);
  }

  /** The stems of all words of the English text in order, stop words among them. */
  public List<String> all(String text) {
    return all(text, Language.ENGLISH);
  }

  /** The stems of all words of the text in order, stop words among them. */
  public List<String> all(String text, Language language) {
    List<String> stems = new ArrayList<>();
    for (String word : Words.lower(text)) {
      stems.add(of(word, language));
    }
    return stems;
  }

  /** The same of English text as {@link #subject(String, Language)}. */
  public Set<String> subject(String text) {
    return subject(text, Language.ENGLISH);
  }

  /**
   * The distinct stems of the words that carry the subject, in order of appearance; a year carries
   * none. A text of other words only keeps them, so that no text with words is left without a stem.
   */
  public Set<String> subject(String text, Language language) {
    Set<String> stems = new LinkedHashSet<>();
    for (String word : Words.subject(text, language)) {
      stems.add(of(word, language));
    }
    return stems;
  }
}
