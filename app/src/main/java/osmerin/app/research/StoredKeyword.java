package osmerin.app.research;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.app.research.KnownKeyword.ByHand;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.KeywordFigures;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Volume;
import osmerin.core.text.Language;

/** A keyword as it is stored. */
record StoredKeyword(
    long id,
    String text,
    @Nullable Long volume,
    @Nullable Long volumeLow,
    @Nullable Long volumeHigh,
    @Nullable Integer difficulty,
    @Nullable BigDecimal costPerClick,
    @Nullable SearchIntent intent,
    List<String> pages,
    @Nullable Long groupId,
    boolean pinned,
    boolean intentPinned,
    boolean excluded,
    @Nullable String language) {

  /** The same as they are computed with; pages that several have are kept once. */
  static List<KnownKeyword> known(List<StoredKeyword> stored) {
    Map<String, PageAddress> pages = new HashMap<>();
    return stored.stream().map(k -> k.known(pages)).toList();
  }

  private KnownKeyword known(Map<String, PageAddress> met) {
    Volume figure = Volume.of(volume, volumeLow, volumeHigh);
    List<PageAddress> addresses =
        pages.stream().map(p -> met.computeIfAbsent(p, PageAddress::new)).toList();
    Keyword keyword =
        new Keyword(text, new KeywordFigures(figure, difficulty, costPerClick), intent, addresses);
    return new KnownKeyword(
        id,
        Optional.ofNullable(language).flatMap(Language::ofTag).map(keyword::in).orElse(keyword),
        groupId,
        new ByHand(pinned, intentPinned, excluded));
  }
}
