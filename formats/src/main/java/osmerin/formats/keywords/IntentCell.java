package osmerin.formats.keywords;

import java.util.Locale;
import java.util.Optional;
import osmerin.core.intent.SearchIntent;

/** A search intent as files write it: in full, shortened, or as a letter; of several the first. */
final class IntentCell {
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
    for (SearchIntent intent : SearchIntent.values()) {
      String name = intent.name().toLowerCase(Locale.ROOT);
      boolean letter = word.length() == 1 && name.startsWith(word);
      if (letter || (word.length() >= 4 && name.startsWith(word))) {
        return Optional.of(intent);
      }
    }
    return Optional.empty();
  }
}
