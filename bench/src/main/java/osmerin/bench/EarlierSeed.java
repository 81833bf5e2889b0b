package osmerin.bench;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import osmerin.core.group.Grouping;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;

/**
 * The plain way, to compare with: each keyword, the one with most volume first, joins the earlier
 * seed it shares most pages with, if they are three, else it is a seed itself.
 */
final class EarlierSeed {
  private EarlierSeed() {}

  static Collection<List<String>> group(List<Keyword> keywords) {
    Map<Integer, List<String>> groups = new LinkedHashMap<>();
    Map<PageAddress, List<Integer>> seedsOf = new HashMap<>();
    List<Keyword> ordered = keywords.stream().sorted(Grouping.PRIMARY_FIRST).toList();
    for (int i = 0; i < ordered.size(); i++) {
      Map<Integer, Integer> shared = new HashMap<>();
      for (PageAddress page : ordered.get(i).pages()) {
        seedsOf.getOrDefault(page, List.of()).forEach(s -> shared.merge(s, 1, Integer::sum));
      }
      int best = i;
      int most = 2;
      for (Map.Entry<Integer, Integer> seed : shared.entrySet()) {
        if (seed.getValue() > most || seed.getValue() == most && seed.getKey() < best && most > 2) {
          best = seed.getKey();
          most = seed.getValue();
        }
      }
      groups.computeIfAbsent(best, g -> new ArrayList<>()).add(ordered.get(i).normal());
      if (best == i) {
        for (PageAddress page : ordered.get(i).pages()) {
          seedsOf.computeIfAbsent(page, p -> new ArrayList<>()).add(i);
        }
      }
    }
    return groups.values();
  }
}
