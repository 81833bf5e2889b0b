package osmerin.app.live;

import static osmerin.app.platform.data.CopyIn.fields;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import osmerin.app.articles.LiveArticles;
import osmerin.app.articles.LiveArticles.Incoming;
import osmerin.app.imports.ImportReports;
import osmerin.app.live.InventoryMapper.IncomingRow;
import osmerin.app.live.InventoryMapper.ReadingRow;
import osmerin.app.platform.data.CopyIn;
import osmerin.app.platform.outside.GuardedFetch;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.app.work.Progress;
import osmerin.core.keyword.PageAddress;
import osmerin.formats.inventory.InventoryFile;
import osmerin.formats.inventory.InventoryReading;
import osmerin.formats.inventory.InventoryReading.Problem;
import osmerin.formats.inventory.LivePage;
import osmerin.formats.text.UnreadableFileException;

/** Takes in what files and addresses say is live: first to be looked at, then as articles. */
@Service
public class InventoryIntake {
  static final int MOST_PAGES = 20_000;

  /** No more parts of an index of sitemaps are fetched. */
  private static final int MOST_PARTS = 50;

  private static final int PROBLEMS_SHOWN = 200;
  private static final int LONGEST_TITLE = 200;
  private static final Duration WAITS = Duration.ofDays(7);

  private final InventoryMapper inventory;
  private final GuardedFetch fetch;
  private final LiveArticles live;
  private final LiveMatching matching;
  private final ImportReports reports;
  private final CopyIn copy;
  private final TransactionTemplate transaction;
  private final Clock clock;

  InventoryIntake(
      InventoryMapper inventory,
      GuardedFetch fetch,
      LiveArticles live,
      LiveMatching matching,
      ImportReports reports,
      CopyIn copy,
      TransactionTemplate transaction,
      Clock clock) {
    this.inventory = inventory;
    this.fetch = fetch;
    this.live = live;
    this.matching = matching;
    this.reports = reports;
    this.copy = copy;
    this.transaction = transaction;
    this.clock = clock;
  }

  /**
   * Keeps what a file says, until somebody has looked at it.
   *
   * @throws osmerin.formats.text.UnreadableFileException when it cannot be read
   */
  public UUID keep(SiteContext context, String name, byte[] bytes) {
    context.require(Right.COMMISSION);
    return keep(context, name, List.of(file(context).read(bytes)));
  }

  /**
   * Keeps what the file at an address says; of an index of sitemaps what all its parts say. No
   * transaction is open while hosts are waited for.
   *
   * @throws RefusedException when it may not be fetched, or is not there
   */
  public UUID keepFrom(SiteContext context, String address, Progress progress) {
    context.require(Right.COMMISSION);
    String typed = address.strip();
    progress.at("Fetching " + typed);
    GuardedFetch.Session session = fetch.session();
    InventoryReading first = file(context).read(session.get(typed));
    List<InventoryReading> readings = new ArrayList<>(List.of(first));
    List<String> parts = first.parts();
    for (int i = 0; i < Math.min(MOST_PARTS, parts.size()); i++) {
      progress.at("Fetching the parts", i, Math.min(MOST_PARTS, parts.size()));
      readings.add(part(context, session, parts.get(i)));
    }
    parts.stream()
        .skip(MOST_PARTS)
        .forEach(
            part ->
                readings.add(
                    without(part, "not fetched: an index has its first 50 parts fetched")));
    return keep(context, typed, readings);
  }

  /** What a part says; one that cannot be had is said, and the others count. */
  private static InventoryReading part(
      SiteContext context, GuardedFetch.Session session, String part) {
    try {
      return file(context).read(session.get(part));
    } catch (RefusedException | UnreadableFileException e) {
      return without(part, e.getMessage());
    }
  }

  private static InventoryReading without(String part, String reason) {
    return new InventoryReading(List.of(), List.of(), List.of(new Problem(part, reason)));
  }

  /**
   * Keeps the own pages that an import of keywords tells of.
   *
   * @throws RefusedException when it names none
   */
  public UUID keepOwn(SiteContext context, long importId) {
    context.require(Right.COMMISSION);
    List<LivePage> pages =
        reports.ownPages(context, importId).stream()
            .map(page -> new LivePage("https://" + page.value(), null, null, null))
            .toList();
    return keep(
        context,
        "own pages of an import",
        List.of(new InventoryReading(pages, List.of(), List.of())));
  }

  private static InventoryFile file(SiteContext context) {
    String address = context.site().address();
    return new InventoryFile(
        address.contains("://") ? address : "https://" + address, context.site().zoneId());
  }

  private UUID keep(SiteContext context, String name, List<InventoryReading> readings) {
    List<LivePage> pages = readings.stream().flatMap(r -> r.pages().stream()).toList();
    if (pages.size() > MOST_PAGES) {
      throw new RefusedException(
          String.format(
              Locale.ROOT,
              "There are %,d pages; at most %,d are brought in at once. Split the file.",
              pages.size(),
              MOST_PAGES));
    }
    boolean index = readings.size() == 1 && !readings.get(0).parts().isEmpty();
    if (pages.isEmpty()) {
      throw new RefusedException(
          index
              ? "That is an index of sitemaps. Give its address instead of the file, or its parts."
              : "No page is named in it.");
    }
    List<Problem> problems = readings.stream().flatMap(r -> r.problems().stream()).toList();
    UUID id = UUID.randomUUID();
    transaction.executeWithoutResult(open -> store(context, id, name, pages, problems));
    return id;
  }

  private void store(
      SiteContext context, UUID id, String name, List<LivePage> pages, List<Problem> problems) {
    inventory.deleteOldReadings(context.siteId(), clock.instant().minus(WAITS));
    inventory.insertReading(id, context.siteId(), context.personId(), name, clock.instant());
    copy.rows(
        "inventory_incoming (reading_id, position, address, normal, title, published, changed)",
        IntStream.range(0, pages.size()).boxed().toList(),
        i -> {
          LivePage page = pages.get(i);
          String normal = PageAddress.of(page.address()).orElseThrow().value();
          return fields(
              id, i, page.address(), normal, page.title(), page.published(), page.changed());
        });
    copy.rows(
        "inventory_problem (reading_id, position, place, reason)",
        IntStream.range(0, problems.size()).boxed().toList(),
        i -> fields(id, i, problems.get(i).where(), problems.get(i).reason()));
  }

  /** Pages that wait; none once they were brought in. */
  public Optional<WaitingPages> find(SiteContext context, UUID id) {
    return inventory.findReading(context.siteId(), id).map(reading -> waiting(context, reading));
  }

  WaitingPages waiting(SiteContext context, UUID id) {
    return find(context, id).orElseThrow(() -> new NotFoundException("inventory", id));
  }

  /** Apart those that articles are for already. */
  private WaitingPages waiting(SiteContext context, ReadingRow reading) {
    Set<String> known =
        inventory.live(context.siteId()).stream()
            .flatMap(a -> PageAddress.of(a.address()).stream())
            .map(PageAddress::value)
            .collect(Collectors.toCollection(HashSet::new));
    int before = known.size();
    List<IncomingRow> all = inventory.incoming(reading.id());
    // An address that two sitemaps name is one page.
    List<IncomingRow> fresh = all.stream().filter(p -> known.add(p.normal())).toList();
    return new WaitingPages(
        reading,
        fresh,
        Math.min(before, all.size() - fresh.size()),
        inventory.problems(reading.id(), PROBLEMS_SHOWN),
        inventory.countProblems(reading.id()));
  }

  /**
   * Makes a live article of each page that waits and is new, and matches all live ones.
   *
   * @param useChanged whether the day of the last change stands for an unknown publish date
   * @param otherwise the publish date of pages of which nothing is known
   * @return how many articles there are more
   */
  @Transactional
  public int bringIn(SiteContext context, UUID id, boolean useChanged, LocalDate otherwise) {
    context.require(Right.COMMISSION);
    if (otherwise.isAfter(context.today())) {
      throw new RefusedException("A page cannot be live since a day that is yet to come.");
    }
    WaitingPages waiting = waiting(context, id);
    if (waiting.fresh().isEmpty()) {
      throw new RefusedException("Articles are there for all of these pages already.");
    }
    // Whoever else brings the same pages in waits here, and finds the reading gone.
    if (inventory.deleteReading(id) == 0) {
      throw new RefusedException("Someone else has just imported these pages.");
    }
    List<Incoming> incoming =
        waiting.fresh().stream()
            .map(p -> new Incoming(title(p), p.address(), day(p, useChanged, otherwise, context)))
            .toList();
    List<Long> ids = live.bringIn(context, waiting.reading().name(), incoming);
    copy.rows(
        "inventory_article (article_id, changed_on)",
        IntStream.range(0, ids.size()).boxed().toList(),
        i -> fields(ids.get(i), waiting.fresh().get(i).changed()));
    matching.match(context);
    return ids.size();
  }

  private static LocalDate day(
      IncomingRow page, boolean useChanged, LocalDate otherwise, SiteContext context) {
    LocalDate day =
        page.published() != null
            ? page.published()
            : useChanged && page.changed() != null ? page.changed() : otherwise;
    return day.isAfter(context.today()) ? context.today() : day;
  }

  /** The page's own title, else the last part of its address in words. */
  private static String title(IncomingRow page) {
    String title = page.title();
    if (title == null) {
      String words = new PageAddress(page.normal()).words();
      title =
          words.isEmpty()
              ? page.normal()
              : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
    return title.length() > LONGEST_TITLE ? title.substring(0, LONGEST_TITLE) : title;
  }
}
