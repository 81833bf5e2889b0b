package osmerin.standins;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jsoup.nodes.Entities;
import org.subethamail.smtp.server.SMTPServer;
import osmerin.standins.Letters.Letter;

/** A mailbox for everybody: takes any mail by SMTP (RFC 5321), sends none on, and shows it. */
public final class MailStandIn implements AutoCloseable {
  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("EEE d MMM, HH:mm:ss", Locale.ENGLISH).withZone(ZoneOffset.UTC);

  private static final String STYLE =
      """
      body{margin:0 auto;max-width:46rem;padding:1.2rem;background:#fbfaf6;color:#1c2b2f;font:15px/1.6 sans-serif}
      a{color:#0f5c63}header{color:#5b6b6e}td{padding:.3em 1em .3em 0;border-bottom:1px solid #dad7cc}
      pre{white-space:pre-wrap;overflow-wrap:anywhere;font:15px/1.6 sans-serif}
      """;

  private final Letters letters;
  private final SMTPServer smtp;
  private final LoopbackServer pages;

  /**
   * Starts.
   *
   * @param smtpPort where mail is taken, 0 for any free one
   * @param pagePort where it is shown, 0 for any free one
   * @param folder where letters are kept
   */
  public MailStandIn(int smtpPort, int pagePort, Path folder, Clock clock) throws IOException {
    letters = new Letters(folder, clock);
    smtp =
        SMTPServer.port(smtpPort)
            .bindAddress(InetAddress.getLoopbackAddress())
            .messageHandler((context, from, to, data) -> letters.add(data))
            .build();
    smtp.start();
    pages = new LoopbackServer(pagePort, request -> answer(request.getRequestURI().getPath()));
  }

  /** Where mail is taken. */
  public int smtpPort() {
    return smtp.getPortAllocated();
  }

  /** Where mail is shown. */
  public URI address() {
    return pages.address();
  }

  /** Subject and text of the letters to an address, the latest first, for tests. */
  public List<String> to(String mail) {
    return letters.all().stream()
        .filter(letter -> letter.to().equals(mail))
        .map(letter -> letter.subject() + "\n" + letter.text())
        .toList();
  }

  private Answer answer(String path) {
    if (path.equals("/")) {
      return page("Letters", list());
    }
    return letters.all().stream()
        .filter(letter -> path.equals("/" + letter.number()))
        .findFirst()
        .map(MailStandIn::letter)
        .orElseGet(() -> Answer.html(404, "no such letter"));
  }

  private String list() {
    String rows =
        letters.all().stream()
            .map(
                l ->
                    "<tr><td>%s<td>%s<td><a href=/%s>%s</a>"
                        .formatted(
                            MOMENT.format(l.at()),
                            Entities.escape(l.to()),
                            l.number(),
                            Entities.escape(l.subject())))
            .collect(Collectors.joining());
    return rows.isEmpty() ? "<p>No letter yet." : "<table>" + rows + "</table>";
  }

  private static Answer letter(Letter letter) {
    String text =
        Entities.escape(letter.text()).replaceAll("(https?://[^\\s<]+)", "<a href=\"$1\">$1</a>");
    return page(
        letter.subject(),
        "<p>To %s, %s<pre>%s</pre>"
            .formatted(Entities.escape(letter.to()), MOMENT.format(letter.at()), text));
  }

  private static Answer page(String title, String main) {
    return Answer.html(
        200,
        ("<!doctype html><html lang=en><meta charset=utf-8><meta name=viewport"
                + " content='width=device-width'><title>%s</title><style>%s</style><header><a href=/>All letters</a>"
                + " · simulated mailbox, nothing is sent on</header><h1>%s</h1>%s</html>")
            .formatted(Entities.escape(title), STYLE, Entities.escape(title), main));
  }

  @Override
  public void close() {
    smtp.stop();
    pages.close();
  }
}
