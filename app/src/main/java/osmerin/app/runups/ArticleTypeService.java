package osmerin.app.runups;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.site.Role;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.RunUp;
import osmerin.core.runup.RunUpStep;
import osmerin.core.runup.ShippedRunUps;
import osmerin.core.runup.StepRole;

/** Article types and refresh depths with their run-ups. Who may change one is asked elsewhere. */
@Service
public class ArticleTypeService {
  private final ArticleTypeMapper types;
  private final StepRoles roles;
  private final StageList stages;

  ArticleTypeService(ArticleTypeMapper types, StepRoles roles, StageList stages) {
    this.stages = stages;
    this.types = types;
    this.roles = roles;
  }

  /** The types that articles can be given, or for refreshes the depths, in their order. */
  public List<ArticleType> list(long siteId, Kind kind) {
    return types.list(siteId, kind);
  }

  /**
   * A type that articles can be given.
   *
   * @throws NotFoundException when the site has none with this id, or has retired it
   */
  public ArticleType get(long siteId, Kind kind, long id) {
    return list(siteId, kind).stream()
        .filter(type -> type.id() == id)
        .findFirst()
        .orElseThrow(() -> new NotFoundException("article type", id));
  }

  /**
   * A type of the site, retired or not.
   *
   * @throws NotFoundException when the site never had it
   */
  public ArticleType known(long siteId, long id) {
    return find(siteId, id).orElseThrow(() -> new NotFoundException("article type", id));
  }

  /** A type of the site, retired or not. */
  public Optional<ArticleType> find(long siteId, long id) {
    return types.find(siteId, id);
  }

  /** The run-up of a type. */
  public RunUp runUp(ArticleType type) {
    return new RunUp(type.name(), type.cushion(), steps(type.id()));
  }

  /** The steps of a type, in their order. */
  public List<RunUpStep> steps(long typeId) {
    return types.steps(typeId);
  }

  /** The names of the steps of all types that articles can be given, by the alphabet. */
  public List<String> stepNames(long siteId) {
    return types.stepNames(siteId);
  }

  /** The steps that a type had at a version. */
  public List<RunUpStep> stepsAt(ArticleType type, int version) {
    List<RunUpStep> former =
        version >= type.version() ? List.of() : types.stepsAt(type.id(), version);
    return former.isEmpty() ? steps(type.id()) : former;
  }

  /** Gives a new site the types, depths, roles and stages that Osmerin ships. */
  @Transactional
  public void shipTo(long siteId) {
    roles.shipTo(siteId);
    stages.shipTo(siteId);
    ship(siteId, Kind.NEW, List.of(ShippedRunUps.POST, ShippedRunUps.GUIDE, ShippedRunUps.REVIEW));
    ship(
        siteId,
        Kind.REFRESH,
        List.of(ShippedRunUps.TOUCH_UP, ShippedRunUps.REWORK, ShippedRunUps.REWRITE));
  }

  private void ship(long siteId, Kind kind, List<RunUp> runUps) {
    runUps.forEach(runUp -> add(siteId, kind, runUp).orElseThrow());
  }

  /** A refresh starts from the brief that is there. */
  private static BriefNeed need(Kind kind) {
    return kind == Kind.REFRESH ? BriefNeed.NONE : BriefNeed.SIGNED_OFF;
  }

  /** Adds a type below the others; empty when its name is taken. */
  @Transactional
  public Optional<Long> add(long siteId, Kind kind, RunUp runUp) {
    Optional<Long> added = types.insert(siteId, runUp.name(), kind, runUp.cushion(), need(kind));
    added.ifPresent(id -> insert(id, runUp.steps()));
    return added;
  }

  private void insert(long typeId, List<RunUpStep> steps) {
    if (!steps.isEmpty()) {
      types.insertSteps(typeId, steps);
    }
  }

  /** Whether another type of the kind has this name, in whatever case. */
  public boolean isNameTaken(long siteId, ArticleType type, String name) {
    return types.isNameTaken(siteId, type.kind(), name, type.id());
  }

  /**
   * Gives a type another recipe.
   *
   * @param seen its version as it was seen
   * @return false when somebody was faster
   */
  @Transactional
  public boolean change(long siteId, long id, RunUp runUp, int seen) {
    if (types.change(siteId, id, runUp.name(), runUp.cushion(), seen) == 0) {
      return false;
    }
    types.keepFormer(id, seen);
    types.removeSteps(id);
    insert(id, runUp.steps());
    return true;
  }

  /** Who usually does the steps of a type, by role. */
  public Map<StepRole, Long> people(long siteId, long typeId) {
    return types.people(siteId, typeId).stream()
        .collect(Collectors.toMap(StandingPerson::role, StandingPerson::personId));
  }

  /** Says who usually does a role's steps of a type; null for nobody. */
  @Transactional
  public void setPerson(long typeId, StepRole role, @Nullable Long personId) {
    if (personId == null) {
      types.removePerson(typeId, role);
    } else {
      types.setPerson(typeId, role, personId);
    }
  }

  /** Says how long articles of a type usually are; empty for nothing said. */
  @Transactional
  public void setWords(long typeId, Optional<WordRange> words) {
    types.setWords(
        typeId, words.map(WordRange::low).orElse(null), words.map(WordRange::high).orElse(null));
  }

  /** Names of the links that articles of a type usually have. */
  public List<String> linkNames(long typeId) {
    String names = types.linkNames(typeId);
    return names == null ? List.of() : names.lines().toList();
  }

  /** Says which links articles of a type usually have, a name a line. */
  @Transactional
  public void setLinkNames(long typeId, String names) {
    types.setLinkNames(typeId, names);
  }

  /** Says which parts are on in briefs of a type. */
  @Transactional
  public void setBriefParts(long typeId, String parts) {
    types.setBriefParts(typeId, parts);
  }

  /** Says which role signs briefs of a type off, at the least. */
  @Transactional
  public void setSignOffBy(long typeId, Role role) {
    types.setSignOffBy(typeId, role);
  }

  /** Says what articles of a type need before anybody writes. */
  @Transactional
  public void setBriefNeed(long typeId, BriefNeed need) {
    types.setBriefNeed(typeId, need);
  }

  /**
   * Makes what is usual for one type usual for another: who does what, how long it is, and what
   * stands on its checklist.
   */
  @Transactional
  public void copyUsual(long from, long to) {
    types.copyUsual(from, to);
  }

  /** Retires a type, or brings it back; false when it was so already. */
  @Transactional
  public boolean retire(long siteId, long id, boolean away) {
    return types.retire(siteId, id, away) == 1;
  }
}
