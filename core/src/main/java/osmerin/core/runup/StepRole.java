package osmerin.core.runup;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Who does a step, before a person is named: one of the roles of the site.
 *
 * @param name in lower case, 1 to 40 characters without a comma: "second reader"
 */
public record StepRole(String name) {
  /** Longer names are refused. */
  public static final int LONGEST = 40;

  /** What is normal already, as most are that come from the database. */
  private static final Pattern PLAIN = Pattern.compile("[a-z]++(?: [a-z]++){0,20}+");

  public static final StepRole STRATEGIST = new StepRole("strategist");
  public static final StepRole EDITOR = new StepRole("editor");
  public static final StepRole WRITER = new StepRole("writer");

  /** The roles that every site has. */
  public static final List<StepRole> SHIPPED = List.of(STRATEGIST, EDITOR, WRITER);

  /**
   * @throws IllegalArgumentException when the name is empty, too long or holds a comma
   */
  public StepRole {
    name = PLAIN.matcher(name).matches() ? name : normal(name);
    if (name.isEmpty() || name.length() > LONGEST || name.contains(",")) {
      throw new IllegalArgumentException(
          "A role has 1 to %s characters and no comma.".formatted(LONGEST));
    }
  }

  private static String normal(String name) {
    return name.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
  }

  /** The role of this name, in whatever case. */
  public static StepRole valueOf(String name) {
    return new StepRole(name);
  }

  /** "Second reader". */
  public String label() {
    return name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
  }

  @Override
  public String toString() {
    return name;
  }
}
