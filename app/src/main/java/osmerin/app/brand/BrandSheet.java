package osmerin.app.brand;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/** What was written of each part; parts without a text are left out. */
public record BrandSheet(Map<BrandPart, String> texts) {
  public BrandSheet {
    Map<BrandPart, String> filled = new EnumMap<>(BrandPart.class);
    filled.putAll(texts);
    texts = Collections.unmodifiableMap(filled);
  }

  /** What is written of a part, empty for nothing. */
  public String text(BrandPart part) {
    return texts.getOrDefault(part, "");
  }

  public String purpose() {
    return text(BrandPart.PURPOSE);
  }

  /** How an article sounds and speaks of products, as one text; empty for nothing. */
  public String voice() {
    StringBuilder voice = new StringBuilder(text(BrandPart.VOICE));
    add(voice, BrandPart.DO);
    add(voice, BrandPart.DO_NOT);
    add(voice, BrandPart.PRODUCTS);
    return voice.toString().strip();
  }

  private void add(StringBuilder voice, BrandPart part) {
    if (!text(part).isEmpty()) {
      voice.append("\n").append(part.label()).append(": ");
      voice.append(String.join("; ", text(part).lines().map(String::strip).toList()));
    }
  }
}
