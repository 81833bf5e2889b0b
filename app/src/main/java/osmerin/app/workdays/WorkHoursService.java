package osmerin.app.workdays;

import java.time.DayOfWeek;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.site.Site;
import osmerin.core.workday.WorkHours;

/**
 * How many hours people have for articles; they belong to the person and hold on all their sites.
 * Who may change them is asked elsewhere.
 */
@Service
public class WorkHoursService {
  private final WorkHoursMapper hours;

  WorkHoursService(WorkHoursMapper hours) {
    this.hours = hours;
  }

  /** The hours of the site's people; who is not there has the usual ones. */
  public Map<Long, WorkHours> hours(Site site) {
    Map<Long, Double> days = ownDays(site);
    Map<Long, Map<DayOfWeek, Double>> taken =
        reserved(site).stream()
            .collect(
                Collectors.groupingBy(
                    Reserved::personId,
                    Collectors.groupingBy(
                        Reserved::day, Collectors.summingDouble(Reserved::hours))));
    Set<Long> people = new HashSet<>(days.keySet());
    people.addAll(taken.keySet());
    Map<Long, WorkHours> all = new HashMap<>();
    people.forEach(
        id ->
            all.put(
                id,
                new WorkHours(
                    days.getOrDefault(id, WorkHours.USUAL), taken.getOrDefault(id, Map.of()))));
    return all;
  }

  /** The hours of a working day of those who have said it. */
  public Map<Long, Double> ownDays(Site site) {
    return hours.ofDays(site.id()).stream()
        .collect(
            Collectors.toMap(WorkHoursMapper.DayHours::personId, WorkHoursMapper.DayHours::hours));
  }

  /** What is reserved by the site's people, on whichever site it was said, by day of the week. */
  public List<Reserved> reserved(Site site) {
    return hours.reserved(site.id());
  }

  public Optional<Reserved> find(long id) {
    return hours.find(id);
  }

  /** Sets the hours of a person's working day; null for the usual ones. */
  @Transactional
  public void setDay(long personId, @Nullable Double aDay) {
    hours.setDay(personId, aDay);
  }

  /** Adds what is reserved; its id is not asked. */
  @Transactional
  public void reserve(Reserved reserved) {
    hours.insert(reserved);
  }

  /** False when it is gone already. */
  @Transactional
  public boolean release(long id) {
    return hours.remove(id) == 1;
  }
}
