package osmerin.app.hours;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import osmerin.app.runups.MeasuredStep;
import osmerin.core.runup.Estimates;

/**
 * Hours that steps took, by type and by person.
 *
 * @param types in their order, those with a measured step
 * @param people by name
 */
record HoursReport(List<Type> types, List<Person> people) {
  /** A type with its measured steps. */
  record Type(long id, String name, List<Step> steps) {}

  /**
   * A step of a type.
   *
   * @param estimate hours that were planned for the one that was done last
   * @param median of the hours they took
   * @param suggested for the estimate, null where too few were measured or it says the same
   */
  record Step(
      String name, int measured, double estimate, double median, @Nullable Double suggested) {}

  /** A person. */
  record Person(String name, int measured, double planned, double taken) {
    /** What was taken, in percent of what was planned; null when nothing was planned. */
    public @Nullable Long percent() {
      return planned == 0 ? null : Math.round(100 * taken / planned);
    }
  }

  static HoursReport of(List<MeasuredStep> measured, Map<Long, String> names) {
    List<Type> types = new ArrayList<>();
    grouped(measured, MeasuredStep::typeId)
        .forEach((id, steps) -> types.add(new Type(id, steps.get(0).typeName(), steps(steps))));
    List<Person> people = new ArrayList<>();
    new TreeMap<>(grouped(measured, s -> names.getOrDefault(s.person(), "nobody named")))
        .forEach((name, steps) -> people.add(person(name, steps)));
    return new HoursReport(types, people);
  }

  private static List<Step> steps(List<MeasuredStep> ofType) {
    return grouped(ofType, MeasuredStep::key).values().stream().map(HoursReport::step).toList();
  }

  private static <K> Map<K, List<MeasuredStep>> grouped(
      List<MeasuredStep> steps, Function<MeasuredStep, K> key) {
    return steps.stream()
        .collect(Collectors.groupingBy(key, LinkedHashMap::new, Collectors.toList()));
  }

  private static Step step(List<MeasuredStep> same) {
    List<Double> hours = same.stream().map(MeasuredStep::hours).toList();
    MeasuredStep last = Collections.max(same, Comparator.comparing(MeasuredStep::doneOn));
    Double suggested =
        Estimates.suggested(hours).stream()
            .filter(value -> value != last.estimate())
            .boxed()
            .findFirst()
            .orElse(null);
    return new Step(last.name(), same.size(), last.estimate(), Estimates.median(hours), suggested);
  }

  private static Person person(String name, List<MeasuredStep> steps) {
    return new Person(
        name,
        steps.size(),
        steps.stream().mapToDouble(MeasuredStep::estimate).sum(),
        steps.stream().mapToDouble(MeasuredStep::hours).sum());
  }

  boolean isEmpty() {
    return types.isEmpty();
  }
}
