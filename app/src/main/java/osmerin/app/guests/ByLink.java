package osmerin.app.guests;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefPages;
import osmerin.app.drafts.OutsideDrafts;
import osmerin.app.handout.BriefDocument;
import osmerin.app.platform.security.LinkDoor.State;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.StepGuide;
import osmerin.app.runups.StepGuides;
import osmerin.app.runups.StepRow;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.core.draft.DraftCheck;
import osmerin.core.runup.Completion;
import osmerin.formats.markdown.Markdown;

/** What a guest sees and does through a link: their own steps of one article, and no more. */
@Service
public class ByLink {
  private final GuestMapper guests;
  private final ArticleService articles;
  private final ArticleEdits edits;
  private final BriefPages briefs;
  private final OutsideDrafts drafts;
  private final StepGuides guides;
  private final OnBehalf onBehalf;
  private final Clock clock;

  ByLink(
      GuestMapper guests,
      ArticleService articles,
      ArticleEdits edits,
      BriefPages briefs,
      OutsideDrafts drafts,
      StepGuides guides,
      OnBehalf onBehalf,
      Clock clock) {
    this.guests = guests;
    this.articles = articles;
    this.edits = edits;
    this.briefs = briefs;
    this.drafts = drafts;
    this.guides = guides;
    this.onBehalf = onBehalf;
    this.clock = clock;
  }

  /**
   * A step of the guest.
   *
   * @param waitsFor names of the steps it waits for, empty when it can be done
   * @param guide how it is done here, as HTML made safe; empty where nobody wrote it down
   */
  public record GuestStep(
      String key,
      String name,
      @Nullable LocalDate due,
      @Nullable LocalDate doneOn,
      String waitsFor,
      String guide) {}

  /**
   * What a link opens.
   *
   * @param brief null when the link does not show it
   * @param writes whether the guest sees the brief to write the draft
   * @param takesDrafts whether it can be handed in now
   * @param handedIn what the guest left, the latest first
   */
  public record Opened(
      GuestLink link,
      Site site,
      String reference,
      String title,
      List<GuestStep> steps,
      @Nullable BriefDocument brief,
      boolean writes,
      boolean takesDrafts,
      List<HandedIn> handedIn) {}

  /** The link of a token, whether it works or not. */
  public Optional<GuestLink> find(String token) {
    return guests.byToken(token);
  }

  /** How a link stands now. */
  public State state(Optional<GuestLink> link) {
    return link.map(known -> known.state(clock.instant())).orElse(State.UNKNOWN);
  }

  /** Opens a link that works, which is written down. */
  @Transactional
  public Opened open(GuestLink link) {
    guests.opened(link.id(), clock.instant());
    SiteContext context = context(link);
    PlannedRound planned = articles.planned(context, link.number());
    Round round = planned.round();
    return new Opened(
        link,
        context.site(),
        round.reference(),
        round.title(),
        round.isArchived() ? List.of() : steps(planned, link.personId()),
        link.withBrief() ? BriefDocument.of(briefs.of(context, round)) : null,
        writes(planned, link),
        drafts.areTaken(round),
        guests.handedIn(link.articleId(), link.personId()));
  }

  private static boolean writes(PlannedRound planned, GuestLink link) {
    return link.withBrief()
        && planned.steps().stream()
            .filter(step -> step.completedBy() == Completion.DRAFT_HANDED_IN)
            .anyMatch(step -> planned.round().holders(step).contains(link.personId()));
  }

  private List<GuestStep> steps(PlannedRound planned, long guest) {
    Map<String, StepGuide> written = guides.of(planned.round().typeId());
    List<GuestStep> steps = new ArrayList<>();
    for (int i = 0; i < planned.steps().size(); i++) {
      StepRow row = planned.steps().get(i);
      if (planned.round().holders(row).contains(guest)) {
        StepGuide guide = written.get(row.key());
        String waits =
            planned.waitsFor(row).stream().map(StepRow::name).collect(Collectors.joining(", "));
        steps.add(
            new GuestStep(
                row.key(),
                row.name(),
                planned.plan().steps().get(i).due(),
                row.doneOn(),
                row.doneOn() == null ? waits : "",
                guide == null ? "" : Markdown.html(guide.text())));
      }
    }
    return steps;
  }

  /** Acts as the guest: nothing but their own steps is open to them. */
  private SiteContext context(GuestLink link) {
    return onBehalf.guest(link.siteId(), link.personId());
  }

  /**
   * Ticks a step of the guest off, or opens it again.
   *
   * @throws NotFoundException when it is none of theirs
   */
  @Transactional
  public void tick(GuestLink link, String key, boolean done) {
    SiteContext context = context(link);
    PlannedRound planned = articles.planned(context, link.number());
    boolean theirs = steps(planned, link.personId()).stream().anyMatch(s -> s.key().equals(key));
    if (!theirs || planned.round().isArchived()) {
      throw new NotFoundException("step", key);
    }
    edits.tick(context, link.number(), key, done);
  }

  /** Holds a draft against the brief; nothing is kept. */
  public DraftCheck check(GuestLink link, String text) {
    SiteContext context = context(link);
    return drafts.check(context, written(context, link), text);
  }

  /** Takes the draft in as the next version, in the guest's name. */
  @Transactional
  public void handIn(GuestLink link, String text) {
    SiteContext context = context(link);
    drafts.handIn(context, written(context, link), text, link.guest(), List.of());
  }

  private Round written(SiteContext context, GuestLink link) {
    PlannedRound planned = articles.planned(context, link.number());
    if (!writes(planned, link)) {
      throw new RefusedException("You no longer write the draft of this article.");
    }
    return planned.round();
  }
}
