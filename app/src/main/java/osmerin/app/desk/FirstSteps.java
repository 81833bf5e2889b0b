package osmerin.app.desk;

import java.util.List;

/**
 * What a site needs before its first month, as far as the person may do it.
 *
 * @param steps in the order they are best done
 */
public record FirstSteps(List<Step> steps) {
  /**
   * One of them.
   *
   * @param path behind the site's address
   * @param optional whether a site can do without it
   */
  public record Step(String title, String why, String path, boolean done, boolean optional) {}

  /** Whether something that the site needs is still to do. */
  public boolean isOpen() {
    return steps.stream().anyMatch(step -> !step.done() && !step.optional());
  }
}
