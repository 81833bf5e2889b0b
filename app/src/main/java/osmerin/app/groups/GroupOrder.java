package osmerin.app.groups;

import java.util.Comparator;
import java.util.Locale;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** In which order groups are listed; what is unknown comes last. */
public enum GroupOrder {
  YIELD(g -> g.worth().yield()),
  VALUE(Group::value),
  DEMAND(g -> g.row().searches() == null ? null : g.row().searches().doubleValue()),
  CHANCE(g -> g.worth().chance());

  private final Function<Group, @Nullable Double> figure;

  GroupOrder(Function<Group, @Nullable Double> figure) {
    this.figure = figure;
  }

  /** The highest figure first, then the most searched, then by name. */
  public Comparator<Group> comparator() {
    return Comparator.<Group, @Nullable Double>comparing(
            figure, Comparator.nullsLast(Comparator.reverseOrder()))
        .thenComparing(g -> g.row().searches(), Comparator.nullsLast(Comparator.reverseOrder()))
        .thenComparing(g -> g.row().name());
  }

  /** The order of that name, else by yield. */
  public static GroupOrder of(@Nullable String name) {
    for (GroupOrder order : values()) {
      if (order.name().toLowerCase(Locale.ROOT).equals(name)) {
        return order;
      }
    }
    return YIELD;
  }
}
