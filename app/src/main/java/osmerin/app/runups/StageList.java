package osmerin.app.runups;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.NotFoundException;
import osmerin.core.article.Handoff;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;

/** The stages of a site. Who may change them is asked elsewhere. */
@Service
public class StageList {
  private final StageMapper stages;

  StageList(StageMapper stages) {
    this.stages = stages;
  }

  /** The site's stages with what happens at them, but for retired ones. */
  public Stages of(long siteId) {
    List<Stage> list = new ArrayList<>();
    Map<StageAct, Long> leads = new EnumMap<>(StageAct.class);
    Map<Long, Handoff> handoffs = new HashMap<>();
    for (StageRow row : stages.list(siteId)) {
      list.add(new Stage(row.id(), row.name(), row.phase(), row.place()));
      row.acts().forEach(act -> leads.put(StageAct.valueOf(act), row.id()));
      handoffs.put(
          row.id(),
          new Handoff(
              row.role(), row.personId(), row.dueDays(), row.ticks(), row.adds(), row.comesBy()));
    }
    return new Stages(list, leads, handoffs);
  }

  /** The same, of which nobody else changes any until the transaction ends. */
  public Stages locked(long siteId) {
    stages.lock(siteId);
    return of(siteId);
  }

  /**
   * A stage of the site.
   *
   * @throws NotFoundException when it has none with the id, or has retired it
   */
  public Stage get(long siteId, long id) {
    return of(siteId).find(id).orElseThrow(() -> new NotFoundException("stage", id));
  }

  void shipTo(long siteId) {
    for (int i = 0; i < Stages.SHIPPED.size(); i++) {
      Stages.Shipped its = Stages.SHIPPED.get(i);
      List<String> acts = its.act() == null ? List.of() : List.of(its.act().name());
      stages.insert(
          siteId,
          new StageRow(0, its.label(), its.phase(), i, acts, its.role(), null, null, "", "", ""));
    }
  }

  /**
   * Gives a site other stages, sound ones; a stage that is not among them is retired.
   *
   * @param wanted a stage below 1 is a new one, by which handoffs and leads name it
   */
  @Transactional
  public void put(long siteId, Stages wanted) {
    stages.retireAll(siteId);
    for (int i = 0; i < wanted.list().size(); i++) {
      StageRow row = row(wanted, wanted.list().get(i), i);
      if (row.id() < 1) {
        stages.insert(siteId, row);
      } else if (stages.update(siteId, row) == 0) {
        throw new NotFoundException("stage", row.id());
      }
    }
  }

  private static StageRow row(Stages wanted, Stage stage, int place) {
    List<String> acts =
        wanted.leads().entrySet().stream()
            .filter(lead -> lead.getValue() == stage.id())
            .map(lead -> lead.getKey().name())
            .toList();
    Handoff handoff = wanted.handoff(stage);
    return new StageRow(
        stage.id(),
        stage.label().strip(),
        stage.phase(),
        place,
        acts,
        handoff.role(),
        handoff.person(),
        handoff.dueDays(),
        handoff.ticks(),
        handoff.adds(),
        handoff.comesBy());
  }
}
