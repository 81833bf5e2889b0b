package osmerin.app.stages;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import osmerin.app.history.Kept;
import osmerin.core.article.Handoff;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.core.runup.StepRole;

/** All stages of a site in their order, as history keeps them. */
record KeptStages(List<KeptStage> stages) implements Kept {
  /**
   * One of them.
   *
   * @param acts what leads to it
   * @param person whose turn it is in place of a role, null for that of the role
   * @param role whose turn it is there, null for nobody's
   */
  record KeptStage(
      long id,
      String name,
      Phase phase,
      List<StageAct> acts,
      @Nullable String role,
      @Nullable Long person,
      @Nullable Integer dueDays,
      String ticks,
      String adds,
      String comesBy) {}

  static KeptStages of(Stages stages) {
    return new KeptStages(stages.list().stream().map(stage -> kept(stages, stage)).toList());
  }

  private static KeptStage kept(Stages stages, Stage stage) {
    List<StageAct> acts =
        stages.leads().entrySet().stream()
            .filter(lead -> lead.getValue() == stage.id())
            .map(Map.Entry::getKey)
            .sorted()
            .toList();
    Handoff handoff = stages.handoff(stage);
    return new KeptStage(
        stage.id(),
        stage.label(),
        stage.phase(),
        acts,
        handoff.role() == null ? null : handoff.role().name(),
        handoff.person(),
        handoff.dueDays(),
        handoff.ticks(),
        handoff.adds(),
        handoff.comesBy());
  }

  Stages back() {
    List<Stage> list = new ArrayList<>();
    Map<StageAct, Long> leads = new EnumMap<>(StageAct.class);
    Map<Long, Handoff> handoffs = new HashMap<>();
    for (KeptStage kept : stages) {
      list.add(new Stage(kept.id(), kept.name(), kept.phase(), list.size()));
      kept.acts().forEach(act -> leads.put(act, kept.id()));
      StepRole role = kept.role() == null ? null : StepRole.valueOf(kept.role());
      handoffs.put(
          kept.id(),
          new Handoff(
              role, kept.person(), kept.dueDays(), kept.ticks(), kept.adds(), kept.comesBy()));
    }
    return new Stages(list, leads, handoffs);
  }
}
