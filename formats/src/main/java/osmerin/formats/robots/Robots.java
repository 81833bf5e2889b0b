package osmerin.formats.robots;

import crawlercommons.robots.BaseRobotRules;
import crawlercommons.robots.SimpleRobotRulesParser;
import java.util.Set;

/** The rules of a host's {@code robots.txt} (RFC 9309). */
public final class Robots {
  /** The name by which rules can be made for us. */
  public static final String NAME = "osmerin";

  private final BaseRobotRules rules;

  private Robots(BaseRobotRules rules) {
    this.rules = rules;
  }

  /**
   * Reads the file; what is no rule in it is passed over.
   *
   * @param address where it lies
   */
  public static Robots of(String address, byte[] file) {
    return new Robots(
        new SimpleRobotRulesParser().parseContent(address, file, "text/plain", Set.of(NAME)));
  }

  /** Whether the page may be fetched. */
  public boolean allows(String page) {
    return rules.isAllowed(page);
  }
}
