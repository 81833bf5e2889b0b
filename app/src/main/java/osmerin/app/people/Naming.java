package osmerin.app.people;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;

/**
 * Who is to do a role's steps, in one place of those who do.
 *
 * @param place from 0; whoever stands first leads
 * @param seen who was shown there, null for nobody
 * @param person null for nobody; whoever follows moves up
 */
public record Naming(StepRole role, int place, @Nullable Long seen, @Nullable Long person) {
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
