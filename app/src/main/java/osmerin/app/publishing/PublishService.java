package osmerin.app.publishing;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefService;
import osmerin.app.drafts.DraftService;
import osmerin.app.drafts.DraftVersion;
import osmerin.app.notices.NoticeKind;
import osmerin.app.notices.Notices;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.publishing.BlogHost.Entry;
import osmerin.app.publishing.BlogHost.Published;
import osmerin.app.publishing.BlogHost.PublishingFailedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.StepRole;
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
  private final Publishing publishing;
  private final BriefService briefs;
  private final DraftService drafts;
  private final Notices notices;
  private final BlogHost host;

  PublishService(
      ArticleService articles,
      Publishing publishing,
      BriefService briefs,
      DraftService drafts,
      Notices notices,
      BlogHost host) {
    this.articles = articles;
    this.publishing = publishing;
    this.notices = notices;
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
   * @throws RefusedException when the article is not Ready, has no draft, or is being published, or
   *     when its page is none of the connected host
   * @throws AskException when it would replace a page whose text Osmerin never had
   */
  public Outcome publish(SiteContext context, int number) {
    return publish(context, number, Optional.empty(), "");
  }

  /**
   * Publishes what was first published elsewhere or earlier.
   *
   * @param published when; the host dates the article by it
   * @param remark an end for the sentence in the history
   */
  public Outcome publish(
      SiteContext context, int number, Optional<Instant> published, String remark) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    askIfUnknown(context, round);
    return publish(context, round, published, remark);
  }

  /** Publishes over a page whose text Osmerin never had; what the host has of it is kept. */
  public Outcome replace(SiteContext context, int number) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    if (isUnknown(context, round)) {
      keepWhatIsThere(context, round);
    }
    return publish(context, round, Optional.empty(), "");
  }

  private Outcome publish(
      SiteContext context, Round round, Optional<Instant> published, String remark) {
    DraftVersion draft =
        drafts
            .latest(round)
            .filter(d -> !d.text().isBlank())
            .orElseThrow(
                () ->
                    new RefusedException(
                        round.reference() + " has no draft yet. Write one first."));
    refuseElsewhere(context, round);
    Entry entry = entry(context, round, draft.text(), published.orElse(null));
    publishing.begin(context, round);
    try {
      Published sent = send(round, entry);
      String address = addresses(context).checked(sent.address());
      publishing.wentLive(context, round, address, sent.simulated(), remark);
      tell(context, round, NoticeKind.WENT_LIVE, " went live.");
      return new Outcome.Live(address);
    } catch (PublishingFailedException e) {
      failed(context, round, e.getMessage());
      return new Outcome.Failed(e.getMessage());
    } catch (RuntimeException e) {
      failed(context, round, "Osmerin could not make sense of the blog host's answer.");
      throw e;
    }
  }

  private PublishedAddress addresses(SiteContext context) {
    return new PublishedAddress(host.name(), context.site());
  }

  private void refuseElsewhere(SiteContext context, Round round) {
    String address = round.article().liveAddress();
    if (address != null && host.isConnected() && !addresses(context).covers(address)) {
      throw new RefusedException(
          "%s is at %s, which is outside the connected blog host (%s). Put the new text there by hand, then say under “Published elsewhere?” that it is live."
              .formatted(round.reference(), address, host.name()));
    }
  }

  private void askIfUnknown(SiteContext context, Round round) {
    if (isUnknown(context, round)) {
      throw new AskException(
          "Osmerin never had the text of this page. Publishing replaces all of it with your draft."
              + " What the blog host has of it is kept as the draft of the round before.",
          List.of(round.article().liveAddress()),
          "Replace the page");
    }
  }

  /** Whether the article is live with a text that was not written here. */
  private boolean isUnknown(SiteContext context, Round round) {
    return round.article().liveAddress() != null
        && round.ordinal() > 1
        && drafts.latest(before(context, round)).isEmpty();
  }

  private Round before(SiteContext context, Round round) {
    return articles.get(context, round.article().number(), round.ordinal() - 1);
  }

  private void keepWhatIsThere(SiteContext context, Round round) {
    try {
      host.text(round.article().liveAddress())
          .ifPresent(text -> drafts.keepPublished(context, before(context, round), text));
    } catch (PublishingFailedException e) {
      LOG.info("the text of {} could not be kept: {}", round.reference(), e.getMessage());
    }
  }

  /** Writes a failed try down and tells those whom it concerns. */
  void failed(SiteContext context, Round round, String reason) {
    LOG.warn("publishing {} failed: {}", round.reference(), reason);
    publishing.failed(context, round, reason);
    tell(context, round, NoticeKind.NOT_PUBLISHED, " was not published. " + reason);
  }

  private void tell(SiteContext context, Round round, NoticeKind kind, String what) {
    String text = round.reference() + " “" + round.title() + "”" + what;
    String path = context.base() + "/articles/" + round.reference();
    notices.tell(
        context,
        StepRole.SHIPPED.stream().flatMap(role -> round.article().people(role).stream()).toList(),
        kind,
        text,
        path);
  }

  private Published send(Round round, Entry entry) {
    if (round.article().liveAddress() != null) {
      return host.update(round.article().liveAddress(), entry);
    }
    boolean triedBefore = round.publication().attemptedAt() != null;
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
