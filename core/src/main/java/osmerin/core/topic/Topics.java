package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.Grouping;
import osmerin.core.group.KeywordGroup;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Stems;

/**
 * Gathers groups into topics by shared words and by ranking pages of the same sites. Topics that
 * exist keep their groups, name and pillar; a new group joins the topic it is most alike, and what
 * is left gathers into new topics.
 */
public final class Topics {
  /** A topic that exists: its name, the key of its groups, and its pillar's. */
  public record Kept(String name, @Nullable String pillar, Set<String> groups) {}

  /** Gathers from nothing, in order of demand. */
  public List<Topic> gather(List<KeywordGroup> groups) {
    return gather(groups, Map.of());
  }

  /**
   * Gathers groups, some of which are in topics already.
   *
   * @param kept the existing topics by a key of the caller's; their groups are named by {@link
   *     KeywordGroup#keptAs()}
   */
  public List<Topic> gather(List<KeywordGroup> groups, Map<String, Kept> kept) {
    return new Run(groups, kept).topics();
  }

  /** Of the groups of a topic, at least one, the one that would be its pillar. */
  public KeywordGroup pillar(List<KeywordGroup> groups) {
    return new Run(groups, Map.of()).pillar(groups, null);
  }

  private static long searches(KeywordGroup group) {
    return group.demand().searches() == null ? 0 : group.demand().searches();
  }

  private static final class Run {
    private static final String KEPT = "kept ";
    private static final String NEW = "new ";
    private static final Comparator<KeywordGroup> BY_DEMAND =
        Comparator.<KeywordGroup>comparingLong(g -> -searches(g))
            .thenComparing(KeywordGroup::primary, Grouping.PRIMARY_FIRST);

    private final List<KeywordGroup> groups;
    private final Map<String, Kept> kept;
    private final Stems stems = new Stems();
    private final Likeness likeness;
    private final Map<String, Integer> nodeOfTopic = new HashMap<>();

    Run(List<KeywordGroup> groups, Map<String, Kept> kept) {
      this.groups = groups.stream().sorted(BY_DEMAND).toList();
      this.kept = kept;
      this.likeness = new Likeness(this.groups, stems);
    }

    List<Topic> topics() {
      @Nullable String[] home = homes();
      int[] community = Modularity.communities(graph(home));
      Map<Integer, Set<String>> homesIn = new HashMap<>();
      for (int i = 0; i < home.length; i++) {
        if (home[i] != null) {
          homesIn.computeIfAbsent(community[node(i, home)], c -> new TreeSet<>()).add(home[i]);
        }
      }
      Map<String, List<KeywordGroup>> together = new TreeMap<>();
      for (int i = 0; i < groups.size(); i++) {
        int mine = community[node(i, home)];
        String topic = home[i] != null ? home[i] : mostAlike(i, home, homesIn.get(mine));
        String key = topic != null ? KEPT + topic : NEW + mine;
        together.computeIfAbsent(key, k -> new ArrayList<>()).add(groups.get(i));
      }
      return named(together);
    }

    /** The existing topic of each group, null for a group that has none. */
    private @Nullable String[] homes() {
      Map<String, String> topicOf = new HashMap<>();
      kept.forEach((key, topic) -> topic.groups().forEach(group -> topicOf.put(group, key)));
      @Nullable String[] home = new String[groups.size()];
      for (int i = 0; i < home.length; i++) {
        String keptAs = groups.get(i).keptAs();
        home[i] = keptAs == null ? null : topicOf.get(keptAs);
        if (home[i] != null) {
          nodeOfTopic.putIfAbsent(home[i], i);
        }
      }
      return home;
    }

    /** All groups of an existing topic are one node, so that it moves as a whole or not at all. */
    private int node(int group, @Nullable String[] home) {
      return home[group] == null ? group : nodeOfTopic.get(home[group]);
    }

    private List<Map<Integer, Double>> graph(@Nullable String[] home) {
      List<Map<Integer, Double>> graph = new ArrayList<>();
      groups.forEach(group -> graph.add(new TreeMap<>()));
      for (int i = 0; i < groups.size(); i++) {
        Map<Integer, Double> edges = graph.get(node(i, home));
        likeness.of(i).forEach((j, weight) -> edges.merge(node(j, home), weight, Double::sum));
      }
      return graph;
    }

    /** Of the existing topics in its community the one a new group is most alike. */
    private @Nullable String mostAlike(
        int group, @Nullable String[] home, @Nullable Set<String> candidates) {
      if (candidates == null) {
        return null;
      }
      Map<String, Double> pull = new TreeMap<>();
      candidates.forEach(topic -> pull.put(topic, 0.0));
      likeness
          .of(group)
          .forEach(
              (j, weight) -> {
                if (home[j] != null) {
                  pull.computeIfPresent(home[j], (topic, sum) -> sum + weight);
                }
              });
      return pull.entrySet().stream()
          .max(Map.Entry.comparingByValue())
          .map(Map.Entry::getKey)
          .orElseThrow();
    }

    private List<Topic> named(Map<String, List<KeywordGroup>> together) {
      Set<String> taken = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
      kept.values().forEach(topic -> taken.add(topic.name()));
      TopicName names = new TopicName(stems, groups);
      List<Topic> topics = new ArrayList<>();
      together.entrySet().stream()
          .sorted(
              Comparator.<Map.Entry<String, List<KeywordGroup>>>comparingLong(
                      e -> -e.getValue().stream().mapToLong(Topics::searches).sum())
                  .thenComparing(e -> e.getValue().get(0), BY_DEMAND))
          .forEach(e -> topics.add(topic(e.getKey(), e.getValue(), names, taken)));
      return topics;
    }

    private Topic topic(
        String key, List<KeywordGroup> members, TopicName names, Set<String> taken) {
      String keptAs = key.startsWith(KEPT) ? key.substring(KEPT.length()) : null;
      Kept before = keptAs == null ? null : kept.get(keptAs);
      String name = before == null ? names.of(members, taken) : before.name();
      taken.add(name);
      return new Topic(keptAs, name, pillar(members, before), members);
    }

    private KeywordGroup pillar(List<KeywordGroup> members, @Nullable Kept before) {
      if (before != null && before.pillar() != null) {
        for (KeywordGroup group : members) {
          if (before.pillar().equals(group.keptAs())) {
            return group;
          }
        }
      }
      return members.stream().max(Comparator.comparingDouble(this::breadth)).orElseThrow();
    }

    /**
     * A pillar is broad: few words in its primary keyword, many keywords, good demand; and it is
     * read, not bought.
     */
    private double breadth(KeywordGroup group) {
      int words = stems.subject(group.primary().text()).size();
      double informs = group.intent() == SearchIntent.INFORMATIONAL ? 1 : 0.3;
      return informs
          * Math.sqrt(1.0 + searches(group))
          * Math.log(1 + group.members().size())
          / words;
    }
  }
}
