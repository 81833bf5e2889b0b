package osmerin.core.article;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import osmerin.core.runup.StepRole;

class StagesTest {
  /** The stages every new site has. */
  private static Stages shipped() {
    List<Stage> list = new ArrayList<>();
    Map<StageAct, Long> leads = new EnumMap<>(StageAct.class);
    for (Stages.Shipped its : Stages.SHIPPED) {
      list.add(new Stage(list.size() + 1, its.label(), its.phase(), list.size()));
      if (its.act() != null) {
        leads.put(its.act(), (long) list.size());
      }
    }
    return new Stages(list, leads, Map.of());
  }

  private static Stages with(List<Stage> list) {
    return new Stages(list, shipped().leads(), Map.of());
  }

  private static Stage named(Stages stages, String label) {
    return stages.list().stream().filter(s -> s.label().equals(label)).findFirst().orElseThrow();
  }

  @Test
  void theShippedOnesAreSoundAndLeadToReadyFromWherePublishingLeadsOn() {
    Stages stages = shipped();
    assertThat(stages.fault()).isEmpty();
    assertThat(stages.next(named(stages, "Commissioned"))).contains(named(stages, "Briefed"));
    assertThat(stages.next(named(stages, "Editing"))).contains(named(stages, "Ready"));
    assertThat(stages.next(named(stages, "Ready"))).isEmpty();
    assertThat(stages.previous(named(stages, "Ready"))).contains(named(stages, "Editing"));
    assertThat(stages.previous(named(stages, "Commissioned"))).isEmpty();
    assertThat(stages.previous(named(stages, "Live"))).isEmpty();
    assertThat(stages.at(StageAct.PUBLISHING)).isEqualTo(named(stages, "Live"));
  }

  @Test
  void aDraftIsHandedInByMovingPastWhereThatLeads() {
    Stages stages = shipped();
    Stage drafting = named(stages, "Drafting");
    Stage editing = named(stages, "Editing");
    Stage ready = named(stages, "Ready");
    assertThat(stages.isPassed(StageAct.HAND_IN, drafting, editing)).isTrue();
    assertThat(stages.isPassed(StageAct.HAND_IN, drafting, ready)).isTrue();
    assertThat(stages.isPassed(StageAct.HAND_IN, editing, ready)).isFalse();
    assertThat(stages.isPassed(StageAct.HAND_IN, ready, drafting)).isFalse();
    assertThat(stages.isReview(editing)).isTrue();
    assertThat(stages.isReview(ready)).isFalse();
    assertThat(stages.isReview(drafting)).isFalse();
    assertThat(turnOf(StepRole.STRATEGIST, null).isReview(editing)).isFalse();
    assertThat(turnOf(null, 7L).isReview(editing)).isFalse();
    assertThat(turnOf(StepRole.EDITOR, null).isReview(editing)).isTrue();
  }

  private static Stages turnOf(@Nullable StepRole role, @Nullable Long person) {
    Stages plain = shipped();
    Handoff handoff = new Handoff(role, person, null, "", "", "");
    return new Stages(plain.list(), plain.leads(), Map.of(named(plain, "Editing").id(), handoff));
  }

  @Test
  void placesAreChangedWithinAPhaseAndMovesNeedSomewhereToGo() {
    Stages stages = shipped();
    assertThat(stages.neighbour(named(stages, "Drafting"), false))
        .contains(named(stages, "Briefed"));
    assertThat(stages.neighbour(named(stages, "Briefed"), false)).isEmpty();
    assertThat(stages.neighbour(named(stages, "Editing"), true)).isEmpty();
    assertThat(stages.isMovable(named(stages, "Ready"))).isTrue();
    assertThat(stages.isMovable(named(stages, "Live"))).isFalse();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "6 | Live | 'Two stages are called “Live”.'",
        "6 | ' ' | 'Every stage needs a name.'",
        "6 | live | 'Two stages are called “live”.'",
      })
  void namesMustTellStagesApart(int place, String name, String fault) {
    List<Stage> list = new ArrayList<>(shipped().list());
    list.set(place, new Stage(7, name, Phase.ENDED, place));
    assertThat(with(list).fault()).contains(fault);
  }

  @Test
  void everyPhaseHasAStageInTheOrderOfThePhases() {
    List<Stage> list = new ArrayList<>(shipped().list());
    list.add(2, new Stage(9, "Promoted", Phase.LIVE, 2));
    assertThat(with(list).fault().orElseThrow())
        .isEqualTo("“Drafting” (in hand) cannot come after “Promoted” (live).");
    List<Stage> without = new ArrayList<>(shipped().list());
    without.removeIf(stage -> stage.phase() == Phase.SET);
    assertThat(with(without).fault().orElseThrow()).contains("must be “set”");
  }

  @Test
  void actsLeadToStagesOfTheirPhase() {
    Stages stages = shipped();
    Map<StageAct, Long> leads = new EnumMap<>(stages.leads());
    leads.put(StageAct.PUBLISHING, named(stages, "Ready").id());
    assertThat(new Stages(stages.list(), leads, Map.of()).fault().orElseThrow())
        .isEqualTo("Publishing leads to a stage that is “live”; “Ready” is “set”.");
    leads.remove(StageAct.PUBLISHING);
    assertThat(new Stages(stages.list(), leads, Map.of()).fault().orElseThrow())
        .isEqualTo("Publishing needs a stage to lead to.");
    leads.putAll(stages.leads());
    leads.put(StageAct.SIGN_OFF, named(stages, "Editing").id());
    leads.put(StageAct.HAND_IN, named(stages, "Drafting").id());
    assertThat(new Stages(stages.list(), leads, Map.of()).fault().orElseThrow())
        .contains("handed in before its brief");
  }

  @Test
  void moreThanCanBeReadAreRefused() {
    List<Stage> list = new ArrayList<>(shipped().list());
    while (list.size() <= Stages.MOST) {
      list.add(2, new Stage(100 + list.size(), "Step " + list.size(), Phase.IN_HAND, 2));
    }
    assertThat(with(list).fault().orElseThrow()).isEqualTo("A site has at most 20 stages.");
  }

  /** Whatever stages a site has, going on leads through all that are in work, and back again. */
  @Test
  void goingOnAndBackVisitsEveryStageInWorkOfAnySite() {
    Random random = new Random(5);
    for (int run = 0; run < 2_000; run++) {
      Stages stages = random(random);
      assertThat(stages.fault()).isEmpty();
      Stage at = stages.inWork().get(0);
      List<Stage> seen = new ArrayList<>(List.of(at));
      while (stages.next(at).isPresent()) {
        Stage next = stages.next(at).get();
        assertThat(stages.previous(next)).contains(at);
        at = next;
        seen.add(at);
      }
      assertThat(seen).isEqualTo(stages.inWork());
      assertThat(at.isSet()).isTrue();
    }
  }

  private static Stages random(Random random) {
    List<Stage> list = new ArrayList<>();
    Map<StageAct, Long> leads = new EnumMap<>(StageAct.class);
    for (Phase phase : Phase.values()) {
      IntStream.rangeClosed(0, random.nextInt(3))
          .forEach(
              i ->
                  list.add(new Stage(list.size() + 1, "Stage " + list.size(), phase, list.size())));
    }
    for (StageAct act : StageAct.values()) {
      List<Stage> its = list.stream().filter(s -> s.phase() == act.phase()).toList();
      leads.put(act, its.get(act == StageAct.HAND_IN ? its.size() - 1 : 0).id());
    }
    return new Stages(list, leads, Map.of());
  }
}
