package osmerin.app.demo;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.guests.ByLink;
import osmerin.app.guests.GuestLink;
import osmerin.app.guests.GuestNotes;
import osmerin.app.guests.Guests;
import osmerin.app.rounds.PlannedRound;
import osmerin.app.rounds.Round;
import osmerin.app.site.SiteContext;
import osmerin.core.runup.StepRole;

/** A kiln technician who gives quotes for an article by link. */
@Component
@ConditionalOnProperty(name = "osmerin.demo", havingValue = "true")
class DemoGuests {
  private final Guests guests;
  private final ByLink byLink;
  private final GuestNotes notes;
  private final ArticleService articles;

  DemoGuests(Guests guests, ByLink byLink, GuestNotes notes, ArticleService articles) {
    this.guests = guests;
    this.byLink = byLink;
    this.notes = notes;
    this.articles = articles;
  }

  void ask(DemoSite in, String title) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    Round round =
        articles.open(editor).stream()
            .map(PlannedRound::round)
            .filter(r -> r.title().equals(title))
            .findFirst()
            .orElseThrow();
    guests.ask(
        editor,
        round.article().number(),
        "Hanne Ostrava",
        "hanne@kilnwork.example",
        StepRole.valueOf("technician"));
    GuestLink link = guests.of(round).get(0);
    byLink.open(link);
    notes.note(link, "I measured the ramp of a worn element: 180 °C an hour, no more. Quote me.");
  }
}
