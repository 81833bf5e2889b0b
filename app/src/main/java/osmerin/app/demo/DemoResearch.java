package osmerin.app.demo;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;

/**
 * The keyword research of the demo scenario as the file a keyword tool would export: about 1,200
 * keywords about studio pottery with volumes, difficulty and ranking pages on made-up sites. It is
 * as untidy as research is: groups of one topic share pages, overviews rank for nearly everything,
 * some keywords are answered half like those of another group, some have no ranking pages, some a
 * range for a volume, a few are in German or French. The same seed always makes the same file.
 */
public final class DemoResearch {
  private static final long SEED = 20_240;
  private static final int KEYWORDS_OF_A_GROUP = 8;
  private static final int PAGES = 10;

  /** Pages that answer a group, and those of them that the group before it may have as well. */
  private static final int POOL = 13;

  private static final int SHARED = 4;

  private static final List<String> TURNS =
      List.of(
          "%s for beginners",
          "%s at home",
          "%s step by step",
          "%s tips",
          "%s guide",
          "easy %s",
          "%s ideas",
          "%s explained",
          "learn %s",
          "%s problems",
          "%s mistakes",
          "%s tutorial",
          "%s basics",
          "simple %s");
  private static final List<String> SITE_ENDINGS =
      List.of("notes", "school", "journal", "workshop", "shop", "answers");

  private record Group(
      int topic, String primary, int volume, int difficulty, List<String> others) {}

  private static DemoResearch pottery() {
    return new DemoResearch(
        "research.txt",
        List.of(
            "wheelhead",
            "pinchandcoil",
            "claybody",
            "glazelab",
            "faultfinder",
            "kilnroom",
            "safestudio",
            "tooltray",
            "shedstudio",
            "potsforsale",
            "potcare",
            "clayclass",
            "werkstatt"),
        List.of(
            "claypages.example",
            "mudalmanac.example",
            "potteryforum.example",
            "makersweekly.example",
            "thekitchenkiln.example",
            "studioanswers.example"));
  }

  private static DemoResearch cycling() {
    return new DemoResearch(
        "fen-research.txt",
        List.of("levelways", "bagandwheel", "slowmiles"),
        List.of(
            "saddletalk.example",
            "twowheelweekly.example",
            "routesandrain.example",
            "thetourer.example",
            "cyclinganswers.example",
            "panniernotes.example"));
  }

  private final String file;
  private final List<String> topicSites;
  private final List<String> generalSites;
  private final Random random = new Random(SEED);
  private final StringWriter labelled = new StringWriter();

  private DemoResearch(String file, List<String> topicSites, List<String> generalSites) {
    this.file = file;
    this.topicSites = topicSites;
    this.generalSites = generalSites;
  }

  /** The file of Marlpit, in UTF-8 with a header. */
  public static String csv() {
    return pottery().write();
  }

  /** The searches of some of Marlpit's keywords two years on: some have more, some less. */
  static String laterCsv() {
    List<String> lines = csv().lines().toList();
    StringBuilder later = new StringBuilder("Keyword,Search volume\n");
    for (int i = 1; i < lines.size(); i += 4) {
      String[] parts = lines.get(i).split(",", 3);
      if (!parts[0].startsWith("\"") && parts[1].matches("\\d+")) {
        long volume = Math.round(Long.parseLong(parts[1]) * (i % 3 == 0 ? 0.92 : 1.06) / 10) * 10;
        later.append(parts[0]).append(',').append(volume).append('\n');
      }
    }
    return later.toString();
  }

  /** Marlpit's keywords and ranking pages with the group each was made for, to measure on. */
  static String labelledCsv() {
    DemoResearch research = pottery();
    research.write();
    return research.labelled.toString();
  }

  /** That of Sprocket Fen. */
  static String cyclingCsv() {
    return cycling().write();
  }

  private String write() {
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(out);
        CsvWriter labels = CsvWriter.builder().build(labelled)) {
      labels.writeRecord("keyword", "label", "ranking pages");
      csv.writeRecord(
          "Keyword", "Search volume", "Difficulty", "Cost per click", "Intent", "Ranking pages");
      List<Group> groups = groups();
      for (int i = 0; i < groups.size(); i++) {
        Group next = groups.get((i + 1) % groups.size());
        write(groups.get(i), next, groups.get((i * 7 + 3) % groups.size()), csv, labels);
      }
    } catch (java.io.IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private List<Group> groups() {
    List<Group> groups = new ArrayList<>();
    int topic = -1;
    for (String line : DemoText.lines(file)) {
      if (line.startsWith("# ")) {
        topic++;
      } else {
        String[] parts = line.split("\\s*\\|\\s*");
        groups.add(
            new Group(
                topic,
                parts[0],
                Integer.parseInt(parts[1]),
                Integer.parseInt(parts[2]),
                List.of(parts[3].split("\\s*;\\s*"))));
      }
    }
    return groups;
  }

  private void write(Group group, Group next, Group stranger, CsvWriter csv, CsvWriter labels) {
    List<String> near = pool(next).subList(0, SHARED);
    List<String> hubs =
        List.of(
            page(site(group.topic(), 0), "overview"),
            page(site(group.topic(), 1), "all-articles"),
            page(generalSites.get(0), "all-topics"),
            page(generalSites.get(3), "all-subjects"));
    for (String keyword : keywords(group)) {
      boolean primary = keyword.equals(group.primary());
      boolean misfit = !primary && random.nextInt(40) == 0;
      // A few keywords come without ranking pages, as from every tool.
      String ranking =
          !primary && random.nextInt(12) == 0
              ? ""
              : ranking(pool(group), misfit ? pool(stranger) : near, misfit ? 4 : 2, hubs);
      labels.writeRecord(keyword, group.primary(), ranking);
      csv.writeRecord(
          keyword,
          primary ? String.valueOf(group.volume()) : volume(group.volume()),
          String.valueOf(primary ? group.difficulty() : near(group.difficulty())),
          String.format(Locale.ROOT, "%s.%02d", random.nextInt(3), random.nextInt(100)),
          random.nextInt(9) == 0 ? "Informational" : "",
          ranking);
    }
  }

  private Set<String> keywords(Group group) {
    Set<String> keywords = new LinkedHashSet<>();
    keywords.add(group.primary());
    keywords.addAll(group.others());
    List<String> turns = new ArrayList<>(TURNS);
    Collections.shuffle(turns, random);
    // The turns of phrase are English.
    boolean english = group.primary().chars().allMatch(c -> c < 128);
    int wanted = english ? KEYWORDS_OF_A_GROUP + random.nextInt(3) : 0;
    for (int i = 0; keywords.size() < wanted && i < turns.size(); i++) {
      keywords.add(turns.get(i).formatted(group.primary()));
    }
    return keywords;
  }

  private List<String> pool(Group group) {
    String slug = group.primary().replaceAll("[^a-z0-9äöüßéèç]+", "-");
    List<String> pool = new ArrayList<>();
    for (int i = 0; pool.size() < POOL; i++) {
      int at = i / 2 % SITE_ENDINGS.size();
      String site = i % 2 == 0 ? site(group.topic(), at) : generalSites.get(at);
      // A site may have more than one page on a subject.
      pool.add(page(site, i < 2 * SITE_ENDINGS.size() ? slug : slug + "-faq"));
    }
    return pool;
  }

  private String site(int topic, int number) {
    return topicSites.get(topic) + SITE_ENDINGS.get(number) + ".example";
  }

  private static String page(String site, String slug) {
    return "https://" + site + "/" + slug;
  }

  /** Mostly the group's own pages, some of others, an overview or two, now and then a stray one. */
  private String ranking(List<String> own, List<String> others, int most, List<String> hubs) {
    List<String> pages = new ArrayList<>();
    take(others, random.nextInt(most + 1), pages);
    take(hubs, random.nextInt(3), pages);
    if (random.nextInt(3) == 0) {
      pages.add(page("odd" + random.nextInt(9_000) + ".example", "only"));
    }
    take(own, PAGES - pages.size(), pages);
    Collections.shuffle(pages, random);
    return String.join(" ", pages);
  }

  private void take(List<String> from, int number, List<String> to) {
    List<String> shuffled = new ArrayList<>(from);
    Collections.shuffle(shuffled, random);
    shuffled.stream().filter(page -> !to.contains(page)).limit(number).forEach(to::add);
  }

  /**
   * A tenth to a third of the primary keyword's, in tens; now and then the tool gives a range, or
   * does not know.
   */
  private String volume(int primary) {
    int volume = (int) (primary * (0.04 + random.nextDouble() * 0.3)) / 10 * 10;
    if (random.nextInt(20) == 0 && volume >= 10) {
      return volume < 100 ? "10–100" : volume < 1_000 ? "100–1K" : "1K–10K";
    }
    return random.nextInt(25) == 0 ? "-" : String.valueOf(Math.max(10, volume));
  }

  private int near(int difficulty) {
    return Math.max(1, Math.min(100, difficulty + random.nextInt(13) - 6));
  }
}
