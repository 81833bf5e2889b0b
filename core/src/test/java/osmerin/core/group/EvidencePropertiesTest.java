package osmerin.core.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import osmerin.core.group.Cohesion.Fit;
import osmerin.core.group.Membership.Neighbour;
import osmerin.core.group.SharedEvidence.SharedPage;
import osmerin.core.keyword.Keyword;

/** What must hold of any group and of any two keywords, against the plain way to reckon it. */
class EvidencePropertiesTest {
  private static final int DEPTH = 10;

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void sharedPagesAreThoseOfBothAndTheSameTheOtherWayRound(long seed) {
    List<Keyword> keywords = random(seed, 12);
    for (Keyword a : keywords) {
      for (Keyword b : keywords) {
        SharedEvidence there = SharedEvidence.of(a, b, DEPTH);
        SharedEvidence back = SharedEvidence.of(b, a, DEPTH);
        assertThat(there.pages().stream().map(SharedPage::page).toList())
            .containsExactlyInAnyOrderElementsOf(
                back.pages().stream().map(SharedPage::page).toList())
            .hasSize(shared(a, b));
        assertThat(there.pages())
            .allSatisfy(
                page -> {
                  assertThat(a.pages().get(page.first() - 1)).isEqualTo(page.page());
                  assertThat(b.pages().get(page.second() - 1)).isEqualTo(page.page());
                });
      }
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theNearestAreThoseThatShareMostPages(long seed) {
    List<Membership> members = described(random(seed, 40));
    List<Keyword> others = members.stream().skip(1).map(Membership::keyword).toList();
    for (Membership member : members) {
      Keyword its = member.keyword();
      assertThat(member.nearest())
          .extracting(Neighbour::keyword)
          .containsExactlyElementsOf(
              others.stream()
                  .filter(other -> other != its && shared(its, other) > 0)
                  .sorted(Comparator.comparingInt(other -> -shared(its, other)))
                  .limit(3)
                  .toList());
    }
  }

  /**
   * Of a page that ranks for a hundred not all are looked at; who is met by another counts both.
   */
  @Test
  void aNeighbourCountsInFullThoughItStandsFarDownOnOneOfItsPages() {
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      List<String> pages = i < 90 ? List.of("p.example/1") : List.of("p.example/1", "p.example/2");
      keywords.add(Keyword.of("word" + i, 1_000L - i, pages));
    }
    Membership last = described(keywords).get(99);
    assertThat(last.nearest())
        .extracting(near -> near.keyword().text() + ": " + near.sharedPages())
        .containsExactly("word90: 2", "word91: 2", "word92: 2");
  }

  private static List<Membership> described(List<Keyword> keywords) {
    return new Grouping(GroupingSettings.DEFAULT).describe("1", keywords, null).members();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void tightnessAndFitsAreTheMeansOverAllPairs(long seed) {
    List<Keyword> keywords = random(seed, 15);
    List<Keyword> ranked = keywords.stream().filter(k -> !k.pages().isEmpty()).toList();
    Cohesion cohesion = Cohesion.of(keywords, DEPTH);
    assertThat(cohesion.fits())
        .extracting(Fit::keyword)
        .containsExactlyInAnyOrderElementsOf(keywords);
    double sum = 0;
    double own = 0;
    for (Fit fit : cohesion.fits()) {
      if (fit.keyword().pages().isEmpty()) {
        assertThat(fit.shared()).isNull();
        continue;
      }
      double mean =
          ranked.stream()
              .filter(other -> other != fit.keyword())
              .mapToInt(other -> shared(fit.keyword(), other))
              .average()
              .orElse(0);
      assertThat(fit.shared()).isCloseTo(mean, within(1e-9));
      assertThat(fit.words()).isBetween(0.0, 1.0);
      sum += mean;
      own += Math.min(DEPTH, fit.keyword().pages().size());
    }
    assertThat(cohesion.tightness()).isCloseTo(sum / own, within(1e-9)).isBetween(0.0, 1.0);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void whoIsDoubtfulDoesNotDependOnTheOrderOfTheMembers(long seed) {
    List<Keyword> keywords = new ArrayList<>(random(seed, 20));
    Cohesion once = Cohesion.of(keywords, DEPTH);
    Collections.shuffle(keywords, new Random(seed));
    assertThat(Cohesion.of(keywords, DEPTH)).isEqualTo(once);
    List<Boolean> doubtful = once.fits().stream().map(fit -> fit.doubt() != null).toList();
    assertThat(doubtful).isSortedAccordingTo(Collections.reverseOrder());
  }

  @Test
  void whoIsAloneIsNotDoubtful() {
    Cohesion alone = Cohesion.of(List.of(Keyword.of("kiln", 10L, List.of())), DEPTH);
    assertThat(alone.fits()).singleElement().extracting(Fit::doubt).isNull();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void aProposedSplitIsAPartitionOfTheGroup(long seed) {
    List<Keyword> keywords = random(seed, 18);
    SplitProposal proposal = SplitProposal.of(keywords, GroupingSettings.DEFAULT);
    assertThat(proposal.parts().stream().flatMap(part -> part.members().stream()))
        .extracting(Membership::keyword)
        .containsExactlyInAnyOrderElementsOf(proposal.parts().isEmpty() ? List.of() : keywords);
    assertThat(proposal.parts().size()).isNotEqualTo(1);
    assertThat(proposal.minShared()).isBetween(1, proposal.known());
    assertThat(proposal.known()).isLessThanOrEqualTo(DEPTH);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void aSplitNeverAsksForMorePagesThanAreKnown(long seed) {
    List<Keyword> keywords =
        random(seed, 18).stream()
            .map(k -> k.withPages(k.pages().subList(0, Math.min(4, k.pages().size()))))
            .toList();
    SplitProposal proposal = SplitProposal.of(keywords, GroupingSettings.DEFAULT);
    assertThat(proposal.known()).isEqualTo(4);
    assertThat(proposal.minShared()).isBetween(2, 4);
  }

  private static int shared(Keyword a, Keyword b) {
    return (int)
        a.pages().stream()
            .limit(DEPTH)
            .filter(page -> b.pages().stream().limit(DEPTH).anyMatch(page::equals))
            .count();
  }

  /** Keywords of up to twelve pages among thirty; some have none. */
  private static List<Keyword> random(long seed, int count) {
    Random random = new Random(seed);
    List<Keyword> keywords = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      List<String> pages = new ArrayList<>();
      for (int p = 0; p < random.nextInt(13); p++) {
        pages.add("p.example/" + random.nextInt(30));
      }
      String text = "word" + i + " " + (char) ('k' + random.nextInt(5)) + "zzy";
      keywords.add(Keyword.of(text, (long) random.nextInt(900), pages));
    }
    return keywords;
  }
}
