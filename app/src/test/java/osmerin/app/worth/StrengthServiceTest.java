package osmerin.app.worth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.ConflictException;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.group.Demand;
import osmerin.core.intent.FunnelStage;
import osmerin.core.worth.Effort;

class StrengthServiceTest extends ApplicationTest {
  @Autowired private StrengthService siteStrength;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void aNewSiteHasAStrengthAndNoValues() {
    SiteStrength shipped = siteStrength.get(site);
    assertThat(shipped.strength()).isEqualTo(SiteStrength.ASSUMED_STRENGTH);
    assertThat(shipped.hasValues()).isFalse();
    assertThat(shipped.assumed()).isTrue();
    assertThat(shipped.effort().runUp()).isPositive();
    assertThat(shipped.perVisit(FunnelStage.DECISION)).isNull();
  }

  @Test
  void whatIsSetWeighsEveryGroupAndIsTakenBack() {
    Demand demand = Demand.exactly(1_000L, false, 40.0);
    Double before = siteStrength.get(site).worth(demand, null).yield();
    siteStrength.set(site, settings(60, "1.50"), 0);
    assertThat(siteStrength.get(site).worth(demand, null).yield()).isGreaterThan(before);
    assertThat(siteStrength.get(site).perVisit(FunnelStage.AWARENESS)).isEqualTo(1.5);
    undo.undoLatest(site);
    assertThat(siteStrength.get(site).worth(demand, null).yield()).isEqualTo(before);
    assertThat(siteStrength.get(site).hasValues()).isFalse();
  }

  @Test
  void whatNobodySaidIsAssumedAndMoreWordsTakeMoreHours() {
    siteStrength.set(site, new StrengthForm("", "2", null, null, "500").settings(), 0);
    assertThat(siteStrength.get(site).assumed()).isTrue();
    Effort effort = siteStrength.get(site).effort();
    assertThat(effort.wordsAnHour()).isEqualTo(500);
    assertThat(effort.hours(5_000)).isEqualTo(effort.runUp() - effort.writing() + 10);
    assertThatThrownBy(
            () -> siteStrength.set(site, new StrengthForm("", "2", "", "", "0").settings(), 1))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("10,000");
  }

  @Test
  void theLaterOfTwoIsTold() {
    siteStrength.set(site, settings(60, null), 0);
    assertThatThrownBy(() -> siteStrength.set(site, settings(10, null), 0))
        .isInstanceOfSatisfying(
            ConflictException.class,
            c -> {
              assertThat(c.theirs()).contains("strength 60");
              assertThat(c.yours()).contains("strength 10");
            });
  }

  @ParameterizedTest
  @CsvSource({"-1,", "101,", "20, -0.5", "20, 999999"})
  void nonsenseIsRefused(int strength, String value) {
    assertThatThrownBy(() -> siteStrength.set(site, settings(strength, value), 0))
        .isInstanceOf(RefusedException.class);
    assertThat(siteStrength.get(site).strength()).isEqualTo(SiteStrength.ASSUMED_STRENGTH);
  }

  @ParameterizedTest
  @CsvSource({"abc,", "2.5,", "20, much"})
  void whatIsNoNumberIsNamed(String strength, String value) {
    assertThatThrownBy(() -> new StrengthForm(strength, value, null, null, null).settings())
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining(value == null ? strength : value);
  }

  @Test
  void aDecimalCommaIsReadAndTheSameValueAgainIsNoChange() {
    StrengthSettings typed = new StrengthForm(" 30 ", "1,5", null, " ", " 300 ").settings();
    assertThat(typed.awareness()).isEqualByComparingTo("1.50");
    siteStrength.set(site, typed, 0);
    siteStrength.set(site, typed, 1);
    undo.undoLatest(site);
    assertThat(siteStrength.get(site).hasValues()).isFalse();
  }

  @Test
  void onlyStrategistsAndOwnersSetIt() {
    SiteContext editor = join(site.site(), "Edda Noor", Role.EDITOR);
    assertThatThrownBy(() -> siteStrength.set(editor, settings(60, null), 0))
        .isInstanceOf(ForbiddenException.class);
  }

  private static StrengthSettings settings(int strength, String awareness) {
    return new StrengthSettings(
        strength,
        awareness == null ? null : new BigDecimal(awareness),
        null,
        null,
        Effort.SHIPPED_WORDS_AN_HOUR);
  }
}
