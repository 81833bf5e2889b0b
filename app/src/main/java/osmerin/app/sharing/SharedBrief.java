package osmerin.app.sharing;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefPages;
import osmerin.app.drafts.OutsideDrafts;
import osmerin.app.handout.BriefDocument;
import osmerin.app.platform.security.LinkDoor.State;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.core.draft.DraftCheck;

/** What somebody without an account sees and does through the link to a brief, and no more. */
@Service
public class SharedBrief {
  private final OnBehalf onBehalf;
  private final BriefLinks links;
  private final ArticleService articles;
  private final BriefPages briefs;
  private final OutsideDrafts drafts;

  SharedBrief(
      BriefLinks links,
      ArticleService articles,
      BriefPages briefs,
      OutsideDrafts drafts,
      OnBehalf onBehalf) {
    this.onBehalf = onBehalf;
    this.links = links;
    this.articles = articles;
    this.briefs = briefs;
    this.drafts = drafts;
  }

  /**
   * What a link opens.
   *
   * @param takesDrafts whether a draft can be handed in now
   */
  public record Opened(BriefLink link, Site site, BriefDocument brief, boolean takesDrafts) {}

  /** The link of a token, whether it works or not. */
  public Optional<BriefLink> find(String token) {
    return links.find(token);
  }

  /** How a link stands now. */
  public State state(Optional<BriefLink> link) {
    return link.map(links::state).orElse(State.UNKNOWN);
  }

  /** Opens a link that works, which is written down. */
  @Transactional
  public Opened open(BriefLink link) {
    links.opened(link);
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
        link.withHandIn() && drafts.areTaken(round));
  }

  /** In the name of whoever made the link. */
  private SiteContext context(BriefLink link) {
    return onBehalf.of(link.siteId(), link.madeBy());
  }

  private Round round(SiteContext context, BriefLink link) {
    return articles.get(context, link.number(), link.ordinal());
  }

  /** Holds a draft against the brief; nothing is kept. */
  public DraftCheck check(BriefLink link, String text) {
    if (!link.withCheck()) {
      throw new RefusedException("This link does not check drafts.");
    }
    SiteContext context = context(link);
    return drafts.check(context, round(context, link), text);
  }

  /** Takes a draft in, in the name of whom the link is for; who made the link is told as well. */
  @Transactional
  public void handIn(BriefLink link, String text) {
    if (!link.withHandIn()) {
      throw new RefusedException("This link takes no drafts.");
    }
    SiteContext context = context(link);
    drafts.handIn(context, round(context, link), text, link.whom(), List.of(link.madeBy()));
  }
}
