package osmerin.standins;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;

/**
 * Starts the stand-ins: {@code StandIns SEARCH_PORT BLOG_PORT SMTP_PORT MAIL_PAGE_PORT FOLDER
 * TOKEN}. Prints one line when all answer, and runs until it is ended.
 */
public final class StandIns {
  private StandIns() {}

  /** Starts all. */
  public static void main(String[] args) throws IOException {
    if (args.length != 6) {
      System.err.println(
          "usage: StandIns SEARCH_PORT BLOG_PORT SMTP_PORT MAIL_PAGE_PORT FOLDER TOKEN");
      System.exit(2);
    }
    Clock clock = Clock.systemUTC();
    Path folder = Path.of(args[4]);
    SearchStandIn search = new SearchStandIn(port(args[0]));
    BlogHostStandIn blog =
        new BlogHostStandIn(port(args[1]), folder.resolve("blog"), args[5], clock);
    MailStandIn mail = new MailStandIn(port(args[2]), port(args[3]), folder.resolve("mail"), clock);
    System.out.printf(
        "simulated search at %s, blog host at %s, mail at %s%n",
        search.address(), blog.address(), mail.address());
  }

  private static int port(String text) {
    return Integer.parseInt(text);
  }
}
