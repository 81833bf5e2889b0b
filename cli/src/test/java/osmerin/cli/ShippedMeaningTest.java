package osmerin.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class ShippedMeaningTest {
  private final StringWriter told = new StringWriter();
  private final AtomicLong nanos = new AtomicLong();

  private ShippedMeaning.Line line(boolean terminal) {
    return new ShippedMeaning.Line(new PrintWriter(told), terminal, nanos::get);
  }

  private void work(ShippedMeaning.Line line) {
    for (int done = 256; done <= 25_600; done += 256) {
      nanos.addAndGet(300_000_000);
      line.texts(done, 25_600);
    }
  }

  @Test
  void aTerminalHasOneLineThatRenewsItself() {
    work(line(true));
    assertThat(told.toString().lines().filter(l -> !l.isEmpty())).allMatch(l -> l.length() < 60);
    assertThat(told.toString()).endsWith("\rmeaning of 25,600 of 25,600 texts\n");
    assertThat(told.toString().chars().filter(c -> c == '\n').count()).isEqualTo(1);
  }

  @Test
  void aFileHasALineEveryTenSeconds() {
    work(line(false));
    assertThat(told.toString().lines().count()).isEqualTo(2);
  }

  @Test
  void fewTextsAreNotTold() {
    line(true).texts(10, 100);
    assertThat(told.toString()).isEmpty();
  }

  @Test
  void switchedOffItIsNotThere() {
    assertThat(ShippedMeaning.of(Map.of("OSMERIN_MEANING", "false"), (done, all) -> {})).isNull();
    assertThat(ShippedMeaning.of(Map.of(), (done, all) -> {})).isNotNull();
  }
}
