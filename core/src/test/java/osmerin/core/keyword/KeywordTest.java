package osmerin.core.keyword;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import osmerin.core.intent.SearchIntent;
import osmerin.core.text.Stems;

class KeywordTest {
  @Test
  void refusesNonsense() {
    assertThatThrownBy(() -> new KeywordFigures(null, 130, null)).hasMessageContaining("130");
    assertThatThrownBy(() -> new KeywordFigures(null, null, BigDecimal.ONE.negate()))
        .hasMessageContaining("below zero");
    assertThatThrownBy(() -> Keyword.of(" – ", 1L, List.of())).hasMessageContaining("empty");
    assertThatThrownBy(() -> Volume.exactly(-1)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void newerFiguresWinWhereThereAreAny() {
    Keyword old = new Keyword("Kiln", figures(90), SearchIntent.COMMERCIAL, pages());
    Keyword newer = new Keyword("kiln", KeywordFigures.of(Volume.exactly(120)), null, List.of());
    assertThat(old.updatedBy(newer))
        .isEqualTo(new Keyword("Kiln", figures(120), SearchIntent.COMMERCIAL, pages()));
    assertThat(newer.updatedBy(Keyword.of("kiln", null, List.of())).volume())
        .isEqualTo(Volume.exactly(120));
  }

  private static KeywordFigures figures(long searches) {
    return new KeywordFigures(Volume.exactly(searches), 12, BigDecimal.ONE);
  }

  @Test
  void variantsHaveTheSameWordsInAnyOrder() {
    Variants variants = new Variants(new Stems());
    assertThat(variants.key(Keyword.of("clay for throwing", null, List.of())))
        .isEqualTo(variants.key(Keyword.of("throwing clays", null, List.of())));
    assertThat(variants.key(Keyword.of("firing without a kiln", null, List.of())))
        .isNotEqualTo(variants.key(Keyword.of("kiln firing", null, List.of())));
    assertThat(variants.key(Keyword.of("cone 6 glaze", null, List.of())))
        .isNotEqualTo(variants.key(Keyword.of("cone 10 glaze", null, List.of())));
    assertThat(variants.key(Keyword.of("to be or not to be", null, List.of()))).isNotEmpty();
  }

  @Test
  void oneFigureForAllVariantsCountsOnce() {
    Volume ninety = Volume.exactly(90);
    Volume range = new Volume(32, 10, 100);
    assertThat(Variants.volume(List.of(ninety, ninety, ninety))).isEqualTo(ninety);
    assertThat(Variants.volume(List.of(ninety, Volume.exactly(70)))).isEqualTo(Volume.exactly(160));
    assertThat(Variants.volume(List.of(range, ninety))).isEqualTo(new Volume(122, 100, 190));
    assertThat(Variants.volume(List.of(Volume.exactly(0), Volume.exactly(0))).searches()).isZero();
  }

  private static List<PageAddress> pages() {
    return List.of(PageAddress.of("a.example/b").orElseThrow());
  }
}
