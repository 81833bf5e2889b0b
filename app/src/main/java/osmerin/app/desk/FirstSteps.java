package osmerin.app.desk;

import java.util.List;

/**
 * What a site needs before its first month, for those who may do it.
 *
 * @param steps in the order they are best done
 */
public record FirstSteps(List<Step> steps) {
  /**
   * One of them.
   *
   * @param path behind the site's address
   */
  public record Step(String title, String why, String path, boolean done) {}

  /** Whether something is still to do; a site of one person needs no others. */
  public boolean isOpen() {
    return steps.stream().anyMatch(step -> !step.done() && !step.path().equals("/team"));
  }
}
