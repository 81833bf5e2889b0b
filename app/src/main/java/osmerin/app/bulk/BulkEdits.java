package osmerin.app.bulk;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleEdits;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.PublishDates;
import osmerin.app.articles.StageMoves;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.people.PeopleEdits;
import osmerin.app.platform.web.AskException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.runups.ArticleType;
import osmerin.app.runups.ArticleTypeService;
import osmerin.app.runups.StageList;
import osmerin.app.site.Right;
import osmerin.app.site.SiteContext;
import osmerin.core.article.Stage;
import osmerin.core.article.Stages;
import osmerin.core.runup.StepRole;
import osmerin.core.text.Counted;

/** One change made to many articles at once, taken back at once. */
@Service
public class BulkEdits {
  /** More articles at once are refused. */
  static final int MOST = 500;

  /** The furthest that dates are moved. */
  private static final int MOST_DAYS = 366;

  /** What is changed. */
  public enum What {
    STAGE,
    STRATEGIST,
    EDITOR,
    WRITER,
    DAYS,
    TYPE,
    ARCHIVE
  }

  /**
   * What came of it.
   *
   * @param sentence what was done
   * @param left one sentence for each article that was left as it is, with the reason
   */
  public record Outcome(String sentence, List<String> left) {}

  private final ArticleService looking;
  private final ArticleEdits edits;
  private final PeopleEdits people;
  private final StageMoves stageMoves;
  private final PublishDates publishDates;
  private final ArticleTypeService types;
  private final StageList stages;
  private final History history;

  BulkEdits(
      ArticleService looking,
      ArticleEdits edits,
      PeopleEdits people,
      StageMoves stageMoves,
      PublishDates publishDates,
      ArticleTypeService types,
      StageList stages,
      History history) {
    this.looking = looking;
    this.edits = edits;
    this.people = people;
    this.stageMoves = stageMoves;
    this.publishDates = publishDates;
    this.types = types;
    this.stages = stages;
    this.history = history;
  }

  /** One change of one article. */
  private interface Edit {
    List<Change> of(Round round);
  }

  /**
   * Changes articles; those that cannot be changed are left and named.
   *
   * @param value the stage, the person's id or nothing, the number of days, the type's id
   * @param anyway move to a stage though steps are to be done that the stage takes for done, or
   *     dates though articles become late or impossible by it
   * @throws AskException when there are such steps or articles and they are not to be moved anyway
   */
  @Transactional
  public Outcome change(
      SiteContext context,
      Collection<Integer> numbers,
      What what,
      @Nullable String value,
      boolean anyway) {
    context.require(Right.EDIT);
    if (numbers.isEmpty()) {
      throw new RefusedException("Mark the articles first, with Space or the box before each.");
    }
    if (numbers.size() > MOST) {
      throw new RefusedException("At most " + MOST + " articles are changed at once.");
    }
    Edit edit = edit(context, what, value == null ? "" : value.strip());
    List<Change> changes = new ArrayList<>();
    List<String> left = new ArrayList<>();
    List<Round> marked = looking.byNumbers(context, numbers);
    List<Round> rounds = what == What.DAYS ? publishDates.leading(marked) : marked;
    if (what == What.STAGE && !anyway) {
      stageMoves.askOfLacks(context, stage(context, value == null ? "" : value.strip()), rounds);
    }
    if (what == What.DAYS && !anyway) {
      publishDates.askOfSetbacks(context, rounds, number(value == null ? "" : value.strip()));
    }
    for (Round round : rounds) {
      try {
        changes.addAll(edit.of(round));
      } catch (RefusedException e) {
        left.add(e.getMessage());
      }
    }
    Set<String> changed = changes.stream().map(Change::key).collect(Collectors.toSet());
    long those = marked.stream().filter(r -> changed.contains(key(r))).count();
    String sentence = Counted.of(those, "article") + " " + words(context, what, value) + ".";
    history.note(context, Right.EDIT, sentence, changes);
    return new Outcome(sentence, left);
  }

  private static String key(Round round) {
    return String.valueOf(round.article().number());
  }

  private Edit edit(SiteContext context, What what, String value) {
    return switch (what) {
      case STAGE -> {
        Stages all = stages.of(context.siteId());
        Stage to = stage(context, value);
        yield round -> stageMoves.stage(context, all, round, to);
      }
      case STRATEGIST, EDITOR, WRITER -> {
        List<Long> named = value.isEmpty() ? List.of() : List.of((long) number(value));
        StepRole role = StepRole.valueOf(what.name());
        yield people.naming(context, role, named)::apply;
      }
      case DAYS -> {
        int days = number(value);
        if (Math.abs(days) > MOST_DAYS) {
          throw new RefusedException("Dates move by at most " + MOST_DAYS + " days.");
        }
        yield round -> shift(context, round, days);
      }
      case TYPE -> {
        int type = number(value);
        yield round -> type(context, round, type);
      }
      case ARCHIVE -> round -> edits.archive(round, true);
    };
  }

  private List<Change> shift(SiteContext context, Round round, int days) {
    if (round.publishDate() == null) {
      throw new RefusedException(round.reference() + " has no date to move.");
    }
    return publishDates.publishDate(context, round, round.publishDate().plusDays(days));
  }

  private List<Change> type(SiteContext context, Round round, int typeId) {
    ArticleType type =
        types.list(context.siteId(), round.kind()).stream()
            .filter(t -> t.id() == typeId)
            .findFirst()
            .orElseThrow(
                () ->
                    new RefusedException(
                        "That type is not for %s, a %s."
                            .formatted(
                                round.reference(), round.typeName().toLowerCase(Locale.ROOT))));
    return edits.type(context, round, type);
  }

  private Stage stage(SiteContext context, String value) {
    return stages.of(context.siteId()).inWork().stream()
        .filter(s -> String.valueOf(s.id()).equals(value))
        .findFirst()
        .orElseThrow(() -> new RefusedException("Choose the stage to move to."));
  }

  private static int number(String value) {
    if (!value.matches("[+-]?\\d{1,9}")) {
      throw new RefusedException(
          value.isEmpty() ? "Say by how much, or choose one." : "“" + value + "” is not a number.");
    }
    return Integer.parseInt(value);
  }

  private String words(SiteContext context, What what, @Nullable String value) {
    return switch (what) {
      case STAGE -> "moved to " + stage(context, Optional.ofNullable(value).orElse("")).label();
      case STRATEGIST, EDITOR, WRITER -> "got another " + what.name().toLowerCase(Locale.ROOT);
      case DAYS -> "moved by " + Counted.of(number(String.valueOf(value).strip()), "day");
      case TYPE -> "got another type";
      case ARCHIVE -> "archived";
    };
  }
}
