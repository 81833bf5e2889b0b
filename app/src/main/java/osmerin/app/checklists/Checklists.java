package osmerin.app.checklists;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.RoundReversal;
import osmerin.app.drafts.DraftService;
import osmerin.app.drafts.DraftVersion;
import osmerin.app.history.Change;
import osmerin.app.history.History;
import osmerin.app.history.Thing;
import osmerin.app.platform.web.NotFoundException;
import osmerin.app.platform.web.RefusedException;
import osmerin.app.rounds.Round;
import osmerin.app.site.Right;
import osmerin.app.site.Site;
import osmerin.app.site.SiteContext;
import osmerin.app.team.TeamService;
import osmerin.core.checklist.Checklist;
import osmerin.core.checklist.ChecklistItem;
import osmerin.core.checklist.Looked;
import osmerin.core.draft.DraftDocument;

/** The checklist of one article: what of it is right, and what people tick. */
@Service
public class Checklists implements RoundReversal {
  private static final String FIELD = "Checklist: ";

  private final ChecklistMapper checklists;
  private final ArticleService articles;
  private final DraftService drafts;
  private final TeamService team;
  private final History history;

  Checklists(
      ChecklistMapper checklists,
      ArticleService articles,
      DraftService drafts,
      TeamService team,
      History history) {
    this.checklists = checklists;
    this.articles = articles;
    this.drafts = drafts;
    this.team = team;
    this.history = history;
  }

  /** The checklist of a round's type, held against its latest draft. */
  @Transactional(readOnly = true)
  public Checklist of(SiteContext context, Round round) {
    List<ChecklistItem> items = checklists.items(round.typeId());
    return items.isEmpty()
        ? new Checklist(List.of())
        : Checklist.of(items, ticks(round).keySet(), looked(context, round));
  }

  private Looked looked(SiteContext context, Round round) {
    String text = drafts.latest(round).map(DraftVersion::text).orElse("");
    DraftDocument draft = drafts.document(context, round, text);
    return new Looked(
        draft,
        drafts.check(context, round, text),
        drafts.title(context, round, draft),
        context.site().address());
  }

  /** What people ticked, by key. */
  Map<String, Tick> ticks(Round round) {
    return checklists.ticks(round.id()).stream()
        .collect(Collectors.toMap(Tick::key, Function.identity()));
  }

  /** Whether the checklist holds publishing up; else it is only reminded of. */
  public boolean gates(Site site) {
    Boolean said = checklists.gates(site.id());
    return said == null ? !team.isAlone(site.id()) : said;
  }

  /** Ticks something, or takes the tick away; who is named for its role may, and editors. */
  @Transactional
  public void tick(SiteContext context, int number, String key, boolean done) {
    Round round = articles.get(context, number);
    ChecklistItem item =
        checklists.items(round.typeId()).stream()
            .filter(i -> i.key().equals(key))
            .findFirst()
            .orElseThrow(() -> new NotFoundException("thing on the checklist", key));
    if (!may(context, round, item)) {
      context.require(Right.EDIT);
    }
    if (item.own() != null) {
      throw new RefusedException("“%s” is looked up, not ticked.".formatted(item.text()));
    }
    if (!set(context, round, key, done)) {
      return;
    }
    String sentence = done ? "“%s” was ticked for %s." : "“%s” is open again for %s.";
    history.note(
        context,
        Right.WORK,
        sentence.formatted(item.text(), round.reference()),
        Change.of(
                Thing.ARTICLE,
                number,
                FIELD + item.text(),
                done ? "open" : "right",
                done ? "right" : "open")
            .keeping(done ? null : key, done ? key : null));
  }

  /** Whether the person may tick it. */
  boolean may(SiteContext context, Round round, ChecklistItem item) {
    return context.may(Right.EDIT)
        || item.role() != null && round.article().people(item.role()).contains(context.personId());
  }

  private boolean set(SiteContext context, Round round, String key, boolean done) {
    return done
        ? checklists.tick(round.id(), key, context.today(), context.personId()) == 1
        : checklists.untick(round.id(), key) == 1;
  }

  @Override
  public boolean knows(String field) {
    return field.startsWith(FIELD);
  }

  @Override
  public boolean put(SiteContext context, Round round, Change change) {
    boolean done = change.from() != null;
    return set(context, round, done ? change.from() : change.to(), done);
  }
}
