package osmerin.app.holds;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Hold;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;

/**
 * Puts articles on hold and frees them. An article on hold is not late, nobody's desk has its
 * steps, it is not promised to its month, and it is not published.
 */
@Service
public class Holds implements RoundReversal {
  private static final String HOLD = "On hold";

  private final HoldMapper holds;
  private final ArticleService articles;
  private final TeamService team;
  private final History history;
  private final Notices notices;

  Holds(
      HoldMapper holds,
      ArticleService articles,
      TeamService team,
      History history,
      Notices notices) {
    this.holds = holds;
    this.articles = articles;
    this.team = team;
    this.history = history;
    this.notices = notices;
  }

  /**
   * Puts an article on hold, or says something else about why it is.
   *
   * @param freeBy who can free it besides editors, and is told; null for nobody else
   * @param until when it is to be asked about; null for never
   */
  @Transactional
  public void hold(
      SiteContext context,
      int number,
      String typedReason,
      @Nullable Long freeBy,
      @Nullable LocalDate until) {
    Round round = articles.get(context, number);
    WorkRights.requireWork(context, round);
    String reason = typedReason.strip().replaceAll("\\s+", " ");
    if (reason.isEmpty() || reason.length() > Hold.LONGEST_REASON) {
      throw new RefusedException(
          "Say in at most %s characters what it waits for.".formatted(Hold.LONGEST_REASON));
    }
    if (round.isLive()) {
      throw new RefusedException(round.reference() + " is live; it can't be on hold.");
    }
    if (until != null && !until.isAfter(context.today())) {
      throw new RefusedException("The day on which you want to be asked is yet to come.");
    }
    if (freeBy != null) {
      team.get(context, freeBy);
    }
    LocalDate since = round.hold() == null ? context.today() : round.hold().since();
    set(context, round, new Hold(reason, since, freeBy, until));
    if (freeBy != null && freeBy != context.personId()) {
      String text =
          "%s “%s” is on hold: %s. You can free it."
              .formatted(round.reference(), round.title(), reason);
      notices.tell(
          context,
          List.of(freeBy),
          NoticeKind.HANDED_OVER,
          text,
          context.base() + "/articles/" + round.reference());
    }
  }

  /** Frees an article; whoever can free it may, and editors. */
  @Transactional
  public void free(SiteContext context, int number) {
    Round round = articles.get(context, number);
    if (round.hold() == null) {
      return;
    }
    if (!Objects.equals(round.hold().freeBy(), context.personId())) {
      context.require(Right.EDIT);
    }
    set(context, round, null);
    List<Long> people = round.article().people().values().stream().flatMap(List::stream).toList();
    notices.tell(
        context,
        people,
        NoticeKind.HANDED_OVER,
        "%s “%s” is no longer on hold.".formatted(round.reference(), round.title()),
        context.base() + "/articles/" + round.reference());
  }

  private void set(SiteContext context, Round round, @Nullable Hold hold) {
    Hold before = round.hold();
    if (holds.set(round.id(), before == null ? null : before.reason(), hold) == 0) {
      throw new RefusedException("Somebody just changed that of " + round.reference() + ".");
    }
    String sentence =
        hold == null
            ? "%s is no longer on hold.".formatted(round.reference())
            : "%s is on hold: %s.".formatted(round.reference(), words(hold));
    history.note(
        context,
        Right.WORK,
        sentence,
        Change.of(
                Thing.ARTICLE,
                round.article().number(),
                HOLD,
                before == null ? null : words(before),
                hold == null ? null : words(hold))
            .keeping(KeptHold.of(before), KeptHold.of(hold)));
  }

  private static String words(Hold hold) {
    return hold.until() == null
        ? hold.reason()
        : hold.reason() + ", until " + In.dayAndYear(hold.until());
  }

  @Override
  public boolean knows(String field) {
    return field.equals(HOLD);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    KeptHold to = change.to(KeptHold.class);
    KeptHold from = change.from(KeptHold.class);
    return Objects.equals(KeptHold.of(round.hold()), to)
        && holds.set(round.id(), to == null ? null : to.reason(), from == null ? null : from.hold())
            == 1;
  }
}
