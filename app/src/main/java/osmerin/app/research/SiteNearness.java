package osmerin.app.research;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
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
  private final ResearchMapper research;
  private final Meanings meanings;
  private final Cache<State, Nearness> kept =
      Caffeine.newBuilder().maximumSize(8).expireAfterAccess(Duration.ofMinutes(10)).build();

  SiteNearness(ResearchMapper research, Meanings meanings) {
    this.research = research;
    this.meanings = meanings;
  }

  /** Which keywords there are. */
  private record State(long siteId, String keywords) {}

  /** The nearness of the phrases of a site. */
  public Nearness of(long siteId) {
    return kept.get(
        new State(siteId, research.keywordState(siteId)),
        state ->
            Nearness.among(
                meanings.unwatched(),
                research.fewPages(siteId, Grouping.FEW_PAGES).stream()
                    .map(SiteNearness::phrase)
                    .toList()));
  }

  /** The language that most keywords of a site are in. */
  public Language language(long siteId) {
    return Language.ofTag(research.siteLanguage(siteId)).orElse(Language.ENGLISH);
  }

  /** A text of the site as its keywords are compared. */
  public Phrase phrase(long siteId, String text) {
    return Phrase.of(NormalForm.of(text), language(siteId));
  }

  private static Phrase phrase(ResearchMapper.SpokenText text) {
    Language language =
        text.language() == null
            ? Language.ENGLISH
            : Language.ofTag(text.language()).orElse(Language.ENGLISH);
    return Phrase.of(text.normal(), language);
  }
}
