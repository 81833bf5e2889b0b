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
    assertThat(shipped.strength()).isEqualTo(ReachService.SHIPPED_STRENGTH);
    assertThat(shipped.hasValues()).isFalse();
    assertThat(shipped.hours()).isPositive();
    assertThat(shipped.perVisit(FunnelStage.DECISION)).isNull();
  }

  @Test
  void whatIsSetWeighsEveryGroupAndIsTakenBack() {
    Demand demand = Demand.exactly(1_000L, false, 40.0);
    Double before = reach.get(site).worth(demand).yield();
    reach.set(site, settings(60, "1.50"), 0);
    assertThat(reach.get(site).worth(demand).yield()).isGreaterThan(before);
    assertThat(reach.get(site).perVisit(FunnelStage.AWARENESS)).isEqualTo(1.5);
    undo.undoLatest(site);
    assertThat(reach.get(site).worth(demand).yield()).isEqualTo(before);
    assertThat(reach.get(site).hasValues()).isFalse();
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
    assertThat(reach.get(site).strength()).isEqualTo(ReachService.SHIPPED_STRENGTH);
  }

  @ParameterizedTest
  @CsvSource({"abc,", "'',", "2.5,", "20, much"})
  void whatIsNoNumberIsNamed(String strength, String value) {
    assertThatThrownBy(() -> new ReachForm(strength, value, null, null).settings())
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining(value == null ? strength : value);
  }

  @Test
  void aDecimalCommaIsReadAndTheSameValueAgainIsNoChange() {
    Settings typed = new ReachForm(" 30 ", "1,5", null, " ").settings();
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
    return new Settings(strength, awareness == null ? null : new BigDecimal(awareness), null, null);
  }
}
