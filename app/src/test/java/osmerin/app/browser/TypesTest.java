package osmerin.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import osmerin.app.articles.ArticleService;
import osmerin.app.articles.Commission;
import osmerin.app.site.Role;
import osmerin.core.article.Kind;
import osmerin.core.runup.StepRole;

/** A type built and used; an absence that makes articles impossible, solved; a date moved. */
class TypesTest extends BrowserTest {
  @Autowired private ArticleService articles;

  private String commissioned(String title, LocalDate day) {
    long post = types.list(site.siteId(), Kind.NEW).get(0).id();
    Map<StepRole, Long> people = Map.of(StepRole.WRITER, site.personId());
    return articles.commission(site, new Commission(title, post, null, people, day)).reference();
  }

  @Test
  void aTypeIsTypedChangedInRowsAndFollowed() {
    browser.open(base + "/setup/types");
    browser.type("#type-name", "Field note");
    browser.type("#type-recipe", "Write the brief, strategist, 1 h\nWrite the note, 3 h, 2 days");
    browser.press("Add");
    browser.waitForText(".recipe-summary", "2 steps, 4 hours, 3 working days");
    browser.press("Add a step");
    browser.run(
        "const row = [...document.querySelectorAll('.recipe-row')].at(-1);"
            + "row.querySelector('[name=name]').value = 'Read it aloud';"
            + "row.querySelector('[name=days]').value = 'same day';"
            + "row.querySelector('[name=days]').dispatchEvent(new Event('input', {bubbles: true}))");
    browser.waitForText(".recipe-summary", "3 steps");
    browser.run("[...document.querySelectorAll('.recipe-row [name=name]')].at(-1).focus()");
    browser.keys(Keys.ALT, Keys.ARROW_UP);
    browser.waitForText("#drawn", "It waits for");
    browser.keys(Keys.ALT, Keys.ARROW_DOWN);
    browser.waitForText(".recipe-summary", "3 steps");
    browser.press("Save");
    browser.waitForText("#foot", "The type is saved");

    long note =
        types.list(site.siteId(), Kind.NEW).stream()
            .filter(type -> type.name().equals("Field note"))
            .findFirst()
            .orElseThrow()
            .id();
    String number =
        articles
            .commission(site, new Commission("Eels in May", note, null, Map.of(), null))
            .reference();
    browser.open(base + "/setup/types/" + note);
    browser.run(
        "const days = document.querySelectorAll('.recipe-row [name=days]')[1];"
            + "days.value = '5'; days.dispatchEvent(new Event('input', {bubbles: true}))");
    browser.press("Save and see who follows");
    browser.waitForText("#followers", "“Write the note”: 5 days instead of 2 days");
    browser.press("Save; 1 open article follows");
    browser.waitForText("#foot", "1 open article followed");
    browser.open(base + "/articles/" + number + "?as=table");
    browser.waitForText(".ledger-steps", "Read it aloud");
    assertThat(browser.text(".ledger-steps")).contains("5");
    browser.open(base + "/articles/" + number + "?as=drawn");
    browser.waitForText(".runup-steps", "Read it aloud");
  }

  @Test
  void anAbsenceThatMakesArticlesImpossibleIsSolvedAndAStepIsTaken() {
    join(site.site(), "Ola Ek", Role.WRITER);
    LocalDate day = site.today().plusWeeks(2).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
    String first = commissioned("First", day);
    commissioned("Second", day.plusDays(1));
    browser.open(base + "/absences");
    browser.date("#absent-first", site.today().toString());
    browser.date("#absent-last", day.toString());
    browser.press("Add");
    browser.waitForText("main", "2 articles of this site would have date problems");
    browser.waitForText("main", "“First” becomes impossible");
    browser.press("Add it anyway");
    browser.waitForText(".weeks", "away");

    browser.open(base + "/articles/" + first);
    browser.waitForText("main", "impossible");
    browser.press("change the steps");
    browser.waitForText("h1", "Steps of “First”");
    browser.run(
        "const row = document.querySelectorAll('.recipe-row')[1];"
            + "row.querySelector('[name=role]').value = 'editor';"
            + "document.querySelectorAll('.recipe-row')[2].querySelector('[name=role]').value = 'editor'");
    browser.press("Save");
    browser.waitForText(".differs", "editor instead of writer");
    assertThat(browser.text("main")).doesNotContain("impossible");
    browser.waitForText(".runup-steps", "editor, unassigned");
    browser.click(".runup-claim button");
    browser.waitForText("#foot", "The step is yours");
  }

  @Test
  void whatIsRefusedIsSaidInPlaceAndNothingTypedIsLost() {
    String number = commissioned("Fourth", null);
    browser.open(base + "/articles/" + number);
    browser.run("[...document.querySelectorAll('.runup-steps .tick')].at(-1).click()");
    browser.waitForText("#foot", "Done");
    browser.open(base + "/articles/" + number + "/recipe");
    browser.run("[...document.querySelectorAll('[data-recipe-remove]')].at(-1).click()");
    browser.run("document.querySelector('.recipe-row [name=hours]').value = '77'");
    browser.press("Save");
    browser.waitForText(".fault", "is done and stays");
    assertThat(browser.find(".recipe-row [name=hours]").getAttribute("value")).isEqualTo("77");
    browser.open(base + "/setup/types");
    browser.type("[aria-label='New role']", "Writer");
    browser.run("document.querySelector(\"[aria-label='New role']\").form.requestSubmit()");
    browser.waitForText("main [data-said]", "This site has the role “writer” already.");
    browser.open(base + "/articles/" + number);
    browser.run("document.querySelector('#hold-reason').closest('details').open = true");
    browser.type("#hold-reason", "a quote");
    browser.type("#hold-until", "1 jan 2020");
    browser.press("Put on hold");
    browser.waitForText("main [data-said]", "is yet to come");
    assertThat(browser.find("#hold-reason").getAttribute("value")).isEqualTo("a quote");
    browser.type("#hold-until", "+20");
    browser.press("Put on hold");
    browser.waitForText(".warning", "On hold");
    browser.key("o");
    browser.waitForText("#foot", "is no longer on hold");
  }

  @Test
  void whatFollowsFromAnotherDateIsSaidWhileItIsTyped() {
    LocalDate day = site.today().plusWeeks(6).with(TemporalAdjusters.next(DayOfWeek.THURSDAY));
    String number = commissioned("Third", day);
    browser.open(base + "/articles/" + number);
    browser.run(
        "const day = document.querySelector('#publish-date'); day.value = '+1';"
            + "day.dispatchEvent(new Event('input', {bubbles: true}))");
    browser.waitForText("#move-preview", "There is no time for");
    browser.run(
        "const day = document.querySelector('#publish-date'); day.value = '"
            + day.plusWeeks(1)
            + "'; day.dispatchEvent(new Event('input', {bubbles: true}))");
    browser.waitFor(() -> !browser.text("#move-preview").contains("no time"));
    assertThat(browser.text("#move-preview")).contains("Write the draft");
  }
}
