package osmerin.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import osmerin.core.brief.Outline.Section;
import osmerin.core.brief.OutlineCheck.Kind;
import osmerin.core.brief.OutlineCheck.Remark;
import osmerin.core.evidence.PagesSay;
import osmerin.core.evidence.PagesSay.Point;
import osmerin.core.evidence.PagesSay.Source;

class OutlineCheckTest {
  private static final PagesSay BEES =
      new PagesSay(
          List.of(
              new PagesSay.Heading("Choosing a hive", 4, 0.1),
              new PagesSay.Heading("Winter feeding", 3, 0.8)),
          List.of("Why do bees swarm?"),
          List.of(
              new Point("Drones leave in autumn", List.of(new Source("a", 1), new Source("b", 4))),
              new Point("One page says so", List.of(new Source("a", 9)))));

  private static Section section(String heading, int depth, Integer words) {
    return new Section("", heading, depth, "", words);
  }

  private static List<Remark> of(Integer target, Section... sections) {
    return OutlineCheck.of(new Outline(List.of(sections)), BEES, target);
  }

  @Test
  void aGoodOutlineGetsNoRemark() {
    assertThat(
            of(
                900,
                section("Choosing a hive", 0, 300),
                section("Why bees swarm, and drones leave in autumn", 0, 300),
                section("Winter feeding", 0, 300)))
        .isEmpty();
    assertThat(OutlineCheck.of(Outline.NONE, BEES, 900)).isEmpty();
  }

  @Test
  void eachFaultIsSaidWithItsPlace() {
    assertThat(
            of(
                1_000,
                section("Winter feeding", 0, 600),
                section("Choosing a hive", 0, 200),
                section("Wood", 1, null)))
        .extracting(Remark::kind)
        .containsExactly(
            Kind.QUESTIONS,
            Kind.POINTS,
            Kind.ORDER,
            Kind.DEPTH,
            Kind.BALANCE,
            Kind.BALANCE,
            Kind.LENGTH);
    assertThat(of(1_000, section("Winter feeding", 0, 800), section("Choosing a hive", 0, 400)))
        .extracting(Remark::words)
        .contains(
            "ranking pages put “Choosing a hive” before “Winter feeding”",
            "1,200 words planned, 200 more than the target");
  }

  @Test
  void onlyPointsOfManyPagesAreWorthARemark() {
    PagesSay say =
        new PagesSay(
            List.of(),
            List.of(),
            List.of(
                said("Moss grows on slate", 6),
                said("Fern likes lime", 3),
                said("Lichen is two things", 2)));
    List<Remark> remarks =
        OutlineCheck.of(new Outline(List.of(section("Moss", 0, null))), say, null);
    assertThat(remarks)
        .extracting(Remark::words)
        .containsExactly("2 points of 3 pages or more without a section");
  }

  private static Point said(String text, int pages) {
    return new Point(
        text, IntStream.range(0, pages).mapToObj(page -> new Source("page " + page, 1)).toList());
  }

  @Test
  void wordsAlikeForAllNeverTipTheBalance() {
    Random random = new Random(2);
    for (int run = 0; run < 1_000; run++) {
      List<Section> sections = new ArrayList<>();
      for (int i = 3 + random.nextInt(20); i > 0; i--) {
        sections.add(section("word" + random.nextInt(900), 0, 100));
      }
      Outline outline = new Outline(sections);
      assertThat(OutlineCheck.of(outline, PagesSay.NOTHING, outline.words())).isEmpty();
    }
  }
}
