package osmerin.app.ledger;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import osmerin.app.platform.data.LikePattern;
import osmerin.app.platform.web.Paging;
import osmerin.app.platform.web.Typed;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.runups.StepRow;
import osmerin.app.views.Asked;
import osmerin.app.views.Columns;
import osmerin.core.article.Kind;
import osmerin.core.article.Phase;
import osmerin.core.article.ReferenceNumber;

/**
 * What of the articles ledger is shown, as it stands in its address; nonsense counts as nothing.
 *
 * @param stage id of a stage, a phase for all its stages, or what is on hold
 * @param type id of an article type, or "NEW" or "REFRESH" for all of a kind
 * @param month "2026-12", "none" for articles in work without a date, or a {@link Span} that moves
 *     with the day
 * @param topic id of a topic that the article answers
 * @param next name of the step whose turn it is, or a {@link Turn}
 * @param columns those shown beside number and title, in this order
 * @param sort a column of {@link Sort}, with "-" before it for descending
 */
public record ArticleFilter(
    @Nullable String q,
    @Nullable String stage,
    @Nullable Long person,
    @Nullable String type,
    @Nullable String month,
    @Nullable Long topic,
    @Nullable String next,
    @Nullable List<String> columns,
    @Nullable String sort,
    @Nullable Integer page,
    @Nullable Integer size) {
  /** Columns that can be sorted by. */
  public enum Sort {
    NUMBER,
    TITLE,
    TYPE,
    STAGE,
    PUBLISH,
    WRITER
  }

  /** Days that move with today. */
  public enum Span {
    COMING_WEEK("the coming week", 0, 6),
    COMING_THREE_WEEKS("the coming three weeks", 0, 20),
    COMING_QUARTER("the coming quarter", 0, 90),
    LAST_FOUR_WEEKS("the last four weeks", -27, 0);

    private final String label;
    private final int first;
    private final int last;

    Span(String label, int first, int last) {
      this.label = label;
      this.first = first;
      this.last = last;
    }

    public String label() {
      return label;
    }

    Days days(LocalDate today) {
      return new Days(today.plusDays(first), today.plusDays(last));
    }
  }

  /** Whether a step can start now. */
  public enum Turn {
    START("can start now"),
    MINE("can start now, mine");

    private final String label;

    Turn(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /** From a day up to and with another. */
  public record Days(LocalDate first, LocalDate last) {}

  private static final String WITHOUT_DATE = "none";

  /** In place of a stage: whatever the stage, what is on hold. */
  private static final String ON_HOLD = "HOLD";

  public boolean isAnything() {
    return text() != null
        || stageId() != null
        || phaseAsked() != null
        || isOnHold()
        || person != null
        || kindAsked() != null
        || typeId() != null
        || yearMonth().isPresent()
        || span() != null
        || topic != null
        || isNextAsked()
        || withoutDate();
  }

  public boolean isNextAsked() {
    return next != null && !next.isBlank();
  }

  /** Whether an article in work is chosen by whose turn it is. */
  boolean isNext(PlannedRound planned, long me) {
    List<StepRow> startable = planned.startable();
    if (Turn.START.name().equals(next)) {
      return !startable.isEmpty();
    }
    if (Turn.MINE.name().equals(next)) {
      return startable.stream().anyMatch(s -> planned.round().holders(s).contains(me));
    }
    return startable.stream().anyMatch(step -> step.name().equals(next));
  }

  public List<ArticleColumn> shown() {
    return Columns.shown(columns, ArticleColumn.class, ArticleColumn.SHIPPED);
  }

  /** All columns: those shown in their order, then the others. */
  public List<ArticleColumn> choices() {
    return Columns.choices(shown(), ArticleColumn.class);
  }

  /** The text as a pattern for a search within titles; null when none was typed. */
  public @Nullable String text() {
    return q == null || q.isBlank() ? null : "%" + LikePattern.of(q) + "%";
  }

  /** The running number when the text is a reference number or a number. */
  public @Nullable Integer number() {
    return q == null ? null : ReferenceNumber.typed(q).orElse(null);
  }

  /** The stage that is asked for; null for none. */
  public @Nullable Long stageId() {
    return Typed.number(stage);
  }

  /** All stages of a phase; null when a stage is asked for, or none. */
  public @Nullable Phase phaseAsked() {
    return Arrays.stream(Phase.values())
        .filter(phase -> phase.name().equals(stage))
        .findFirst()
        .orElse(null);
  }

  public boolean isOnHold() {
    return ON_HOLD.equals(stage);
  }

  public boolean withoutDate() {
    return WITHOUT_DATE.equals(month);
  }

  /** All of a kind; null when a type is asked for, or none. */
  public @Nullable Kind kindAsked() {
    return Arrays.stream(Kind.values()).filter(k -> k.name().equals(type)).findFirst().orElse(null);
  }

  /** The type that is asked for; null for none. */
  public @Nullable Long typeId() {
    return Typed.number(type);
  }

  /** The span that is asked for; null for none. */
  public @Nullable Span span() {
    return Arrays.stream(Span.values())
        .filter(s -> s.name().equals(month))
        .findFirst()
        .orElse(null);
  }

  public @Nullable Days days(LocalDate today) {
    Span span = span();
    return span != null
        ? span.days(today)
        : yearMonth().map(m -> new Days(m.atDay(1), m.atEndOfMonth())).orElse(null);
  }

  private Optional<YearMonth> yearMonth() {
    try {
      return month == null || withoutDate() || span() != null
          ? Optional.empty()
          : Optional.of(YearMonth.parse(month));
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  public Sort column() {
    String name = sort == null ? "" : sort.replaceFirst("^-", "");
    return Arrays.stream(Sort.values())
        .filter(s -> s.name().equalsIgnoreCase(name))
        .findFirst()
        .orElse(Sort.NUMBER);
  }

  /** The newest number first unless asked otherwise. */
  public boolean descending() {
    return sort == null || sort.startsWith("-");
  }

  public int limit() {
    return size != null && Paging.SIZES.contains(size) ? size : Paging.SIZES.get(0);
  }

  public int pageNumber() {
    return page == null || page < 1 ? 1 : Math.min(page, 1_000_000);
  }

  public int offset() {
    return (pageNumber() - 1) * limit();
  }

  /** The address of the ledger sorted by a column; a second click turns the order round. */
  public String sortedBy(String path, String column) {
    boolean now = column().name().equalsIgnoreCase(column);
    String next = now && !descending() ? "-" + column : column;
    return address(path, next, 1);
  }

  /** The address of another page of the same ledger. */
  public String onPage(String path, int number) {
    return address(path, sort, number);
  }

  public Map<String, String> hiddenFields() {
    return fieldsWithout("columns");
  }

  /** All of this but one field and the page, as fields of a form. */
  public Map<String, String> fieldsWithout(String field) {
    return asked(sort).without(field);
  }

  private String address(String path, @Nullable String order, int number) {
    return asked(order).with("page", number > 1 ? number : null).address(path);
  }

  private Asked asked(@Nullable String order) {
    return new Asked()
        .with("q", q)
        .with("stage", stage)
        .with("person", person)
        .with("type", type)
        .with("month", month)
        .with("topic", topic)
        .with("next", next)
        .with("columns", columns == null ? null : String.join(",", columns))
        .with("size", size)
        .with("sort", order);
  }
}
