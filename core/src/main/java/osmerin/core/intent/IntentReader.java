package osmerin.core.intent;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Language;
import osmerin.core.text.Words;

/**
 * Reads search intent and funnel stage from the words of a keyword. What the import or a person
 * says wins over the words.
 */
public final class IntentReader {
  private static final Set<String> REACHING =
      Set.of("login", "signin", "homepage", "website", "contact", "customer", "account");
  private static final Set<String> SOLVING =
      Set.of("fix", "solve", "choose", "choosing", "repair", "cost", "pros", "cons", "difference");

  private static final Pattern ADDRESS =
      Pattern.compile("(www\\.)?[a-z0-9-]+\\.(com|org|net|example|io|co\\.uk)");

  /** The reading of one English phrase. */
  public IntentReading read(String phrase, @Nullable SearchIntent given) {
    return read(phrase, given, Language.ENGLISH);
  }

  /** The reading of one phrase. */
  public IntentReading read(String phrase, @Nullable SearchIntent given, Language language) {
    List<String> words = Words.lower(phrase);
    IntentWords telling = IntentWords.of(language);
    if (given != null) {
      return new IntentReading(given, stage(given, words), "given by the import");
    }
    String reached = first(words, REACHING::contains);
    String place = reached != null ? reached : first(words, IntentReader::isAddress);
    if (place != null) {
      return reading(SearchIntent.NAVIGATIONAL, words, "“" + place + "” names a place to go");
    }
    String buying = first(words, telling.buying()::contains);
    if (buying != null) {
      return buying(buying, words, telling);
    }
    String comparing = asksForTheWay(words) ? null : first(words, telling.comparing()::contains);
    if (comparing != null) {
      return reading(SearchIntent.COMMERCIAL, words, "“" + comparing + "” compares");
    }
    String asking = first(words, telling.asking()::contains);
    return asking != null
        ? asking(asking, words)
        : reading(SearchIntent.INFORMATIONAL, words, "no word says otherwise");
  }

  /** What the words of a phrase ask for, whatever an import says of it. */
  public Wish wish(String phrase, Language language) {
    List<String> words = Words.lower(phrase);
    if (first(words, IntentWords.of(language).how()::contains) != null || asksForTheWay(words)) {
      return Wish.WAY;
    }
    return switch (read(phrase, null, language).intent()) {
      case TRANSACTIONAL -> Wish.PURCHASE;
      case COMMERCIAL -> Wish.COMPARISON;
      case NAVIGATIONAL -> Wish.PLACE;
      case INFORMATIONAL -> Wish.OPEN;
    };
  }

  /** "best way to clean it" compares nothing. */
  private static boolean asksForTheWay(List<String> words) {
    return words.contains("best") && (words.contains("way") || words.contains("time"));
  }

  /** What a phrase asks for; one article gives only one of these. */
  public enum Wish {
    /** Nothing outright; whoever asks wants to read. */
    OPEN,
    WAY,
    COMPARISON,
    PURCHASE,
    PLACE;

    /** Whether one article may give both. */
    public boolean agreesWith(Wish other) {
      return this == other || isReading() && other.isReading() && (this == OPEN || other == OPEN);
    }

    private boolean isReading() {
      return this == OPEN || this == WAY || this == COMPARISON;
    }
  }

  /** Whether a word, in lower case, tells of an intent and so names no subject. */
  public static boolean isTelling(String word, Language language) {
    IntentWords telling = IntentWords.of(language);
    return telling.buying().contains(word)
        || telling.comparing().contains(word)
        || telling.asking().contains(word);
  }

  /** The intent of most of the demand; at equal demand the earlier of {@link SearchIntent}. */
  public SearchIntent mostOf(Map<SearchIntent, Long> demand) {
    Map<SearchIntent, Long> ordered = new EnumMap<>(SearchIntent.class);
    ordered.putAll(demand);
    return ordered.entrySet().stream()
        .max(
            Comparator.<Map.Entry<SearchIntent, Long>>comparingLong(Map.Entry::getValue)
                .thenComparing(e -> -e.getKey().ordinal()))
        .map(Map.Entry::getKey)
        .orElse(SearchIntent.INFORMATIONAL);
  }

  private static IntentReading asking(String word, List<String> words) {
    return reading(SearchIntent.INFORMATIONAL, words, "“" + word + "” asks");
  }

  /** "how to price pots" asks although "price" stands in it: a question opens with its word. */
  private static IntentReading buying(String word, List<String> words, IntentWords telling) {
    if (telling.opening().contains(words.get(0))) {
      return asking(words.get(0), words);
    }
    return reading(SearchIntent.TRANSACTIONAL, words, "“" + word + "” is about buying");
  }

  private static IntentReading reading(SearchIntent intent, List<String> words, String reason) {
    return new IntentReading(intent, stage(intent, words), reason);
  }

  private static FunnelStage stage(SearchIntent intent, List<String> words) {
    return switch (intent) {
      case TRANSACTIONAL, NAVIGATIONAL -> FunnelStage.DECISION;
      case COMMERCIAL -> FunnelStage.CONSIDERATION;
      case INFORMATIONAL ->
          first(words, SOLVING::contains) != null
              ? FunnelStage.CONSIDERATION
              : FunnelStage.AWARENESS;
    };
  }

  private static boolean isAddress(String word) {
    return word.indexOf('.') > 0 && ADDRESS.matcher(word).matches();
  }

  private static @Nullable String first(List<String> words, Predicate<String> wanted) {
    for (String word : words) {
      if (wanted.test(word)) {
        return word;
      }
    }
    return null;
  }
}
