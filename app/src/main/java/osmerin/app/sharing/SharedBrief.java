package osmerin.app.sharing;

import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefPages;
import osmerin.app.drafts.DraftService;
import osmerin.app.handout.BriefDocument;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.security.LinkDoor.State;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.site.SiteService;
import osmerin.app.team.TeamService;
import osmerin.core.draft.DraftCheck;
import osmerin.core.runup.Completion;
import osmerin.core.runup.StepRole;
import osmerin.formats.text.DecodedText;
import osmerin.formats.word.WordText;

/** What somebody without an account sees and does through the link to a brief, and no more. */
@Service
public class SharedBrief {
  static final int LARGEST_FILE = 20 << 20;

  private final BriefLinkMapper links;
  private final ArticleService articles;
  private final ArticleEdits edits;
  private final BriefPages briefs;
  private final DraftService drafts;
  private final SiteService sites;
  private final TeamService team;
  private final History history;
  private final Notices notices;
  private final Clock clock;

  SharedBrief(
      BriefLinkMapper links,
      ArticleService articles,
      ArticleEdits edits,
      BriefPages briefs,
      DraftService drafts,
      SiteService sites,
      TeamService team,
      History history,
      Notices notices,
      Clock clock) {
    this.links = links;
    this.articles = articles;
    this.edits = edits;
    this.briefs = briefs;
    this.drafts = drafts;
    this.sites = sites;
    this.team = team;
    this.history = history;
    this.notices = notices;
    this.clock = clock;
  }

  /**
   * What a link opens.
   *
   * @param takesDrafts whether a draft can be handed in now
   */
  public record Opened(BriefLink link, Site site, BriefDocument brief, boolean takesDrafts) {}

  /** The link of a token, whether it works or not. */
  public Optional<BriefLink> find(String token) {
    return links.byToken(token);
  }

  /** How a link stands now. */
  public State state(Optional<BriefLink> link) {
    return link.map(known -> known.state(clock.instant())).orElse(State.UNKNOWN);
  }

  /** Opens a link that works, which is written down. */
  @Transactional
  public Opened open(BriefLink link) {
    links.opened(link.id(), clock.instant());
    return show(link);
  }

  /** The same after something was done on it. */
  Opened show(BriefLink link) {
    SiteContext context = context(link);
    Round round = round(context, link);
    return new Opened(
        link,
        context.site(),
        BriefDocument.of(briefs.of(context, round)),
        link.withHandIn() && isOpen(round));
  }

  private static boolean isOpen(Round round) {
    return round.latest() && !round.isLive() && !round.isArchived();
  }

  /** In the name of whoever made the link. */
  private SiteContext context(BriefLink link) {
    return sites.onBehalfOf(link.siteId(), team.signedIn(link.madeBy()));
  }

  private Round round(SiteContext context, BriefLink link) {
    return articles.get(context, link.number(), link.ordinal());
  }

  /** Holds a draft against the brief; nothing is kept. */
  public DraftCheck check(BriefLink link, String text) {
    if (!link.withCheck()) {
      throw new RefusedException("This link does not check drafts.");
    }
    if (text.isBlank() || text.length() > DraftService.LONGEST) {
      throw new RefusedException("Paste a draft of 1 to 400,000 characters, or choose a file.");
    }
    SiteContext context = context(link);
    return drafts.check(context, round(context, link), text);
  }

  /**
   * Takes a draft in: it becomes the latest version, in the name of whom the link is for; the step
   * of the draft is ticked, and the article's editors are told. One act.
   */
  @Transactional
  public void handIn(BriefLink link, String text) {
    SiteContext context = context(link);
    Round round = round(context, link);
    if (!link.withHandIn() || !isOpen(round)) {
      throw new RefusedException("Drafts can no longer be handed in here.");
    }
    List<Change> changes = new ArrayList<>();
    changes.add(drafts.handIn(context, round, text, link.whom()));
    changes.addAll(edits.complete(context, round, Completion.DRAFT_HANDED_IN));
    String sentence = "%s handed in a draft of %s.".formatted(link.whom(), round.reference());
    history.note(context, Right.WORK, sentence, changes);
    List<Long> whom = new ArrayList<>(round.article().people(StepRole.EDITOR));
    whom.add(link.madeBy());
    notices.tell(
        context.site(),
        whom.stream().distinct().toList(),
        NoticeKind.GUEST,
        sentence,
        context.base() + "/articles/" + round.reference() + "/draft");
  }

  /**
   * The text of a draft's file: text, Markdown or a Word document.
   *
   * @throws RefusedException when it is none of these
   */
  static String text(String name, byte[] content) {
    String small = name.toLowerCase(Locale.ROOT);
    try {
      if (small.endsWith(".docx")) {
        return WordText.read(content);
      }
    } catch (IOException e) {
      throw new RefusedException("“%s” is no Word document that can be read.".formatted(name));
    }
    if (small.endsWith(".txt") || small.endsWith(".md") || small.endsWith(".markdown")) {
      return DecodedText.of(content).text();
    }
    throw new RefusedException("Choose a text (.txt), Markdown (.md) or a Word document (.docx).");
  }
}
