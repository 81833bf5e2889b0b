package osmerin.app.find;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.UriComponentsBuilder;
import osmerin.app.articles.ArticleSearch;
import osmerin.app.groups.GroupLists;
import osmerin.app.near.NearTexts;
import osmerin.app.pitches.PitchService;
import osmerin.app.platform.web.In;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.app.topics.FoundResearch;
import osmerin.app.topics.TopicService;

/** Finds anything of a site by name or number, and commands by their words. */
@Service
public class FindService {
  private static final int EACH = 6;

  /** Of each kind in the archive. */
  private static final int FEW = 3;

  private static final int LONGEST = 100;

  /** What is less near is not what was meant. */
  private static final double NEAR = 0.35;

  private final ArticleSearch articles;
  private final PitchService pitches;
  private final GroupLists groups;
  private final TopicService topics;
  private final TeamService team;
  private final NearTexts nearTexts;

  FindService(
      ArticleSearch articles,
      PitchService pitches,
      GroupLists groups,
      TopicService topics,
      TeamService team,
      NearTexts nearTexts) {
    this.nearTexts = nearTexts;
    this.articles = articles;
    this.pitches = pitches;
    this.groups = groups;
    this.topics = topics;
    this.team = team;
  }

  /** The best of each kind; commands alone while nothing was typed. */
  @Transactional(readOnly = true)
  public List<Finding> find(SiteContext context, String typed) {
    String words = typed.strip();
    List<Finding> found = new ArrayList<>();
    if (!words.isEmpty() && words.length() <= LONGEST) {
      addArticles(context, words, found);
      addPitches(context, words, found);
      addResearch(context, words, found);
      addPeople(context, words, found);
      if (found.isEmpty()) {
        addNear(context, words, found);
      }
      addArchived(context, words, found);
    }
    Arrays.stream(Command.values())
        .filter(command -> command.isFor(context))
        .filter(command -> words.isEmpty() || command.matches(words))
        .forEach(command -> found.add(command.finding(context)));
    return found;
  }

  private void addArticles(SiteContext context, String words, List<Finding> found) {
    articles
        .find(context, words, EACH)
        .forEach(
            a ->
                found.add(
                    new Finding(
                        "Article",
                        a.title(),
                        a.reference() + ", " + a.stage(),
                        context.base() + "/articles/" + a.reference())));
  }

  private void addPitches(SiteContext context, String words, List<Finding> found) {
    pitches
        .find(context, words, EACH)
        .forEach(
            p ->
                found.add(
                    new Finding(
                        "Pitch",
                        p.title(),
                        p.pitchedBy(),
                        context.base() + "/pitches#open=/pitches/" + p.id() + "/drawer")));
  }

  private void addResearch(SiteContext context, String words, List<Finding> found) {
    for (FoundResearch r : topics.find(context, words, EACH)) {
      String beside = r.searches() == null ? "" : In.number(r.searches()) + " searches";
      String base = context.base() + "/research";
      found.add(
          switch (r.kind()) {
            case TOPIC -> new Finding("Topic", r.name(), "", base + "/topics/" + r.id());
            case GROUP -> new Finding("Group", r.name(), beside, base + "/groups/" + r.id());
            case KEYWORD ->
                new Finding(
                    "Keyword",
                    r.name(),
                    beside,
                    r.id() == null ? base : base + "/groups/" + r.id());
          });
    }
  }

  /** What is meant, perhaps, when nothing has the words. */
  private void addNear(SiteContext context, String words, List<Finding> found) {
    for (NearTexts.Near near : nearTexts.to(context, words, NEAR, EACH)) {
      String beside = near.reference().isEmpty() ? "" : near.reference() + ", ";
      found.add(
          new Finding(
              near.kind().label() + "?",
              near.name(),
              beside + In.nearness(near.near()) + " near",
              near.path()));
    }
  }

  /** What is in the archive comes last, and says that it is there. */
  private void addArchived(SiteContext context, String words, List<Finding> found) {
    articles
        .archived(context, words, 0, FEW)
        .forEach(
            a ->
                found.add(
                    new Finding(
                        "Article",
                        a.title(),
                        a.reference() + ", archived",
                        context.base() + "/articles/" + a.reference())));
    pitches
        .archived(context, words, 0, FEW)
        .forEach(
            p -> found.add(new Finding("Pitch", p.title(), "archived", archive(context, words))));
    groups
        .archived(context, words, 0, FEW)
        .forEach(
            g ->
                found.add(
                    new Finding(
                        "Group",
                        g.name(),
                        "archived",
                        context.base() + "/research/groups/" + g.id())));
  }

  private static String archive(SiteContext context, String words) {
    return UriComponentsBuilder.fromPath(context.base() + "/archive")
        .queryParam("kind", "PITCHES")
        .queryParam("q", words)
        .encode()
        .toUriString();
  }

  private void addPeople(SiteContext context, String words, List<Finding> found) {
    team.people(context.siteId()).stream()
        .filter(p -> p.name().toLowerCase(Locale.ROOT).contains(words.toLowerCase(Locale.ROOT)))
        .limit(EACH)
        .forEach(
            p ->
                found.add(
                    new Finding(
                        "Person",
                        p.name(),
                        p.role().label(),
                        context.base() + "/articles?person=" + p.id())));
  }
}
