package osmerin.app.briefs;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.RoundReversal;
import osmerin.app.briefs.Brief.Refusal;
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
import osmerin.core.brief.BriefContent;
import osmerin.core.text.Language;

/** What briefs say: each field is saved over what a person saw, and taken back by itself. */
@Service
public class BriefService implements RoundReversal {
  private static final String FIELD = "Brief: ";

  private final BriefMapper briefs;
  private final GroupService groups;
  private final History history;

  BriefService(BriefMapper briefs, GroupService groups, History history) {
    this.briefs = briefs;
    this.groups = groups;
    this.history = history;
  }

  /** What came of saving a brief. */
  public sealed interface Saved {
    record Done(Brief brief) implements Saved {}

    /** Somebody else was faster; nothing was stored. {@code theirs} is what they saved. */
    record Conflict(Brief theirs, List<BriefDifference> differences) implements Saved {}
  }

  /** The brief of a round; before it is first saved, with the keywords of the article's group. */
  public Brief get(SiteContext context, Round round) {
    return briefs.find(round.id()).map(BriefService::brief).orElseGet(() -> fresh(context, round));
  }

  private Brief fresh(SiteContext context, Round round) {
    GroupKeywords keywords =
        round.article().groupId() == null
            ? new GroupKeywords("", List.of(), Language.ENGLISH)
            : groups.keywords(context, round.article().groupId());
    BriefContent content =
        BriefContent.NONE
            .withTitle(round.title())
            .withPrimary(keywords.primary())
            .withSecondary(keywords.secondary());
    return new Brief(round.id(), content, 0, null, null, Optional.empty(), Optional.empty());
  }

  /**
   * Saves a brief over the version that the person has seen.
   *
   * @param version 0 when it was not saved before
   * @throws RefusedException when the round is live: then its brief is a record
   */
  @Transactional
  public Saved save(SiteContext context, Round round, BriefContent content, int version) {
    requireOpen(context, round);
    Brief before = locked(context, round);
    if (before.version() != version) {
      return new Saved.Conflict(before, BriefField.differences(before.content(), content));
    }
    return new Saved.Done(store(context, round, before, content));
  }

  /**
   * Saves one field, whatever others do to the rest.
   *
   * @param field its name
   * @param seen the value that was changed
   * @param wanted what it was changed to
   * @throws RefusedException when the round is live
   */
  @Transactional
  public Saved save(SiteContext context, Round round, String field, String seen, String wanted) {
    requireOpen(context, round);
    Brief before = locked(context, round);
    BriefField its = BriefField.get(field);
    return its.merged(before.content(), seen, wanted)
        .<Saved>map(content -> new Saved.Done(store(context, round, before, content)))
        .orElseGet(
            () ->
                new Saved.Conflict(
                    before,
                    BriefField.differences(
                        before.content(), its.with().apply(before.content(), wanted))));
  }

  /** Changes a brief as it stands, whoever changed it last. */
  @Transactional
  public Brief change(SiteContext context, Round round, UnaryOperator<BriefContent> how) {
    requireOpen(context, round);
    Brief before = locked(context, round);
    return store(context, round, before, how.apply(before.content()));
  }

  /** Refuses whoever may not write it, and what is a record. */
  static void requireOpen(SiteContext context, Round round) {
    WorkRights.requireWork(context, round);
    if (round.isLive()) {
      throw new RefusedException(
          "Round "
              + round.ordinal()
              + " of "
              + round.reference()
              + " is live; its brief stays as it was.");
    }
  }

  /** The brief, which nobody else changes until the transaction ends. */
  Brief locked(SiteContext context, Round round) {
    briefs.lock(round.id());
    return get(context, round);
  }

  private Brief store(SiteContext context, Round round, Brief before, BriefContent content) {
    if (before.version() > 0 && before.content().equals(content)) {
      return before;
    }
    BriefLimits.check(content);
    String json = BriefJson.write(content);
    if (before.version() == 0) {
      briefs.insert(round.id(), json, context.personId());
    } else {
      briefs.update(round.id(), json, before.version(), context.personId());
    }
    history.note(
        context,
        Right.WORK,
        "The brief of %s was changed.".formatted(round.reference()),
        changes(round, before.content(), content));
    return get(context, round);
  }

  private List<Change> changes(Round round, BriefContent before, BriefContent now) {
    return BriefField.ALL.stream()
        .filter(field -> !field.sent(before).equals(field.sent(now)))
        .map(
            field ->
                Change.of(
                        Thing.ARTICLE,
                        round.article().number(),
                        FIELD + field.name(),
                        field.words(before),
                        field.words(now))
                    .keeping(field.value().apply(before), field.value().apply(now)))
        .toList();
  }

  /** Who changed a field last, and when; whoever changed the brief last where history says none. */
  String lastBy(SiteContext context, Round round, String field) {
    String by = history.lastBy(context, Thing.ARTICLE, round.article().number(), FIELD + field);
    return by != null
        ? by
        : Objects.requireNonNullElse(get(context, round).changedBy(), "Somebody");
  }

  @Override
  public boolean knows(String field) {
    return field.startsWith(FIELD);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    BriefField field = BriefField.get(change.field().substring(FIELD.length()));
    Brief now = locked(context, round);
    // Read and written again: older entries know less of a section.
    String expected = field.sent(field.with().apply(now.content(), change.to()));
    boolean stands = field.sent(now.content()).equals(expected) && !round.isLive();
    String json = BriefJson.write(field.with().apply(now.content(), change.from()));
    return stands && briefs.update(round.id(), json, now.version(), context.personId()) == 1;
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

  private static Brief brief(BriefRow row) {
    return new Brief(
        row.roundId(),
        BriefJson.read(row.content()),
        row.version(),
        row.changedBy(),
        row.changedAt(),
        Optional.ofNullable(row.signedOff())
            .map(
                version ->
                    new SignOff(
                        version,
                        row.signedOffBy(),
                        row.signedOffAt(),
                        row.signedContent() == null ? null : BriefJson.read(row.signedContent()))),
        Optional.ofNullable(row.refusedVersion())
            .map(version -> new Refusal(version, row.refusedBy(), row.refusedAt(), row.refusal())));
  }
}
