package osmerin.app.live;

import java.time.Instant;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Round;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.drafts.DraftVersion;
import osmerin.app.live.BlogHost.Entry;
import osmerin.app.live.BlogHost.Published;
import osmerin.app.live.BlogHost.PublishingFailedException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.SiteContext;
import osmerin.formats.markdown.Markdown;

/**
 * Publishes the current round of an article.
 *
 * <p>The host is spoken to outside of any transaction. Before, the attempt is written down; after,
 * its outcome. When an attempt has no outcome, because the connection or we broke off, the next one
 * first asks the host whether it has the article, by the article's own uid: so trying again never
 * publishes twice.
 */
@Service
public class PublishService {
  private static final Logger LOG = LoggerFactory.getLogger(PublishService.class);

  private final ArticleService articles;
  private final BriefService briefs;
  private final DraftService drafts;
  private final BlogHost host;

  PublishService(ArticleService articles, BriefService briefs, DraftService drafts, BlogHost host) {
    this.articles = articles;
    this.briefs = briefs;
    this.drafts = drafts;
    this.host = host;
  }

  /** What came of publishing. */
  public sealed interface Outcome {
    record Live(String address) implements Outcome {}

    /** The article stays Ready; the reason stands with it. */
    record Failed(String reason) implements Outcome {}
  }

  /**
   * Publishes.
   *
   * @throws RefusedException when the article is not Ready, has no draft, or is being published
   */
  public Outcome publish(SiteContext context, int number) {
    return publish(context, number, Optional.empty());
  }

  /**
   * Publishes what was first published elsewhere or earlier.
   *
   * @param published when; the host dates the article by it
   */
  public Outcome publish(SiteContext context, int number, Optional<Instant> published) {
    Round round = articles.get(context, number);
    DraftVersion draft =
        drafts
            .latest(round)
            .filter(d -> !d.text().isBlank())
            .orElseThrow(
                () ->
                    new RefusedException(
                        round.reference() + " has no draft yet. Write one first."));
    Entry entry = entry(context, round, draft.text(), published.orElse(null));
    articles.beginPublishing(round);
    try {
      Published sent = send(round, entry);
      articles.wentLive(context, round, sent.address(), sent.simulated());
      return new Outcome.Live(sent.address());
    } catch (PublishingFailedException e) {
      LOG.warn("publishing {} failed: {}", round.reference(), e.getMessage());
      articles.publishingFailed(round, e.getMessage());
      return new Outcome.Failed(e.getMessage());
    }
  }

  private Published send(Round round, Entry entry) {
    if (round.liveAddress() != null) {
      return host.update(round.liveAddress(), entry);
    }
    boolean triedBefore = round.attemptedAt() != null;
    Optional<Published> there = triedBefore ? host.find(entry.uid()) : Optional.empty();
    return there
        .map(found -> host.update(found.address(), entry))
        .orElseGet(() -> host.create(entry));
  }

  /** The draft's own title wins over the brief's, and is not repeated in the text. */
  private Entry entry(
      SiteContext context, Round round, String markdown, @Nullable Instant published) {
    Document html = Jsoup.parseBodyFragment(Markdown.html(markdown));
    Element heading = html.selectFirst("h1");
    String working = briefs.get(context, round).workingTitle();
    String title = working.isBlank() ? round.title() : working;
    if (heading != null && !heading.text().isBlank()) {
      title = heading.text();
      heading.remove();
    }
    String uid = "osmerin:" + context.site().slug() + ":" + round.reference();
    return new Entry(uid, title, html.body().html(), published);
  }
}
