package osmerin.core.article;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;

/**
 * The stages of a site in their order, and where acts lead.
 *
 * @param leads for every act the id of the stage it leads to
 * @param handoffs by the id of a stage what happens when an article enters it
 */
public record Stages(List<Stage> list, Map<StageAct, Long> leads, Map<Long, Handoff> handoffs) {
  /** As many as glyph and head of an article stay readable with. */
  public static final int MOST = 20;

  private static final int LONGEST_NAME = 40;

  /** As shipped, and where acts lead then. */
  public static final List<Shipped> SHIPPED =
      List.of(
          new Shipped("Commissioned", Phase.TO_COME, StageAct.COMMISSIONING, StepRole.STRATEGIST),
          new Shipped("Briefed", Phase.IN_HAND, StageAct.SIGN_OFF, StepRole.WRITER),
          new Shipped("Drafting", Phase.IN_HAND, null, StepRole.WRITER),
          new Shipped("Editing", Phase.IN_HAND, StageAct.HAND_IN, StepRole.EDITOR),
          new Shipped("Ready", Phase.SET, null, StepRole.STRATEGIST),
          new Shipped("Live", Phase.LIVE, StageAct.PUBLISHING, null),
          new Shipped("Retired", Phase.ENDED, StageAct.RETIRING, null));

  /**
   * A stage that every new site has.
   *
   * @param act what leads to it, null for nothing
   * @param role whose turn it is there, null for nobody's
   */
  public record Shipped(
      String label, Phase phase, @Nullable StageAct act, @Nullable StepRole role) {}

  /** Not checked: what a form sends has faults, see {@link #fault}. */
  public Stages {
    list = List.copyOf(list);
    leads = Map.copyOf(leads);
    handoffs = Map.copyOf(handoffs);
  }

  /**
   * What is wrong with them: a phase without a stage, phases out of order, names that are empty,
   * too long or the same, too many, an act that leads nowhere or to a stage of another phase.
   */
  public Optional<String> fault() {
    if (list.size() > MOST) {
      return Optional.of("A site has at most %s stages.".formatted(MOST));
    }
    return faultOfNames().or(this::faultOfPhases).or(this::faultOfLeads);
  }

  private Optional<String> faultOfNames() {
    Set<String> names = new HashSet<>();
    for (Stage stage : list) {
      if (stage.label().isBlank()) {
        return Optional.of("Every stage needs a name.");
      }
      if (stage.label().length() > LONGEST_NAME) {
        return Optional.of(
            "“%s” is too long: a name has at most %s letters."
                .formatted(stage.label(), LONGEST_NAME));
      }
      if (!names.add(stage.label().strip().toLowerCase(Locale.ROOT))) {
        return Optional.of("Two stages are called “%s”.".formatted(stage.label()));
      }
    }
    return Optional.empty();
  }

  private Optional<String> faultOfPhases() {
    for (int i = 1; i < list.size(); i++) {
      Stage before = list.get(i - 1);
      Stage stage = list.get(i);
      if (stage.phase().compareTo(before.phase()) < 0) {
        return Optional.of(
            "“%s” (%s) cannot come after “%s” (%s)."
                .formatted(
                    stage.label(), stage.phase().label(), before.label(), before.phase().label()));
      }
    }
    for (Phase phase : Phase.values()) {
      if (list.stream().noneMatch(stage -> stage.phase() == phase)) {
        return Optional.of(
            "At least one stage must be “%s”, so that the plan knows what it means."
                .formatted(phase.label()));
      }
    }
    return Optional.empty();
  }

  private Optional<String> faultOfLeads() {
    for (StageAct act : StageAct.values()) {
      Optional<Stage> stage = find(leads.getOrDefault(act, -1L));
      if (stage.isEmpty()) {
        return Optional.of("%s needs a stage to lead to.".formatted(act.label()));
      }
      if (stage.get().phase() != act.phase()) {
        return Optional.of(
            "%s leads to a stage that is “%s”; “%s” is “%s”."
                .formatted(
                    act.label(),
                    act.phase().label(),
                    stage.get().label(),
                    stage.get().phase().label()));
      }
    }
    return at(StageAct.HAND_IN).isBefore(at(StageAct.SIGN_OFF))
        ? Optional.of("A draft cannot be handed in before its brief is signed off.")
        : Optional.empty();
  }

  /** The stage an act leads to. */
  public Stage at(StageAct act) {
    return find(leads.get(act)).orElseThrow();
  }

  /** What happens when an article enters a stage. */
  public Handoff handoff(Stage stage) {
    return handoffs.getOrDefault(stage.id(), Handoff.NONE);
  }

  /** The stage in work to which ticking a step leads. */
  public Optional<Stage> comingBy(String step) {
    return inWork().stream()
        .filter(stage -> handoff(stage).comesBy().equalsIgnoreCase(step))
        .findFirst();
  }

  /** The stage with the id; empty for one of another site, or one that is no more. */
  public Optional<Stage> find(long id) {
    return list.stream().filter(stage -> stage.id() == id).findFirst();
  }

  /** The stages through which a person moves an article; it goes live by being published. */
  public List<Stage> inWork() {
    return list.stream().filter(Stage::isInWork).toList();
  }

  /** The stages that a glyph shows: all but those of what has ended. */
  public List<Stage> untilEnded() {
    return list.stream().filter(stage -> stage.phase() != Phase.ENDED).toList();
  }

  /** Where a person can move an article that is at a stage; among live ones too. */
  public List<Stage> beside(Stage stage) {
    return list.stream()
        .filter(other -> stage.isInWork() ? other.isInWork() : other.phase() == stage.phase())
        .toList();
  }

  /** The next stage a person can move to by hand. */
  public Optional<Stage> next(Stage stage) {
    return beside(stage).stream().filter(stage::isBefore).findFirst();
  }

  /** The stage before, to which a person can move by hand. */
  public Optional<Stage> previous(Stage stage) {
    return beside(stage).stream().filter(other -> other.isBefore(stage)).reduce((a, b) -> b);
  }

  /** Whether an article that is moved passes the stage an act leads to, or comes to it. */
  public boolean isPassed(StageAct act, Stage from, Stage to) {
    Stage marked = at(act);
    return from.isBefore(marked) && !to.isBefore(marked);
  }

  /** Whether an article can be moved from the stage by hand at all. */
  public boolean isMovable(Stage stage) {
    return beside(stage).size() > 1;
  }

  /** The stage of the same phase just before or behind one, with which it can change places. */
  public Optional<Stage> neighbour(Stage stage, boolean behind) {
    int place = stage.place() + (behind ? 1 : -1);
    return list.stream()
        .filter(other -> other.place() == place && other.phase() == stage.phase())
        .findFirst();
  }

  /**
   * Whether the draft of an article at the stage waits for its editor: it was handed in, and it is
   * nobody else's turn there.
   */
  public boolean isReview(Stage stage) {
    StepRole turn = handoff(stage).role();
    boolean editors =
        handoff(stage).person() == null && (turn == null || turn.equals(StepRole.EDITOR));
    return stage.phase() == Phase.IN_HAND && !stage.isBefore(at(StageAct.HAND_IN)) && editors;
  }
}
