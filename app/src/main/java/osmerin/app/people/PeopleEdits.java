package osmerin.app.people;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleNotices;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.runup.StepRole;

/** Names who does the steps of a role on an article, with history and undo. */
@Service
public class PeopleEdits implements RoundReversal {
  private static final String ROLE = "Role: ";

  private final ArticleService articles;
  private final TeamService team;
  private final History history;
  private final ArticleNotices notices;

  PeopleEdits(ArticleService articles, TeamService team, History history, ArticleNotices notices) {
    this.articles = articles;
    this.team = team;
    this.history = history;
    this.notices = notices;
  }

  /** Names somebody for a role. */
  @Transactional
  public void name(SiteContext context, int number, Naming wanted) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    StepRole role = wanted.checkedRole();
    List<Long> named = round.article().people(role);
    Long now = wanted.place() < named.size() ? named.get(wanted.place()) : null;
    Map<Long, String> names = team.names(context.siteId());
    if (!Objects.equals(now, wanted.seen())) {
      throw new ConflictException(
          new ConflictException.Field(round.reference(), role.label()),
          name(names, now),
          name(names, wanted.person()),
          history.lastBy(context, Thing.ARTICLE, number, field(role)),
          Map.of("seen", now == null ? "" : now.toString()));
    }
    List<Change> changes = people(context, round, role, wanted.after(named), names);
    history.note(
        context,
        Right.EDIT,
        "%s of %s: %s."
            .formatted(role.label(), round.reference(), said(names, wanted.after(named))),
        changes);
  }

  /** Names the same people for a role of one round after another, without entries of its own. */
  public Function<Round, List<Change>> naming(
      SiteContext context, StepRole role, List<Long> wanted) {
    Map<Long, String> names = team.names(context.siteId());
    return round -> people(context, round, role, wanted, names);
  }

  /** None when nothing changes. */
  private List<Change> people(
      SiteContext context, Round round, StepRole role, List<Long> wanted, Map<Long, String> names) {
    List<Long> before = round.article().people(role);
    if (before.equals(wanted)) {
      return List.of();
    }
    List<Long> added = wanted.stream().filter(person -> !before.contains(person)).toList();
    added.forEach(person -> team.get(context, person));
    articles.setPeople(context, round.article().id(), role, wanted);
    added.forEach(person -> notices.named(context, round, role, person));
    return List.of(
        Change.of(
                Thing.ARTICLE,
                round.article().number(),
                field(role),
                before.isEmpty() ? null : said(names, before),
                wanted.isEmpty() ? null : said(names, wanted))
            .keeping(new KeptPeople(before), new KeptPeople(wanted)));
  }

  private static String said(Map<Long, String> names, List<Long> people) {
    return people.isEmpty() ? name(names, null) : In.people(people, names);
  }

  private static String name(Map<Long, String> names, @Nullable Long person) {
    return person == null ? "nobody yet" : names.getOrDefault(person, "somebody who left");
  }

  /** The field of the history that says who does a role's steps. */
  private static String field(StepRole role) {
    return StepRole.SHIPPED.contains(role) ? role.label() : ROLE + role.name();
  }

  @Override
  public boolean knows(String field) {
    return field.startsWith(ROLE)
        || StepRole.SHIPPED.stream().anyMatch(role -> role.label().equals(field));
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    StepRole role = StepRole.valueOf(change.field().replaceFirst("^" + ROLE, ""));
    if (!round.article().people(role).equals(ids(change.to(KeptPeople.class)))) {
      return false;
    }
    articles.setPeople(context, round.article().id(), role, ids(change.from(KeptPeople.class)));
    return true;
  }

  private static List<Long> ids(@Nullable KeptPeople kept) {
    return kept == null ? List.of() : kept.ids();
  }
}
