package osmerin.app.briefs;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.brand.BrandPart;
import osmerin.app.brand.BrandSheet;
import osmerin.app.brand.BrandSheets;
import osmerin.app.evidence.KeptEvidence;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefPart;
import osmerin.core.evidence.WordRange;
import osmerin.core.runup.Completion;
import osmerin.core.runup.PlannedStep;

/** Puts together what the page of a brief shows. */
@Component
public class BriefPages {
  private final BriefService briefs;
  private final BriefEvidence behind;
  private final Lengths lengths;
  private final ArticleTypeService types;
  private final ArticleService articles;
  private final BrandSheets brand;

  BriefPages(
      BriefService briefs,
      BriefEvidence behind,
      Lengths lengths,
      ArticleTypeService types,
      ArticleService articles,
      BrandSheets brand) {
    this.brand = brand;
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
    return new BriefPage(
        round, brief, evidence, length, on, inherited(context), draftDue(context, round));
  }

  /** What changed since the evidence of before the round; empty when nothing is told. */
  Optional<BriefEvidence.Since> since(SiteContext context, BriefPage page) {
    return behind.since(context, page);
  }

  /** What the brand sheet says of parts of a brief. */
  private Map<BriefPart, String> inherited(SiteContext context) {
    BrandSheet sheet = brand.get(context);
    Map<BriefPart, String> inherited = new EnumMap<>(BriefPart.class);
    put(inherited, BriefPart.VOICE, sheet.voice());
    put(inherited, BriefPart.CALL_TO_ACTION, sheet.text(BrandPart.CALLS));
    return inherited;
  }

  private static void put(Map<BriefPart, String> texts, BriefPart part, String text) {
    if (!text.isEmpty()) {
      texts.put(part, text);
    }
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
    return planned.plan().steps().stream()
        .filter(step -> step.step().completedBy() == Completion.DRAFT_HANDED_IN)
        .map(PlannedStep::due)
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(null);
  }
}
