package osmerin.app.research;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/** The keywords of a site as its features compute with them. */
@Component
public class SiteKeywords {
  private final SiteKeywordsMapper keywords;

  SiteKeywords(SiteKeywordsMapper keywords) {
    this.keywords = keywords;
  }

  /** Lets one transaction at a time change the research of a site. */
  public void lock(long siteId) {
    keywords.lock(siteId);
  }

  /** All of a site. */
  public List<KnownKeyword> all(long siteId) {
    return StoredKeyword.known(keywords.keywords(siteId));
  }

  /** Those with these normal forms, in the order of those. */
  public List<KnownKeyword> named(long siteId, Collection<String> normals) {
    List<String> order = List.copyOf(normals);
    return StoredKeyword.known(keywords.keywordsNamed(siteId, order)).stream()
        .sorted(Comparator.comparingInt(known -> order.indexOf(known.keyword().normal())))
        .toList();
  }

  /** Those of these groups, and these by their ids. */
  public List<KnownKeyword> of(long siteId, Collection<Long> groups, Collection<Long> ids) {
    return StoredKeyword.known(keywords.keywordsOf(siteId, List.copyOf(groups), List.copyOf(ids)));
  }
}
