package osmerin.app.topics;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import osmerin.app.groups.Group;
import osmerin.app.groups.GroupLists.ByYield;
import osmerin.app.groups.GroupRow;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.topics.LandscapeService.Mark;
import osmerin.app.topics.LandscapeService.Picture;
import osmerin.app.topics.LandscapeService.Plot;
import osmerin.app.topics.TopicService.TopicSummary;
import osmerin.app.worth.SiteStrength;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.coverage.Covered;
import osmerin.core.intent.FunnelStage;
import osmerin.core.intent.SearchIntent;
import osmerin.core.keyword.Volume;
import osmerin.core.worth.Effort;
import osmerin.core.worth.SiteReach;

class LandscapeServiceTest {
  private static final SiteStrength REACH =
      new SiteStrength(25, null, null, null, 0, Effort.of(8), "post", false, SiteReach.of(25));

  private final LandscapeService pictures = new LandscapeService();

  @Test
  void aTopicsRingShowsWhatPartOfItsDemandIsLiveAndInWork() {
    Picture<TopicSummary> picture =
        pictures.topics(List.of(topic("Eels", 1_000, 250, 500), topic("Unknown", 0, 0, 0)));
    Mark<TopicSummary> eels = picture.marks().get(0);
    assertThat(eels.live()).isEqualTo(25);
    assertThat(eels.inWork()).isEqualTo(50);
    assertThat(eels.place().ring()).isEqualTo(9);
    assertThat(picture.marks().get(1).live()).isZero();
    assertThat(picture.left()).isZero();
  }

  @Test
  void aGroupIsLiveInWorkOrOpen() {
    Picture<Group> picture =
        pictures.groups(
            List.of(group(1, 900L, 20.0, true), group(2, 500L, 20.0, false), group(3, null, null)));
    assertThat(picture.marks()).extracting(Mark::live).containsExactly(100.0, 0.0, 0.0);
    assertThat(picture.marks()).extracting(Mark::inWork).containsExactly(0.0, 100.0, 0.0);
  }

  @Test
  void whatIsTooMuchForAPictureIsCountedAndLeftToTheTable() {
    List<TopicSummary> topics = new ArrayList<>();
    for (int i = 0; i < LandscapeService.MOST_CIRCLES + 7; i++) {
      topics.add(topic("Topic " + i, 10_000 - i, 0, 0));
    }
    Picture<TopicSummary> picture = pictures.topics(topics);
    assertThat(picture.marks()).hasSize(LandscapeService.MOST_CIRCLES);
    assertThat(picture.left()).isEqualTo(7);
    assertThat(picture.marks())
        .allSatisfy(
            mark -> {
              assertThat(mark.circle().x()).isBetween(0.0, (double) picture.width());
              assertThat(mark.circle().y()).isBetween(0.0, (double) picture.height());
            });
  }

  @Test
  void theSameNamesAsTopicsAndAsGroupsKeepRingsOfTheirOwn() {
    assertThat(pictures.topics(List.of(topic("g1", 900, 0, 0))).marks().get(0).place().ring())
        .isEqualTo(9);
    assertThat(pictures.groups(List.of(group(1, 900L, 20.0))).marks().get(0).place().ring())
        .isEqualTo(1);
  }

  @Test
  void thePlotShowsWhatIsKnownTheHighestYieldOnTop() {
    Plot plot =
        pictures.plot(
            new ByYield(List.of(group(1, 900L, 20.0), group(2, 500L, 40.0)), 5, 1), REACH);
    assertThat(plot.groups()).extracting(p -> p.group().row().id()).containsExactly(2L, 1L);
    assertThat(plot.groups().get(1).circle().x())
        .isEqualTo(LandscapeService.PLOT_WIDTH * 20.0 / 100);
    assertThat(plot.left()).isEqualTo(3);
    assertThat(plot.frame().line()).isEqualTo(LandscapeService.PLOT_WIDTH * 25.0 / 100);
  }

  @Test
  void aPlotOfNothingIsAnEmptyFrame() {
    Plot plot = pictures.plot(new ByYield(List.of(), 0, 0), REACH);
    assertThat(plot.groups()).isEmpty();
    assertThat(plot.frame().ticks()).isNotEmpty();
  }

  private static TopicSummary topic(String name, long searches, long live, long inWork) {
    return new TopicSummary(
        new TopicRow(1, name, null, null, null),
        new Covered(3, 12, Volume.exactly(searches), false, 20.0, live, inWork));
  }

  private static Group group(long id, Long searches, Double difficulty, Boolean... live) {
    GroupRow row =
        new GroupRow(
            id,
            1L,
            "Eels",
            "g" + id,
            3,
            searches,
            searches,
            searches,
            false,
            difficulty,
            SearchIntent.INFORMATIONAL,
            FunnelStage.AWARENESS,
            "",
            null,
            false,
            false,
            false,
            null,
            List.of(),
            null,
            null);
    List<GroupArticle> articles =
        Arrays.stream(live)
            .map(
                on ->
                    new GroupArticle(
                        id,
                        "XX",
                        1,
                        "Eels",
                        on
                            ? new Stage(6, "Live", Phase.LIVE, 5)
                            : new Stage(3, "Drafting", Phase.IN_HAND, 2),
                        on))
            .toList();
    return new Group(row, articles, REACH.worth(row.demand(), null), null);
  }
}
