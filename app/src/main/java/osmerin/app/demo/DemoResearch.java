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
 * keywords about studio pottery with volumes, difficulty and ranking pages on made-up sites. The
 * same seed always makes the same file.
 */
public final class DemoResearch {
  private static final long SEED = 20_240;
  private static final int KEYWORDS_OF_A_GROUP = 8;
  private static final int PAGES = 10;

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
            "clayclass"),
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

  private DemoResearch(String file, List<String> topicSites, List<String> generalSites) {
    this.file = file;
    this.topicSites = topicSites;
    this.generalSites = generalSites;
  }

  /** The file of Marlpit, in UTF-8 with a header. */
  public static String csv() {
    return pottery().write();
  }

  /** Some of Marlpit's keywords once more, two years on: some are searched more, some less. */
  static String laterCsv() {
    List<String> lines = csv().lines().toList();
    StringBuilder later = new StringBuilder(lines.get(0)).append('\n');
    for (int i = 1; i < lines.size(); i += 4) {
      String[] parts = lines.get(i).split(",", 3);
      if (!parts[0].startsWith("\"") && parts[1].matches("\\d+")) {
        long volume = Math.round(Long.parseLong(parts[1]) * (i % 3 == 0 ? 0.92 : 1.06) / 10) * 10;
        later.append(parts[0]).append(',').append(volume).append(',').append(parts[2]).append('\n');
      }
    }
    return later.toString();
  }

  /** That of Sprocket Fen. */
  static String cyclingCsv() {
    return cycling().write();
  }

  private String write() {
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord(
          "Keyword", "Search volume", "Difficulty", "Cost per click", "Intent", "Ranking pages");
      for (Group group : groups()) {
        write(group, csv);
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

  private void write(Group group, CsvWriter csv) {
    List<String> pool = pool(group);
    List<String> hubs =
        List.of(page(site(group.topic(), 0), "overview"), page(generalSites.get(0), "all-topics"));
    for (String keyword : keywords(group)) {
      boolean primary = keyword.equals(group.primary());
      csv.writeRecord(
          keyword,
          primary ? String.valueOf(group.volume()) : volume(group.volume()),
          String.valueOf(primary ? group.difficulty() : near(group.difficulty())),
          String.format(Locale.ROOT, "%s.%02d", random.nextInt(3), random.nextInt(100)),
          random.nextInt(9) == 0 ? "Informational" : "",
          // A few keywords come without ranking pages, as from every tool.
          !primary && random.nextInt(16) == 0 ? "" : ranking(pool, hubs));
    }
  }

  private Set<String> keywords(Group group) {
    Set<String> keywords = new LinkedHashSet<>();
    keywords.add(group.primary());
    keywords.addAll(group.others());
    List<String> turns = new ArrayList<>(TURNS);
    Collections.shuffle(turns, random);
    int wanted = KEYWORDS_OF_A_GROUP + random.nextInt(3);
    for (int i = 0; keywords.size() < wanted && i < turns.size(); i++) {
      keywords.add(turns.get(i).formatted(group.primary()));
    }
    return keywords;
  }

  private List<String> pool(Group group) {
    String slug = group.primary().replaceAll("[^a-z0-9]+", "-");
    List<String> pool = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      pool.add(page(site(group.topic(), i), slug));
      pool.add(page(generalSites.get(i), slug));
    }
    return pool;
  }

  private String site(int topic, int number) {
    return topicSites.get(topic) + SITE_ENDINGS.get(number) + ".example";
  }

  private static String page(String site, String slug) {
    return "https://" + site + "/" + slug;
  }

  private String ranking(List<String> pool, List<String> hubs) {
    List<String> pages = new ArrayList<>(pool);
    Collections.shuffle(pages, random);
    List<String> ranking = new ArrayList<>(pages.subList(0, PAGES - 2));
    ranking.add(random.nextInt(8), hubs.get(0));
    ranking.add(random.nextInt(8), hubs.get(1));
    return String.join(" ", ranking);
  }

  /** A tenth to a third of the primary keyword's, in tens; now and then the tool does not know. */
  private String volume(int primary) {
    int volume = (int) (primary * (0.04 + random.nextDouble() * 0.3)) / 10 * 10;
    return random.nextInt(25) == 0 ? "-" : String.valueOf(Math.max(10, volume));
  }

  private int near(int difficulty) {
    return Math.max(1, Math.min(100, difficulty + random.nextInt(13) - 6));
  }
}
