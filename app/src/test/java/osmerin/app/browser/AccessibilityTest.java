package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.providers.EmbeddedResourceAxeProvider;
import java.io.IOException;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import javax.naming.OperationNotSupportedException;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import osmerin.app.support.DemoApplicationTest;

/** axe-core finds nothing on any page of the demo, light and dark. */
class AccessibilityTest extends DemoApplicationTest {
  private static final List<String> WITHOUT_SITE =
      List.of("/sign-in", "/sign-in?wrong", "/forgotten", "/password/gone", "/invitation/gone");

  private static final String AXE = axe();

  @Autowired private JdbcTemplate jdbc;

  /**
   * Of rows and other siblings that are built alike, down to the classes, two are looked at: more
   * would be at fault in the same way.
   */
  private static final String WITHOUT_REPEATS =
      """
      const shape = (element) => {
        const own = [...element.attributes].map((a) =>
          a.name + (a.name === "class" || /^[a-z]*$/.test(a.value) ? "=" + a.value : ""));
        const text = [...element.childNodes].some((n) => n.nodeType === 3 && n.data.trim());
        const children = [...element.children];
        const met = new Map();
        const shapes = children.map((child) => {
          const its = shape(child);
          met.set(its, (met.get(its) ?? 0) + 1);
          if (met.get(its) > 2 && child.matches("tr, li, option, svg *")) child.remove();
          return its;
        });
        return [element.tagName, text, ...own, "(", ...new Set(shapes), ")"].join(" ");
      };
      shape(document.body);
      """;

  /**
   * Text that no page before had in these colours and this size on these grounds. Working out one
   * contrast is costly, and two pages share most of theirs.
   */
  private static final String NEW_LOOKS =
      """
      const grounds = (element) => {
        const all = [];
        for (let e = element; e; e = e.parentElement) {
          const style = getComputedStyle(e);
          all.push(style.backgroundColor, style.backgroundImage, style.opacity, style.filter);
          if (/^rgb\\(/.test(style.backgroundColor)) break;
        }
        return all;
      };
      const lookOf = (element) => {
        const style = getComputedStyle(element);
        return [element.tagName, element.getAttribute("class"), style.color, style.textShadow,
          style.fontSize, style.fontWeight, ...grounds(element)].join();
      };
      const newLooks = () => {
        const met = new Set(JSON.parse(sessionStorage.getItem("looks") ?? "[]"));
        const fresh = [...document.body.querySelectorAll("*")].filter((element) => {
          const says = element.matches("input, select, textarea")
            || [...element.childNodes].some((n) => n.nodeType === 3 && n.data.trim());
          if (!says || !element.checkVisibility()) return false;
          const look = lookOf(element);
          return !met.has(look) && met.add(look);
        });
        sessionStorage.setItem("looks", JSON.stringify([...met]));
        return fresh;
      };
      """;

  /** All rules by light, and colours once more in the dark. */
  private static final String LOOK =
      WITHOUT_REPEATS
          + NEW_LOOKS
          + """
          const [dark, done] = arguments;
          const found = async (said, where, options) => {
            const result = await axe.run(where, { resultTypes: ["violations"], ...options });
            return result.violations.flatMap((rule) =>
              rule.nodes.map((node) => `${said}: ${rule.id} ${node.target} ${node.html}`));
          };
          const colours = async (said, theme) => {
            document.documentElement.dataset.theme = theme;
            const where = newLooks();
            return where.length ? found(said, where, { runOnly: ["color-contrast"] }) : [];
          };
          const all = async () => [
            ...await found("", document, { rules: { "color-contrast": { enabled: false } } }),
            ...await colours("", "light"),
            ...(dark ? await colours(" in the dark", "dark") : []),
          ];
          all().then(done, (e) => done(["not looked at: " + e]));
          """;

  private static final String OPENED =
      "#drawer:not([hidden]) h2, dialog[open] a.found, .edit-form:not([hidden])";

  /** What is done on a page before it is looked at; null for nothing. */
  private record Page(String path, String script) {}

  @Test
  void everyPageIsWithoutFaultInLightAndInDark() {
    List<String> faults = new ArrayList<>();
    try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
      browser.signIn("anselm", DEMO_PASSWORD);
      for (Page page : pages()) {
        browser.open("/marlpit/" + page.path());
        if (page.script() != null) {
          // Again where the page has nothing to press yet; what it reads is in the report then.
          browser.waitFor(
              () -> {
                browser.run(page.script());
                return true;
              });
          browser.waitFor(() -> browser.has(OPENED));
        }
        faults.addAll(faults(browser, page.path(), true));
      }
    }
    assertThat(faults).isEmpty();
  }

  @Test
  void pagesOutsideOfASiteAreWithoutFault() {
    List<String> faults = new ArrayList<>();
    try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
      for (String path : WITHOUT_SITE) {
        browser.open(path);
        faults.addAll(faults(browser, path, false));
      }
      String link = jdbc.queryForObject("select min(token) from guest_link", String.class);
      String shared = jdbc.queryForObject("select min(token) from brief_link", String.class);
      for (String path :
          List.of(
              "/by-link/" + link,
              "/by-link/nobody-has-this",
              "/by-link/brief/" + shared,
              "/by-link/brief/nobody-has-this")) {
        browser.open(path);
        faults.addAll(faults(browser, path, true));
      }
      browser.signIn("anselm", DEMO_PASSWORD);
      for (String path : List.of("/sites/add", "/nowhere", "/marlpit/articles/MP-9999")) {
        browser.open(path);
        faults.addAll(faults(browser, path, false));
      }
    }
    assertThat(faults).isEmpty();
  }

  /** Looks at a page in one call and sends back what is at fault only, a line each. */
  @SuppressWarnings("unchecked")
  private static List<String> faults(Browser browser, String path, boolean inTheDarkToo) {
    return ((List<String>) browser.runAsync(AXE + ";" + LOOK, inTheDarkToo))
        .stream().map(fault -> path + fault).toList();
  }

  private static String axe() {
    try {
      return new EmbeddedResourceAxeProvider().getScript();
    } catch (IOException | OperationNotSupportedException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void aFaultIsFoundWhereThereIsOne() {
    try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
      browser.open("/sign-in");
      browser.run(
          "document.querySelector('main').insertAdjacentHTML('beforeend', '<img src=\"x\">')");
      assertThat(faults(browser, "/sign-in", true))
          .singleElement()
          .asString()
          .contains("image-alt");
      browser.open("/sign-in");
      browser.run(
          "document.querySelector('main').insertAdjacentHTML('beforeend', arguments[0])",
          "<p>Fine</p><p>Fine</p><p>Fine</p><p class=\"faint\">Hard to read</p>"
              + "<p class=\"paper\">Hard to read by night</p>");
      browser.run(
          "document.querySelector('.faint').style.cssText = 'color: #999; background: #888';"
              + "document.querySelector('.paper').style.cssText = 'background: #fff'");
      assertThat(faults(browser, "/sign-in", true))
          .satisfiesExactlyInAnyOrder(
              fault -> assertThat(fault).contains("color-contrast", "Hard to read<"),
              fault -> assertThat(fault).contains("in the dark: color-contrast", "by night"));
    }
  }

  /** Only what is built alike is left out. */
  @Test
  void aFaultInTheLastOfManyRowsIsFound() {
    try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
      browser.open("/sign-in");
      browser.run(
          "document.querySelector('main').insertAdjacentHTML('beforeend', arguments[0])",
          "<ul>"
              + "<li><a href=\"/a\">there</a></li>".repeat(9)
              + "<li><a href=\"/b\"></a></li></ul>");
      assertThat(faults(browser, "/sign-in", false))
          .singleElement()
          .asString()
          .contains("link-name");
    }
  }

  private static List<Page> pages() {
    YearMonth now = YearMonth.now();
    List<Page> pages = new ArrayList<>();
    for (String path :
        List.of(
            "desk",
            "desk/one-by-one",
            "plan/" + now,
            "plan/" + now + "/calendar",
            "research",
            "research/table",
            "research?topic=1",
            "research/plot",
            "research/regroup?mode=strict",
            "research/groups/1/split",
            "research/topics/1",
            "research/groups/1",
            "research/keywords",
            "research/keywords?q=nothing-like-it",
            "research/strength",
            "research/groups/1/commission",
            "research/groups/1/evidence",
            "research/groups/101/evidence",
            "research/groups/101/evidence/pages/1",
            "research/import",
            "research/imports/1",
            "pitches",
            "articles",
            "articles?q=nothing-like-it",
            "articles/MP-0065",
            "articles/MP-0020",
            "articles/MP-0001",
            "articles/MP-0065/brief",
            "articles/MP-0065/brief/print",
            "articles/MP-0065/brief/links",
            "articles/MP-0065/brief/start",
            "articles/MP-0064/brief",
            "setup/brand",
            "articles/MP-0065/draft",
            "articles/MP-0065/draft/versions/1",
            "live",
            "live/inventory?show=all",
            "live/inventory/bring-in",
            "live/overlap",
            "research/excluded",
            "research/imports",
            "history",
            "hours",
            "notices",
            "archive",
            "team",
            "absences",
            "account",
            "setup",
            "setup/types",
            "setup/stages",
            "setup/types/2",
            "types/2/how/edit",
            "articles/MP-0065/recipe",
            "articles/MP-0065/checklist",
            "setup/types/2/checklist",
            "articles/MP-0065?as=table",
            "articles/MP-0064?as=drawn",
            "setup/components")) {
      pages.add(new Page(path, null));
    }
    pages.add(
        new Page(
            "articles?sort=-number", "document.querySelector('tr[data-row] .number').click()"));
    pages.add(
        new Page("pitches", "document.querySelector('tr[data-row] td:nth-child(2)').click()"));
    pages.add(new Page("research/topics/1", "document.querySelector('tr[data-row] .num').click()"));
    pages.add(new Page("articles/MP-0065", "document.querySelector('[data-edit-open]').click()"));
    pages.add(new Page("plan/" + now, "document.querySelector('[data-find]').click()"));
    return pages;
  }
}
