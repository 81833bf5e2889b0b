package osmerin.app.types;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.article.BriefNeed;
import osmerin.core.brief.BriefPart;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.StepRole;

/** What is usual for articles of a type: who does a role's steps, how long they are, what brief. */
@Service
public class UsualEdits {
  private static final String USUALLY = "Usually: ";
  private static final String WORDS = "Words";
  private static final String BRIEF = "Brief";
  private static final String LINKS = "Links";
  private static final String PARTS = "Parts of a brief";
  private static final String SIGN_OFF = "Sign-off";
  private static final int MOST_LINKS = 20;

  private final ArticleTypeService types;
  private final TeamService team;
  private final History history;

  UsualEdits(ArticleTypeService types, TeamService team, History history) {
    this.types = types;
    this.team = team;
    this.history = history;
  }

  /**
   * Says who usually does a role's steps: new articles of the type name them, unless whoever
   * commissions names somebody else.
   *
   * @param personId null for nobody
   */
  @Transactional
  public void setPerson(SiteContext context, long id, StepRole role, @Nullable Long personId) {
    context.require(Right.MANAGE);
    ArticleType type = types.known(context.siteId(), id);
    Long before = types.people(context.siteId(), id).get(role);
    if (Objects.equals(before, personId)) {
      return;
    }
    String name = personId == null ? "nobody" : team.get(context, personId).name();
    types.setPerson(id, role, personId);
    history.note(
        context,
        Right.MANAGE,
        "The %s of a %s is usually %s.".formatted(role, type.name().toLowerCase(Locale.ROOT), name),
        Change.of(Thing.TYPE, id, USUALLY + role, name(context, before), name)
            .keeping(before, personId));
  }

  private @Nullable String name(SiteContext context, @Nullable Long person) {
    return person == null ? null : team.names(context.siteId()).get(person);
  }

  /**
   * Says how long articles of a type usually are. It holds where neither the brief says it nor
   * evidence is there.
   *
   * @param low as typed; both ends empty for nothing said
   */
  @Transactional
  public void setWords(SiteContext context, long id, String low, String high) {
    context.require(Right.MANAGE);
    ArticleType type = types.known(context.siteId(), id);
    Optional<WordRange> wanted = read(low, high);
    if (wanted.equals(type.words())) {
      return;
    }
    types.setWords(id, wanted);
    String before = words(type.words());
    String after = words(wanted);
    String said = after == null ? "has no usual length now" : "is usually " + after;
    history.note(
        context,
        Right.MANAGE,
        "A %s %s.".formatted(type.name().toLowerCase(Locale.ROOT), said),
        Change.of(Thing.TYPE, id, WORDS, before, after)
            .keeping(KeptWords.of(type.words()), KeptWords.of(wanted)));
  }

  /** Says what articles of a type need before anybody writes. */
  @Transactional
  public void setBriefNeed(SiteContext context, long id, BriefNeed need) {
    context.require(Right.MANAGE);
    ArticleType type = types.known(context.siteId(), id);
    if (type.briefNeed() == need) {
      return;
    }
    types.setBriefNeed(id, need);
    history.note(
        context,
        Right.MANAGE,
        "A %s needs %s.".formatted(type.name().toLowerCase(Locale.ROOT), need.label()),
        Change.of(Thing.TYPE, id, BRIEF, type.briefNeed().label(), need.label())
            .keeping(type.briefNeed(), need));
  }

  /** Says which role signs briefs of a type off, at the least. */
  @Transactional
  public void setSignOffBy(SiteContext context, long id, Role role) {
    context.require(Right.MANAGE);
    ArticleType type = types.known(context.siteId(), id);
    if (!role.isGiven(Role.EDITOR)) {
      throw new RefusedException("A brief is signed off by an editor, a strategist or an owner.");
    }
    if (type.signOffBy() == role) {
      return;
    }
    types.setSignOffBy(id, role);
    history.note(
        context,
        Right.MANAGE,
        "Briefs of a %s are signed off by %s."
            .formatted(type.name().toLowerCase(Locale.ROOT), role.from()),
        Change.of(Thing.TYPE, id, SIGN_OFF, type.signOffBy().label(), role.label())
            .keeping(type.signOffBy().name(), role.name()));
  }

  /** Says which parts are on in briefs of a type. */
  @Transactional
  public void setBriefParts(SiteContext context, long id, Set<BriefPart> parts) {
    context.require(Right.MANAGE);
    ArticleType type = types.known(context.siteId(), id);
    String names = BriefPart.names(parts);
    if (names.equals(type.briefParts())) {
      return;
    }
    types.setBriefParts(id, names);
    history.note(
        context,
        Right.MANAGE,
        "The parts of a brief of a %s were changed."
            .formatted(type.name().toLowerCase(Locale.ROOT)),
        Change.of(Thing.TYPE, id, PARTS, labels(type.briefParts()), labels(names))
            .keeping(type.briefParts(), names));
  }

  private static String labels(String names) {
    return BriefPart.named(names).stream().map(BriefPart::label).collect(Collectors.joining(", "));
  }

  /**
   * Says which links articles of a type usually have.
   *
   * @param typed a name a line
   */
  @Transactional
  public void setLinkNames(SiteContext context, long id, String typed) {
    context.require(Right.MANAGE);
    ArticleType type = types.known(context.siteId(), id);
    List<String> lines = typed.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
    String names = lines.stream().distinct().collect(Collectors.joining("\n"));
    if (lines.size() > MOST_LINKS || lines.stream().anyMatch(l -> l.length() > 60)) {
      throw new RefusedException(
          "At most %s links, each with a name of at most 60 letters.".formatted(MOST_LINKS));
    }
    if (names.equals(type.linkNames())) {
      return;
    }
    types.setLinkNames(id, names);
    history.note(
        context,
        Right.MANAGE,
        "The links of a %s were changed.".formatted(type.name().toLowerCase(Locale.ROOT)),
        Change.of(Thing.TYPE, id, LINKS, shown(type.linkNames()), shown(names))
            .keeping(type.linkNames(), names));
  }

  private static String shown(String names) {
    return names.isEmpty() ? "none" : names.replace("\n", ", ");
  }

  private static Optional<WordRange> read(String low, String high) {
    try {
      return WordRange.read(low, high);
    } catch (IllegalArgumentException e) {
      throw new RefusedException(e.getMessage());
    }
  }

  private static @Nullable String words(Optional<WordRange> range) {
    return range.map(r -> "%s to %s words".formatted(r.low(), r.high())).orElse(null);
  }

  boolean knows(String field) {
    return field.equals(WORDS)
        || field.equals(BRIEF)
        || field.equals(LINKS)
        || field.equals(PARTS)
        || field.equals(SIGN_OFF)
        || field.startsWith(USUALLY);
  }

  /** Puts the change's {@code from} back. */
  void put(SiteContext context, ArticleType type, Change change) {
    if (change.field().equals(WORDS)) {
      putWords(type, change);
    } else if (change.field().equals(BRIEF)) {
      putBriefNeed(type, change);
    } else if (change.field().equals(LINKS)) {
      putLinkNames(type, change);
    } else if (change.field().equals(PARTS)) {
      putBriefParts(type, change);
    } else if (change.field().equals(SIGN_OFF)) {
      putSignOffBy(type, change);
    } else {
      putPerson(context, type, change);
    }
  }

  private void putWords(ArticleType type, Change change) {
    if (!type.words().equals(change.to(KeptWords.class).range())) {
      throw changed(type);
    }
    types.setWords(type.id(), change.from(KeptWords.class).range());
  }

  private void putBriefNeed(ArticleType type, Change change) {
    if (!type.briefNeed().name().equals(change.to())) {
      throw changed(type);
    }
    types.setBriefNeed(type.id(), BriefNeed.valueOf(change.from()));
  }

  private void putLinkNames(ArticleType type, Change change) {
    if (!type.linkNames().equals(change.to())) {
      throw changed(type);
    }
    types.setLinkNames(type.id(), change.from());
  }

  private void putSignOffBy(ArticleType type, Change change) {
    if (!type.signOffBy().name().equals(change.to())) {
      throw changed(type);
    }
    types.setSignOffBy(type.id(), Role.valueOf(change.from()));
  }

  private void putBriefParts(ArticleType type, Change change) {
    if (!type.briefParts().equals(change.to())) {
      throw changed(type);
    }
    types.setBriefParts(type.id(), change.from() == null ? "" : change.from());
  }

  private void putPerson(SiteContext context, ArticleType type, Change change) {
    StepRole role = StepRole.valueOf(change.field().substring(USUALLY.length()));
    Long now = types.people(context.siteId(), type.id()).get(role);
    if (!Objects.equals(now == null ? null : now.toString(), change.to())) {
      throw changed(type);
    }
    types.setPerson(type.id(), role, change.from() == null ? null : Long.valueOf(change.from()));
  }

  private static RefusedException changed(ArticleType type) {
    return new RefusedException("“%s” has been changed since.".formatted(type.name()));
  }
}
