package osmerin.app.pitches;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.GroupsTaken;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.text.Counted;

/** Proposed articles. */
@Service
public class PitchService implements Reversal {
  private static final String TITLE = "Title";
  private static final String STATE = "State";
  private static final String ARCHIVED = "Archived";
  private static final String OPEN = "OPEN";
  private static final String COMMISSIONED = "COMMISSIONED";

  private final PitchMapper pitches;
  private final ArticleService articles;
  private final History history;
  private final Notices notices;
  private final ApplicationEventPublisher events;

  PitchService(
      PitchMapper pitches,
      ArticleService articles,
      History history,
      Notices notices,
      ApplicationEventPublisher events) {
    this.events = events;
    this.pitches = pitches;
    this.articles = articles;
    this.history = history;
    this.notices = notices;
  }

  /** Keeps a pitch; all it needs is a title. */
  @Transactional
  public Pitch pitch(SiteContext context, String title) {
    context.require(Right.PITCH);
    String wanted = Commission.title(title);
    long id = pitches.insert(context.siteId(), wanted, context.personId(), null);
    // Taking it back puts it into the archive.
    history.note(
        context,
        Right.PITCH,
        "“%s” was pitched.".formatted(wanted),
        Change.of(Thing.PITCH, id, ARCHIVED, null, "pitched").keeping("archived", null));
    return get(context, id);
  }

  /** A group that is to be pitched; its name becomes the title. */
  public record GroupToPitch(long id, String name) {}

  /**
   * Keeps a pitch for each group that has none yet.
   *
   * @return how many
   */
  @Transactional
  public int pitchGroups(SiteContext context, List<GroupToPitch> groups) {
    context.require(Right.PITCH);
    if (groups.isEmpty()) {
      throw new RefusedException("Mark the groups first, with Space or by drawing around them.");
    }
    Set<Long> pitched =
        new HashSet<>(
            pitches.pitchedGroups(
                context.siteId(), groups.stream().map(GroupToPitch::id).toList()));
    List<Change> changes = new ArrayList<>();
    for (GroupToPitch group : groups) {
      if (pitched.add(group.id())) {
        String title = Commission.title(Commission.titleOf(group.name()));
        long id = pitches.insert(context.siteId(), title, context.personId(), group.id());
        changes.add(
            Change.of(Thing.PITCH, id, ARCHIVED, null, "pitched").keeping("archived", null));
      }
    }
    if (changes.isEmpty()) {
      throw new RefusedException("All of them are pitched already; they wait under Pitches.");
    }
    history.note(context, Right.PITCH, Counted.of(changes.size(), "group") + " pitched.", changes);
    events.publishEvent(new GroupsTaken(context, groups.stream().map(GroupToPitch::id).toList()));
    return changes.size();
  }

  /** Open pitches, the latest first. */
  public List<Pitch> open(SiteContext context, int offset, int limit) {
    return pitches.open(context.siteId(), offset, limit);
  }

  public long countOpen(SiteContext context) {
    return pitches.countOpen(context.siteId());
  }

  /**
   * Archived pitches, the latest first.
   *
   * @param words of the title, empty for all
   */
  public List<Pitch> archived(SiteContext context, String words, int offset, int limit) {
    return pitches.archived(context.siteId(), LikePattern.of(words), offset, limit);
  }

  /** How many there are of {@link #archived}. */
  public long countArchived(SiteContext context, String words) {
    return pitches.countArchived(context.siteId(), LikePattern.of(words));
  }

  /** Open pitches with these words, the best first. */
  public List<Pitch> find(SiteContext context, String words, int limit) {
    return pitches.findByWords(context.siteId(), LikePattern.of(words), limit);
  }

  public Pitch get(SiteContext context, long id) {
    return pitches
        .findOpen(context.siteId(), id)
        .orElseThrow(() -> new NotFoundException("pitch", id));
  }

  /** Renames a pitch: one's own, or with the right to edit any. */
  @Transactional
  public void rename(SiteContext context, long id, String title, int seen) {
    Pitch pitch = get(context, id);
    requireOwn(context, pitch);
    String wanted = Commission.title(title);
    if (pitches.rename(context.siteId(), id, wanted, seen) == 0) {
      Map<String, String> now = Map.of("seen", String.valueOf(pitch.version()));
      throw new ConflictException(
          new ConflictException.Field("The pitch", TITLE),
          pitch.title(),
          wanted,
          history.lastBy(context, Thing.PITCH, id, TITLE),
          now);
    }
    if (!wanted.equals(pitch.title())) {
      history.note(
          context,
          Right.PITCH,
          "The pitch “%s” is “%s” now.".formatted(pitch.title(), wanted),
          Change.of(Thing.PITCH, id, TITLE, pitch.title(), wanted));
    }
  }

  private static void requireOwn(SiteContext context, Pitch pitch) {
    if (pitch.pitcherId() != context.personId()) {
      context.require(Right.EDIT);
    }
  }

  /** Puts a pitch out of sight. */
  @Transactional
  public void archive(SiteContext context, long id) {
    Pitch pitch = get(context, id);
    requireOwn(context, pitch);
    pitches.archive(context.siteId(), id, true);
    history.note(
        context,
        Right.PITCH,
        "The pitch “%s” is in the archive.".formatted(pitch.title()),
        Change.of(Thing.PITCH, id, ARCHIVED, null, "archived"));
  }

  /** Brings a pitch back from the archive. */
  @Transactional
  public void restore(SiteContext context, long id) {
    context.require(Right.EDIT);
    if (pitches.archive(context.siteId(), id, false) == 0) {
      throw new NotFoundException("archived pitch", id);
    }
    history.note(
        context,
        Right.EDIT,
        "The pitch “%s” is restored.".formatted(get(context, id).title()),
        Change.of(Thing.PITCH, id, ARCHIVED, "archived", null));
  }

  /** Accepts a pitch: it becomes an article. */
  @Transactional
  public Round commission(SiteContext context, long id, Commission commission) {
    Pitch pitch =
        pitches
            .findOpen(context.siteId(), id)
            .orElseThrow(() -> new RefusedException("This pitch has already been taken."));
    Change taken =
        Change.of(Thing.PITCH, id, STATE, "open", "commissioned").keeping(OPEN, COMMISSIONED);
    Round round = articles.commission(context, commission, List.of(taken));
    if (pitches.setState(context.siteId(), id, OPEN, COMMISSIONED, round.article().number()) == 0) {
      throw new RefusedException("This pitch has already been commissioned.");
    }
    notices.tell(
        context,
        List.of(pitch.pitcherId()),
        NoticeKind.PITCH_DECIDED,
        "Your pitch “%s” was commissioned as %s.".formatted(pitch.title(), round.reference()),
        context.base() + "/articles/" + round.reference());
    return round;
  }

  @Override
  public Thing thing() {
    return Thing.PITCH;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    long id = Long.parseLong(key);
    for (Change change : changes) {
      boolean put =
          switch (change.field()) {
            case TITLE -> putTitle(context, id, change);
            case ARCHIVED -> pitches.archive(context.siteId(), id, change.from() != null) == 1;
            case STATE ->
                pitches.setState(context.siteId(), id, change.to(), change.from(), null) == 1;
            default -> throw new IllegalStateException("nobody takes back " + change.field());
          };
      if (!put) {
        throw new RefusedException("The pitch is not as it was left, so it cannot be put back.");
      }
    }
  }

  private boolean putTitle(SiteContext context, long id, Change change) {
    Pitch pitch = get(context, id);
    return pitch.title().equals(change.to())
        && pitches.rename(context.siteId(), id, change.from(), pitch.version()) == 1;
  }
}
