package osmerin.app.research;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.LanguageMapper.Spoken;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.Language;
import osmerin.core.text.LanguageGuess;

/**
 * Which language keywords are in: guessed at import, with what most keywords of the site are in as
 * the answer where nothing tells; a person may say both. Groups follow at the next regrouping.
 */
@Service
public class KeywordLanguages implements Reversal {
  private static final String SITE = "site";
  private static final String FIELD = "Language";

  private final LanguageMapper languages;
  private final SiteKeywords keywords;
  private final CopyIn copy;
  private final History history;

  KeywordLanguages(LanguageMapper languages, SiteKeywords keywords, CopyIn copy, History history) {
    this.languages = languages;
    this.keywords = keywords;
    this.copy = copy;
    this.history = history;
  }

  /** The language that most keywords of a site are in. */
  public Language usual(SiteContext context) {
    return usual(context.siteId());
  }

  Language usual(long siteId) {
    return Language.ofTag(languages.siteLanguage(siteId)).orElse(Language.ENGLISH);
  }

  /** Says which language most keywords are in, and guesses again what no person set. */
  @Transactional
  public void setUsual(SiteContext context, String tag) {
    context.require(Right.MANAGE);
    Language before = usual(context);
    Language after = language(tag);
    if (before != after) {
      putUsual(context, after);
      history.note(
          context,
          Right.MANAGE,
          "Most keywords are in %s.".formatted(after.title()),
          Change.of(Thing.LANGUAGE, SITE, FIELD, before.title(), after.title())
              .keeping(before.tag(), after.tag()));
    }
  }

  private void putUsual(SiteContext context, Language usual) {
    keywords.lock(context.siteId());
    languages.setSiteLanguage(context.siteId(), usual.tag());
    List<KnownKeyword> all = keywords.all(context.siteId());
    LanguageGuess guess =
        LanguageGuess.from(
            all.stream().map(KnownKeyword::keyword).map(Keyword::normal).toList(), usual);
    languages.createSpoken();
    copy.rows(
        "spoken (keyword_id, language)",
        all,
        k -> CopyIn.fields(k.id(), guess.of(k.keyword().normal()).tag()));
    languages.applySpoken(context.siteId());
  }

  /** How a keyword is spoken. */
  public Spoken spoken(SiteContext context, long keywordId) {
    return languages
        .spoken(context.siteId(), keywordId)
        .orElseThrow(() -> new NotFoundException("keyword", keywordId));
  }

  /** Says which language a keyword is in. */
  @Transactional
  public void set(SiteContext context, long keywordId, String tag) {
    context.require(Right.IMPORT);
    Spoken before = spoken(context, keywordId);
    Language after = language(tag);
    if (before.languagePinned() && after.tag().equals(before.language())) {
      return;
    }
    languages.setLanguage(context.siteId(), keywordId, after.tag(), true);
    history.note(
        context,
        Right.IMPORT,
        "“%s” is in %s.".formatted(before.text(), after.title()),
        Change.of(Thing.LANGUAGE, keywordId, FIELD, title(before.language()), after.title())
            .keeping(
                new KeptLanguage(before.language(), before.languagePinned()),
                new KeptLanguage(after.tag(), true)));
  }

  private static @Nullable String title(@Nullable String tag) {
    return tag == null ? null : language(tag).title();
  }

  private static Language language(String tag) {
    return Language.ofTag(tag)
        .orElseThrow(() -> new RefusedException("Choose a language from the list."));
  }

  @Override
  public Thing thing() {
    return Thing.LANGUAGE;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    Change change = changes.get(0);
    if (key.equals(SITE)) {
      putUsual(context, language(String.valueOf(change.from())));
    } else {
      KeptLanguage back = change.from(KeptLanguage.class);
      languages.setLanguage(context.siteId(), Long.parseLong(key), back.tag(), back.pinned());
    }
  }
}
