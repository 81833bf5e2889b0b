package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.RoundReversal;
import osmerin.app.articles.StageMoves;
import osmerin.app.briefs.Brief.SignOff;
import osmerin.app.briefs.BriefMapper.BriefRow;
import osmerin.app.groups.GroupService;
import osmerin.app.groups.GroupService.GroupKeywords;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.rounds.WorkRights;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.StageAct;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.Completion;
import tools.jackson.databind.json.JsonMapper;

/** Briefs. */
@Service
public class BriefService implements RoundReversal {
  private static final String FIELD = "Brief: ";
  private static final String SIGN_OFF = "Brief signed off";

  private final BriefMapper briefs;
  private final GroupService groups;
  private final JsonMapper json;
  private final History history;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;

  BriefService(
      BriefMapper briefs,
      GroupService groups,
      JsonMapper json,
      History history,
      ArticleEdits edits,
      StageMoves stageMoves) {
    this.edits = edits;
    this.stageMoves = stageMoves;
    this.briefs = briefs;
    this.groups = groups;
    this.json = json;
    this.history = history;
  }

  /** What came of saving a brief. */
  public sealed interface Saved {
    record Done(Brief brief) implements Saved {}

    /** Somebody else was faster; nothing was stored. {@code theirs} is what they saved. */
    record Conflict(Brief theirs, List<Difference> differences) implements Saved {}
  }

  /** A field in which two briefs differ. */
  public record Difference(String field, String theirs, String yours) {}

  /** The brief of a round; before it is first saved, with the keywords of the article's group. */
  public Brief get(SiteContext context, Round round) {
    return briefs.find(round.id()).map(this::brief).orElseGet(() -> fresh(context, round));
  }

  private Brief fresh(SiteContext context, Round round) {
    GroupKeywords keywords =
        round.article().groupId() == null
            ? new GroupKeywords("", List.of())
            : groups.keywords(context, round.article().groupId());
    return new Brief(
        round.id(),
        round.title(),
        keywords.primary(),
        keywords.secondary(),
        "",
        "",
        Optional.empty(),
        Outline.NONE,
        "",
        0,
        null,
        null,
        Optional.empty());
  }

  /**
   * Saves a brief over the version that the person has seen.
   *
   * @throws RefusedException when the round is live: then its brief is a record
   */
  @Transactional
  public Saved save(SiteContext context, Round round, Brief brief) {
    WorkRights.requireWork(context, round);
    if (round.isLive()) {
      throw new RefusedException(
          "Round "
              + round.ordinal()
              + " of "
              + round.reference()
              + " is live; its brief stays as it was.");
    }
    Brief before = get(context, round);
    BriefRow row = row(brief);
    int done =
        brief.version() == 0
            ? briefs.insert(row, context.personId())
            : briefs.update(row, brief.version(), context.personId());
    Brief now = get(context, round);
    if (done == 0) {
      return new Saved.Conflict(now, differences(now, brief));
    }
    history.note(
        context,
        Right.WORK,
        "The brief of %s was changed.".formatted(round.reference()),
        changes(round, before, now));
    return new Saved.Done(now);
  }

  private List<Change> changes(Round round, Brief before, Brief now) {
    return BriefField.ALL.stream()
        .filter(field -> !field.words(before).equals(field.words(now)))
        .map(
            field ->
                Change.of(
                    Thing.ARTICLE,
                    round.article().number(),
                    FIELD + field.name(),
                    field.words(before),
                    field.words(now),
                    field.value(row(before)),
                    field.value(row(now))))
        .toList();
  }

  /**
   * An editor signs the brief off as it stands; changing it afterwards asks for it again. The step
   * that it completes is ticked and the article is briefed: one act, undone together.
   *
   * @param version the version that was read
   */
  @Transactional
  public void signOff(SiteContext context, Round round, int version) {
    context.require(Right.EDIT);
    KeptSignOff before = briefs.signedOff(round.id()).orElse(null);
    if (briefs.signOff(round.id(), version, context.personId()) == 0) {
      throw new RefusedException(
          "Someone else changed the brief of %s. Read it again, then sign it off."
              .formatted(round.reference()));
    }
    List<Change> changes = new ArrayList<>();
    changes.add(
        Change.of(
            Thing.ARTICLE,
            round.article().number(),
            SIGN_OFF,
            before == null ? null : "version " + before.version(),
            "version " + version,
            before,
            briefs.signedOff(round.id()).orElseThrow()));
    changes.addAll(edits.complete(context, round, Completion.BRIEF_SIGNED_OFF));
    changes.addAll(stageMoves.reach(context, round, StageAct.SIGN_OFF));
    history.note(
        context,
        Right.EDIT,
        "The brief of %s was signed off.".formatted(round.reference()),
        changes);
  }

  /** Which of the rounds have a brief that was written and is not signed off as it is. */
  public Set<Long> waitingForSignOff(Collection<Long> rounds) {
    return rounds.isEmpty() ? Set.of() : new HashSet<>(briefs.unsigned(rounds));
  }

  @Override
  public boolean knows(String field) {
    return field.startsWith(FIELD) || field.equals(SIGN_OFF);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    if (change.field().equals(SIGN_OFF)) {
      KeptSignOff now = change.to(KeptSignOff.class);
      return briefs.putSignOff(round.id(), now, change.from(KeptSignOff.class)) == 1;
    }
    BriefField field = BriefField.get(change.field().substring(FIELD.length()));
    BriefRow now = briefs.find(round.id()).orElseThrow();
    // Read and written again, since the database keeps JSON in a form of its own.
    String value = field.value(row(brief(now)));
    boolean stands = Objects.equals(value, change.to()) && !round.isLive();
    return stands
        && briefs.update(field.with(now, change.from()), now.version(), context.personId()) == 1;
  }

  /** A refresh starts from the last round's brief. */
  @Transactional
  public void carryOver(Round from, Round to) {
    briefs.copy(from.id(), to.id());
  }

  /** Whether the brief of a further round is still the one that was carried over. */
  public boolean isCarriedOver(Round round) {
    return briefs.find(round.id()).map(BriefRow::version).orElse(1) == 1;
  }

  /** Takes away what was carried over. */
  @Transactional
  public void dropCarriedOver(Round round) {
    briefs.remove(round.id());
  }

  private static List<Difference> differences(Brief theirs, Brief yours) {
    return BriefField.ALL.stream()
        .filter(field -> !field.words(theirs).equals(field.words(yours)))
        .map(field -> new Difference(field.name(), field.words(theirs), field.words(yours)))
        .toList();
  }

  private Brief brief(BriefRow row) {
    Optional<WordRange> words =
        row.wordsLow() == null
            ? Optional.empty()
            : Optional.of(new WordRange(row.wordsLow(), row.wordsTarget(), row.wordsHigh()));
    return new Brief(
        row.roundId(),
        row.workingTitle(),
        row.primaryKeyword(),
        row.secondary(),
        row.reader(),
        row.angle(),
        words,
        new Outline(List.of(json.readValue(row.outline(), Outline.Section[].class))),
        row.notes(),
        row.version(),
        row.changedBy(),
        row.changedAt(),
        Optional.ofNullable(row.signedOff())
            .map(version -> new SignOff(version, row.signedOffBy(), row.signedOffAt())));
  }

  private BriefRow row(Brief brief) {
    return new BriefRow(
        brief.roundId(),
        brief.workingTitle(),
        brief.primaryKeyword(),
        brief.secondary(),
        brief.reader(),
        brief.angle(),
        brief.words().map(WordRange::low).orElse(null),
        brief.words().map(WordRange::target).orElse(null),
        brief.words().map(WordRange::high).orElse(null),
        json.writeValueAsString(brief.outline().sections()),
        brief.notes(),
        brief.version(),
        null,
        null,
        null,
        null,
        null);
  }
}
