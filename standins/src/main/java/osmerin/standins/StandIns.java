package osmerin.standins;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;

/**
 * Starts the stand-ins: {@code StandIns SEARCH_PORT BLOG_PORT FOLDER TOKEN}. Prints one line when
 * both answer, and runs until it is ended.
 */
public final class StandIns {
  private StandIns() {}

  /** Starts both. */
  public static void main(String[] args) throws IOException {
    if (args.length != 4) {
      System.err.println("usage: StandIns SEARCH_PORT BLOG_PORT FOLDER TOKEN");
      System.exit(2);
    }
    SearchStandIn search = new SearchStandIn(Integer.parseInt(args[0]));
    BlogHostStandIn blog =
        new BlogHostStandIn(
            Integer.parseInt(args[1]), Path.of(args[2]), args[3], Clock.systemUTC());
    System.out.println(
        "simulated search at " + search.address() + ", blog host at " + blog.address());
  }
}
