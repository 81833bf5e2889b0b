package osmerin.app.research;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import osmerin.app.platform.data.CopyIn;
import osmerin.core.group.Grouping;
import osmerin.core.keyword.Variants;
import osmerin.core.text.Stems;

/** Keeps with every close variant the keyword that stands for it, so that lists can fold them. */
@Component
public class VariantFolding {
  private final VariantMapper keywords;
  private final CopyIn copy;

  VariantFolding(VariantMapper keywords, CopyIn copy) {
    this.keywords = keywords;
    this.copy = copy;
  }

  private record Folded(long keywordId, long representative) {}

  /**
   * Works it out for all keywords of a site, and stores what differs.
   *
   * @param all that are stored
   */
  public void fold(long siteId, Collection<KnownKeyword> all) {
    Variants variants = new Variants(new Stems());
    Map<String, List<KnownKeyword>> sets = new HashMap<>(all.size() * 2);
    for (KnownKeyword keyword : all) {
      if (!keyword.byHand().excluded()) {
        sets.computeIfAbsent(variants.key(keyword.keyword()), v -> new ArrayList<>(1)).add(keyword);
      }
    }
    List<Folded> folded = new ArrayList<>();
    for (List<KnownKeyword> set : sets.values()) {
      if (set.size() > 1) {
        set.sort(Comparator.comparing(KnownKeyword::keyword, Grouping.PRIMARY_FIRST));
        long representative = set.get(0).id();
        set.stream().skip(1).forEach(k -> folded.add(new Folded(k.id(), representative)));
      }
    }
    keywords.createVariants();
    copy.rows(
        "variant (keyword_id, representative)",
        folded,
        f -> CopyIn.fields(f.keywordId(), f.representative()));
    keywords.applyVariants(siteId);
  }
}
