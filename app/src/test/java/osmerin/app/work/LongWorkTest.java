package osmerin.app.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.Proxy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.notices.Notice;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.ForbiddenException;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Role;
import osmerin.app.site.SiteContext;
import osmerin.app.support.ApplicationTest;

class LongWorkTest extends ApplicationTest {
  @Autowired private LongWork work;
  @Autowired private WorkMapper mapper;
  @Autowired private Notices notices;
  private SiteContext owner;
  private SiteContext strategist;

  @BeforeEach
  void twoPeople() {
    owner = emptySite();
    strategist = join(owner.site(), "Stig Aro", Role.STRATEGIST);
  }

  @Test
  void whoBeganItIsToldWhenItEndsAndWhereTheResultIs() {
    UUID id = work.begin(strategist, WorkKind.IMPORT, "eels.csv", "/begun");
    work.step(id, "Reading the rows", 500, 2_000);
    Work now = work.get(owner, id);
    assertThat(now.isOver()).isFalse();
    assertThat(now.path()).isEqualTo("/begun");
    assertThat(now.done()).isEqualTo(500);
    work.done(strategist, id, "eels.csv is imported.", "/somewhere");
    assertThat(work.get(owner, id).path()).isEqualTo("/somewhere");
    assertThat(notices.of(strategist.personId(), 0, 5))
        .extracting(Notice::text)
        .containsExactly("eels.csv is imported.");
    assertThat(notices.of(owner.personId(), 0, 5)).isEmpty();
  }

  @Test
  void whatFailedSaysWhy() {
    UUID id = work.begin(strategist, WorkKind.IMPORT, "eels.csv", "/begun");
    work.failed(strategist, id, "The file breaks off.", "/again");
    assertThat(work.get(owner, id).fault()).isEqualTo("The file breaks off.");
    assertThat(notices.of(strategist.personId(), 0, 5).get(0).text())
        .isEqualTo("eels.csv: The file breaks off.");
  }

  @Test
  void whoWaitsIsLedToWhatCameOfItOrToItsProgressOrToldWhy() {
    UUID done = work.begin(strategist, WorkKind.EVIDENCE, "eels", "/begun");
    work.doneAtAGlance(strategist, done, "It is here.", "/result");
    assertThat(work.awaited(strategist, done)).isEqualTo("/result");
    UUID slow = work.begin(strategist, WorkKind.EVIDENCE, "eels", "/begun");
    assertThat(work.awaited(strategist, slow)).isEqualTo(strategist.base() + "/work/" + slow);
    UUID failed = work.begin(strategist, WorkKind.EVIDENCE, "eels", "/begun");
    work.failedAtAGlance(strategist, failed, "It is down.", "/begun");
    assertThatThrownBy(() -> work.awaited(strategist, failed))
        .isInstanceOf(RefusedException.class)
        .hasMessage("It is down.");
    assertThat(notices.of(strategist.personId(), 0, 5)).isEmpty();
  }

  @Test
  void nobodyWaitsLongerBecauseTheDatabaseIsSlow() {
    WorkMapper slow =
        (WorkMapper)
            Proxy.newProxyInstance(
                getClass().getClassLoader(),
                new Class<?>[] {WorkMapper.class},
                (proxy, method, arguments) -> {
                  Thread.sleep(200);
                  return method.invoke(mapper, arguments);
                });
    UUID id = work.begin(strategist, WorkKind.EVIDENCE, "eels", "/begun");
    Instant before = Instant.now();
    new LongWork(slow, notices, Clock.systemUTC()).awaited(strategist, id);
    assertThat(Duration.between(before, Instant.now())).isLessThan(Duration.ofSeconds(8));
  }

  @Test
  void anOwnerStopsAnybodysAndOthersOnlyTheirOwn() {
    UUID owners = work.begin(owner, WorkKind.IMPORT, "eels.csv", "/begun");
    assertThatThrownBy(() -> work.stop(strategist, owners)).isInstanceOf(ForbiddenException.class);
    UUID strategists = work.begin(strategist, WorkKind.IMPORT, "more.csv", "/begun");
    work.stop(owner, strategists);
    assertThat(work.get(owner, strategists).isStopped()).isTrue();
    assertThatThrownBy(() -> work.step(strategists, "Reading", 1, 2))
        .isInstanceOf(WorkStoppedException.class);
    work.step(owners, "Reading", 1, 2);
    assertThatThrownBy(() -> work.get(emptySite(), owners)).isInstanceOf(NotFoundException.class);
  }

  @Test
  void secondsLeftFollowFromThePaceSoFar() {
    Instant begun = Instant.parse("2031-05-06T12:00:00Z");
    assertThat(running(begun, 500, 2_000).secondsLeft(begun.plusSeconds(10))).isEqualTo(30);
    assertThat(running(begun, 0, 2_000).secondsLeft(begun.plusSeconds(10))).isNull();
    assertThat(running(begun, 0, 0).secondsLeft(begun.plusSeconds(10))).isNull();
  }

  private static Work running(Instant begun, long done, long total) {
    return new Work(
        UUID.randomUUID(),
        1,
        WorkKind.IMPORT,
        "x",
        Work.State.RUNNING,
        "",
        done,
        total,
        null,
        null,
        begun,
        null);
  }
}
