package osmerin.standins;

import java.net.URI;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jsoup.nodes.Entities;

/** What readers of the blog see. */
final class BlogPages {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEEE, d MMMM uuuu", Locale.ENGLISH).withZone(ZoneOffset.UTC);

  private static final String STYLE =
      """
      body{margin:0;background:#fbfaf6;color:#1c2b2f;font:18px/1.65 Georgia,serif}
      main,header,footer{max-width:38rem;margin:0 auto;padding:1.2rem}
      header,footer{font:14px/1.5 sans-serif;color:#5b6b6e}a{color:#0f5c63}
      h1{line-height:1.2}h2{margin-top:2em}img{max-width:100%}
      table{border-collapse:collapse}td,th{border-bottom:1px solid #dad7cc;padding:.3em .8em .3em 0}
      """;

  private final BlogEntries entries;
  private final URI address;

  BlogPages(BlogEntries entries, URI address) {
    this.entries = entries;
    this.address = address;
  }

  Answer answer(String path) {
    return switch (path) {
      case "/" -> index();
      case "/feed.xml" -> feed();
      case "/sitemap.xml" -> sitemap();
      default ->
          entries.all().stream()
              .filter(entry -> entry.path().equals(path))
              .findFirst()
              .map(BlogPages::article)
              .orElseGet(() -> page(404, "Not here", "<h1>Not here</h1><p>No such page.</p>"));
    };
  }

  private static Answer article(BlogEntries.Entry entry) {
    boolean updated = !DAY.format(entry.published()).equals(DAY.format(entry.updated()));
    String dates =
        "<p><time datetime=%s>%s</time>%s</p>"
            .formatted(
                entry.published(),
                DAY.format(entry.published()),
                updated ? ", updated " + DAY.format(entry.updated()) : "");
    String title = "<h1>" + Entities.escape(entry.name()) + "</h1>";
    return page(200, entry.name(), title + dates + entry.html());
  }

  private Answer index() {
    String list =
        entries.all().stream()
            .map(e -> "<li><a href=%s>%s</a>".formatted(e.path(), Entities.escape(e.name())))
            .collect(Collectors.joining());
    return page(200, "All articles", "<h1>All articles</h1><ul>" + list + "</ul>");
  }

  private static Answer page(int status, String title, String main) {
    return Answer.html(
        status,
        "<!doctype html><html lang=en><meta charset=utf-8><meta name=viewport"
            + " content='width=device-width'><title>%s</title><style>%s</style><header><a href=/>All articles</a></header><main>%s</main><footer>Simulated blog host"
                .formatted(Entities.escape(title), STYLE, main)
            + " · <a href=/feed.xml>feed</a></footer></html>");
  }

  private Answer feed() {
    Instant updated =
        entries.all().stream()
            .map(BlogEntries.Entry::updated)
            .max(Instant::compareTo)
            .orElse(Instant.EPOCH);
    String items = entries.all().stream().map(this::feedEntry).collect(Collectors.joining());
    return Answer.xml(
        ("<?xml version=\"1.0\" encoding=\"utf-8\"?><feed xmlns=\"http://www.w3.org/2005/Atom\">"
                + "<title>Simulated blog</title><id>%s</id><updated>%s</updated>%s</feed>")
            .formatted(address, updated, items));
  }

  private String feedEntry(BlogEntries.Entry entry) {
    URI url = address.resolve(entry.path());
    return ("<entry><title>%s</title><id>%s</id><link href=\"%s\"/><published>%s</published>"
            + "<updated>%s</updated></entry>")
        .formatted(Entities.escape(entry.name()), url, url, entry.published(), entry.updated());
  }

  private Answer sitemap() {
    String urls =
        entries.all().stream()
            .map(
                e ->
                    "<url><loc>%s</loc><lastmod>%s</lastmod></url>"
                        .formatted(address.resolve(e.path()), e.updated()))
            .collect(Collectors.joining());
    return Answer.xml(
        "<?xml version=\"1.0\" encoding=\"utf-8\"?><urlset"
            + " xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\">"
            + urls
            + "</urlset>");
  }
}
