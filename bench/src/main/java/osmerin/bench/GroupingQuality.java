package osmerin.bench;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.GroupingSettings.Mode;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.RememberedMeaning;
import osmerin.meaning.SentenceModel;

/** B-cubed figures of the grouping on labelled sets, made and by hand, beside the plain way. */
final class GroupingQuality {
  private static final int SEEDS = 5;

  private GroupingQuality() {}

  static void run() {
    System.out.printf(
        "%-34s %8s | %-6s | %-20s | %-20s%n",
        "labelled set", "keywords", "plain", "loose P R F1", "strict P R F1");
    shapes()
        .forEach(
            (name, shape) ->
                line(
                    name,
                    LongStream.rangeClosed(1, SEEDS)
                        .mapToObj(seed -> LabelledSet.of(shape, seed))
                        .toList()));
    line("demo", List.of(LabelledFile.DEMO.read()));
    line("labelled by hand", List.of(LabelledFile.BY_HAND.read()));
    Meaning meaning = new RememberedMeaning(new SentenceModel(), (done, all) -> {});
    WordsOnly.heading();
    WordsOnly.sets().forEach(set -> set.line(meaning));
    glosses(meaning);
  }

  private static Map<String, Shape> shapes() {
    Shape p = Shape.PLAIN;
    Map<String, Shape> shapes = new LinkedHashMap<>();
    shapes.put("as it comes", p);
    shapes.put("no siblings", with(p, 10, 0, 0.0, 0.0));
    shapes.put("many hubs", with(p, 10, 4, 0.3, p.bridging()));
    shapes.put("hubs that rank everywhere", with(p, 10, 2, 0.3, p.bridging()));
    shapes.put("many bridging keywords", with(p, 10, 3, 0.12, 0.12));
    shapes.put("results that vary", with(p, 12, 3, 0.15, p.bridging()));
    shapes.put("results that vary much", with(p, 16, 3, 0.15, p.bridging()));
    return shapes;
  }

  private static Shape with(Shape p, int own, int hubs, double hubShare, double bridging) {
    return new Shape(
        p.groups(), p.largest(), own, hubs, hubShare, p.strayShare(), bridging, p.withoutPages());
  }

  private static void line(String name, List<LabelledSet> sets) {
    double plain = 0;
    double[] loose = new double[3];
    double[] strict = new double[3];
    int keywords = 0;
    for (LabelledSet set : sets) {
      keywords += set.keywords().size();
      plain += BCubed.of(EarlierSeed.group(set.keywords()), set.labels()).f1();
      add(loose, BCubed.of(grouped(set.keywords(), Mode.LOOSE), set.labels()));
      add(strict, BCubed.of(grouped(set.keywords(), Mode.STRICT), set.labels()));
    }
    System.out.printf(
        "%-34s %8d | %.4f | %.4f %.4f %.4f | %.4f %.4f %.4f%n",
        name,
        keywords / sets.size(),
        plain / sets.size(),
        loose[0] / sets.size(),
        loose[1] / sets.size(),
        loose[2] / sets.size(),
        strict[0] / sets.size(),
        strict[1] / sets.size(),
        strict[2] / sets.size());
  }

  /** The phrases labelled by hand without what a search finds for them. */
  private static void glosses(Meaning meaning) {
    LabelledSet set = LabelledFile.BY_HAND.read();
    List<Keyword> bare = set.keywords().stream().map(k -> k.withPages(List.of())).toList();
    for (Meaning by : new Meaning[] {null, meaning}) {
      Collection<List<String>> groups =
          new Grouping(GroupingSettings.DEFAULT, by)
              .group(bare).stream()
                  .map(g -> g.members().stream().map(m -> m.keyword().normal()).toList())
                  .toList();
      System.out.printf(
          "%-22s %8d | %s %.4f%n",
          "glosses",
          bare.size(),
          by == null ? "spelling" : "meaning",
          BCubed.of(groups, set.labels()).f1());
    }
  }

  private static void add(double[] sums, BCubed figures) {
    sums[0] += figures.precision();
    sums[1] += figures.recall();
    sums[2] += figures.f1();
  }

  private static Collection<List<String>> grouped(List<Keyword> keywords, Mode mode) {
    return new Grouping(new GroupingSettings(3, 10, mode))
        .group(keywords).stream()
            .map(g -> g.members().stream().map(m -> m.keyword().normal()).toList())
            .toList();
  }
}
