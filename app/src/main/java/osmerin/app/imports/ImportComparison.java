package osmerin.app.imports;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import osmerin.app.exclusions.Exclusions;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.research.KnownKeyword;
import osmerin.app.research.KnownKeyword.ByHand;
import osmerin.app.research.SiteKeywords;
import osmerin.app.research.SiteNearness;
import osmerin.core.keyword.ExcludeList;
import osmerin.core.keyword.Keyword;
import osmerin.core.text.LanguageGuess;
import osmerin.formats.keywords.KeywordRows;

/** Tells what of a file is new to a site, what it changes and what it only names again. */
@Service
class ImportComparison {
  private final SiteKeywords siteKeywords;
  private final Exclusions exclusions;
  private final SiteNearness nearness;
  private final CopyIn copy;

  ImportComparison(
      SiteKeywords siteKeywords, Exclusions exclusions, SiteNearness nearness, CopyIn copy) {
    this.siteKeywords = siteKeywords;
    this.exclusions = exclusions;
    this.nearness = nearness;
    this.copy = copy;
  }

  /**
   * What a file brings to the keywords that are known.
   *
   * @param known all afterwards, by normal form
   * @param met ids of those that it names again
   */
  record Compared(
      Map<String, KnownKeyword> known,
      List<KnownKeyword> added,
      List<KnownKeyword> changed,
      List<Long> met) {
    ImportReport report(KeywordRows rows) {
      return new ImportReport(
          rows.rows(),
          added.size(),
          changed.size(),
          rows.keywords().size() - added.size() - changed.size(),
          rows.repeated(),
          (int) rows.rejected(),
          (int) added.stream().filter(k -> k.byHand().excluded()).count());
    }
  }

  /**
   * Compares what was read; a keyword that is not known gets a number. The keywords of the site are
   * locked until the transaction ends.
   */
  Compared compare(long siteId, KeywordRows rows) {
    siteKeywords.lock(siteId);
    Map<String, KnownKeyword> known = known(siteId);
    LanguageGuess guess = guess(siteId, known.values(), rows.keywords());
    List<Keyword> fresh = new ArrayList<>();
    List<KnownKeyword> changed = new ArrayList<>();
    List<Long> met = new ArrayList<>();
    for (Keyword keyword : rows.keywords()) {
      KnownKeyword before = known.get(keyword.normal());
      if (before == null) {
        fresh.add(keyword.in(guess.of(keyword.normal())));
      } else {
        met.add(before.id());
        KnownKeyword after = before.updatedBy(keyword);
        if (!after.keyword().equals(before.keyword())) {
          changed.add(after);
        }
      }
    }
    List<KnownKeyword> added = withIds(fresh, exclusions.current(siteId));
    added.forEach(k -> known.put(k.keyword().normal(), k));
    changed.forEach(k -> known.put(k.keyword().normal(), k));
    return new Compared(known, added, changed, met);
  }

  private Map<String, KnownKeyword> known(long siteId) {
    return siteKeywords.all(siteId).stream()
        .collect(Collectors.toMap(k -> k.keyword().normal(), Function.identity()));
  }

  /** Learned from what is known and what comes. */
  private LanguageGuess guess(long siteId, Collection<KnownKeyword> known, List<Keyword> read) {
    List<String> texts =
        Stream.concat(known.stream().map(KnownKeyword::keyword), read.stream())
            .map(Keyword::normal)
            .toList();
    return LanguageGuess.from(texts, nearness.language(siteId));
  }

  private List<KnownKeyword> withIds(List<Keyword> keywords, ExcludeList excluded) {
    Iterator<Long> ids = copy.ids("keyword", keywords.size()).iterator();
    return keywords.stream()
        .map(k -> new KnownKeyword(ids.next(), k, null, byHand(k, excluded)))
        .toList();
  }

  private static ByHand byHand(Keyword keyword, ExcludeList excluded) {
    return excluded.excludes(keyword.normal()) ? ByHand.EXCLUDED : ByHand.NOTHING;
  }
}
