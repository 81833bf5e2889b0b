package osmerin.app.history;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Gathers what a person saves again and again while working on one thing, such as the versions of a
 * draft, so that it reads as one line.
 */
final class SmallSaves {
  /** Saves further apart than this are two sittings. */
  private static final Duration ONE_SITTING = Duration.ofHours(1);

  private SmallSaves() {}

  /**
   * Entries with those taken in that are the same again.
   *
   * @param entries the latest first
   */
  static List<Entry> gathered(List<Entry> entries) {
    List<Entry> lines = new ArrayList<>();
    for (int i = 0; i < entries.size(); ) {
      int end = i + 1;
      while (end < entries.size() && goOn(entries.get(end), entries.get(end - 1))) {
        end++;
      }
      lines.add(entries.get(i).with(List.copyOf(entries.subList(i + 1, end))));
      i = end;
    }
    return lines;
  }

  /** Whether the later one is the same act again in the same sitting. */
  private static boolean goOn(Entry earlier, Entry later) {
    return isPlain(earlier)
        && isPlain(later)
        && Objects.equals(earlier.personId(), later.personId())
        && things(earlier).equals(things(later))
        && withoutNumbers(earlier).equals(withoutNumbers(later))
        && Duration.between(earlier.at(), later.at()).compareTo(ONE_SITTING) <= 0;
  }

  private static boolean isPlain(Entry entry) {
    return entry.undoes() == null && !entry.isUndone() && things(entry).size() == 1;
  }

  private static Set<String> things(Entry entry) {
    return entry.changes().stream()
        .map(change -> change.thing() + " " + change.key())
        .collect(Collectors.toSet());
  }

  /** "Version 3 of the draft was saved" is what "Version 2 of the draft was saved" is. */
  private static String withoutNumbers(Entry entry) {
    return entry.sentence().replaceAll("\\d+", "");
  }
}
