package osmerin.app.briefs;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.Round;
import osmerin.app.briefs.BriefMapper.BriefRow;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.research.ResearchService;
import osmerin.app.research.ResearchService.GroupKeywords;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.Outline;
import osmerin.core.evidence.WordRange;
import tools.jackson.databind.json.JsonMapper;

/** Briefs. */
@Service
public class BriefService {
  private final BriefMapper briefs;
  private final ResearchService research;
  private final JsonMapper json;

  BriefService(BriefMapper briefs, ResearchService research, JsonMapper json) {
    this.briefs = briefs;
    this.research = research;
    this.json = json;
  }

  /** What came of saving a brief. */
  public sealed interface Saved {
    record Done(Brief brief) implements Saved {}

    /** Somebody else was faster; nothing was stored. {@code theirs} is what they saved. */
    record Conflict(Brief theirs, List<Difference> differences) implements Saved {}
  }

  /** A field in which two briefs differ. */
  public record Difference(String field, String theirs, String yours) {}

  /** The brief of a round; before it is first saved, with the keywords of the article's group. */
  public Brief get(SiteContext context, Round round) {
    return briefs.find(round.id()).map(this::brief).orElseGet(() -> fresh(context, round));
  }

  private Brief fresh(SiteContext context, Round round) {
    GroupKeywords keywords =
        round.groupId() == null
            ? new GroupKeywords("", List.of())
            : research.keywords(context, round.groupId());
    return new Brief(
        round.id(),
        round.title(),
        keywords.primary(),
        keywords.secondary(),
        "",
        "",
        Optional.empty(),
        Outline.NONE,
        "",
        0,
        null,
        null);
  }

  /**
   * Saves a brief over the version that the person has seen.
   *
   * @throws RefusedException when the round is live: then its brief is a record
   */
  @Transactional
  public Saved save(SiteContext context, Round round, Brief brief) {
    if (round.isLive()) {
      throw new RefusedException(
          "Round "
              + round.ordinal()
              + " of "
              + round.reference()
              + " is live; its brief stays as it was.");
    }
    BriefRow row = row(brief);
    int done =
        brief.version() == 0
            ? briefs.insert(row, context.personId())
            : briefs.update(row, brief.version(), context.personId());
    Brief now = get(context, round);
    return done == 1 ? new Saved.Done(now) : new Saved.Conflict(now, differences(now, brief));
  }

  /** A refresh starts from the last round's brief. */
  @Transactional
  public void carryOver(Round from, Round to) {
    briefs.copy(from.id(), to.id());
  }

  private static List<Difference> differences(Brief theirs, Brief yours) {
    List<Difference> differences = new ArrayList<>();
    compare(differences, "Working title", theirs.workingTitle(), yours.workingTitle());
    compare(differences, "Primary keyword", theirs.primaryKeyword(), yours.primaryKeyword());
    compare(
        differences,
        "Secondary keywords",
        String.join(", ", theirs.secondary()),
        String.join(", ", yours.secondary()));
    compare(differences, "Reader", theirs.reader(), yours.reader());
    compare(differences, "Angle", theirs.angle(), yours.angle());
    compare(differences, "Words", words(theirs), words(yours));
    compare(differences, "Outline", outline(theirs), outline(yours));
    compare(differences, "Notes", theirs.notes(), yours.notes());
    return differences;
  }

  private static void compare(
      List<Difference> differences, String field, String theirs, String yours) {
    if (!theirs.equals(yours)) {
      differences.add(new Difference(field, theirs, yours));
    }
  }

  private static String words(Brief brief) {
    return brief.words().map(w -> w.low() + "–" + w.high()).orElse("");
  }

  private static String outline(Brief brief) {
    List<String> lines =
        brief.outline().sections().stream()
            .map(
                s ->
                    "– ".repeat(s.depth())
                        + s.heading()
                        + (s.note().isEmpty() ? "" : ": " + s.note()))
            .toList();
    return String.join("\n", lines);
  }

  private Brief brief(BriefRow row) {
    Optional<WordRange> words =
        row.wordsLow() == null
            ? Optional.empty()
            : Optional.of(new WordRange(row.wordsLow(), row.wordsTarget(), row.wordsHigh()));
    return new Brief(
        row.roundId(),
        row.workingTitle(),
        row.primaryKeyword(),
        row.secondary(),
        row.reader(),
        row.angle(),
        words,
        new Outline(List.of(json.readValue(row.outline(), Outline.Section[].class))),
        row.notes(),
        row.version(),
        row.changedBy(),
        row.changedAt());
  }

  private BriefRow row(Brief brief) {
    return new BriefRow(
        brief.roundId(),
        brief.workingTitle(),
        brief.primaryKeyword(),
        brief.secondary(),
        brief.reader(),
        brief.angle(),
        brief.words().map(WordRange::low).orElse(null),
        brief.words().map(WordRange::target).orElse(null),
        brief.words().map(WordRange::high).orElse(null),
        json.writeValueAsString(brief.outline().sections()),
        brief.notes(),
        brief.version(),
        null,
        null);
  }
}
