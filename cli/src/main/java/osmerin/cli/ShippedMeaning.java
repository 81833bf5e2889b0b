package osmerin.cli;

import java.io.PrintWriter;
import java.util.Map;
import java.util.function.LongSupplier;
import org.jspecify.annotations.Nullable;
import osmerin.core.meaning.Meaning;
import osmerin.core.meaning.RememberedMeaning;
import osmerin.meaning.SentenceModel;

/** The meaning that ships, unless it is switched off, and what is told while it is computed. */
final class ShippedMeaning {
  /** Fewer texts than these take no time. */
  private static final int TOLD_FROM = 2_000;

  private static final long SECONDS_BETWEEN = 10;

  private ShippedMeaning() {}

  /** None where {@code OSMERIN_MEANING} is false, as for the application. */
  static @Nullable Meaning of(PrintWriter err) {
    // A console is there only where a terminal reads both input and output.
    boolean terminal = System.console() != null;
    return of(System.getenv(), new Line(err, terminal, System::nanoTime));
  }

  static @Nullable Meaning of(
      Map<String, String> environment, RememberedMeaning.Progress progress) {
    boolean off = "false".equalsIgnoreCase(environment.get("OSMERIN_MEANING"));
    return off ? null : new RememberedMeaning(new SentenceModel(), progress);
  }

  /** How far it is: one line that renews itself on a terminal, else one every ten seconds. */
  static final class Line implements RememberedMeaning.Progress {
    private final PrintWriter err;
    private final boolean terminal;
    private final LongSupplier nanos;
    private long last;

    Line(PrintWriter err, boolean terminal, LongSupplier nanos) {
      this.err = err;
      this.terminal = terminal;
      this.nanos = nanos;
      last = nanos.getAsLong();
    }

    @Override
    public void texts(int done, int all) {
      if (all < TOLD_FROM) {
        return;
      }
      if (terminal) {
        err.printf("\rmeaning of %,d of %,d texts%s", done, all, done == all ? "\n" : "");
        err.flush();
      } else if (nanos.getAsLong() - last >= SECONDS_BETWEEN * 1_000_000_000L) {
        last = nanos.getAsLong();
        err.printf("meaning of %,d of %,d texts%n", done, all);
        err.flush();
      }
    }
  }
}
