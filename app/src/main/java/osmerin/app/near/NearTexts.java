package osmerin.app.near;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import osmerin.app.history.History;
import osmerin.app.near.NearMapper.TextRow;
import osmerin.app.research.SiteNearness;
import osmerin.app.site.SiteContext;
import osmerin.core.article.ReferenceNumber;
import osmerin.core.meaning.NearPairs;
import osmerin.core.meaning.Nearness;
import osmerin.core.meaning.Phrase;
import osmerin.core.meaning.Profile;

/**
 * What of a site is near a text in meaning. The texts of a site are made ready in the background
 * when something changed, so that no page waits for them; until then those of the time before
 * answer. It only says what is near; people decide what follows.
 */
@Service
public class NearTexts {
  private static final Logger LOG = LoggerFactory.getLogger(NearTexts.class);

  /** Of each kind so many texts are compared. */
  private static final int MOST = 1_500;

  private final NearMapper texts;
  private final SiteNearness nearness;
  private final History history;
  private final Map<Long, Ready> ready = new ConcurrentHashMap<>();
  private final Map<Long, CompletableFuture<Ready>> preparing = new ConcurrentHashMap<>();

  NearTexts(NearMapper texts, SiteNearness nearness, History history) {
    this.texts = texts;
    this.nearness = nearness;
    this.history = history;
  }

  /**
   * Something near.
   *
   * @param reference of an article, empty for anything else
   * @param near about 0–1
   * @param groupId the group it answers or is; 0 for none
   */
  public record Near(
      Kind kind, String name, String reference, String path, double near, long groupId) {}

  /**
   * Two live articles that chase the same thing though their groups differ.
   *
   * @param near about 0–1
   */
  public record Rivals(Near first, Near second, double near) {}

  /** The texts of a site as they were in a state of it. */
  private record Ready(
      String state, Nearness nearness, List<TextRow> rows, List<Profile> profiles) {}

  /**
   * The things nearest to a text, the nearest first; none before the first texts are ready.
   *
   * @param least how near they are at least
   */
  public List<Near> to(SiteContext context, String text, double least, int most) {
    return to(context, text, least, most, row -> true);
  }

  /** Live articles nearest to a text, the nearest first. */
  public List<Near> live(SiteContext context, String text, double least, int most) {
    return to(context, text, least, most, row -> row.kind() == Kind.ARTICLE && row.live());
  }

  private List<Near> to(
      SiteContext context, String text, double least, int most, Predicate<TextRow> which) {
    Ready now = ready(context);
    if (now == null || text.isBlank()) {
      return List.of();
    }
    Phrase phrase = nearness.phrases(context.siteId(), List.of(text)).get(0);
    Profile profile = now.nearness().profile(phrase);
    return IntStream.range(0, now.rows().size())
        .filter(i -> which.test(now.rows().get(i)))
        .mapToObj(
            i ->
                near(context, now.rows().get(i), now.nearness().of(profile, now.profiles().get(i))))
        .filter(near -> near.near() >= least)
        .sorted(Comparator.comparingDouble((Near near) -> -near.near()).thenComparing(Near::name))
        .limit(most)
        .toList();
  }

  /** Groups nearest to a text, the nearest first. */
  public List<Near> groups(SiteContext context, String text, double least, int most) {
    return to(context, text, least, MOST).stream()
        .filter(near -> near.kind() == Kind.GROUP)
        .limit(most)
        .toList();
  }

  /** Live articles that are near each other but answer different groups, the nearest first. */
  public List<Rivals> rivals(SiteContext context, double least, int most) {
    Ready now = ready(context);
    if (now == null) {
      return List.of();
    }
    int[] live =
        IntStream.range(0, now.rows().size())
            .filter(i -> now.rows().get(i).kind() == Kind.ARTICLE && now.rows().get(i).live())
            .toArray();
    int[][] pairs =
        NearPairs.of(
            now.nearness(),
            IntStream.of(live).mapToObj(i -> now.profiles().get(i)).toList(),
            least);
    List<Rivals> rivals = new ArrayList<>();
    for (int i = 0; i < live.length; i++) {
      for (int j : pairs[i]) {
        TextRow a = now.rows().get(live[i]);
        TextRow b = now.rows().get(live[j]);
        if (i < j && (a.groupId() == 0 || a.groupId() != b.groupId())) {
          double near = now.nearness().of(now.profiles().get(live[i]), now.profiles().get(live[j]));
          rivals.add(new Rivals(near(context, a, near), near(context, b, near), near));
        }
      }
    }
    return rivals.stream()
        .sorted(Comparator.comparingDouble(rival -> -rival.near()))
        .limit(most)
        .toList();
  }

  private static Near near(SiteContext context, TextRow row, double near) {
    String reference =
        row.kind() == Kind.ARTICLE
            ? new ReferenceNumber(context.site().prefix(), (int) row.key()).toString()
            : "";
    String path =
        switch (row.kind()) {
          case ARTICLE -> "/articles/" + reference;
          case PITCH -> "/pitches#open=/pitches/" + row.key() + "/drawer";
          case GROUP -> "/research/groups/" + row.key();
        };
    return new Near(row.kind(), row.text(), reference, context.base() + path, near, row.groupId());
  }

  private @Nullable Ready ready(SiteContext context) {
    Ready now = ready.get(context.siteId());
    String state = history.state(context);
    if (now == null || !now.state().equals(state)) {
      prepare(context.siteId(), state);
      now = ready.get(context.siteId());
    }
    return now;
  }

  /** Begins to make the texts ready, unless that is under way. */
  public CompletableFuture<?> prepare(SiteContext context) {
    return prepare(context.siteId(), history.state(context));
  }

  private CompletableFuture<Ready> prepare(long siteId, String state) {
    return preparing.computeIfAbsent(
        siteId,
        id ->
            CompletableFuture.supplyAsync(() -> made(id, state))
                // Elsewhere, since the map must not change while this one enters it.
                .whenCompleteAsync(
                    (made, fault) -> {
                      if (fault == null) {
                        ready.put(id, made);
                      } else {
                        LOG.warn("near texts of site {} are not ready", id, fault);
                      }
                      preparing.remove(id);
                    }));
  }

  private Ready made(long siteId, String state) {
    List<TextRow> rows = texts.texts(siteId, MOST);
    Nearness site = nearness.of(siteId);
    List<Phrase> phrases = nearness.phrases(siteId, rows.stream().map(TextRow::text).toList());
    site.prepare(phrases);
    return new Ready(state, site, rows, phrases.stream().map(site::profile).toList());
  }
}
