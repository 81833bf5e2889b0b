package osmerin.app.articles;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.history.UndoService;
import osmerin.app.holds.Holds;
import osmerin.app.people.Naming;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.runups.Steps;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;
import osmerin.app.workdays.WorkdayService;
import osmerin.core.article.Kind;
import osmerin.core.article.Stage;
import osmerin.core.runup.StepRole;

/** Plans that were kept are those that would be worked out anew. */
class OpenRoundsTest extends ApplicationTest {
  private static final int CHANGES = 150;

  @Autowired private ArticleService articles;
  @Autowired private ArticleMapper mapper;
  @Autowired private OpenRounds open;
  @Autowired private Steps steps;
  @Autowired private Holds holds;
  @Autowired private WorkdayService workdays;
  @Autowired private UndoService undo;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private TransactionTemplate transaction;
  private SiteContext site;
  private SiteContext wim;
  private final Random random = new Random(11);

  @BeforeEach
  void someArticles() {
    site = emptySite();
    wim = join(site.site(), "Wim Aal", Role.WRITER);
    for (int i = 0; i < 5; i++) {
      commission("Eels " + i);
    }
  }

  private void commission(String title) {
    long type = types.list(site.siteId(), Kind.NEW).get(random.nextInt(3)).id();
    LocalDate day = random.nextInt(4) == 0 ? null : site.today().plusDays(random.nextInt(90));
    articles.commission(site, new Commission(title, type, null, Map.of(), day));
  }

  private List<PlannedRound> anew() {
    return open.plan(site.site(), mapper.open(site.siteId()));
  }

  @Test
  void whatever_is_changed_is_planned_anew() {
    for (int i = 0; i < CHANGES; i++) {
      int kind = random.nextInt(10);
      change(kind, i);
      assertThat(open.of(site)).as("after change %s of kind %s", i, kind).isEqualTo(anew());
    }
  }

  private void change(int kind, int i) {
    List<Round> rounds = mapper.open(site.siteId());
    Round round = rounds.get(random.nextInt(rounds.size()));
    int number = round.article().number();
    switch (kind) {
      case 0 -> commission("Elvers " + i);
      case 1 -> edits.rename(site, number, "Eels again " + i, round.article().version());
      case 2 ->
          publishDates.setPublishDate(
              site, number, round.publishDate(), site.today().plusDays(random.nextInt(90)), true);
      case 3 -> {
        List<Stage> inWork = stageList.of(site.siteId()).inWork();
        Stage to = inWork.get(random.nextInt(inWork.size()));
        stageMoves.move(site, number, to.id(), round.stage().id(), true);
      }
      case 4 -> edits.tick(site, number, "brief", random.nextBoolean());
      case 5 -> {
        Long lead = round.article().lead(StepRole.WRITER);
        Long next = lead == null ? wim.personId() : null;
        naming.name(site, number, new Naming(StepRole.WRITER, 0, lead, next));
      }
      case 6 -> {
        if (round.hold() == null) {
          holds.hold(site, number, "waits", null, null);
        } else {
          holds.free(site, number);
        }
      }
      case 7 -> {
        LocalDate first = site.today().plusDays(random.nextInt(60));
        workdays.add(wim.personId(), first, first.plusDays(3), "");
      }
      case 8 -> {
        if (rounds.size() > 3) {
          edits.archive(site, number, true);
        }
      }
      default -> undo.undoLatest(site);
    }
  }

  /** The later transaction may end first; its number says nothing about what is seen when. */
  @Test
  void transactions_that_end_in_another_order_than_they_began_are_both_seen() {
    Round round = mapper.open(site.siteId()).get(0);
    open.of(site);
    List<List<PlannedRound>> seen = new ArrayList<>();
    transaction.executeWithoutResult(
        status -> {
          steps.tick(round.id(), "brief", site.today(), site.personId(), null);
          CompletableFuture.runAsync(
                  () -> {
                    steps.tick(round.id(), "draft", site.today(), site.personId(), null);
                    seen.add(open.of(site));
                  })
              .join();
        });
    assertThat(seen.get(0)).isNotEqualTo(anew());
    assertThat(open.of(site)).isEqualTo(anew());
  }

  @Test
  void what_a_transaction_writes_twice_or_takes_back_is_not_kept() {
    Round round = mapper.open(site.siteId()).get(0);
    transaction.executeWithoutResult(
        status -> {
          steps.tick(round.id(), "brief", site.today(), site.personId(), null);
          assertThat(open.of(site)).isEqualTo(anew());
          steps.untick(round.id(), "brief");
          assertThat(open.of(site)).isEqualTo(anew());
          steps.tick(round.id(), "draft", site.today(), site.personId(), null);
          status.setRollbackOnly();
        });
    assertThat(open.of(site)).isEqualTo(anew());
  }

  @Test
  void a_person_who_is_renamed_is_named_so() {
    Round round = mapper.open(site.siteId()).get(0);
    edits.tick(site, round.article().number(), "brief", true);
    open.of(site);
    jdbc.update("update person set name = 'Ada Newname' where id = ?", site.personId());
    assertThat(open.of(site)).isEqualTo(anew());
    assertThat(anew().toString()).contains("Ada Newname");
  }
}
