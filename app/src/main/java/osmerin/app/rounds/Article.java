package osmerin.app.rounds;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.runup.StepRole;

/**
 * An article: what all its rounds have in common.
 *
 * @param prefix of the site's reference numbers
 * @param groupId the keyword group it answers, null for none
 * @param people who is named for a role; the first of several leads, and their days decide the
 *     dates
 */
public record Article(
    long id,
    String prefix,
    int number,
    String title,
    int version,
    @Nullable Long groupId,
    @Nullable String liveAddress,
    boolean liveSimulated,
    @Nullable Instant archivedAt,
    Map<StepRole, List<Long>> people) {

  public Article {
    people = Map.copyOf(people);
  }

  /** Who is named for a role; whoever leads comes first, empty for nobody. */
  public List<Long> people(StepRole role) {
    return people.getOrDefault(role, List.of());
  }

  /** Who writes it; empty for nobody. */
  public List<Long> writers() {
    return people(StepRole.WRITER);
  }

  /** Who leads in a role; null when nobody is named for it. */
  public @Nullable Long lead(StepRole role) {
    return people(role).stream().findFirst().orElse(null);
  }

  /** Who leads in each role for which somebody is named. */
  public Map<StepRole, Long> leads() {
    Map<StepRole, Long> leads = new HashMap<>();
    people.forEach((role, named) -> leads.put(role, named.get(0)));
    return leads;
  }

  /** Whether the person is named for some role. */
  public boolean names(long personId) {
    return people.values().stream().anyMatch(named -> named.contains(personId));
  }

  /** "MP-0158". */
  public String reference() {
    return new ReferenceNumber(prefix, number).toString();
  }
}
