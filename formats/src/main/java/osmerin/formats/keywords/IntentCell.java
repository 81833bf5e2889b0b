package osmerin.formats.keywords;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import osmerin.core.intent.SearchIntent;

/** A search intent as files write it: in full, shortened, or as a letter; of several the first. */
final class IntentCell {
  /** How the intents begin in the languages whose headers are known. */
  private static final Map<String, SearchIntent> BEGINS = new LinkedHashMap<>();

  static {
    BEGINS.put("info", SearchIntent.INFORMATIONAL);
    BEGINS.put("comm", SearchIntent.COMMERCIAL);
    BEGINS.put("comer", SearchIntent.COMMERCIAL);
    BEGINS.put("kommerz", SearchIntent.COMMERCIAL);
    BEGINS.put("trans", SearchIntent.TRANSACTIONAL);
    BEGINS.put("navi", SearchIntent.NAVIGATIONAL);
    BEGINS.put("nave", SearchIntent.NAVIGATIONAL);
  }

  private IntentCell() {}

  static Optional<SearchIntent> read(String cell) {
    for (String part : cell.strip().toLowerCase(Locale.ROOT).split("[,;/|&]+|\\s+")) {
      Optional<SearchIntent> intent = one(part);
      if (intent.isPresent()) {
        return intent;
      }
    }
    return Optional.empty();
  }

  private static Optional<SearchIntent> one(String word) {
    boolean letter = word.length() == 1;
    for (Map.Entry<String, SearchIntent> begins : BEGINS.entrySet()) {
      boolean known = word.length() >= begins.getKey().length() && word.startsWith(begins.getKey());
      if (known || letter && begins.getKey().startsWith(word) && !"k".equals(word)) {
        return Optional.of(begins.getValue());
      }
    }
    return Optional.empty();
  }
}
