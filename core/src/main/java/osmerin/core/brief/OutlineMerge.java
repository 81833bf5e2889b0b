package osmerin.core.brief;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import osmerin.core.brief.Outline.Section;

/**
 * Brings two changes of one outline together, section by section: what only one of two people
 * changed is theirs, whatever the other did elsewhere. A section that one removed and the other
 * changed stays. The order is that of whoever changed it; of the first where both did.
 */
public final class OutlineMerge {
  private final Map<String, Section> base;
  private final Map<String, Section> mine;
  private final Map<String, Section> theirs;
  private boolean clash;

  private OutlineMerge(Outline base, Outline mine, Outline theirs) {
    this.base = byId(base);
    this.mine = byId(mine);
    this.theirs = byId(theirs);
  }

  /**
   * Both changes in one outline.
   *
   * @param base what both started from
   * @return empty when both changed the same heading, note, budget or depth to something else, so
   *     that a person has to choose
   */
  public static Optional<Outline> of(Outline base, Outline mine, Outline theirs) {
    OutlineMerge merge = new OutlineMerge(base, mine, theirs);
    List<Section> sections = merge.sections();
    return merge.clash || sections.size() > Outline.MOST_SECTIONS
        ? Optional.empty()
        : Optional.of(new Outline(sections));
  }

  private static Map<String, Section> byId(Outline outline) {
    Map<String, Section> sections = new LinkedHashMap<>();
    outline.sections().forEach(section -> sections.put(section.id(), section));
    return sections;
  }

  private List<Section> sections() {
    Map<String, Section> kept = new HashMap<>();
    for (String id : ids()) {
      Section section = merged(id);
      if (section != null) {
        kept.put(id, section);
      }
    }
    return order(kept.keySet()).stream().map(kept::get).toList();
  }

  private List<String> ids() {
    List<String> ids = new ArrayList<>(mine.keySet());
    theirs.keySet().stream().filter(id -> !mine.containsKey(id)).forEach(ids::add);
    return ids;
  }

  /** The section as it is to be; null when it is gone. */
  private @Nullable Section merged(String id) {
    Section was = base.get(id);
    Section here = mine.get(id);
    Section there = theirs.get(id);
    if (here == null || there == null) {
      Section left = here == null ? there : here;
      return left.equals(was) ? null : left;
    }
    return new Section(
        id,
        one(was, here, there, Section::heading),
        one(was, here, there, Section::depth),
        one(was, here, there, Section::note),
        one(was, here, there, Section::words));
  }

  private <T> T one(
      @Nullable Section was, Section here, Section there, Function<Section, T> value) {
    T mineNow = value.apply(here);
    T theirsNow = value.apply(there);
    T before = was == null ? null : value.apply(was);
    if (Objects.equals(mineNow, theirsNow) || Objects.equals(theirsNow, before)) {
      return mineNow;
    }
    clash |= !Objects.equals(mineNow, before);
    return theirsNow;
  }

  private List<String> order(Set<String> kept) {
    List<String> here = mine.keySet().stream().filter(kept::contains).toList();
    List<String> there = theirs.keySet().stream().filter(kept::contains).toList();
    boolean moved =
        !common(here, base, theirs).equals(common(base.keySet().stream().toList(), mine, theirs));
    List<String> order = new ArrayList<>(moved ? here : there);
    insert(order, moved ? there : here);
    return order;
  }

  /** Of some ids those that are in two other outlines as well. */
  private static List<String> common(
      List<String> ids, Map<String, Section> one, Map<String, Section> other) {
    return ids.stream().filter(one::containsKey).filter(other::containsKey).toList();
  }

  /** Puts what is missing after what stands before it in the other order. */
  private static void insert(List<String> order, List<String> other) {
    int after = -1;
    for (String id : other) {
      int at = order.indexOf(id);
      if (at < 0) {
        order.add(++after, id);
      } else {
        after = at;
      }
    }
  }
}
