package osmerin.app.research;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Keyword;
import osmerin.core.keyword.PageAddress;
import osmerin.core.keyword.Volume;

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
    @Nullable Long groupId) {

  KnownKeyword known() {
    Volume figure = volume == null ? null : new Volume(volume, volumeLow, volumeHigh);
    List<PageAddress> addresses = pages.stream().map(PageAddress::new).toList();
    return new KnownKeyword(
        id, new Keyword(text, figure, difficulty, costPerClick, intent, addresses), groupId);
  }
}
