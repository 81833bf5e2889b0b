package osmerin.app.tasks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.history.UndoService;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

/** Tasks without an article: put on a desk, ticked, removed, undone. */
class TasksTest extends ApplicationTest {
  @Autowired private Tasks tasks;
  @Autowired private UndoService undo;
  @Autowired private Notices notices;
  private SiteContext site;
  private SiteContext writer;

  @BeforeEach
  void aSite() {
    site = emptySite();
    writer = join(site.site(), "Wim Aal", Role.WRITER);
  }

  @Test
  void a_task_goes_on_the_desk_of_whoever_it_is_for() {
    LocalDate day = site.today().plusDays(3);
    tasks.add(site, " Answer  the kiln maker ", writer.personId(), "1,5 h", day);
    tasks.add(writer, "Tidy up", writer.personId(), "", null);

    assertThat(tasks.open(writer))
        .extracting(Task::name, Task::hours, Task::day)
        .containsExactly(
            tuple("Tidy up", 0.0, site.today()), tuple("Answer the kiln maker", 1.5, day));
    assertThat(tasks.open(site)).isEmpty();
    assertThat(notices.countUnread(writer.personId())).isEqualTo(1);
    assertThatThrownBy(() -> tasks.add(writer, "Yours", site.personId(), "", null))
        .isInstanceOf(ForbiddenException.class);
  }

  @Test
  void what_is_done_to_it_is_undone() {
    tasks.add(writer, "Tidy up", writer.personId(), "", null);
    long id = tasks.open(writer).get(0).id();

    tasks.tick(writer, id, true);
    assertThat(tasks.open(writer)).isEmpty();
    undo.undoLatest(writer);
    assertThat(tasks.open(writer)).hasSize(1);
    tasks.remove(writer, id);
    undo.undoLatest(writer);
    assertThat(tasks.open(writer)).hasSize(1);
    undo.redoLatest(writer);
    assertThat(tasks.open(writer)).isEmpty();
  }

  @Test
  void nonsense_and_strangers_are_refused() {
    for (String name : new String[] {" ", "x".repeat(121)}) {
      assertThatThrownBy(() -> tasks.add(writer, name, writer.personId(), "", null))
          .isInstanceOf(RefusedException.class);
    }
    for (String hours : new String[] {"long", "-1", "1001"}) {
      assertThatThrownBy(() -> tasks.add(writer, "Tidy up", writer.personId(), hours, null))
          .isInstanceOf(RefusedException.class);
    }
    tasks.add(site, "Mine", site.personId(), "", null);
    long id = tasks.open(site).get(0).id();
    assertThatThrownBy(() -> tasks.tick(writer, id, true)).isInstanceOf(ForbiddenException.class);
    SiteContext stranger = emptySite();
    assertThatThrownBy(() -> tasks.tick(stranger, id, true)).isInstanceOf(NotFoundException.class);
  }
}
