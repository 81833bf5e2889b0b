package osmerin.app.demo;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import osmerin.app.articles.ArticleService;
import osmerin.app.brand.BrandPart;
import osmerin.app.brand.BrandSheets;
import osmerin.app.briefs.BriefService;
import osmerin.app.briefs.SignOffs;
import osmerin.app.rounds.Round;
import osmerin.app.sharing.BriefLinks;
import osmerin.app.site.SiteContext;
import osmerin.core.brief.BriefContent;
import osmerin.core.brief.BriefPart;
import osmerin.core.brief.Outline;
import osmerin.core.brief.Outline.Section;
import osmerin.core.evidence.WordRange;

/** Briefs of the demo in every state: begun, signed off, refused, changed since, shared. */
@Component
class MarlpitBriefs {
  private final ArticleService articles;
  private final BriefService briefs;
  private final SignOffs signOffs;
  private final BriefLinks links;
  private final BrandSheets brand;

  MarlpitBriefs(
      ArticleService articles,
      BriefService briefs,
      SignOffs signOffs,
      BriefLinks links,
      BrandSheets brand) {
    this.brand = brand;
    this.articles = articles;
    this.briefs = briefs;
    this.signOffs = signOffs;
    this.links = links;
  }

  /** What the site is for and how it sounds. */
  void brandSheet(DemoSite in) {
    brand.change(
        in.as(Marlpit.EDITOR),
        Map.of(),
        Map.of(
            BrandPart.PURPOSE,
            "Help people who throw at home to repeat what worked, with figures from our own kilns.",
            BrandPart.VOICE,
            "Plain and exact, from one bench to the next. We say what failed, and what it cost.",
            BrandPart.DO,
            "Name temperatures, times and weights.\nSay which kiln and which clay it was.",
            BrandPart.DO_NOT,
            "No promises of a perfect pot.",
            BrandPart.AUDIENCES,
            "Hobby potters with a small electric kiln\nPeople who sell at markets",
            BrandPart.PRODUCTS,
            "Marlpit firing log: a notebook, never an app.",
            BrandPart.CALLS,
            "Print the firing log, page 1 free"));
  }

  /** The whole one, which is shared with somebody outside. */
  void full(DemoSite in, Round round, String title) {
    SiteContext strategist = in.as(DemoArticles.STRATEGIST);
    briefs.change(strategist, round, now -> full(now, title));
    links.make(in.as(Marlpit.EDITOR), round, new BriefLinks.Wanted("Ines Molnar", 30, true, true));
  }

  private static BriefContent full(BriefContent now, String title) {
    return now.withTitle(title)
        .withTitles(
            List.of(
                "Firing schedules: what to write down, and why",
                "Cone 6, twice the same",
                "The 14-hour firing schedule, hour by hour"))
        .withPrimary("firing schedule")
        .withSecondary(List.of("cone 6 firing schedule", "slow bisque schedule", "kiln ramp hold"))
        .withWords(Optional.of(WordRange.of(1_180, 1_620)))
        .withOutline(
            new Outline(
                List.of(
                    section("Why the bisque comes first", 0, "steam, quartz inversion", 280),
                    section("Reading the cones", 0, "heat work, witness cones", 200),
                    section("The glaze firing, hour by hour", 0, "a table of ramps and holds", 420),
                    section("What we changed", 1, "three changes, with the reason", 160),
                    section("Cooling, and when to open", 0, "hold at 950 degrees", 220),
                    section("A log that helps", 0, "", 120))))
        .withText(
            BriefPart.READER,
            "Potters with a small electric kiln who get a different shelf every time.")
        .withText(
            BriefPart.ANGLE,
            "Two kilns, one schedule: what we changed until both gave the same shelf.")
        .withText(
            BriefPart.OWN_POINTS,
            "Our log of one year: forty firings, two kilns, what the last hour did to the top shelf.")
        .withText(BriefPart.NOTES, "Ask Hanne Ostrava for a sentence on worn elements.");
  }

  private static Section section(String heading, int depth, String note, int words) {
    return new Section("", heading, depth, note, words);
  }

  /** One that was signed off and changed since. */
  void changedSince(DemoSite in, Round round) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    begun(in, round, "Potters who bought a kiln second-hand and want to know what is safe.");
    signOffs.signOff(editor, now(editor, round), briefs.get(editor, round).version());
    briefs.change(
        in.as(DemoArticles.STRATEGIST),
        now(editor, round),
        now ->
            now.withText(
                BriefPart.READER, "Potters with a second-hand kiln, and their electrician."));
  }

  /** One that an editor wants changed. */
  void refused(DemoSite in, Round round) {
    SiteContext editor = in.as(Marlpit.EDITOR);
    begun(in, round, "Potters who sell at markets.");
    signOffs.refuse(
        editor,
        now(editor, round),
        "Everybody sells seconds. What did our own stall sell, and at what price?");
  }

  /** One that waits to be signed off. */
  void waiting(DemoSite in, Round round) {
    begun(in, round, "People who throw every day and wake up with a sore wrist.");
  }

  private void begun(DemoSite in, Round round, String reader) {
    briefs.change(
        in.as(DemoArticles.STRATEGIST),
        now(in.as(DemoArticles.STRATEGIST), round),
        now ->
            now.withText(BriefPart.READER, reader)
                .withText(BriefPart.ANGLE, "From our own workshop, with what it cost us.")
                .withOutline(
                    new Outline(
                        List.of(
                            section("What happened here", 0, "", 200),
                            section("What to do first", 0, "", 300),
                            section("What to leave alone", 0, "", 150)))));
  }

  /** The round as it is after its stage moved. */
  private Round now(SiteContext context, Round round) {
    return articles.get(context, round.article().number());
  }
}
