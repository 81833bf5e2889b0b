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
   * All rules by light, and colours once more in the dark. Of rows and other siblings that are
   * built alike, down to the classes, two are looked at: more would be at fault in the same way.
   */
  private static final String LOOK =
      """
      ;const [dark, done] = arguments;
      const faults = (said, found) => found.violations.flatMap((rule) =>
        rule.nodes.map((node) => `${said}: ${rule.id} ${node.target} ${node.html}`));
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
      (async () => {
        const options = { resultTypes: ["violations"] };
        shape(document.body);
        document.documentElement.dataset.theme = "light";
        const all = faults("", await axe.run(document, options));
        if (dark) {
          document.documentElement.dataset.theme = "dark";
          const colours = { ...options, runOnly: ["color-contrast"] };
          all.push(...faults(" in the dark", await axe.run(document, colours)));
        }
        return all;
      })().then(done, (e) => done(["not looked at: " + e]));
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
    return ((List<String>) browser.runAsync(AXE + LOOK, inTheDarkToo))
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
          "<p>Fine</p><p>Fine</p><p>Fine</p><p class=\"faint\">Hard to read</p>");
      browser.run(
          "document.querySelector('.faint').style.cssText = 'color: #999; background: #888'");
      assertThat(faults(browser, "/sign-in", true))
          .hasSize(2)
          .allSatisfy(fault -> assertThat(fault).contains("color-contrast", "Hard to read"));
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
