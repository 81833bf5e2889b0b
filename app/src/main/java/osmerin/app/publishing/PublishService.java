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
import osmerin.app.checklists.Checklists;
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
import osmerin.core.draft.DraftDocument;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;
import osmerin.formats.markdown.Markdown;
import osmerin.formats.markdown.Rendered;

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
  private static final int LONGEST_REASON = 200;
  private static final Logger LOG = LoggerFactory.getLogger(PublishService.class);

  private final ArticleService articles;
  private final Publishing publishing;
  private final Checklists checklists;
  private final DraftService drafts;
  private final Notices notices;
  private final BlogHost host;

  PublishService(
      ArticleService articles,
      Publishing publishing,
      Checklists checklists,
      DraftService drafts,
      Notices notices,
      BlogHost host) {
    this.articles = articles;
    this.publishing = publishing;
    this.notices = notices;
    this.checklists = checklists;
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
   * @throws RefusedException when the article is not set, has no draft, or is being published, or
   *     when its page is none of the connected host, or when something on its checklist is open and
   *     nobody can be asked
   * @throws AskException when something on its checklist is open, or it would replace a page whose
   *     text Osmerin never had
   */
  public Outcome publish(SiteContext context, int number, Wish wish) {
    context.require(Right.EDIT);
    Round round = articles.get(context, number);
    DraftVersion draft =
        drafts
            .latest(round)
            .filter(d -> !d.text().isBlank())
            .orElseThrow(
                () ->
                    new RefusedException(
                        round.reference() + " has no draft yet. Write one first."));
    refuseElsewhere(context, round);
    publishing.requireReady(context, round);
    String despite = passed(context, round, wish);
    if (isUnknown(context, round)) {
      if (!wish.replaces()) {
        throw unknown(round);
      }
      keepWhatIsThere(context, round);
    }
    Entry entry = entry(context, round, draft.text(), wish.published().orElse(null));
    return publish(context, round, entry, wish.remark() + despite);
  }

  private Outcome publish(SiteContext context, Round round, Entry entry, String remark) {
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

  /** What the history says of publishing though something on the checklist is open. */
  private String passed(SiteContext context, Round round, Wish wish) {
    List<String> open =
        checklists.of(context, round).open().stream()
            .map(line -> line.item().text() + (line.said().isEmpty() ? "" : ": " + line.said()))
            .toList();
    if (open.isEmpty()) {
      return "";
    }
    String items = Counted.of(open.size(), "item") + " on its checklist ";
    String said = items + (open.size() == 1 ? "is" : "are") + " open";
    if (!checklists.gates(context.site())) {
      if (!wish.unattended() && !wish.reminded()) {
        throw AskException.setting(
            "Before %s goes live: %s.".formatted(round.reference(), said),
            open,
            "Publish anyway",
            "reminded");
      }
      return "";
    }
    if (wish.unattended()) {
      throw new RefusedException(said + ": " + String.join("; ", open) + ".");
    }
    String reason = wish.reason() == null ? "" : wish.reason().strip();
    if (reason.length() > LONGEST_REASON) {
      throw new RefusedException("A reason has at most " + LONGEST_REASON + " characters.");
    }
    if (reason.isEmpty()) {
      throw AskException.forReason(
          "%s can't go live yet: %s.".formatted(round.reference(), said), open, "Publish anyway");
    }
    String was = items + (open.size() == 1 ? "was" : "were") + " open";
    return " though %s (%s): %s".formatted(was, String.join("; ", open), reason);
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

  private static AskException unknown(Round round) {
    return new AskException(
        "Osmerin never had the text of this page. Publishing replaces all of it with your draft."
            + " What the blog host has of it is kept as the draft of the round before.",
        List.of(round.article().liveAddress()),
        "Replace the page");
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

  /** Writes a failed try down and tells those whom it concerns, of one reason once. */
  void failed(SiteContext context, Round round, String reason) {
    LOG.warn("publishing {} failed: {}", round.reference(), reason);
    boolean known = reason.equals(round.publication().failure());
    publishing.failed(context, round, reason);
    if (!known) {
      tell(context, round, NoticeKind.NOT_PUBLISHED, " was not published. " + reason);
    }
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

  /** Its title is not repeated in the text. */
  private Entry entry(
      SiteContext context, Round round, String markdown, @Nullable Instant published) {
    DraftDocument draft = drafts.document(context, round, markdown);
    Rendered page = Markdown.rendered(markdown);
    if (!page.excess().isEmpty()) {
      throw new RefusedException(
          page.excess().get(0) + " Shorten it in the draft, then publish again.");
    }
    Document html = Jsoup.parseBodyFragment(page.html());
    Element heading = html.selectFirst("h1");
    if (heading != null && !heading.text().isBlank()) {
      heading.remove();
    }
    String uid = "osmerin:" + context.site().slug() + ":" + round.reference();
    String title = drafts.title(context, round, draft);
    return new Entry(uid, title, html.body().html(), draft.description().orElse(null), published);
  }
}
