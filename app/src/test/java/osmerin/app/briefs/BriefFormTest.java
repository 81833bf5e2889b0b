package osmerin.app.briefs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.app.platform.web.RefusedException;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;

class BriefFormTest {
  private static BriefForm form(
      String secondary,
      String low,
      String high,
      @Nullable List<String> heading,
      @Nullable List<String> words) {
    return new BriefForm(
        null,
        secondary,
        low,
        high,
        Map.of(BriefPart.READER, "Anglers\r\nat night "),
        null,
        heading,
        Arrays.asList(0, 1, 9),
        null,
        words,
        3);
  }

  @Test
  void browsersLineEndsAndEmptyRowsDisappear() {
    BriefForm form =
        form(
            "kiln\r\n\r\n raku \r\n", "", "", List.of("One", " ", "Two"), List.of("1,200", "", ""));
    BriefContent brief = form.over(BriefContent.NONE);
    assertThat(brief.secondary()).containsExactly("kiln", "raku");
    assertThat(brief.text(BriefPart.READER)).isEqualTo("Anglers\nat night");
    assertThat(brief.outline().sections())
        .extracting(Section::heading, Section::depth, Section::words)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("One", 0, 1_200),
            org.assertj.core.groups.Tuple.tuple("Two", 1, null));
    assertThat(brief.words()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1200, ''", "'', 900", "900, 800", "many, 800", "-4, 9"})
  void aRangeNeedsTwoNumbersTheSmallerFirst(String low, String high) {
    assertThatThrownBy(() -> form("", low, high, null, null).over(BriefContent.NONE))
        .isInstanceOf(RefusedException.class);
  }

  @Test
  void aRangeMayHoldThousandsSigns() {
    assertThat(form("", "1,200", " 1600 ", null, null).over(BriefContent.NONE).words())
        .hasValueSatisfying(
            w -> {
              assertThat(w.low()).isEqualTo(1200);
              assertThat(w.target()).isEqualTo(1400);
            });
  }

  @Test
  void textsOutlinesAndWordsHaveALimitThatIsSaid() {
    assertThatThrownBy(() -> form("x".repeat(201), "", "", null, null).over(BriefContent.NONE))
        .hasMessageContaining("secondary keyword");
    List<String> many = Collections.nCopies(101, "Section");
    assertThatThrownBy(() -> form("", "", "", many, null).over(BriefContent.NONE))
        .hasMessageContaining("100 sections");
    assertThatThrownBy(
            () -> form("", "", "", List.of("One"), List.of("lots")).over(BriefContent.NONE))
        .hasMessageContaining("lots");
  }

  @Test
  void whatWasNotSentStaysAsItIs() {
    BriefContent before =
        BriefContent.NONE
            .withTitle("Eels")
            .withText(BriefPart.ANGLE, "The tide")
            .withOutline(new Outline(List.of(new Section("One", 0, ""))));
    BriefForm nothing =
        new BriefForm(null, null, null, null, null, null, null, null, null, null, 3);
    assertThat(nothing.over(before)).isEqualTo(before);
  }
}
