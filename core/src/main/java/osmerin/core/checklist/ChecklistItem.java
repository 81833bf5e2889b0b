package osmerin.core.checklist;

import java.text.Normalizer;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;

/**
 * One thing that must be right before publishing.
 *
 * @param key names it among those of its type
 * @param text what people read
 * @param role who ticks it, besides editors; null for editors alone, and for what is looked up
 * @param own what Osmerin looks up itself; null for what people tick
 */
public record ChecklistItem(
    String key, String text, @Nullable StepRole role, @Nullable OwnCheck own) {
  /** Longer texts are refused. */
  public static final int LONGEST = 200;

  /** One that Osmerin looks up itself. */
  public static ChecklistItem of(OwnCheck own) {
    return new ChecklistItem(own.name().toLowerCase(Locale.ROOT), own.label(), null, own);
  }

  /** One that people tick; the same words are the same thing. */
  public static ChecklistItem byHand(String text, @Nullable StepRole role) {
    String plain = Normalizer.normalize(text, Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
    String key = plain.replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
    return new ChecklistItem("by-hand-" + key, text, role, null);
  }
}
