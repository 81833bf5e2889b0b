package osmerin.app.hours;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.history.UndoService;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.runups.Steps;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.steps.RealHours;
import osmerin.app.support.ApplicationTest;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** What steps took: said by whoever did them, gathered by type and person, undone. */
class RealHoursTest extends ApplicationTest {
  @Autowired private RealHours hours;
  @Autowired private Steps steps;
  @Autowired private ArticleService articles;
  @Autowired private UndoService undo;
  private SiteContext site;
  private SiteContext writer;

  @BeforeEach
  void aSite() {
    site = emptySite();
    writer = join(site.site(), "Wim Aal", Role.WRITER);
  }

  private int written() {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.WRITER, writer.personId());
    int number =
        articles
            .commission(site, new Commission("Eels", post, null, people, null))
            .article()
            .number();
    edits.tick(site, number, "draft", true);
    return number;
  }

  private HoursReport report() {
    return HoursReport.of(steps.measured(site.siteId(), site.today()), team.names(site.siteId()));
  }

  @Test
  void they_are_gathered_by_type_and_person_and_suggest_an_estimate() {
    for (String typed : new String[] {"5", "6,5 h", "6", "7", "40"}) {
      hours.set(writer, written(), "draft", typed);
    }

    HoursReport.Step draft = report().types().get(0).steps().get(0);
    assertThat(draft.measured()).isEqualTo(5);
    assertThat(draft.estimate()).isEqualTo(4);
    assertThat(draft.median()).isEqualTo(6.5);
    assertThat(draft.suggested()).isEqualTo(6.5);
    assertThat(report().people()).containsExactly(new HoursReport.Person("Wim Aal", 5, 20, 64.5));
    undo.undoLatest(writer);
    assertThat(report().types().get(0).steps().get(0).measured()).isEqualTo(4);
    assertThat(report().types().get(0).steps().get(0).suggested()).isNull();
    undo.redoLatest(writer);
    assertThat(report().people().get(0).percent()).isEqualTo(323);
  }

  @Test
  void they_are_said_of_done_steps_by_whoever_does_them() {
    int number = written();

    assertThatThrownBy(() -> hours.set(writer, number, "edit", "1"))
        .isInstanceOf(ForbiddenException.class);
    assertThatThrownBy(() -> hours.set(site, number, "edit", "1"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("Tick “Edit” off");
    for (String nonsense : new String[] {"long", "-1", "0", "1001", "1.234"}) {
      assertThatThrownBy(() -> hours.set(writer, number, "draft", nonsense))
          .isInstanceOf(RefusedException.class);
    }
    hours.set(writer, number, "draft", "2");
    hours.set(writer, number, "draft", "");
    assertThat(report().isEmpty()).isTrue();
  }
}
