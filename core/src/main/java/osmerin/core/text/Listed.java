package osmerin.core.text;

import java.util.List;

/** Several things in one sentence. */
public final class Listed {
  private Listed() {}

  /** "Ravi", "Ravi and Tamsin", "Ravi, Tamsin and Odile"; empty for nothing. */
  public static String of(List<String> things) {
    int last = things.size() - 1;
    return last < 1
        ? String.join("", things)
        : String.join(", ", things.subList(0, last)) + " and " + things.get(last);
  }
}
