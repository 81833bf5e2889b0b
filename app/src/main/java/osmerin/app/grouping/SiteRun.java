package osmerin.app.grouping;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.app.groups.GroupRow;
import osmerin.app.research.KnownKeyword;
import osmerin.core.group.FullRun;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.KeywordGroup;
import osmerin.core.group.StandingGroup;
import osmerin.core.meaning.Meaning;

/**
 * A full run over the keywords of a site, tried.
 *
 * @param rows the site's groups by id
 * @param standing the same as the run takes them
 * @param meaning null where there is none
 */
record SiteRun(
    GroupingSettings settings,
    List<KnownKeyword> keywords,
    Map<Long, GroupRow> rows,
    List<StandingGroup> standing,
    @Nullable Meaning meaning,
    FullRun full) {

  /** What it would do, in words. */
  RunPreview preview() {
    List<RunPreview.Move> moves =
        full.moves().stream()
            .map(
                m ->
                    new RunPreview.Move(
                        m.keyword().text(),
                        m.keyword().volume() == null ? null : m.keyword().volume().searches(),
                        m.from() == null ? null : row(m.from()).name(),
                        name(m.to())))
            .toList();
    int fresh = (int) full.groups().stream().filter(g -> g.keptAs() == null).count();
    int pinned =
        standing.stream().mapToInt(s -> s.locked() ? s.members().size() : s.pinned().size()).sum();
    return new RunPreview(
        settings,
        standing.size(),
        full.groups().size(),
        fresh,
        full.ended().size(),
        moves,
        pinned,
        seal());
  }

  private GroupRow row(String key) {
    return rows.get(Long.valueOf(key));
  }

  private String name(KeywordGroup group) {
    return group.keptAs() == null ? group.primary().text() : row(group.keptAs()).name();
  }

  /** Another one for every other set of moves. */
  String seal() {
    int hash =
        full.moves().stream()
            .map(m -> m.keyword().normal() + "\n" + m.from() + "\n" + m.to().primary().normal())
            .toList()
            .hashCode();
    return full.moves().size() + "-" + Integer.toHexString(hash);
  }

  /** A keyword that would move, as the site knows it. */
  record Moved(KnownKeyword keyword, KeywordGroup to) {}

  /** What would move, in order of volume. */
  List<Moved> moved() {
    Map<String, KnownKeyword> known = new HashMap<>();
    keywords.forEach(k -> known.put(k.keyword().normal(), k));
    return full.moves().stream()
        .map(move -> new Moved(known.get(move.keyword().normal()), move.to()))
        .toList();
  }
}
