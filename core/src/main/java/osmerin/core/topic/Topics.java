package osmerin.core.topic;

import java.util.ArrayList;
import java.util.Arrays;
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
import osmerin.core.meaning.Meaning;
import osmerin.core.text.Stems;

/**
 * Gathers groups into topics by meaning, shared words and ranking pages of the same sites. Topics
 * that exist keep their groups, name and pillar; a new group joins the topic it is most alike, and
 * what is left gathers into new topics.
 */
public final class Topics {
  /** A topic that exists: its name, the key of its groups, and its pillar's. */
  public record Kept(String name, @Nullable String pillar, Set<String> groups) {}

  private final @Nullable Meaning meaning;

  /** Where no sites tell, words decide. */
  public Topics() {
    this(null);
  }

  /**
   * @param meaning null where there is none
   */
  public Topics(@Nullable Meaning meaning) {
    this.meaning = meaning;
  }

  /** Gathers from nothing, in order of demand; groups that belong nowhere are in no topic. */
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
    return new Run(groups, kept, meaning).topics();
  }

  /** Of the groups of a topic, at least one, the one that would be its pillar. */
  public KeywordGroup pillar(List<KeywordGroup> groups) {
    return new Run(groups, Map.of(), null).pillar(groups, null);
  }

  private static long searches(KeywordGroup group) {
    return group.demand().searches() == null ? 0 : group.demand().searches();
  }

  private static final class Run {
    /** How much many keywords count beside demand for a pillar. */
    private static final double MANY_KEYWORDS = 0.25;

    private static final String KEPT = "kept ";
    private static final String NEW = "new ";
    private static final Comparator<KeywordGroup> BY_DEMAND =
        Comparator.<KeywordGroup>comparingLong(g -> -searches(g))
            .thenComparing(KeywordGroup::primary, Grouping.PRIMARY_FIRST);

    private final List<KeywordGroup> groups;
    private final Map<String, Kept> kept;
    private final Stems stems = new Stems();
    private final @Nullable GroupSense sense;
    private final Likeness likeness;
    private final int[] size;
    private final Map<String, Integer> nodeOfTopic = new HashMap<>();

    Run(List<KeywordGroup> groups, Map<String, Kept> kept, @Nullable Meaning meaning) {
      this.groups = groups.stream().sorted(BY_DEMAND).toList();
      this.kept = kept;
      sense = GroupSense.of(this.groups, meaning);
      likeness = new Likeness(this.groups, stems, sense);
      size = this.groups.stream().mapToInt(group -> group.members().size()).toArray();
    }

    List<Topic> topics() {
      @Nullable String[] home = homes();
      int[] setOf = sets(home);
      Map<Integer, Set<String>> homesIn = new HashMap<>();
      for (int i = 0; i < home.length; i++) {
        if (home[i] != null) {
          homesIn.computeIfAbsent(setOf[i], c -> new TreeSet<>()).add(home[i]);
        }
      }
      Map<String, List<Integer>> together = new TreeMap<>();
      for (int i = 0; i < groups.size(); i++) {
        if (home[i] != null || setOf[i] != TopicSets.NONE) {
          String topic = home[i] != null ? home[i] : mostAlike(i, home, homesIn.get(setOf[i]));
          String key = topic != null ? KEPT + topic : NEW + setOf[i];
          together.computeIfAbsent(key, k -> new ArrayList<>()).add(i);
        }
      }
      return named(together);
    }

    private int[] sets(@Nullable String[] home) {
      long[] demand = groups.stream().mapToLong(Topics::searches).toArray();
      int[] nodeOf = new int[groups.size()];
      boolean[] stays = new boolean[nodeOf.length];
      for (int i = 0; i < nodeOf.length; i++) {
        nodeOf[i] = home[i] == null ? i : nodeOfTopic.get(home[i]);
        stays[i] = home[i] != null;
      }
      return new TopicSets(likeness, size, demand, nodeOf, stays).find();
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

    private List<Topic> named(Map<String, List<Integer>> together) {
      List<Map.Entry<String, List<Integer>>> ordered =
          together.entrySet().stream()
              .sorted(
                  Comparator.<Map.Entry<String, List<Integer>>>comparingLong(
                          e -> -e.getValue().stream().mapToLong(i -> searches(groups.get(i))).sum())
                      .thenComparing(e -> groups.get(e.getValue().get(0)), BY_DEMAND))
              .toList();
      List<String> names = names(ordered);
      int[] setOf = new int[groups.size()];
      Arrays.fill(setOf, TopicSets.NONE);
      for (int topic = 0; topic < ordered.size(); topic++) {
        for (int group : ordered.get(topic).getValue()) {
          setOf[group] = topic;
        }
      }
      TopicPlaces.Gathered gathered = new TopicPlaces.Gathered(setOf, names);
      TopicPlaces places = new TopicPlaces(groups, likeness, size, gathered, stems);
      List<Topic> topics = new ArrayList<>();
      for (int topic = 0; topic < ordered.size(); topic++) {
        String key = ordered.get(topic).getKey();
        List<Integer> its = ordered.get(topic).getValue();
        KeywordGroup pillar = pillar(its.stream().map(groups::get).toList(), before(key));
        topics.add(new Topic(keptAs(key), names.get(topic), pillar, places.of(topic, its)));
      }
      return topics;
    }

    private static @Nullable String keptAs(String key) {
      return key.startsWith(KEPT) ? key.substring(KEPT.length()) : null;
    }

    private @Nullable Kept before(String key) {
      String keptAs = keptAs(key);
      return keptAs == null ? null : kept.get(keptAs);
    }

    private List<String> names(List<Map.Entry<String, List<Integer>>> topics) {
      Set<String> taken = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
      kept.values().forEach(topic -> taken.add(topic.name()));
      TopicName naming = new TopicName(stems, groups, sense);
      List<String> names = new ArrayList<>();
      for (Map.Entry<String, List<Integer>> topic : topics) {
        Kept before = before(topic.getKey());
        String name = before == null ? naming.of(topic.getValue(), taken) : before.name();
        taken.add(name);
        names.add(name);
      }
      return names;
    }

    private KeywordGroup pillar(List<KeywordGroup> members, @Nullable Kept before) {
      if (before != null && before.pillar() != null) {
        for (KeywordGroup group : members) {
          if (before.pillar().equals(group.keptAs())) {
            return group;
          }
        }
      }
      Map<String, Integer> withStem = new HashMap<>();
      members.forEach(group -> subject(group).forEach(s -> withStem.merge(s, 1, Integer::sum)));
      return members.stream()
          .max(Comparator.comparingDouble(group -> breadth(group, withStem, members.size())))
          .orElseThrow();
    }

    private Set<String> subject(KeywordGroup group) {
      return stems.subject(group.primary().text(), group.primary().language());
    }

    /**
     * A pillar is broad: the other groups say its words and more, so they specialise it. It has
     * good demand and many keywords; and it is read, not bought.
     */
    private double breadth(KeywordGroup group, Map<String, Integer> withStem, int all) {
      Set<String> subject = subject(group);
      double specialised =
          subject.stream()
              .mapToDouble(stem -> withStem.get(stem) / (double) all)
              .average()
              .orElse(0);
      double informs = group.intent() == SearchIntent.INFORMATIONAL ? 1 : 0.3;
      return informs
          * specialised
          * specialised
          * Math.sqrt(1.0 + searches(group))
          * (1 + MANY_KEYWORDS * Math.log(1 + group.members().size()))
          / Math.sqrt(subject.size());
    }
  }
}
