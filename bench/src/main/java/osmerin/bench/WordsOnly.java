package osmerin.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Grouping;
import osmerin.core.group.GroupingSettings;
import osmerin.core.group.KeywordGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.meaning.Meaning;
import osmerin.core.topic.Topic;
import osmerin.core.topic.Topics;

/**
 * Keywords written by hand, of which words are all there is, labelled by what one article could
 * answer and by topic. The plain way beside it: average linkage of the bare vectors, cut where the
 * set itself comes out best, which nobody can know beforehand.
 */
final class WordsOnly {
  private final String name;
  private final List<Keyword> keywords = new ArrayList<>();
  private final Map<String, Integer> groups = new HashMap<>();
  private final Map<String, Integer> topics = new HashMap<>();

  private WordsOnly(String name) {
    this.name = name;
  }

  static Stream<WordsOnly> sets() {
    return Stream.of("houseplants", "coffee").map(WordsOnly::read);
  }

  private static WordsOnly read(String name) {
    WordsOnly set = new WordsOnly(name);
    Map<String, Integer> numbers = new HashMap<>();
    String file = "/words-only/" + name + ".csv";
    try (InputStreamReader reader =
            new InputStreamReader(
                Objects.requireNonNull(WordsOnly.class.getResourceAsStream(file)),
                StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(reader)) {
      for (NamedCsvRecord row : rows) {
        Long volume =
            row.findField("search_volume")
                .filter(v -> !v.isEmpty())
                .map(Long::valueOf)
                .orElse(null);
        Keyword keyword = Keyword.of(row.getField("keyword"), volume, List.of());
        set.keywords.add(keyword);
        set.groups.put(keyword.normal(), number(numbers, "group " + row.getField("group")));
        set.topics.put(keyword.normal(), number(numbers, "topic " + row.getField("topic")));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return set;
  }

  private static int number(Map<String, Integer> numbers, String label) {
    return numbers.computeIfAbsent(label, l -> numbers.size());
  }

  static void heading() {
    System.out.printf(
        "%n%-22s %8s | %-13s | %-27s | %-27s%n",
        "words only",
        "keywords",
        "plain at best",
        "spelling: groups, topics",
        "meaning: groups P R F1, topics");
  }

  void line(Meaning meaning) {
    BCubed spelled = groups(grouped(null));
    BCubed meant = groups(grouped(meaning));
    System.out.printf(
        "%-22s %8d | %13.4f | %.4f %19.4f | %.4f %.4f %.4f %.4f%n",
        name,
        keywords.size(),
        plain(meaning),
        spelled.f1(),
        topics(null).f1(),
        meant.precision(),
        meant.recall(),
        meant.f1(),
        topics(meaning).f1());
  }

  private List<KeywordGroup> grouped(@Nullable Meaning meaning) {
    return new Grouping(GroupingSettings.DEFAULT, meaning).group(keywords);
  }

  private BCubed groups(List<KeywordGroup> found) {
    return BCubed.of(found.stream().map(WordsOnly::normals).toList(), groups);
  }

  /** A keyword in no topic counts as its own cluster. */
  private BCubed topics(@Nullable Meaning meaning) {
    List<KeywordGroup> found = grouped(meaning);
    List<Topic> gathered = new Topics(meaning).gather(found);
    List<List<String>> clusters = new ArrayList<>();
    List<String> left = new ArrayList<>(topics.keySet());
    for (Topic topic : gathered) {
      List<String> its = topic.groups().stream().flatMap(group -> normals(group).stream()).toList();
      clusters.add(its);
      left.removeAll(its);
    }
    left.forEach(normal -> clusters.add(List.of(normal)));
    return BCubed.of(clusters, topics);
  }

  private static List<String> normals(KeywordGroup group) {
    return group.members().stream().map(m -> m.keyword().normal()).toList();
  }

  private double plain(Meaning meaning) {
    List<String> texts = List.copyOf(groups.keySet());
    Map<String, float[]> vectors = meaning.vectors(texts);
    double best = 0;
    for (Collection<List<String>> clusters : new PlainLinkage(texts, vectors).cuts()) {
      best = Math.max(best, BCubed.of(clusters, groups).f1());
    }
    return best;
  }
}
