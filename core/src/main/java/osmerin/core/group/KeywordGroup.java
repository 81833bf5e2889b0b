package osmerin.core.group;

import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;

/**
 * Keywords that one article can answer.
 *
 * @param keptAs the key of the group it was before this run, null for a new group
 * @param members the primary keyword first, then by volume, length, spelling
 * @param intent of most of the demand
 */
public record KeywordGroup(
    @Nullable String keptAs,
    List<Membership> members,
    Demand demand,
    SearchIntent intent,
    FunnelStage funnelStage,
    String intentReason) {

  public KeywordGroup {
    if (members.isEmpty()) {
      throw new IllegalArgumentException("a keyword group has at least one keyword");
    }
    members = List.copyOf(members);
  }

  /** The same group under the key of one that was before it. */
  KeywordGroup continuing(String key) {
    return new KeywordGroup(key, members, demand, intent, funnelStage, intentReason);
  }

  /** The keyword that stands for the group. */
  public Keyword primary() {
    return members.get(0).keyword();
  }
}
