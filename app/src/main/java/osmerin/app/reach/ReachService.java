package osmerin.app.reach;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleType;
import osmerin.app.articles.ArticleTypeService;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Reversal;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.reach.ReachMapper.Stored;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Kind;
import osmerin.core.worth.Calibration;
import osmerin.core.worth.Calibration.Outcome;
import osmerin.core.worth.SiteReach;

/** Keeps what a site can reach. */
@Service
public class ReachService implements Reversal {
  /** What a site has until somebody says otherwise: a blog of some years without a great name. */
  static final int SHIPPED_STRENGTH = 25;

  private static final double SHIPPED_HOURS = 8;
  private static final BigDecimal MOST = BigDecimal.valueOf(100_000);
  private static final String FITTED = "Chances";

  /** Until then an article may still be on its way to page one. */
  private static final Period UNTIL_KNOWN = Period.ofMonths(6);

  private static final String STRENGTH = "Site strength";
  private static final String AWARENESS = "Value of a visit, awareness";
  private static final String CONSIDERATION = "Value of a visit, consideration";
  private static final String DECISION = "Value of a visit, decision";

  private final ReachMapper reach;
  private final ArticleTypeService types;
  private final History history;

  ReachService(ReachMapper reach, ArticleTypeService types, History history) {
    this.reach = reach;
    this.types = types;
    this.history = history;
  }

  /** What a person sets. */
  public record Settings(
      int strength,
      @Nullable BigDecimal awareness,
      @Nullable BigDecimal consideration,
      @Nullable BigDecimal decision) {
    /** Values have two places, as they are stored. */
    public Settings {
      awareness = cents(awareness);
      consideration = cents(consideration);
      decision = cents(decision);
    }

    private static @Nullable BigDecimal cents(@Nullable BigDecimal value) {
      return value == null ? null : value.setScale(2, RoundingMode.HALF_UP);
    }

    String words() {
      return "strength %s; a visit is worth %s, %s, %s"
          .formatted(strength, shown(awareness), shown(consideration), shown(decision));
    }
  }

  public Reach get(SiteContext context) {
    Stored now = stored(context.siteId());
    ArticleType first =
        types.list(context.siteId(), Kind.NEW).stream()
            .findFirst()
            .orElse(new ArticleType(0, "article", Kind.NEW, 0, SHIPPED_HOURS));
    return new Reach(
        now.strength(),
        now.awareness(),
        now.consideration(),
        now.decision(),
        now.version(),
        first.hours() > 0 ? first.hours() : SHIPPED_HOURS,
        first.name(),
        site(context, now));
  }

  private SiteReach site(SiteContext context, Stored now) {
    SiteReach set = SiteReach.of(now.strength());
    SiteReach fitted = now.fitted() ? calibration(context).fitted() : null;
    return fitted == null ? set : fitted;
  }

  /**
   * How well chance matched what became of the site's articles that have been live for half a year.
   */
  public Calibration calibration(SiteContext context) {
    LocalDate liveBefore = context.today().minus(UNTIL_KNOWN);
    return Calibration.of(
        SiteReach.of(stored(context.siteId()).strength()),
        reach.outcomes(context.siteId(), liveBefore).stream()
            .map(o -> new Outcome(o.difficulty(), o.reached()))
            .toList());
  }

  /** Whether the site's chances are those learned from its outcomes. */
  public boolean isFitted(SiteContext context) {
    return stored(context.siteId()).fitted();
  }

  /** Reckons with the chances learned from the site's outcomes, or with those as shipped. */
  @Transactional
  public void useFitted(SiteContext context, boolean fitted) {
    context.require(Right.TARGETS);
    if (fitted && calibration(context).fitted() == null) {
      throw new RefusedException(
          "Outcomes of at least %s articles are needed.".formatted(Calibration.ENOUGH));
    }
    reach.add(context.siteId(), SHIPPED_STRENGTH);
    if (reach.setFitted(context.siteId(), fitted) == 1) {
      history.note(
          context,
          Right.TARGETS,
          fitted
              ? "Chances are reckoned as learned from the site's own articles."
              : "Chances are reckoned as shipped.",
          Change.of(
              Thing.REACH,
              context.siteId(),
              FITTED,
              fitted ? "as shipped" : "as learned",
              fitted ? "as learned" : "as shipped",
              !fitted,
              fitted));
    }
  }

  private Stored stored(long siteId) {
    return reach.find(siteId).orElse(new Stored(SHIPPED_STRENGTH, null, null, null, false, 0));
  }

  /**
   * Sets strength and values.
   *
   * @param seen the version the person saw
   */
  @Transactional
  public void set(SiteContext context, Settings wanted, int seen) {
    context.require(Right.TARGETS);
    refuseNonsense(wanted);
    reach.add(context.siteId(), SHIPPED_STRENGTH);
    Stored now = stored(context.siteId());
    if (put(context, wanted, seen) == 0) {
      throw new ConflictException(
          context.site().name(),
          "Reach",
          settings(now).words(),
          wanted.words(),
          history.lastBy(context, Thing.REACH, context.siteId(), null),
          Map.of("seen", String.valueOf(now.version())));
    }
    List<Change> changes = new ArrayList<>();
    add(changes, context, STRENGTH, now.strength(), wanted.strength());
    add(changes, context, AWARENESS, now.awareness(), wanted.awareness());
    add(changes, context, CONSIDERATION, now.consideration(), wanted.consideration());
    add(changes, context, DECISION, now.decision(), wanted.decision());
    history.note(
        context,
        Right.TARGETS,
        "What the site can reach was set: " + wanted.words() + ".",
        changes);
  }

  private int put(SiteContext context, Settings s, int seen) {
    return reach.set(
        context.siteId(), s.strength(), s.awareness(), s.consideration(), s.decision(), seen);
  }

  private static void refuseNonsense(Settings wanted) {
    if (wanted.strength() < 0 || wanted.strength() > 100) {
      throw new RefusedException("The strength of a site is a number from 0 to 100.");
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
      changes.add(Change.of(Thing.REACH, context.siteId(), field, from, to));
    }
  }

  private static Settings settings(Stored s) {
    return new Settings(s.strength(), s.awareness(), s.consideration(), s.decision());
  }

  private static String shown(@Nullable BigDecimal value) {
    return value == null ? "unknown" : value.toPlainString();
  }

  @Override
  public Thing thing() {
    return Thing.REACH;
  }

  @Override
  public void reverse(SiteContext context, String key, List<Change> changes) {
    Stored now = stored(context.siteId());
    Settings back = settings(now);
    if (changes.get(0).field().equals(FITTED)) {
      if (reach.setFitted(context.siteId(), Boolean.parseBoolean(changes.get(0).from())) == 0) {
        throw new RefusedException("It is reckoned that way already.");
      }
      return;
    }
    for (Change change : changes) {
      BigDecimal value = change.from() == null ? null : new BigDecimal(change.from());
      back =
          switch (change.field()) {
            case STRENGTH ->
                new Settings(
                    value == null ? SHIPPED_STRENGTH : value.intValue(),
                    back.awareness(),
                    back.consideration(),
                    back.decision());
            case AWARENESS ->
                new Settings(back.strength(), value, back.consideration(), back.decision());
            case CONSIDERATION ->
                new Settings(back.strength(), back.awareness(), value, back.decision());
            default -> new Settings(back.strength(), back.awareness(), back.consideration(), value);
          };
    }
    if (put(context, back, now.version()) == 0) {
      throw new RefusedException("Somebody just set the reach, so it cannot be put back.");
    }
  }
}
