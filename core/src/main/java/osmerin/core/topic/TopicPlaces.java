package osmerin.core.topic;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Stems;
import osmerin.core.text.Words;
import osmerin.core.topic.Topic.Place;

/** Why groups are in their topics. */
final class TopicPlaces {
  /** Another topic that is so much as near fits about as well. */
  private static final double ABOUT_AS_WELL = 0.9;

  private final List<KeywordGroup> groups;
  private final Likeness likeness;
  private final Gathered topics;
  private final Stems stems;
  private final TopicCentres centres;

  /**
   * Groups gathered into topics.
   *
   * @param topicOf the number of each group's topic; below 0 for a group in none
   * @param names of the topics
   */
  record Gathered(int[] topicOf, List<String> names) {}

  /**
   * @param size of each group
   */
  TopicPlaces(
      List<KeywordGroup> groups, Likeness likeness, int[] size, Gathered topics, Stems stems) {
    this.groups = groups;
    this.likeness = likeness;
    this.topics = topics;
    this.stems = stems;
    centres = new TopicCentres(likeness, size, topics.topicOf());
  }

  /** The places of the groups of a topic. */
  List<Place> of(int topic, List<Integer> its) {
    Map<String, Integer> withStem = new HashMap<>();
    its.forEach(group -> subject(group).forEach(stem -> withStem.merge(stem, 1, Integer::sum)));
    return its.stream().map(group -> place(topic, group, withStem)).toList();
  }

  private Place place(int topic, int group, Map<String, Integer> withStem) {
    double near = centres.near(group, topic);
    Keyword primary = groups.get(group).primary();
    List<String> words =
        Words.subject(primary.text(), primary.language()).stream()
            .filter(word -> withStem.get(stems.of(word, primary.language())) > 1)
            .distinct()
            .toList();
    return new Place(groups.get(group), near, words, alsoFits(group, topic, near));
  }

  private @Nullable String alsoFits(int group, int topic, double near) {
    Set<Integer> others = new TreeSet<>();
    likeness.of(group).keySet().forEach(other -> others.add(topics.topicOf()[other]));
    others.removeAll(Set.of(topic, TopicSets.NONE));
    String best = null;
    double most = ABOUT_AS_WELL * near;
    for (int other : others) {
      double its = centres.near(group, other);
      if (its > most) {
        best = topics.names().get(other);
        most = its;
      }
    }
    return best;
  }

  private Set<String> subject(int group) {
    Keyword primary = groups.get(group).primary();
    return new HashSet<>(stems.subject(primary.text(), primary.language()));
  }
}
