package osmerin.app.worth;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.In;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.site.Right;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.worth.Outcomes.Proposal;
import osmerin.app.worth.StrengthMapper.Stored;
import osmerin.core.article.BriefNeed;
import osmerin.core.article.Kind;
import osmerin.core.worth.Calibration;
import osmerin.core.worth.Calibration.Judged;
import osmerin.core.worth.Chances;
import osmerin.core.worth.Effort;
import osmerin.core.worth.SiteReach;

/** Keeps how strong a site is, and what its groups are weighed by. */
@Service
public class StrengthService implements Reversal {
  private static final double SHIPPED_HOURS = 8;
  private static final BigDecimal MOST = BigDecimal.valueOf(100_000);
  private static final int MOST_WORDS = 10_000;
  private static final String CHANCES = "Chances";

  private static final Stored NOTHING_SAID =
      new Stored(null, null, null, null, Effort.SHIPPED_WORDS_AN_HOUR, null, null, 0);

  private final StrengthMapper strengths;
  private final Outcomes outcomes;
  private final ArticleTypeService types;
  private final History history;

  StrengthService(
      StrengthMapper strengths, Outcomes outcomes, ArticleTypeService types, History history) {
    this.strengths = strengths;
    this.outcomes = outcomes;
    this.types = types;
    this.history = history;
  }

  public SiteStrength get(SiteContext context) {
    Stored now = stored(context.siteId());
    ArticleType first =
        types.list(context.siteId(), Kind.NEW).stream()
            .filter(type -> type.hours() > 0)
            .findFirst()
            .orElse(
                new ArticleType(
                    0,
                    "article",
                    Kind.NEW,
                    0,
                    SHIPPED_HOURS,
                    0,
                    0,
                    0,
                    0,
                    null,
                    null,
                    BriefNeed.NONE,
                    "",
                    "",
                    Role.EDITOR));
    SiteReach shipped = SiteReach.of(strength(now));
    Chances learned = now.learned();
    return new SiteStrength(
        now.strength(),
        now.awareness(),
        now.consideration(),
        now.decision(),
        now.version(),
        new Effort(first.hours(), first.writingHours(), now.wordsAnHour()),
        first.name(),
        learned != null,
        learned == null ? shipped : shipped.with(learned));
  }

  private static int strength(Stored now) {
    return now.strength() == null ? SiteStrength.ASSUMED_STRENGTH : now.strength();
  }

  /** How well chances match what became of the site's articles. */
  public Calibration calibration(SiteContext context) {
    return Calibration.of(strength(stored(context.siteId())), outcomes.of(context));
  }

  /** The strength that the site's own positions tell; empty while they tell too little. */
  Optional<Proposal> proposal(SiteContext context) {
    return outcomes.proposal(context);
  }

  /**
   * Weighs with the chances learned from the site's articles up to now, or with those as shipped.
   */
  @Transactional
  public void useLearned(SiteContext context, boolean learned) {
    context.require(Right.TARGETS);
    Chances after = learned ? learned(context) : null;
    strengths.add(context.siteId());
    Chances before = stored(context.siteId()).learned();
    if (Objects.equals(before, after)) {
      return;
    }
    strengths.setLearned(context.siteId(), after);
    history.note(
        context,
        Right.TARGETS,
        learned
            ? "Worth uses the chances learned from the site's own articles."
            : "Worth uses the chances as shipped.",
        Change.of(Thing.STRENGTH, context.siteId(), CHANCES, words(before), words(after))
            .keeping(KeptChances.of(before), KeptChances.of(after)));
  }

  private Chances learned(SiteContext context) {
    Judged own = calibration(context).learned();
    if (own == null) {
      throw new RefusedException(
          "Outcomes of at least %s articles are needed, %s of them on page one and %s not."
              .formatted(Calibration.ENOUGH, Calibration.OF_EACH, Calibration.OF_EACH));
    }
    return own.chances();
  }

  private static String words(@Nullable Chances chances) {
    return chances == null
        ? "as shipped"
        : "learned: even at difficulty %s, spread %s"
            .formatted(In.rounded(chances.even()), In.decimal(chances.spread()));
  }

  private Stored stored(long siteId) {
    return strengths.find(siteId).orElse(NOTHING_SAID);
  }

  /**
   * Sets strength and values.
   *
   * @param seen the version the person saw
   */
  @Transactional
  public void set(SiteContext context, StrengthSettings wanted, int seen) {
    context.require(Right.TARGETS);
    refuseNonsense(wanted);
    strengths.add(context.siteId());
    Stored now = stored(context.siteId());
    if (put(context, wanted, seen) == 0) {
      throw new ConflictException(
          new ConflictException.Field(context.site().name(), "Site strength"),
          settings(now).words(),
          wanted.words(),
          history.lastBy(context, Thing.STRENGTH, context.siteId(), null),
          Map.of("seen", String.valueOf(now.version())));
    }
    List<Change> changes = new ArrayList<>();
    add(changes, context, StrengthSettings.STRENGTH, now.strength(), wanted.strength());
    add(changes, context, StrengthSettings.AWARENESS, now.awareness(), wanted.awareness());
    add(
        changes,
        context,
        StrengthSettings.CONSIDERATION,
        now.consideration(),
        wanted.consideration());
    add(changes, context, StrengthSettings.DECISION, now.decision(), wanted.decision());
    add(changes, context, StrengthSettings.WORDS, now.wordsAnHour(), wanted.wordsAnHour());
    history.note(context, Right.TARGETS, "Site strength was set: " + wanted.words() + ".", changes);
  }

  /** Sets the strength and leaves the rest. */
  @Transactional
  public void setStrength(SiteContext context, int strength) {
    Stored now = stored(context.siteId());
    set(
        context,
        settings(now).with(StrengthSettings.STRENGTH, BigDecimal.valueOf(strength)),
        now.version());
  }

  private int put(SiteContext context, StrengthSettings s, int seen) {
    return strengths.set(
        new StrengthMapper.Set(
            context.siteId(),
            s.strength(),
            s.awareness(),
            s.consideration(),
            s.decision(),
            s.wordsAnHour(),
            seen));
  }

  private static void refuseNonsense(StrengthSettings wanted) {
    if (wanted.strength() != null && (wanted.strength() < 0 || wanted.strength() > 100)) {
      throw new RefusedException("Site strength is a number from 0 to 100.");
    }
    if (wanted.wordsAnHour() < 1 || wanted.wordsAnHour() > MOST_WORDS) {
      throw new RefusedException("Words an hour is a number from 1 to 10,000.");
    }
    for (BigDecimal value :
        new BigDecimal[] {wanted.awareness(), wanted.consideration(), wanted.decision()}) {
      if (value != null && (value.signum() < 0 || value.compareTo(MOST) > 0)) {
        throw new RefusedException("A visit is worth 0 or more, and not above " + MOST + ".");
      }
    }
  }

  private static void add(
      List<Change> changes,
      SiteContext context,
      String field,
      @Nullable Object before,
      @Nullable Object after) {
    String from = before == null ? null : before.toString();
    String to = after == null ? null : after.toString();
    if (!Objects.equals(from, to)) {
      changes.add(Change.of(Thing.STRENGTH, context.siteId(), field, from, to));
    }
  }

  private static StrengthSettings settings(Stored s) {
    return new StrengthSettings(
        s.strength(), s.awareness(), s.consideration(), s.decision(), s.wordsAnHour());
  }

  @Override
  public Thing thing() {
    return Thing.STRENGTH;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    Stored now = stored(context.siteId());
    if (changes.get(0).field().equals(CHANCES)) {
      if (!Objects.equals(
          now.learned(), KeptChances.chances(changes.get(0).to(KeptChances.class)))) {
        throw new RefusedException("Other chances are used by now, so these cannot be put back.");
      }
      strengths.setLearned(
          context.siteId(), KeptChances.chances(changes.get(0).from(KeptChances.class)));
      return;
    }
    StrengthSettings back = settings(now);
    for (Change change : changes) {
      back =
          back.with(change.field(), change.from() == null ? null : new BigDecimal(change.from()));
    }
    if (put(context, back, now.version()) == 0) {
      throw new RefusedException("Somebody just set site strength, so it cannot be put back.");
    }
  }
}
