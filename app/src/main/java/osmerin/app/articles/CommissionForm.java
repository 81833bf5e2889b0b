package osmerin.app.articles;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import osmerin.app.platform.web.Reply;
import osmerin.app.rounds.GroupArticle;
import osmerin.app.rounds.Impossible;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.StandingWords;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.team.Person;
import osmerin.app.team.TeamService;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;
import osmerin.core.workday.DayText;

/** The form with which an article is commissioned, whatever it comes from. */
@Component
public class CommissionForm {
  private final ArticleService articles;
  private final ArticleTypeService types;
  private final TeamService team;

  CommissionForm(ArticleService articles, ArticleTypeService types, TeamService team) {
    this.articles = articles;
    this.types = types;
    this.team = team;
  }

  /**
   * What a person typed.
   *
   * @param people who does what, by the name of the role; null for nobody yet
   * @param again commission it although the group has an article
   * @param use the publish date that was offered instead of the one typed
   * @param anyway commission it although it cannot be published on its date
   */
  public record Answers(
      @Nullable String title,
      @Nullable Long type,
      @Nullable Map<String, @Nullable Long> people,
      @Nullable String publishDate,
      @Nullable Boolean again,
      @Nullable Long group,
      @Nullable @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate use,
      @Nullable Boolean anyway) {
    public Answers {
      people = people == null ? Map.of() : people;
    }

    /** Who was named for those of the roles for which somebody was. */
    private Map<StepRole, Long> named(Collection<StepRole> roles) {
      Map<StepRole, Long> named = new LinkedHashMap<>();
      for (StepRole role : roles) {
        Long person = people.get(role.name());
        if (person != null) {
          named.put(role, person);
        }
      }
      return named;
    }

    /** The publish date that is wanted; null for none, and while what was typed is no day. */
    @Nullable LocalDate date(SiteContext site) {
      return use != null ? use : typed(site).orElse(null);
    }

    private Optional<LocalDate> typed(SiteContext site) {
      return publishDate == null ? Optional.empty() : DayText.read(publishDate, site.today());
    }

    boolean isNoDay(SiteContext site) {
      return publishDate != null && !publishDate.isBlank() && typed(site).isEmpty();
    }
  }

  /**
   * Where the article comes from.
   *
   * @param action the address the form is sent to
   * @param said in a line above the form
   * @param existing articles that answer the same group already
   * @param near groups to choose from where it comes from none, the nearest first
   */
  public record Origin(
      String action,
      String said,
      @Nullable Long groupId,
      List<GroupArticle> existing,
      List<NearGroup> near) {}

  /**
   * A group that the article might answer.
   *
   * @param near how near its name is to the title in meaning, about 0–1; null when it was chosen
   *     before
   * @param existing articles that answer it already
   */
  public record NearGroup(
      long id, String name, @Nullable Double near, List<GroupArticle> existing) {}

  /** A form as it is first shown: whoever commissions is the strategist. */
  private Answers propose(SiteContext site, String title) {
    long type = types.list(site.siteId(), Kind.NEW).get(0).id();
    List<Person> team = this.team.people(site.siteId());
    Map<String, @Nullable Long> people = new HashMap<>();
    people.put(StepRole.STRATEGIST.name(), site.personId());
    people.put(StepRole.EDITOR.name(), only(team, Role.EDITOR));
    people.put(StepRole.WRITER.name(), only(team, Role.WRITER));
    return new Answers(title, type, people, null, false, null, null, false);
  }

  /** Where one person alone has a role, nobody needs to be asked who does it. */
  private static @Nullable Long only(List<Person> people, Role role) {
    if (people.size() == 1) {
      return people.get(0).id();
    }
    List<Person> those = people.stream().filter(p -> p.role() == role).toList();
    return those.size() == 1 ? those.get(0).id() : null;
  }

  /** Shows the form with a title, or with what is typed already when another type was chosen. */
  public String show(SiteContext site, Answers typed, String title, Origin origin, Model model) {
    return show(site, typed.type() == null ? propose(site, title) : typed, origin, model);
  }

  private String show(SiteContext site, Answers answers, Origin origin, Model model) {
    model.addAttribute("answers", answers);
    model.addAttribute("origin", origin);
    model.addAttribute("existing", existing(answers, origin));
    model.addAttribute("types", types.list(site.siteId(), Kind.NEW));
    model.addAttribute("people", team.people(site.siteId()));
    model.addAttribute("names", team.names(site.siteId()));
    model.addAttribute("roles", roles(site, answers));
    model.addAttribute(
        "usual", answers.type() == null ? Map.of() : types.people(site.siteId(), answers.type()));
    model.asMap().putIfAbsent("faults", Map.of());
    return "articles/commission";
  }

  /** The roles that every site has, and those of the type's steps. */
  private Set<StepRole> roles(SiteContext site, Answers answers) {
    Set<StepRole> roles = new LinkedHashSet<>(StepRole.SHIPPED);
    if (answers.type() != null) {
      types
          .find(site.siteId(), answers.type())
          .map(ArticleType::id)
          .map(types::steps)
          .ifPresent(steps -> steps.forEach(step -> roles.add(step.role())));
    }
    return roles;
  }

  /** Commissions, or shows the form again with what is at fault and everything typed. */
  public String submit(
      SiteContext site,
      Answers answers,
      Origin origin,
      Reply reply,
      Function<Commission, Round> commissioning) {
    Map<String, String> faults = faults(site, answers, origin);
    Optional<Impossible> impossible =
        faults.isEmpty() && !Boolean.TRUE.equals(answers.anyway())
            ? articles.impossible(site, commission(site, answers, origin))
            : Optional.empty();
    if (faults.isEmpty() && impossible.isEmpty()) {
      Round round = commissioning.apply(commission(site, answers, origin));
      PlannedRound planned = articles.planned(site, round.article().number());
      reply.say("Commissioned as " + round.reference() + "." + StandingWords.warning(planned));
      return "redirect:/" + site.site().slug() + "/articles/" + round.reference();
    }
    reply.status(HttpStatus.UNPROCESSABLE_ENTITY);
    reply.with("faults", faults).with("impossible", impossible.orElse(null));
    return show(site, answers, origin, reply.model());
  }

  private Commission commission(SiteContext site, Answers answers, Origin origin) {
    Long near = chosen(answers, origin).map(NearGroup::id).orElse(null);
    return new Commission(
        answers.title(),
        answers.type(),
        origin.groupId() != null ? origin.groupId() : near,
        answers.named(roles(site, answers)),
        answers.date(site));
  }

  /** Of the groups that were offered the one that was chosen. */
  private static Optional<NearGroup> chosen(Answers answers, Origin origin) {
    return origin.near().stream()
        .filter(group -> Long.valueOf(group.id()).equals(answers.group()))
        .findFirst();
  }

  /** Articles that answer the group already, whether it comes along or was chosen. */
  private static List<GroupArticle> existing(Answers answers, Origin origin) {
    return chosen(answers, origin).map(NearGroup::existing).orElse(origin.existing());
  }

  private static Map<String, String> faults(SiteContext site, Answers answers, Origin origin) {
    Map<String, String> faults = new LinkedHashMap<>();
    String title = answers.title() == null ? "" : answers.title().strip();
    if (title.isEmpty() || title.length() > Commission.LONGEST_TITLE) {
      faults.put("title", "A title has 1 to " + Commission.LONGEST_TITLE + " characters.");
    }
    if (answers.type() == null) {
      faults.put("type", "Choose a type.");
    }
    if (answers.isNoDay(site)) {
      faults.put("publishDate", DayText.HINT);
    }
    if (!existing(answers, origin).isEmpty() && !Boolean.TRUE.equals(answers.again())) {
      faults.put("again", "This group has an article already.");
    }
    return faults;
  }
}
