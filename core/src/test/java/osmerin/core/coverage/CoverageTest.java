package osmerin.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import osmerin.core.article.Phase;
import osmerin.core.coverage.Coverage.Answer;
import osmerin.core.coverage.Covered.Part;
import osmerin.core.group.Demand;

class CoverageTest {
  @Test
  void anArticleAnswersUntilItIsRetired() {
    assertThat(Coverage.of(List.of())).isEqualTo(Coverage.OPEN);
    assertThat(Coverage.of(List.of(new Answer(Phase.TO_COME, false)))).isEqualTo(Coverage.IN_WORK);
    assertThat(Coverage.of(List.of(new Answer(Phase.LIVE, true)))).isEqualTo(Coverage.LIVE);
    assertThat(Coverage.of(List.of(new Answer(Phase.ENDED, true)))).isEqualTo(Coverage.OPEN);
    assertThat(Coverage.of(List.of(new Answer(Phase.ENDED, true), new Answer(Phase.SET, false))))
        .isEqualTo(Coverage.IN_WORK);
  }

  @Test
  void aLiveArticleThatIsRefreshedStaysLive() {
    assertThat(Coverage.of(List.of(new Answer(Phase.IN_HAND, true)))).isEqualTo(Coverage.LIVE);
  }

  @Test
  void unknownSearchesWeighNothingAndMakeAnAtLeast() {
    Covered covered =
        Covered.of(List.of(part(100L, 20.0, Coverage.LIVE), part(null, 90.0, Coverage.IN_WORK)));
    assertThat(covered.difficulty()).isEqualTo(20);
    assertThat(covered.atLeast()).isTrue();
    assertThat(covered.livePercent()).isEqualTo(100);
  }

  @Test
  void withoutAnySearchesAllGroupsCountTheSame() {
    Covered covered =
        Covered.of(List.of(part(null, 20.0, Coverage.OPEN), part(0L, 60.0, Coverage.LIVE)));
    assertThat(covered.difficulty()).isEqualTo(40);
    assertThat(covered.livePercent()).isZero();
    assertThat(Covered.of(List.of(part(5L, null, Coverage.OPEN))).difficulty()).isNull();
  }

  @Test
  void everySearchIsLiveInWorkOrOpenWhateverTheOrder() {
    Random random = new Random(4);
    for (int i = 0; i < 200; i++) {
      List<Part> parts = new ArrayList<>();
      long all = 0;
      for (int n = random.nextInt(8); n > 0; n--) {
        Long searches = random.nextInt(4) == 0 ? null : (long) random.nextInt(500);
        all += searches == null ? 0 : searches;
        parts.add(part(searches, 1.0 * random.nextInt(100), Coverage.values()[random.nextInt(3)]));
      }
      Covered covered = Covered.of(parts);
      assertThat(covered.live() + covered.inWork() + covered.open()).isEqualTo(all);
      assertThat(covered.livePercent() + covered.inWorkPercent()).isBetween(0.0, 100.0 + 1e-9);
      Collections.shuffle(parts, random);
      Covered again = Covered.of(parts);
      assertThat(again.live()).isEqualTo(covered.live());
      if (covered.difficulty() != null) {
        assertThat(again.difficulty()).isCloseTo(covered.difficulty(), within(1e-9));
      }
    }
  }

  private static Part part(
      @Nullable Long searches, @Nullable Double difficulty, Coverage coverage) {
    return new Part(1, Demand.exactly(searches, false, difficulty), coverage);
  }
}
