package osmerin.app.briefs;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.RoundReversal;
import osmerin.app.articles.StageMoves;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.core.article.StageAct;
import osmerin.core.runup.Completion;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/** An editor's word on briefs: signed off as they stand, or what to change first. */
@Service
public class SignOffs implements RoundReversal {
  private static final String SIGN_OFF = "Brief signed off";
  private static final String REFUSAL = "Brief refused";

  /** What an editor writes when refusing is a note, not an essay. */
  static final int LONGEST_REFUSAL = 2_000;

  private final BriefMapper briefs;
  private final BriefService writing;
  private final History history;
  private final ArticleEdits edits;
  private final StageMoves stageMoves;
  private final Notices notices;
  private final Clock clock;
  private final ArticleTypeService types;

  SignOffs(
      BriefMapper briefs,
      BriefService writing,
      History history,
      ArticleEdits edits,
      StageMoves stageMoves,
      Notices notices,
      Clock clock,
      ArticleTypeService types) {
    this.types = types;
    this.briefs = briefs;
    this.writing = writing;
    this.history = history;
    this.edits = edits;
    this.stageMoves = stageMoves;
    this.notices = notices;
    this.clock = clock;
  }

  /**
   * An editor signs the brief off as it stands; changing it afterwards asks for it again. The step
   * that it completes is ticked and the article is briefed: one act, undone together.
   *
   * @param version the version that was read
   */
  @Transactional
  public void signOff(SiteContext context, Round round, int version) {
    requireSigner(context, round);
    KeptSignOff before = briefs.signedOff(round.id()).orElse(null);
    if (briefs.signOff(round.id(), version, context.personId()) == 0) {
      throw new RefusedException(
          "Someone else changed the brief of %s. Read it again, then sign it off."
              .formatted(round.reference()));
    }
    List<Change> changes = new ArrayList<>();
    changes.add(signedOff(round, before, briefs.signedOff(round.id()).orElseThrow()));
    changes.addAll(refused(round, null));
    changes.addAll(edits.complete(context, round, Completion.BRIEF_SIGNED_OFF));
    changes.addAll(stageMoves.reach(context, round, StageAct.SIGN_OFF));
    history.note(
        context,
        Right.EDIT,
        "The brief of %s was signed off.".formatted(round.reference()),
        changes);
  }

  /**
   * An editor says what to change before the brief is signed off: a sign-off is taken back, and the
   * step that it completes is open again. Whoever wrote the brief is told. One act, undone
   * together.
   */
  @Transactional
  public void refuse(SiteContext context, Round round, String typed) {
    requireSigner(context, round);
    BriefService.requireOpen(context, round);
    String what = typed.strip();
    if (what.isEmpty() || what.length() > LONGEST_REFUSAL) {
      throw new RefusedException(
          "Say what to change, in 1 to %s characters.".formatted(Counted.of(LONGEST_REFUSAL)));
    }
    Brief now = writing.locked(context, round);
    if (now.version() == 0) {
      throw new RefusedException("Nobody has written the brief of " + round.reference() + " yet.");
    }
    List<Change> changes = new ArrayList<>();
    briefs
        .signedOff(round.id())
        .ifPresent(
            before -> {
              briefs.putSignOff(round.id(), before, null);
              changes.add(signedOff(round, before, null));
            });
    changes.addAll(
        refused(round, new KeptRefusal(now.version(), context.personId(), clock.instant(), what)));
    changes.addAll(edits.reopen(context, round, Completion.BRIEF_SIGNED_OFF));
    String sentence = "The brief of %s is to be changed.".formatted(round.reference());
    history.note(context, Right.EDIT, sentence, changes);
    notices.tell(
        context,
        Arrays.asList(briefs.lastWriter(round.id())),
        NoticeKind.HANDED_OVER,
        sentence + " " + what,
        context.base() + "/articles/" + round.reference() + "/brief");
  }

  private static Change signedOff(
      Round round, @Nullable KeptSignOff before, @Nullable KeptSignOff now) {
    return Change.of(
            Thing.ARTICLE,
            round.article().number(),
            SIGN_OFF,
            before == null ? null : "version " + before.version(),
            now == null ? null : "version " + now.version())
        .keeping(before, now);
  }

  private List<Change> refused(Round round, @Nullable KeptRefusal now) {
    KeptRefusal before = briefs.refused(round.id()).orElse(null);
    if (before == null && now == null) {
      return List.of();
    }
    briefs.putRefusal(round.id(), before, now);
    return List.of(
        Change.of(
                Thing.ARTICLE,
                round.article().number(),
                REFUSAL,
                before == null ? null : before.what(),
                now == null ? null : now.what())
            .keeping(before, now));
  }

  /** Whether somebody may sign off, or refuse, the brief of a round: its type says so. */
  public boolean may(SiteContext context, Round round) {
    return context.may(Right.EDIT) && context.role().isGiven(by(context, round));
  }

  /** The least role that signs the brief of a round off. */
  public Role by(SiteContext context, Round round) {
    return types
        .find(context.siteId(), round.typeId())
        .map(ArticleType::signOffBy)
        .orElse(Role.EDITOR);
  }

  /** Whether somebody is the one to sign off: the article's editor, or its strategist. */
  public boolean asks(SiteContext context, Round round) {
    StepRole signer = by(context, round) == Role.EDITOR ? StepRole.EDITOR : StepRole.STRATEGIST;
    return may(context, round) && round.article().people(signer).contains(context.personId());
  }

  private void requireSigner(SiteContext context, Round round) {
    context.require(Right.EDIT);
    if (!may(context, round)) {
      throw new RefusedException(
          "Briefs of this type are signed off by %s.".formatted(by(context, round).from()));
    }
  }

  /** Which of the rounds have a brief that was written and is not signed off as it is. */
  public Set<Long> waitingForSignOff(Collection<Long> rounds) {
    return rounds.isEmpty() ? Set.of() : new HashSet<>(briefs.unsigned(rounds));
  }

  @Override
  public boolean knows(String field) {
    return field.equals(SIGN_OFF) || field.equals(REFUSAL);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    if (change.field().equals(SIGN_OFF)) {
      KeptSignOff now = change.to(KeptSignOff.class);
      return briefs.putSignOff(round.id(), now, change.from(KeptSignOff.class)) == 1;
    }
    KeptRefusal now = change.to(KeptRefusal.class);
    return briefs.putRefusal(round.id(), now, change.from(KeptRefusal.class)) == 1;
  }
}
