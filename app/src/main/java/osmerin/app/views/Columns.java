package osmerin.app.views;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The columns that a ledger shows, as they stand in its address. */
public final class Columns {
  private Columns() {}

  /** As it stands in the address. */
  public static String key(Enum<?> column) {
    return column.name().toLowerCase(Locale.ROOT);
  }

  /**
   * Those that are shown, in their order.
   *
   * @param chosen keys of columns, null when nobody chose; what is none is passed over
   * @param shipped those shown when none was chosen
   */
  public static <E extends Enum<E>> List<E> shown(
      @Nullable List<String> chosen, Class<E> all, List<E> shipped) {
    List<E> shown =
        chosen == null
            ? List.of()
            : chosen.stream()
                .flatMap(c -> Arrays.stream(all.getEnumConstants()).filter(e -> key(e).equals(c)))
                .distinct()
                .toList();
    return shown.isEmpty() ? shipped : shown;
  }

  /** All columns: those shown in their order, then the others. */
  public static <E extends Enum<E>> List<E> choices(List<E> shown, Class<E> all) {
    return Stream.concat(
            shown.stream(), Arrays.stream(all.getEnumConstants()).filter(e -> !shown.contains(e)))
        .toList();
  }
}
