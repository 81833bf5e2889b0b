package osmerin.core.intent;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import osmerin.core.text.Words;

/**
 * Reads search intent and funnel stage from the words of a keyword. What the import or a person
 * says wins over the words.
 */
public final class IntentReader {
  private static final Set<String> BUYING =
      Set.of(
          "buy",
          "order",
          "price",
          "prices",
          "pricing",
          "cheap",
          "sale",
          "coupon",
          "discount",
          "deal",
          "deals",
          "shop",
          "store",
          "purchase",
          "shipping",
          "rent",
          "hire",
          "subscription",
          "quote",
          "booking",
          "book");
  private static final Set<String> COMPARING =
      Set.of(
          "best",
          "top",
          "vs",
          "versus",
          "review",
          "reviews",
          "compare",
          "compared",
          "comparison",
          "alternative",
          "alternatives",
          "rated",
          "recommended",
          "worth",
          "brands",
          "models");
  private static final Set<String> ASKING =
      Set.of(
          "how",
          "what",
          "why",
          "when",
          "where",
          "who",
          "which",
          "can",
          "does",
          "is",
          "are",
          "should",
          "guide",
          "tutorial",
          "ideas",
          "tips",
          "examples",
          "meaning",
          "definition",
          "explained",
          "steps",
          "diy",
          "learn",
          "fix",
          "causes",
          "types",
          "beginners",
          "beginner");
  private static final Set<String> REACHING =
      Set.of("login", "signin", "homepage", "website", "contact", "customer", "account");
  private static final Set<String> SOLVING =
      Set.of("fix", "solve", "choose", "choosing", "repair", "cost", "pros", "cons", "difference");

  private static final Pattern ADDRESS =
      Pattern.compile("(www\\.)?[a-z0-9-]+\\.(com|org|net|example|io|co\\.uk)");

  /** The reading of one phrase. */
  public IntentReading read(String phrase, @Nullable SearchIntent given) {
    List<String> words = Words.lower(phrase);
    if (given != null) {
      return new IntentReading(given, stage(given, words), "given by the import");
    }
    return first(words, REACHING)
        .or(() -> words.stream().filter(IntentReader::isAddress).findFirst())
        .map(
            word -> reading(SearchIntent.NAVIGATIONAL, words, "“" + word + "” names a place to go"))
        .or(() -> first(words, BUYING).map(word -> buying(word, words)))
        .or(() -> first(words, COMPARING).map(word -> comparing(word, words)))
        .or(() -> first(words, ASKING).map(word -> asking(word, words)))
        .orElseGet(() -> reading(SearchIntent.INFORMATIONAL, words, "no word says otherwise"));
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

  private static IntentReading comparing(String word, List<String> words) {
    return reading(SearchIntent.COMMERCIAL, words, "“" + word + "” compares");
  }

  /** "how to price pots" asks although "price" stands in it: a question opens with its word. */
  private static IntentReading buying(String word, List<String> words) {
    if (Set.of("how", "what", "why", "when", "where", "should").contains(words.get(0))) {
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
          first(words, SOLVING).isPresent() ? FunnelStage.CONSIDERATION : FunnelStage.AWARENESS;
    };
  }

  private static boolean isAddress(String word) {
    return word.indexOf('.') > 0 && ADDRESS.matcher(word).matches();
  }

  private static Optional<String> first(List<String> words, Set<String> of) {
    return words.stream().filter(of::contains).findFirst();
  }
}
