package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.groups.GroupService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.HeadlinePattern;
import osmerin.core.brief.TitleAmong;
import osmerin.core.brief.TitleCheck;
import osmerin.core.brief.TitleIdeas;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.PageKind;
import osmerin.core.evidence.RankingPage;
import osmerin.core.text.Language;

/**
 * Candidates for the title of an article, side by side: one is picked, the others are kept for
 * later use. A site keeps the patterns of headlines that worked.
 */
@Service
public class TitleBench implements Reversal {
  static final int LONGEST = 300;

  private final BriefService briefs;
  private final BriefEvidence behind;
  private final GroupService groups;
  private final HeadlineMapper headlines;
  private final History history;

  TitleBench(
      BriefService briefs,
      BriefEvidence behind,
      GroupService groups,
      HeadlineMapper headlines,
      History history) {
    this.history = history;
    this.briefs = briefs;
    this.behind = behind;
    this.groups = groups;
    this.headlines = headlines;
  }

  /**
   * A candidate with its checks.
   *
   * @param keepable whether it can be kept as a pattern: the keyword stands in it
   */
  public record Candidate(
      String title, boolean picked, TitleCheck check, TitleAmong among, boolean keepable) {}

  /** The candidates, the picked one first. */
  public List<Candidate> candidates(SiteContext context, Round round, BriefPage page) {
    List<String> titles = new ArrayList<>();
    BriefContent content = page.brief().content();
    if (!content.workingTitle().isBlank()) {
      titles.add(content.workingTitle());
    }
    titles.addAll(content.titles());
    Language language = language(context, round);
    Evidence drawn = BriefPage.drawn(page.evidence());
    List<String> ranking = drawn.pages().stream().map(RankingPage::title).toList();
    String keyword = content.primaryKeyword();
    return titles.stream()
        .map(
            title ->
                new Candidate(
                    title,
                    title.equals(content.workingTitle()),
                    TitleCheck.of(title, keyword, language),
                    TitleAmong.of(title, ranking, drawn.terms(), content.outline()),
                    HeadlinePattern.of(title, keyword).isPresent()))
        .toList();
  }

  /** The site's patterns, the latest first. */
  public List<String> patterns(SiteContext context) {
    return headlines.patterns(context.siteId());
  }

  /** Adds a candidate; picks it too where none is picked. */
  @Transactional
  public void add(SiteContext context, Round round, String typed) {
    String title = title(typed);
    briefs.change(
        context,
        round,
        now -> now.workingTitle().isBlank() ? now.withTitle(title) : with(now, List.of(title)));
  }

  @Transactional
  public void pick(SiteContext context, Round round, String title) {
    briefs.change(context, round, now -> now.pick(title(title)));
  }

  /** Takes a candidate away; the picked one stays until another one is picked. */
  @Transactional
  public void remove(SiteContext context, Round round, String title) {
    briefs.change(
        context,
        round,
        now -> now.withTitles(now.titles().stream().filter(t -> !t.equals(title)).toList()));
  }

  /**
   * Adds what patterns and evidence suggest.
   *
   * @return how many were added
   */
  @Transactional
  public int suggest(SiteContext context, Round round) {
    Brief brief = briefs.get(context, round);
    BriefContent before = brief.content();
    List<String> ideas = ideas(context, round, brief);
    if (ideas.isEmpty()) {
      return 0;
    }
    BriefContent after = briefs.change(context, round, now -> with(now, ideas)).content();
    return after.titles().size() - before.titles().size();
  }

  private List<String> ideas(SiteContext context, Round round, Brief brief) {
    BriefContent content = brief.content();
    KeptEvidence evidence = behind.of(context, round, brief).orElse(null);
    List<String> known = new ArrayList<>(content.titles());
    known.add(content.workingTitle());
    int sections = (int) content.outline().sections().stream().filter(s -> s.depth() == 0).count();
    return TitleIdeas.of(
        new TitleIdeas.Source(
            content.primaryKeyword(),
            language(context, round),
            BriefPage.drawn(evidence),
            BriefPage.say(evidence),
            evidence == null ? List.of() : PageKind.byFrequency(evidence.kinds()),
            sections),
        patterns(context).stream().map(HeadlinePattern::new).toList(),
        known);
  }

  private Language language(SiteContext context, Round round) {
    Long group = round.article().groupId();
    return group == null ? Language.ENGLISH : groups.keywords(context, group).language();
  }

  /**
   * Keeps the pattern of a title for other articles.
   *
   * @return the pattern
   */
  @Transactional
  public String keepPattern(SiteContext context, Round round, String title) {
    context.require(Right.WORK);
    String keyword = briefs.get(context, round).primaryKeyword();
    HeadlinePattern pattern =
        HeadlinePattern.of(title, keyword)
            .orElseThrow(
                () ->
                    new RefusedException(
                        "A pattern needs the primary keyword “%s” in the title as it is."
                            .formatted(keyword)));
    if (headlines.keep(context.siteId(), pattern.text(), context.personId()) == 1) {
      history.note(
          context,
          Right.WORK,
          "The headline pattern “%s” was kept.".formatted(pattern.text()),
          change(context, pattern.text(), null, pattern.text()));
    }
    return pattern.text();
  }

  /** Takes a pattern of the site away. */
  @Transactional
  public void forgetPattern(SiteContext context, String pattern) {
    context.require(Right.EDIT);
    if (headlines.remove(context.siteId(), pattern) == 1) {
      history.note(
          context,
          Right.EDIT,
          "The headline pattern “%s” was removed.".formatted(pattern),
          change(context, pattern, pattern, null));
    }
  }

  /** Each pattern on its own, so that one is undone whatever was done to others since. */
  private static Change change(
      SiteContext context, String pattern, @Nullable String before, @Nullable String after) {
    String field = "Headline pattern “%s”".formatted(pattern);
    return Change.of(Thing.HEADLINES, context.siteId(), field, before, after);
  }

  @Override
  public Thing thing() {
    return Thing.HEADLINES;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    for (Change change : changes) {
      int put =
          change.from() == null
              ? headlines.remove(context.siteId(), change.to())
              : headlines.keep(context.siteId(), change.from(), context.personId());
      if (put == 0) {
        throw new RefusedException("The headline patterns have been changed since.");
      }
    }
  }

  private static BriefContent with(BriefContent now, List<String> more) {
    List<String> titles = new ArrayList<>(now.titles());
    for (String title : more) {
      if (!titles.contains(title) && !title.equals(now.workingTitle())) {
        titles.add(title);
      }
    }
    if (titles.size() > BriefContent.MOST_TITLES) {
      throw new RefusedException(
          "A brief keeps at most %s titles. Take some away first."
              .formatted(BriefContent.MOST_TITLES));
    }
    return now.withTitles(titles);
  }

  private static String title(String typed) {
    String title = typed.strip().replaceAll("\\s+", " ");
    if (title.isEmpty() || title.length() > LONGEST) {
      throw new RefusedException("A title has 1 to %s characters.".formatted(LONGEST));
    }
    return title;
  }
}
