package osmerin.app.stages;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.StageMoves;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StageList;
import osmerin.app.runups.StepRoles;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.Person;
import osmerin.app.team.TeamService;
import osmerin.core.article.Handoff;
import osmerin.core.article.Phase;
import osmerin.core.article.Stage;
import osmerin.core.article.StageAct;
import osmerin.core.article.Stages;
import osmerin.core.text.Counted;

/** Adds, changes, reorders and retires the stages of a site, and says where acts lead. */
@Service
public class StageEdits implements Reversal {
  private static final String STAGES = "Stages";

  /** Names a stage that has no id yet. */
  private static final long NEW = 0;

  private final StageList stages;
  private final StageMoves moves;
  private final StepRoles roles;
  private final TeamService team;
  private final History history;

  StageEdits(
      StageList stages, StageMoves moves, StepRoles roles, TeamService team, History history) {
    this.team = team;
    this.stages = stages;
    this.moves = moves;
    this.roles = roles;
    this.history = history;
  }

  /** A sign by which it is known whether the stages are still the same. */
  public static String seen(Stages stages) {
    byte[] text = KeptStages.of(stages).toString().getBytes(StandardCharsets.UTF_8);
    return UUID.nameUUIDFromBytes(text).toString();
  }

  /** Adds a stage, the last of its phase. */
  @Transactional
  public void add(SiteContext context, String name, Phase phase) {
    Stages before = locked(context);
    List<Stage> list = new ArrayList<>(before.list());
    int at = (int) list.stream().filter(s -> s.phase().compareTo(phase) <= 0).count();
    list.add(at, new Stage(NEW, name.strip(), phase, at));
    put(
        context,
        before,
        new Stages(list, before.leads(), before.handoffs()),
        "The stage “%s” was added.".formatted(name.strip()));
  }

  /**
   * Gives a stage another name or phase, or says what happens on entering it.
   *
   * @param seen the sign of the stages that the person saw
   */
  @Transactional
  public void change(SiteContext context, long id, StageForm form, String seen) {
    Stages before = locked(context);
    Stage was = get(before, id);
    refuseUnseen(context, before, seen, form.name());
    Stage wanted = new Stage(id, form.name().strip(), form.phase(), was.place());
    Map<Long, Handoff> handoffs = new HashMap<>(before.handoffs());
    handoffs.put(id, form.handoff(roles.set(context.siteId()), people(context)));
    List<Stage> list = new ArrayList<>(before.list());
    list.set(was.place(), wanted);
    String sentence =
        was.label().equals(wanted.label())
            ? "The stage “%s” was changed.".formatted(was.label())
            : "The stage “%s” was renamed to “%s”.".formatted(was.label(), wanted.label());
    put(context, before, new Stages(list, before.leads(), handoffs), sentence);
  }

  private Set<Long> people(SiteContext context) {
    return team.people(context.siteId()).stream().map(Person::id).collect(Collectors.toSet());
  }

  private void refuseUnseen(SiteContext context, Stages now, String seen, String wanted) {
    if (!seen(now).equals(seen)) {
      throw new ConflictException(
          new ConflictException.Field(context.site().name(), STAGES),
          words(now),
          wanted,
          history.lastBy(context, Thing.STAGES, context.siteId(), STAGES),
          Map.of("seen", seen(now)));
    }
  }

  /** Puts a stage one place further up or down within its phase. */
  @Transactional
  public void shift(SiteContext context, long id, boolean down) {
    Stages before = locked(context);
    Stage stage = get(before, id);
    Stage other =
        before
            .neighbour(stage, down)
            .orElseThrow(
                () ->
                    new RefusedException(
                        "“%s” is the %s stage that is “%s”. Give it another phase to move it further."
                            .formatted(
                                stage.label(), down ? "last" : "first", stage.phase().label())));
    List<Stage> list = new ArrayList<>(before.list());
    Collections.swap(list, stage.place(), other.place());
    put(
        context,
        before,
        new Stages(list, before.leads(), before.handoffs()),
        "The stage “%s” moved %s.".formatted(stage.label(), down ? "down" : "up"));
  }

  /** Says where acts lead; those not named lead where they did. */
  @Transactional
  public void lead(SiteContext context, Map<StageAct, Long> wanted) {
    Stages before = locked(context);
    Map<StageAct, Long> leads = new EnumMap<>(before.leads());
    leads.putAll(wanted);
    put(
        context,
        before,
        new Stages(before.list(), leads, before.handoffs()),
        "What leads to which stage was changed.");
  }

  /**
   * Retires a stage; articles at it move to another, all in one act.
   *
   * @param to null when no article is there
   */
  @Transactional
  public void retire(SiteContext context, long id, @Nullable Long to) {
    Stages before = locked(context);
    Stage stage = get(before, id);
    List<Change> changes = new ArrayList<>();
    List<Round> there = moves.at(context, stage);
    if (!there.isEmpty()) {
      if (to == null || to == id) {
        throw new RefusedException(
            "%s at “%s”. Choose the stage they move to."
                .formatted(Counted.of(there.size(), "article is", "articles are"), stage.label()));
      }
      Stage target = get(before, to);
      if (before.beside(stage).stream().noneMatch(target::is)) {
        throw new RefusedException(
            "Articles at “%s” cannot move to “%s”.".formatted(stage.label(), target.label()));
      }
      changes.addAll(moves.carry(context, there, target));
    }
    List<Stage> list = before.list().stream().filter(s -> !s.is(stage)).toList();
    String sentence = "The stage “%s” was retired.".formatted(stage.label());
    put(context, before, new Stages(list, before.leads(), before.handoffs()), sentence, changes);
  }

  private Stages locked(SiteContext context) {
    context.require(Right.MANAGE);
    return stages.locked(context.siteId());
  }

  private static Stage get(Stages stages, long id) {
    return stages.find(id).orElseThrow(() -> new NotFoundException("stage", id));
  }

  private void put(SiteContext context, Stages before, Stages wanted, String sentence) {
    put(context, before, wanted, sentence, List.of());
  }

  private void put(
      SiteContext context, Stages before, Stages wanted, String sentence, List<Change> besides) {
    wanted
        .fault()
        .ifPresent(
            fault -> {
              throw new RefusedException(fault);
            });
    if (wanted.equals(before)) {
      return;
    }
    stages.put(context.siteId(), wanted);
    Stages after = stages.of(context.siteId());
    // Last, so that it is put back first: articles can go back to a stage that is there.
    List<Change> changes = new ArrayList<>(besides);
    changes.add(
        Change.of(Thing.STAGES, context.siteId(), STAGES, words(before), words(after))
            .keeping(KeptStages.of(before), KeptStages.of(after)));
    history.note(context, Right.MANAGE, sentence, changes);
  }

  private static String words(Stages stages) {
    return stages.list().stream().map(Stage::label).collect(Collectors.joining(" · "));
  }

  @Override
  public Thing thing() {
    return Thing.STAGES;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      Stages now = stages.locked(context.siteId());
      Stages back = change.from(KeptStages.class).back();
      if (!KeptStages.of(now).equals(change.to(KeptStages.class))) {
        throw new RefusedException("The stages of the site have been changed since.");
      }
      for (Stage stage : now.list()) {
        int there = back.find(stage.id()).isPresent() ? 0 : moves.at(context, stage).size();
        if (there > 0) {
          throw new RefusedException(
              "%s at “%s” by now. Move them first."
                  .formatted(Counted.of(there, "article is", "articles are"), stage.label()));
        }
      }
      stages.put(context.siteId(), back);
    }
  }
}
