package osmerin.app.research;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.meaning.Meanings;
import osmerin.core.group.Grouping;
import osmerin.core.keyword.NormalForm;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.text.Language;

/** How near phrases are on a site, as its grouping sees it; kept until its keywords change. */
@Component
public class SiteNearness {
  private final SiteKeywordsMapper keywords;
  private final Meanings meanings;
  private final KeywordLanguages languages;
  private final Cache<State, Nearness> kept =
      Caffeine.newBuilder().maximumSize(8).expireAfterAccess(Duration.ofMinutes(10)).build();

  SiteNearness(SiteKeywordsMapper keywords, Meanings meanings, KeywordLanguages languages) {
    this.keywords = keywords;
    this.meanings = meanings;
    this.languages = languages;
  }

  /** Which keywords there are. */
  private record State(long siteId, String keywords) {}

  /** The nearness of the phrases of a site. */
  public Nearness of(long siteId) {
    return kept.get(
        new State(siteId, keywords.keywordState(siteId)),
        state -> Nearness.among(meanings.unwatched(), keywords(siteId)));
  }

  private List<Phrase> keywords(long siteId) {
    Language usual = languages.usual(siteId);
    return keywords.fewPages(siteId, Grouping.FEW_PAGES).stream()
        .map(keyword -> Phrase.of(keyword.normal(), spoken(keyword.language(), usual)))
        .toList();
  }

  private static Language spoken(@Nullable String tag, Language usual) {
    return tag == null ? usual : Language.ofTag(tag).orElse(usual);
  }

  /** The language that most keywords of a site are in. */
  public Language language(long siteId) {
    return languages.usual(siteId);
  }

  /** Texts of the site as its keywords are compared, in the same order. */
  public List<Phrase> phrases(long siteId, List<String> texts) {
    Language usual = languages.usual(siteId);
    return texts.stream().map(text -> Phrase.of(NormalForm.of(text), usual)).toList();
  }
}
