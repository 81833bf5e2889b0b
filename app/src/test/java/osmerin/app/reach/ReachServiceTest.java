package osmerin.app.reach;

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
import osmerin.app.reach.ReachService.Settings;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.core.group.Demand;
import osmerin.core.intent.FunnelStage;
import osmerin.core.worth.Effort;

class ReachServiceTest extends ApplicationTest {
  @Autowired private ReachService reach;
  @Autowired private UndoService undo;
  private SiteContext site;

  @BeforeEach
  void startEmpty() {
    site = emptySite();
  }

  @Test
  void aNewSiteHasAStrengthAndNoValues() {
    Reach shipped = reach.get(site);
    assertThat(shipped.strength()).isEqualTo(Reach.ASSUMED_STRENGTH);
    assertThat(shipped.hasValues()).isFalse();
    assertThat(shipped.assumed()).isTrue();
    assertThat(shipped.effort().runUp()).isPositive();
    assertThat(shipped.perVisit(FunnelStage.DECISION)).isNull();
  }

  @Test
  void whatIsSetWeighsEveryGroupAndIsTakenBack() {
    Demand demand = Demand.exactly(1_000L, false, 40.0);
    Double before = reach.get(site).worth(demand, null).yield();
    reach.set(site, settings(60, "1.50"), 0);
    assertThat(reach.get(site).worth(demand, null).yield()).isGreaterThan(before);
    assertThat(reach.get(site).perVisit(FunnelStage.AWARENESS)).isEqualTo(1.5);
    undo.undoLatest(site);
    assertThat(reach.get(site).worth(demand, null).yield()).isEqualTo(before);
    assertThat(reach.get(site).hasValues()).isFalse();
  }

  @Test
  void whatNobodySaidIsAssumedAndMoreWordsTakeMoreHours() {
    reach.set(site, new ReachForm("", "2", null, null, "500").settings(), 0);
    assertThat(reach.get(site).assumed()).isTrue();
    Effort effort = reach.get(site).effort();
    assertThat(effort.wordsAnHour()).isEqualTo(500);
    assertThat(effort.hours(5_000)).isEqualTo(effort.runUp() - effort.writing() + 10);
    assertThatThrownBy(() -> reach.set(site, new ReachForm("", "2", "", "", "0").settings(), 1))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("10,000");
  }

  @Test
  void theLaterOfTwoIsTold() {
    reach.set(site, settings(60, null), 0);
    assertThatThrownBy(() -> reach.set(site, settings(10, null), 0))
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
    assertThatThrownBy(() -> reach.set(site, settings(strength, value), 0))
        .isInstanceOf(RefusedException.class);
    assertThat(reach.get(site).strength()).isEqualTo(Reach.ASSUMED_STRENGTH);
  }

  @ParameterizedTest
  @CsvSource({"abc,", "2.5,", "20, much"})
  void whatIsNoNumberIsNamed(String strength, String value) {
    assertThatThrownBy(() -> new ReachForm(strength, value, null, null, null).settings())
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining(value == null ? strength : value);
  }

  @Test
  void aDecimalCommaIsReadAndTheSameValueAgainIsNoChange() {
    Settings typed = new ReachForm(" 30 ", "1,5", null, " ", " 300 ").settings();
    assertThat(typed.awareness()).isEqualByComparingTo("1.50");
    reach.set(site, typed, 0);
    reach.set(site, typed, 1);
    undo.undoLatest(site);
    assertThat(reach.get(site).hasValues()).isFalse();
  }

  @Test
  void onlyStrategistsAndOwnersSetIt() {
    SiteContext editor = join(site.site(), "Edda Noor", Role.EDITOR);
    assertThatThrownBy(() -> reach.set(editor, settings(60, null), 0))
        .isInstanceOf(ForbiddenException.class);
  }

  private static Settings settings(int strength, String awareness) {
    return new Settings(
        strength,
        awareness == null ? null : new BigDecimal(awareness),
        null,
        null,
        Effort.SHIPPED_WORDS_AN_HOUR);
  }
}
