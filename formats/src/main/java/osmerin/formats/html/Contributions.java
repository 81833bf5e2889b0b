package osmerin.formats.html;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Who wrote what on a page where several people write. Where lines with names part all of the text,
 * it is a discussion and their texts are the page's; where most of the text stands before or
 * between two of them, what follows is comments on it.
 */
final class Contributions {
  /** People who talk with each other. */
  private static final int FEWEST = 3;

  /** People say so many words on average; what stands beside the dates of a list is shorter. */
  private static final int SHORTEST = 10;

  /** Says how many there are, or asks for one more. */
  private static final Pattern OF_PEOPLE =
      Pattern.compile("[\\d(]|\\b(?:leave|join|write|post|add)\\b", Pattern.CASE_INSENSITIVE);

  /** A longer part of all words between two names is what the page is about. */
  private static final double ARTICLE = 0.5;

  private final List<Run> runs;
  private final List<Integer> stamps = new ArrayList<>();
  private final int words;
  private int longest;
  private int afterLongest;

  Contributions(List<Run> runs) {
    this.runs = runs;
    for (int at = 0; at < runs.size(); at++) {
      if (Stamp.isOfContribution(text(at)) && isLine(runs.get(at))) {
        stamps.add(at);
      }
    }
    List<Integer> all = List.copyOf(stamps);
    stamps.removeIf(at -> !isFollowedByText(at, all));
    words = gap(0, runs.size());
    int from = 0;
    for (int stamp = 0; stamp <= stamps.size(); stamp++) {
      int to = stamp < stamps.size() ? stamps.get(stamp) : runs.size();
      if (gap(from, to) > longest) {
        longest = gap(from, to);
        afterLongest = stamp;
      }
      from = to;
    }
  }

  /** A line of its own that is written, and no cell of a table of dates. */
  private boolean isLine(Run run) {
    return run.isKept() && run.level() == 0 && run.block.closest("td, th, pre, code") == null;
  }

  private String text(int at) {
    return runs.get(at).toString();
  }

  /** Names and dates of a list follow one another. */
  private boolean isFollowedByText(int at, List<Integer> all) {
    int next = at + 1;
    while (next < runs.size() && Stamp.isTime(text(next))) {
      next++;
    }
    return next < runs.size() && Collections.binarySearch(all, next) < 0;
  }

  private int gap(int from, int to) {
    int sum = 0;
    for (int at = from; at < to; at++) {
      sum += runs.get(at).isKept() ? runs.get(at).words() : 0;
    }
    return sum;
  }

  private boolean isDiscussion() {
    return stamps.size() >= FEWEST
        && longest < ARTICLE * words
        && words >= SHORTEST * stamps.size();
  }

  /** Contributions to a discussion; 0 where there is none. */
  int posts() {
    return isDiscussion() ? stamps.size() : 0;
  }

  /** Whether runs below what opens comments are comments, and not the answers of a discussion. */
  boolean areComments(int from, int to) {
    boolean somebody =
        stamps.stream().anyMatch(at -> at >= from && at < to)
            || OF_PEOPLE.matcher(text(from)).find();
    return somebody && !(isDiscussion() && stamps.get(0) < to);
  }

  /** Leaves out names and times of a discussion, or the comments below an article. */
  void leaveOut() {
    if (isDiscussion()) {
      stamps.forEach(this::leaveOutName);
    } else if (stamps.size() - afterLongest >= 2) {
      int first = stamps.get(afterLongest);
      for (int at = first; at < runs.size() && runs.get(at).level() == 0; at++) {
        runs.get(at).leaveOut(Labels.Part.COMMENTS.reason());
      }
    }
  }

  private void leaveOutName(int stamp) {
    int at = stamp;
    do {
      runs.get(at).leaveOut(Labels.Part.BYLINE.reason());
      at++;
    } while (at < runs.size() && Stamp.isTime(text(at)));
  }
}
