package osmerin.app.briefs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.brief.Outline.Section;

class BriefFormTest {
  @Test
  void browsersLineEndsAndEmptyRowsDisappear() {
    BriefForm form =
        form("kiln\r\n\r\n raku \r\n", "", "", List.of("One", " ", "Two"), Arrays.asList(0, 1, 9));
    Brief brief = form.brief(5);
    assertThat(brief.secondary()).containsExactly("kiln", "raku");
    assertThat(brief.outline().sections())
        .extracting(Section::heading, Section::depth)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("One", 0),
            org.assertj.core.groups.Tuple.tuple("Two", 1));
    assertThat(brief.words()).isEmpty();
    assertThat(form.faults()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1200, ''", "'', 900", "900, 800", "many, 800", "-4, 9"})
  void aRangeNeedsTwoNumbersTheSmallerFirst(String low, String high) {
    assertThat(form("", low, high, List.of(), List.of()).faults()).containsKey("words");
  }

  @Test
  void aRangeMayHoldThousandsSigns() {
    BriefForm form = form("", "1,200", " 1600 ", List.of(), List.of());
    assertThat(form.faults()).isEmpty();
    assertThat(form.brief(1).words())
        .hasValueSatisfying(
            w -> {
              assertThat(w.low()).isEqualTo(1200);
              assertThat(w.target()).isEqualTo(1400);
            });
  }

  @Test
  void textsAndOutlinesHaveALimitThatIsSaid() {
    assertThat(form("x".repeat(10_001), "", "", List.of(), List.of()).faults()).containsKey("long");
    List<String> many = java.util.Collections.nCopies(101, "Section");
    assertThat(form("", "", "", many, List.of()).faults()).containsKey("outline");
  }

  @Test
  void aFormWithoutAnythingIsAnEmptyBrief() {
    BriefForm nothing =
        new BriefForm(null, null, null, null, null, null, null, null, null, null, null, 3);
    assertThat(nothing.faults()).isEmpty();
    assertThat(nothing.brief(1).outline().isEmpty()).isTrue();
    assertThat(nothing.over(4).version()).isEqualTo(4);
  }

  private static BriefForm form(
      String secondary, String low, String high, List<String> headings, List<Integer> depths) {
    return new BriefForm(
        "T", "k", secondary, "", "", low, high, headings, depths, List.of(), "", 0);
  }
}
