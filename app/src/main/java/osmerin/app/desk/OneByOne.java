package osmerin.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import osmerin.app.articles.ArticleService;
import osmerin.app.briefs.BriefPages;
import osmerin.app.desk.Desk.Waiting;
import osmerin.app.drafts.DraftService;
import osmerin.app.drafts.DraftVersion;
import osmerin.app.pitches.Pitch;
import osmerin.app.pitches.PitchService;
import osmerin.app.site.SiteContext;
import osmerin.formats.markdown.Markdown;

/** What waits for a person, one after another, so that it is decided in one pass. */
@Service
class OneByOne {
  /** Further pitches come up once these are decided. */
  private static final int MOST_PITCHES = 100;

  private final DeskService desks;
  private final ArticleService articles;
  private final BriefPages briefs;
  private final DraftService drafts;
  private final PitchService pitches;

  OneByOne(
      DeskService desks,
      ArticleService articles,
      BriefPages briefs,
      DraftService drafts,
      PitchService pitches) {
    this.desks = desks;
    this.articles = articles;
    this.briefs = briefs;
    this.drafts = drafts;
    this.pitches = pitches;
  }

  /** A thing that waits, and the pitch it is about if it is one. */
  private record Item(Waiting waiting, Optional<Pitch> pitch) {}

  /**
   * The thing at a place; the last one when there are fewer, empty when nothing waits.
   *
   * @param at from 0
   */
  @Transactional(readOnly = true)
  Optional<Decision> at(SiteContext context, int at) {
    List<Item> items = items(context);
    if (items.isEmpty()) {
      return Optional.empty();
    }
    int place = Math.max(0, Math.min(at, items.size() - 1));
    return Optional.of(decision(context, items.get(place), place, items.size()));
  }

  private List<Item> items(SiteContext context) {
    List<Item> items = new ArrayList<>();
    for (Waiting waiting : desks.waiting(context, articles.open(context))) {
      if (waiting.ask() == Desk.Ask.COMMISSION) {
        pitches.open(context, 0, MOST_PITCHES).stream()
            .map(pitch -> new Item(waiting, Optional.of(pitch)))
            .forEach(items::add);
      } else {
        items.add(new Item(waiting, Optional.empty()));
      }
    }
    return items;
  }

  private Decision decision(SiteContext context, Item item, int at, int all) {
    Waiting waiting = item.waiting();
    Desk.Ask ask = waiting.ask();
    return new Decision(
        at,
        all,
        waiting,
        ask == Desk.Ask.SIGN_OFF ? briefs.of(context, waiting.round()) : null,
        ask == Desk.Ask.REVIEW
            ? Markdown.rendered(drafts.latest(waiting.round()).map(DraftVersion::text).orElse(""))
            : null,
        item.pitch().orElse(null));
  }
}
