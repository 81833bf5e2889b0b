package osmerin.core.checklist;

import java.util.List;
import java.util.Set;

/**
 * What must be right before an article is published, and what of it is.
 *
 * @param lines in their order
 */
public record Checklist(List<Line> lines) {
  /**
   * One thing.
   *
   * @param said what Osmerin saw; empty for what people tick
   */
  public record Line(ChecklistItem item, boolean met, String said) {}

  public Checklist {
    lines = List.copyOf(lines);
  }

  /**
   * Looks.
   *
   * @param ticked keys of what people ticked; keys that no item has count for nothing
   */
  public static Checklist of(List<ChecklistItem> items, Set<String> ticked, Looked at) {
    return new Checklist(items.stream().map(item -> line(item, ticked, at)).toList());
  }

  private static Line line(ChecklistItem item, Set<String> ticked, Looked at) {
    if (item.own() == null) {
      return new Line(item, ticked.contains(item.key()), "");
    }
    OwnCheck.Found found = item.own().look(at);
    return new Line(item, found.met(), found.said());
  }

  /** What is not right yet. */
  public List<Line> open() {
    return lines.stream().filter(line -> !line.met()).toList();
  }
}
