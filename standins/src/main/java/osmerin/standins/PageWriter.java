package osmerin.standins;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.regex.Pattern;
import org.jsoup.nodes.Entities;

/**
 * Writes made-up pages as the web has them: articles of several kinds, a shop, a forum, a film,
 * each within the menus, notes, lists and comments of its site.
 */
final class PageWriter {
  /** A page. */
  record Written(String title, String html) {}

  private enum Kind {
    GUIDE,
    STEPS,
    LIST,
    COMPARED,
    SHOP,
    THREAD,
    FILM
  }

  private static final List<Kind> USUAL =
      List.of(
          Kind.STEPS,
          Kind.GUIDE,
          Kind.LIST,
          Kind.STEPS,
          Kind.GUIDE,
          Kind.COMPARED,
          Kind.LIST,
          Kind.THREAD,
          Kind.SHOP,
          Kind.FILM,
          Kind.GUIDE,
          Kind.LIST);
  private static final List<Kind> BUYING =
      List.of(
          Kind.SHOP,
          Kind.LIST,
          Kind.SHOP,
          Kind.COMPARED,
          Kind.SHOP,
          Kind.SHOP,
          Kind.LIST,
          Kind.SHOP,
          Kind.THREAD,
          Kind.SHOP,
          Kind.SHOP,
          Kind.LIST);
  private static final Pattern BUYS =
      Pattern.compile("\\b(buy|price|prices|cheap|for sale|shop|order|kaufen)\\b");

  /** Titles by kind; pages of one kind take them in turn. */
  private static final Map<Kind, List<String>> TITLES =
      Map.of(
          Kind.GUIDE,
          List.of(
              "%s explained without the fuss",
              "%s for beginners", "All about %s, from people who do it"),
          Kind.STEPS,
          List.of("How to get %s right, step by step", "%s: how to do it at home"),
          Kind.LIST,
          List.of(
              "9 things to know about %s",
              "Our 12 best tips for %s", "7 mistakes with %s", "11 answers on %s"),
          Kind.COMPARED,
          List.of("%s compared: what suits whom"),
          Kind.SHOP,
          List.of(
              "%s, delivered in three days",
              "%s at fair prices",
              "%s | our range",
              "Buy %s online",
              "%s for professionals",
              "%s, used and new",
              "%s on offer"),
          Kind.THREAD,
          List.of("Question about %s - forum"),
          Kind.FILM,
          List.of("%s in ten minutes (video)"));

  private final Paraphrase paraphrase = new Paraphrase();
  private final List<Subject.Section> anything =
      Subject.read("anything", "/search/any-subject.txt").get(0).sections();

  /** What a page is written from. */
  private record Plan(
      String phrase, String site, Random random, List<Subject.Section> own, Site layout) {}

  Written write(List<Subject> about, String phrase, int number, String site, Random random) {
    Kind kind = (BUYS.matcher(phrase).find() ? BUYING : USUAL).get(number - 1);
    List<Subject.Section> own = new ArrayList<>();
    about.forEach(subject -> own.addAll(subject.sections()));
    Collections.shuffle(own, random);
    int most = Math.min(own.size(), 5 + random.nextInt(3));
    Plan plan = new Plan(phrase, site, random, own.subList(0, most), Site.of(site));
    String title = capitalised(title(kind, number, phrase));
    return new Written(title, plan.layout().page(title, text(kind, title, plan)));
  }

  private static String title(Kind kind, int number, String phrase) {
    List<Kind> before = (BUYS.matcher(phrase).find() ? BUYING : USUAL).subList(0, number - 1);
    List<String> titles = TITLES.get(kind);
    return titles.get(Collections.frequency(before, kind) % titles.size()).formatted(phrase);
  }

  private String text(Kind kind, String title, Plan plan) {
    return switch (kind) {
      case SHOP -> shop(plan);
      case THREAD -> thread(plan);
      case FILM -> film(plan);
      default -> article(kind, title, plan);
    };
  }

  private String article(Kind kind, String title, Plan plan) {
    StringBuilder html = new StringBuilder(element("h1", title));
    html.append("<p class=\"byline\">by Wren Halloway · updated last spring</p>");
    html.append(filler(plan, 1));
    html.append(sections(kind, plan.own(), plan));
    html.append(filler(plan, 1 + plan.random().nextInt(5)));
    if (plan.random().nextInt(4) == 0) {
      // Some go on for long, and come back to what they said.
      html.append(element("h2", "In more depth")).append(sections(Kind.GUIDE, plan.own(), plan));
      html.append(filler(plan, 8));
    }
    if (kind == Kind.COMPARED) {
      html.append(table(plan));
    }
    return html.append(asked(plan)).append(inShort(plan)).toString();
  }

  private String sections(Kind kind, List<Subject.Section> sections, Plan plan) {
    StringBuilder html = new StringBuilder();
    int number = 0;
    for (Subject.Section section : sections) {
      number++;
      String heading = section.heading().any(plan.random());
      String numbered =
          kind == Kind.STEPS ? "Step " + number + ": " + heading : number + ". " + heading;
      html.append(element("h2", kind == Kind.GUIDE || kind == Kind.COMPARED ? heading : numbered));
      html.append(facts(section, plan, number % 3 == 2));
    }
    return html.toString();
  }

  /** Facts in this page's own words, as paragraphs or as a list. */
  private String facts(Subject.Section section, Plan plan, boolean list) {
    StringBuilder html = new StringBuilder(list ? "<ul>" : "");
    for (Subject.Wordings fact : section.facts()) {
      if (plan.random().nextDouble() < 0.85) {
        html.append(element(list ? "li" : "p", said(fact, plan)));
      }
    }
    return html.append(list ? "</ul>" : "").toString();
  }

  private String said(Subject.Wordings fact, Plan plan) {
    return paraphrase.of(fact.any(plan.random()), plan.random());
  }

  private String filler(Plan plan, int count) {
    List<Subject.Section> any = new ArrayList<>(anything);
    Collections.shuffle(any, plan.random());
    StringBuilder html = new StringBuilder();
    for (Subject.Section section : any.subList(0, Math.min(count, any.size()))) {
      html.append(element("h2", filled(section.heading().any(plan.random()), plan)));
      section.facts().forEach(f -> html.append(element("p", filled(said(f, plan), plan))));
    }
    return html.toString();
  }

  private static String filled(String text, Plan plan) {
    return capitalised(text.replace("{phrase}", plan.phrase()));
  }

  private String asked(Plan plan) {
    StringBuilder html = new StringBuilder();
    for (Subject.Section section : plan.own()) {
      for (String question : section.questions()) {
        if (plan.random().nextBoolean()) {
          html.append(element("h3", question));
          html.append(element("p", said(section.facts().get(0), plan)));
        }
      }
    }
    return html.length() == 0 ? "" : element("h2", "Questions readers send us") + html;
  }

  private String inShort(Plan plan) {
    StringBuilder html = new StringBuilder("<h2>In short</h2><ul>");
    plan.own()
        .forEach(s -> html.append(element("li", said(s.facts().get(s.facts().size() - 1), plan))));
    return html.append("</ul>").toString();
  }

  private String table(Plan plan) {
    StringBuilder html =
        new StringBuilder("<table><tr><th>Way</th><th>What speaks for it</th></tr>");
    for (Subject.Section section : plan.own()) {
      html.append("<tr>").append(element("td", section.heading().any(plan.random())));
      html.append(element("td", said(section.facts().get(1), plan))).append("</tr>");
    }
    return html.append("</table>").toString();
  }

  private String shop(Plan plan) {
    StringBuilder html = new StringBuilder(element("h1", capitalised(plan.phrase())));
    for (int i = 0; i < 6; i++) {
      html.append("<div class=\"product\">");
      html.append(element("h3", capitalised(plan.phrase()) + " no. " + (i + 1)));
      html.append(
          element("p", "€ " + (9 + plan.random().nextInt(90)) + ".90, delivered in three days"));
      html.append("<button>Add to basket</button><span>Add to basket</span></div>");
    }
    return html.append(facts(plan.own().get(0), plan, false)).toString();
  }

  private String thread(Plan plan) {
    StringBuilder html = new StringBuilder(element("h1", "Question about " + plan.phrase()));
    for (Subject.Section section : plan.own()) {
      String asks =
          section.questions().isEmpty() ? "What do you think?" : section.questions().get(0);
      html.append("<div class=\"forum-post\">").append(element("p", asks)).append("</div>");
      html.append("<div class=\"forum-post\">")
          .append(facts(section, plan, false))
          .append("</div>");
    }
    return html.toString();
  }

  private String film(Plan plan) {
    return element("h1", capitalised(plan.phrase()) + " in ten minutes")
        + "<video controls src=\"/film.mp4\"></video>"
        + facts(plan.own().get(0), plan, false);
  }

  private static String element(String name, String text) {
    return "<" + name + ">" + Entities.escape(capitalised(text)) + "</" + name + ">";
  }

  private static String capitalised(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }
}
