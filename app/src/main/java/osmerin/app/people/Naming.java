package osmerin.app.people;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.runup.StepRole;

/**
 * Who is to do a role's steps, in one place of those who do.
 *
 * @param place from 0; whoever stands first leads
 * @param seen who was shown there, null for nobody
 * @param person null for nobody; whoever follows moves up
 */
public record Naming(
    @Nullable StepRole role, int place, @Nullable Long seen, @Nullable Long person) {
  /** Most people in a role of one article. */
  public static final int MOST = 20;

  /**
   * The role.
   *
   * @throws RefusedException when none was chosen, or the place is none
   */
  StepRole checkedRole() {
    if (role == null || place < 0 || place >= MOST) {
      throw new RefusedException(
          "Choose a role and whom to name, at most %s people.".formatted(MOST));
    }
    return role;
  }

  List<Long> after(List<Long> named) {
    List<Long> after = new ArrayList<>(named);
    if (place < named.size()) {
      after.remove(place);
    }
    if (person != null && !after.contains(person)) {
      after.add(Math.min(place, after.size()), person);
    }
    return after;
  }
}
