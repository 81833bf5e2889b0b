package osmerin.app.guests;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.team.OnBehalf;
import osmerin.app.team.TeamService;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Shortened;

/** Notes and files that a guest leaves for an article; its editors and strategists are told. */
@Service
public class GuestNotes {
  static final int LONGEST_NOTE = 5_000;
  static final int LARGEST_FILE = 20 << 20;
  static final long MOST_BYTES = 200L << 20;

  private final GuestMapper guests;
  private final ArticleService articles;
  private final OnBehalf onBehalf;
  private final TeamService team;
  private final History history;
  private final Notices notices;
  private final Clock clock;

  GuestNotes(
      GuestMapper guests,
      ArticleService articles,
      OnBehalf onBehalf,
      TeamService team,
      History history,
      Notices notices,
      Clock clock) {
    this.guests = guests;
    this.articles = articles;
    this.onBehalf = onBehalf;
    this.team = team;
    this.history = history;
    this.notices = notices;
    this.clock = clock;
  }

  /** Leaves a note, of which the article's editors and strategists are told. */
  @Transactional
  public void note(GuestLink link, String typed) {
    String text = typed.strip();
    if (text.isEmpty()) {
      throw new RefusedException("Write something first.");
    }
    if (text.length() > LONGEST_NOTE) {
      throw new RefusedException(
          "A note has at most %s characters; this has %s.".formatted(LONGEST_NOTE, text.length()));
    }
    guests.insertNote(link, text, clock.instant());
    tell(link, "left a note", text);
  }

  /** Takes a file. */
  @Transactional
  public void hand(GuestLink link, String sentName, byte[] content) {
    if (content.length == 0) {
      throw new RefusedException("Choose a file first, one that is not empty.");
    }
    if (content.length > LARGEST_FILE || guests.bytesOf(link) + content.length > MOST_BYTES) {
      throw new RefusedException("Files of at most 20 MB can be handed in, 200 MB in all.");
    }
    String name = FileName.shown(sentName);
    guests.insertFile(link, name, content, clock.instant());
    tell(link, "handed in a file", name);
  }

  private void tell(GuestLink link, String what, String detail) {
    SiteContext context = onBehalf.guest(link.siteId(), link.personId());
    Round round = articles.get(context, link.number());
    String sentence = "%s %s for %s.".formatted(link.guest(), what, round.reference());
    history.note(
        context,
        Right.EDIT,
        sentence,
        Change.lasting(Thing.ARTICLE, link.number(), "Guest", null, Shortened.of(detail)));
    List<Long> whom = new ArrayList<>(round.article().people(StepRole.EDITOR));
    whom.addAll(round.article().people(StepRole.STRATEGIST));
    notices.tell(
        context,
        whom.isEmpty() ? team.who(link.siteId(), Right.MANAGE) : whom,
        NoticeKind.GUEST,
        sentence,
        context.base() + "/articles/" + round.reference() + "#guests");
  }
}
