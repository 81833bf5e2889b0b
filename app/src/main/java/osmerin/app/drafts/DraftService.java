package osmerin.app.drafts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.RoundReversal;
import osmerin.app.briefs.Brief;
import osmerin.app.briefs.BriefEvidence;
import osmerin.app.briefs.BriefService;
import osmerin.app.briefs.Lengths;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefPart;
import osmerin.core.draft.DraftBrief;
import osmerin.core.draft.DraftCheck;
import osmerin.core.draft.DraftDocument;
import osmerin.core.evidence.Evidence;
import osmerin.core.evidence.WordRange;
import osmerin.formats.markdown.Markdown;

/** Drafts, their versions and their check. */
@Service
public class DraftService implements RoundReversal {
  private static final String FIELD = "Draft";

  /** Longer drafts are refused. */
  public static final int LONGEST = 400_000;

  private final DraftMapper drafts;
  private final BriefService briefs;
  private final BriefEvidence evidence;
  private final Lengths lengths;
  private final History history;

  DraftService(
      DraftMapper drafts,
      BriefService briefs,
      BriefEvidence evidence,
      Lengths lengths,
      History history) {
    this.lengths = lengths;
    this.drafts = drafts;
    this.briefs = briefs;
    this.evidence = evidence;
    this.history = history;
  }

  /** What came of saving a draft. */
  public sealed interface Saved {
    record Done(int ordinal) implements Saved {}

    /** The text is that of the latest version. */
    record Unchanged(int ordinal) implements Saved {}

    /** Somebody saved a version that the person has not seen; nothing was stored. */
    record Conflict(DraftVersion theirs) implements Saved {}
  }

  /** The latest version, if there is one. */
  public Optional<DraftVersion> latest(Round round) {
    return drafts.find(round.id(), null);
  }

  public DraftVersion version(Round round, int ordinal) {
    return drafts
        .find(round.id(), ordinal)
        .orElseThrow(() -> new NotFoundException("draft version", ordinal));
  }

  /** All versions, the latest first. */
  public List<DraftVersion> versions(Round round) {
    return drafts.versions(round.id());
  }

  /** Words of the latest versions; rounds without a draft are left out. */
  public Map<Long, Integer> words(List<Round> rounds) {
    return rounds.isEmpty()
        ? Map.of()
        : drafts.words(rounds.stream().map(Round::id).toList()).stream()
            .collect(
                Collectors.toMap(DraftMapper.RoundWords::roundId, DraftMapper.RoundWords::words));
  }

  /**
   * Saves a new version.
   *
   * @param seen the version the person wrote on, 0 for none
   */
  @Transactional
  public Saved save(SiteContext context, Round round, String typed, int seen) {
    WorkRights.requireWork(context, round);
    if (round.isLive()) {
      throw new RefusedException(
          "Round "
              + round.ordinal()
              + " is live; its draft stays as it was. Open a refresh to write on.");
    }
    String text = typed.replace("\r\n", "\n").replace("\0", "");
    if (text.length() > LONGEST) {
      throw new RefusedException("A draft has at most 400,000 characters; this one has more.");
    }
    Optional<DraftVersion> latest = latest(round);
    if (latest.map(DraftVersion::text).orElse("").equals(text)) {
      return new Saved.Unchanged(latest.map(DraftVersion::ordinal).orElse(0));
    }
    if (latest.isPresent() && latest.get().ordinal() != seen) {
      return new Saved.Conflict(latest.get());
    }
    int before = latest.map(DraftVersion::ordinal).orElse(0);
    int words = Markdown.draft(text).words();
    if (drafts.insert(round.id(), before + 1, text, words, context.personId()) == 0) {
      return new Saved.Conflict(latest(round).orElseThrow());
    }
    history.note(
        context,
        Right.WORK,
        "Version %s of the draft of %s was saved.".formatted(before + 1, round.reference()),
        Change.of(
                Thing.ARTICLE,
                round.article().number(),
                FIELD,
                before == 0 ? null : "version " + before,
                "version " + (before + 1))
            .keeping(before, before + 1));
    return new Saved.Done(before + 1);
  }

  /**
   * Takes a draft in from somebody without an account, as the version after the latest one; without
   * an entry of its own.
   *
   * @param by their name
   */
  @Transactional
  public Change handIn(SiteContext context, Round round, String typed, String by) {
    String text = typed.replace("\r\n", "\n").replace("\0", "");
    if (text.isBlank() || text.length() > LONGEST) {
      throw new RefusedException("A draft has 1 to 400,000 characters.");
    }
    int before = latest(round).map(DraftVersion::ordinal).orElse(0);
    drafts.insertHandedIn(round.id(), text, Markdown.draft(text).words(), context.personId(), by);
    return Change.of(
            Thing.ARTICLE,
            round.article().number(),
            FIELD,
            before == 0 ? null : "version " + before,
            "version " + (before + 1))
        .keeping(before, before + 1);
  }

  @Override
  public boolean knows(String field) {
    return field.equals(FIELD);
  }

  /** An old version becomes the latest one again; those between stay. */
  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    DraftVersion latest = latest(round).orElseThrow();
    if (round.isLive() || !latest.text().equals(text(round, change.to()))) {
      return false;
    }
    String back = text(round, change.from());
    int words = Markdown.draft(back).words();
    return drafts.insert(round.id(), latest.ordinal() + 1, back, words, context.personId()) == 1;
  }

  private String text(Round round, String ordinal) {
    return ordinal.equals("0") ? "" : version(round, Integer.parseInt(ordinal)).text();
  }

  /** A refresh starts from the last round's draft. */
  @Transactional
  public void carryOver(SiteContext context, Round from, Round to) {
    latest(from)
        .ifPresent(
            draft -> drafts.insert(to.id(), 1, draft.text(), draft.words(), context.personId()));
  }

  /** Keeps what was published before it was written here, as the draft of a round that is live. */
  @Transactional
  public void keepPublished(SiteContext context, Round round, String text) {
    if (text.length() <= LONGEST && latest(round).isEmpty()) {
      int words = Markdown.draft(text).words();
      drafts.insert(round.id(), 1, text.replace("\0", ""), words, context.personId());
    }
  }

  /** Whether a further round has no draft but the one that was carried over. */
  public boolean isCarriedOver(Round round) {
    return drafts.versions(round.id()).size() <= 1;
  }

  /** Takes away what was carried over. */
  @Transactional
  public void dropCarriedOver(Round round) {
    drafts.remove(round.id());
  }

  /** A text as it is published: the description of its brief, where it has one, wins. */
  public DraftDocument document(SiteContext context, Round round, String text) {
    return Markdown.draft(text)
        .described(briefs.get(context, round).text(BriefPart.DESCRIPTION).replace("\n", " "));
  }

  /** The title that a draft is published under: its own, else the brief's, else the article's. */
  public String title(SiteContext context, Round round, DraftDocument draft) {
    return draft
        .title()
        .filter(title -> !title.isBlank())
        .orElseGet(() -> title(round, briefs.get(context, round)));
  }

  private static String title(Round round, Brief brief) {
    return brief.workingTitle().isBlank() ? round.title() : brief.workingTitle();
  }

  /** Holds a text against the brief of its round. */
  public DraftCheck check(SiteContext context, Round round, String text) {
    Brief brief = briefs.get(context, round);
    Evidence drawn =
        evidence.of(context, round, brief).map(KeptEvidence::evidence).orElse(Evidence.NONE);
    Optional<WordRange> length = lengths.of(context, round, brief, drawn);
    return DraftCheck.of(
        Markdown.draft(text),
        new DraftBrief(
            title(round, brief),
            brief.primaryKeyword(),
            brief.secondary(),
            length,
            brief.outline(),
            drawn.terms()));
  }
}
