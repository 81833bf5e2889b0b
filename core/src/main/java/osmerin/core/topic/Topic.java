package osmerin.core.topic;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.group.KeywordGroup;

/**
 * A topic cluster.
 *
 * @param keptAs the key of the topic it was before, null for a new one
 * @param pillar the group that most of the others specialise, of good demand
 * @param places all its groups, the pillar among them, in order of demand, and why each is in it
 */
public record Topic(@Nullable String keptAs, String name, KeywordGroup pillar, List<Place> places) {
  /**
   * A group in its topic.
   *
   * @param near how near it is to the other groups of the topic, 0–1; 0 when it is the only one
   * @param words of its primary keyword that others of the topic have too
   * @param alsoFits the name of another topic that it fits about as well, null when there is none
   */
  public record Place(
      KeywordGroup group, double near, List<String> words, @Nullable String alsoFits) {
    public Place {
      words = List.copyOf(words);
    }
  }

  public Topic {
    places = List.copyOf(places);
  }

  /** Its groups, in order of demand. */
  public List<KeywordGroup> groups() {
    return places.stream().map(Place::group).toList();
  }
}
