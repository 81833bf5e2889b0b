package osmerin.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.YearMonth;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.desk.FirstSteps.Step;
import osmerin.app.imports.ImportService;
import osmerin.app.plan.MonthService;
import osmerin.app.plan.Targets;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

class GettingStartedTest extends ApplicationTest {
  @Autowired private GettingStarted gettingStarted;
  @Autowired private ImportService imports;
  @Autowired private MonthService months;
  private SiteContext owner;

  @BeforeEach
  void aNewSite() {
    owner = emptySite();
  }

  @Test
  void anOwnerOfANewSiteHasAllStepsToDo() {
    FirstSteps steps = gettingStarted.steps(owner);
    assertThat(steps.isOpen()).isTrue();
    assertThat(steps.steps()).extracting(Step::done).containsExactly(false, false, false, false);
  }

  @Test
  void eachIsShownWhatTheyMayDo() {
    SiteContext strategist = join(owner.site(), "Sia Holt", Role.STRATEGIST);
    SiteContext writer = join(owner.site(), "Wim Asare", Role.WRITER);
    assertThat(gettingStarted.steps(strategist).steps())
        .extracting(Step::path)
        .doesNotContain("/team")
        .hasSize(3);
    assertThat(gettingStarted.steps(writer).steps()).isEmpty();
    assertThat(gettingStarted.steps(writer).isOpen()).isFalse();
  }

  @Test
  void whatIsDoneStaysDoneAndAMonthWithoutTargetsDoesNotBringTheStepsBack() {
    String file = "keyword,volume\neel trap,900\n";
    imports.importFile(owner, "eels.csv", file.getBytes(StandardCharsets.UTF_8));
    assertThat(gettingStarted.steps(owner).steps().get(0).done()).isTrue();
    assertThat(gettingStarted.steps(owner).isOpen()).isTrue();
    YearMonth before = YearMonth.from(owner.today()).minusMonths(1);
    months.setTargets(owner, before, null, new Targets(3, 1));
    // Nothing is live and nobody was invited: a new blog of one person lacks nothing.
    assertThat(gettingStarted.steps(owner).isOpen()).isFalse();
  }
}
