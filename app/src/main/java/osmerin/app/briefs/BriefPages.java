package osmerin.app.briefs;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefLack;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.OutlineCheck;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.Completion;

/** Puts together what the page of a brief shows. */
@Component
public class BriefPages {
  private final BriefService briefs;
  private final BriefEvidence behind;
  private final Lengths lengths;
  private final ArticleTypeService types;
  private final ArticleService articles;

  BriefPages(
      BriefService briefs,
      BriefEvidence behind,
      Lengths lengths,
      ArticleTypeService types,
      ArticleService articles) {
    this.briefs = briefs;
    this.behind = behind;
    this.lengths = lengths;
    this.types = types;
    this.articles = articles;
  }

  /** The brief as it is stored. */
  public BriefPage of(SiteContext context, Round round) {
    return of(context, round, briefs.get(context, round));
  }

  BriefPage of(SiteContext context, Round round, Brief brief) {
    KeptEvidence evidence = behind.of(context, round, brief).orElse(null);
    Optional<WordRange> length = lengths.of(context, round, brief, BriefPage.drawn(evidence));
    Set<BriefPart> on = brief.content().parts().orElseGet(() -> ofType(context, round));
    Integer target = length.map(WordRange::target).orElse(null);
    return new BriefPage(
        round,
        brief,
        evidence,
        length,
        on,
        draftDue(context, round),
        BriefLack.of(
            brief.content(), on, given(length.isPresent()), BriefPage.say(evidence).questions()),
        OutlineCheck.of(brief.outline(), BriefPage.say(evidence), target));
  }

  private static Set<BriefPart> given(boolean length) {
    return length ? EnumSet.of(BriefPart.LENGTH) : EnumSet.noneOf(BriefPart.class);
  }

  /** The parts that are on for the round's type. */
  Set<BriefPart> ofType(SiteContext context, Round round) {
    return types
        .find(context.siteId(), round.typeId())
        .map(ArticleType::briefPartSet)
        .orElse(BriefPart.SHIPPED);
  }

  private @Nullable LocalDate draftDue(SiteContext context, Round round) {
    PlannedRound planned = articles.planned(context, round.article().number(), round.ordinal());
    List<LocalDate> due =
        planned.plan().steps().stream()
            .filter(step -> step.step().completedBy() == Completion.DRAFT_HANDED_IN)
            .map(step -> step.due())
            .toList();
    return due.isEmpty() ? null : due.get(0);
  }
}
