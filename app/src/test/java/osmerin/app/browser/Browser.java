package osmerin.app.browser;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.HttpCookie;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Supplier;
import java.util.logging.Level;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import osmerin.app.support.HttpPerson;

/** Headless Chromium, driven as a person would; waits for what is expected, never for time. */
final class Browser implements AutoCloseable {
  private static final Duration PATIENCE = Duration.ofSeconds(15);

  /** Work in the background compares what keywords mean, beside other tests. */
  private static final Duration WORK = Duration.ofSeconds(90);

  private static final Duration POLL = Duration.ofMillis(40);
  private static final Dimension SIZE = new Dimension(1280, 940);

  /** Starting takes seconds, so browsers are handed from test to test, as good as new. */
  private static final Queue<ChromeDriver> IDLE = new ConcurrentLinkedQueue<>();

  /** One small script, where finding an element and reading its text are two large ones. */
  private static final String SHOWS =
      """
      const plain = (text) => text.replace(/\\s+/g, " ");
      const element = document.querySelector(arguments[0]);
      return !!element && element.checkVisibility()
        && plain(element.innerText).includes(plain(arguments[1]));
      """;

  private final ChromeDriver driver;
  private final String base;

  Browser(String base) {
    this.base = base;
    ChromeDriver idle = IDLE.poll();
    driver = idle == null ? start() : idle;
  }

  private static ChromeDriver start() {
    try {
      ChromeOptions options = new ChromeOptions();
      options.setBinary(new File("../bin/browser").getAbsoluteFile());
      options.addArguments(
          "--headless",
          "--no-sandbox",
          "--disable-gpu",
          "--disable-quic",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync",
          "--window-size=%d,%d".formatted(SIZE.width, SIZE.height),
          "--user-data-dir=" + Files.createTempDirectory("chromium"));
      LoggingPreferences logs = new LoggingPreferences();
      logs.enable(LogType.BROWSER, Level.SEVERE);
      options.setCapability("goog:loggingPrefs", logs);
      ChromeDriver started =
          new ChromeDriver(
              new ChromeDriverService.Builder()
                  .usingDriverExecutable(new File("../bin/driver").getAbsoluteFile())
                  .build(),
              options);
      Runtime.getRuntime().addShutdownHook(new Thread(started::quit));
      return started;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void signIn(String login, String password) {
    driver.get(base + "/sign-in");
    type("#login", login);
    type("#password", password);
    click(".gate-form button");
    waitFor(() -> !driver.getCurrentUrl().contains("/sign-in"));
  }

  /** Goes on with the session of somebody who has signed in without a browser. */
  void carryOn(HttpPerson person) {
    for (HttpCookie cookie : person.cookies()) {
      driver.executeCdpCommand(
          "Network.setCookie",
          Map.of(
              "name", cookie.getName(),
              "value", cookie.getValue(),
              "url", base,
              "httpOnly", cookie.isHttpOnly()));
    }
  }

  /**
   * Chromedriver sometimes returns before the page is there when the last one had a drawer open.
   */
  void open(String path) {
    // An address with # may stay on the page that is there.
    run("window.isBeingLeft = arguments[0]", !path.contains("#"));
    driver.get(base + path);
    waitFor(
        () -> (Boolean) run("return !window.isBeingLeft && document.readyState === 'complete'"));
  }

  void back() {
    driver.navigate().back();
  }

  String path() {
    return driver.getCurrentUrl().replaceFirst("^" + base, "");
  }

  ChromeDriver driver() {
    return driver;
  }

  WebElement find(String css) {
    return wait(() -> driver.findElements(By.cssSelector(css)).stream().findFirst().orElse(null));
  }

  boolean has(String css) {
    return !driver.findElements(By.cssSelector(css)).isEmpty();
  }

  int count(String css) {
    return driver.findElements(By.cssSelector(css)).size();
  }

  void click(String css) {
    waitFor(
        () -> {
          find(css).click();
          return true;
        });
  }

  /** Clicks the link or button of the page with this text, or else the first that contains it. */
  void press(String text) {
    String xpath = "//main//*[self::a or self::button][not(ancestor::*[@hidden])][%s]";
    String exact = xpath.formatted("normalize-space(.) = '" + text + "'");
    String within = xpath.formatted("contains(normalize-space(.), '" + text + "')");
    waitFor(
        () -> {
          List<WebElement> found = driver.findElements(By.xpath(exact));
          (found.isEmpty() ? driver.findElement(By.xpath(within)) : found.get(0)).click();
          return true;
        });
  }

  void type(String css, String text) {
    WebElement field = find(css);
    field.clear();
    field.sendKeys(text);
  }

  /**
   * Types a date as a script would set it; the field of the browser differs from country to
   * country.
   */
  void date(String css, String isoDay) {
    run("arguments[0].value = arguments[1]", find(css), isoDay);
  }

  void choose(String css, String text) {
    new Select(find(css)).selectByVisibleText(text);
  }

  void upload(String css, Path file) {
    find(css).sendKeys(file.toAbsolutePath().normalize().toString());
  }

  void keys(CharSequence... keys) {
    driver.switchTo().activeElement().sendKeys(Keys.chord(keys));
  }

  /** A single key on the page, with nothing being typed into. */
  void key(String key) {
    run("document.activeElement.blur()");
    driver.findElement(By.tagName("body")).sendKeys(key);
  }

  void drag(WebElement what, WebElement to) {
    held(what, to).release().perform();
  }

  /** Drags without letting go; {@link #letGo} does. */
  void hold(WebElement what, WebElement to) {
    held(what, to).perform();
  }

  void letGo() {
    new Actions(driver).release().perform();
  }

  private Actions held(WebElement what, WebElement to) {
    return new Actions(driver)
        .moveToElement(what)
        .clickAndHold()
        .moveByOffset(6, 6)
        .moveToElement(to)
        .moveByOffset(2, 2);
  }

  Object run(String script, Object... arguments) {
    return ((JavascriptExecutor) driver).executeScript(script, arguments);
  }

  /** The last of the script's arguments is called with what comes of it. */
  Object runAsync(String script, Object... arguments) {
    return ((JavascriptExecutor) driver).executeAsyncScript(script, arguments);
  }

  String text(String css) {
    return wait(() -> find(css).getText());
  }

  void waitForText(String css, String text) {
    try {
      waitFor(() -> (Boolean) run(SHOWS, css, text));
    } catch (AssertionError e) {
      throw new AssertionError("“%s” does not come up in %s".formatted(text, css), e);
    }
  }

  /** Waits for what work in the background shows at its end, however slow the machine is. */
  void waitForWork(String css, String text) {
    waitFor(() -> (Boolean) run(SHOWS, css, text), WORK);
  }

  void waitFor(Supplier<Boolean> condition) {
    waitFor(condition, PATIENCE);
  }

  private void waitFor(Supplier<Boolean> condition, Duration most) {
    try {
      new WebDriverWait(driver, most, POLL)
          .ignoring(StaleElementReferenceException.class)
          .ignoring(WebDriverException.class)
          .until(d -> condition.get());
    } catch (TimeoutException e) {
      throw new AssertionError(
          "it does not come to that; %s, with the focus on %s, reads:%n%s"
              .formatted(
                  path(),
                  run("return document.activeElement.outerHTML.slice(0, 200)"),
                  run("return document.documentElement.outerText")),
          e);
    }
  }

  private <T> T wait(Supplier<T> supplier) {
    return new WebDriverWait(driver, PATIENCE, POLL)
        .ignoring(StaleElementReferenceException.class)
        .until(d -> supplier.get());
  }

  void forgetSession() {
    driver.manage().deleteAllCookies();
  }

  /** Errors on the console; a refused form is one for the browser but none for us. */
  List<String> errors() {
    return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
        .map(entry -> entry.getMessage())
        .filter(
            message ->
                !message.contains("status of 422")
                    && !message.contains("status of 409")
                    && !message.contains("status of 403"))
        .toList();
  }

  @Override
  public void close() {
    try {
      // A test that fails in the midst of a drag leaves the button pressed.
      driver.resetInputState();
      String first = driver.getWindowHandles().iterator().next();
      for (String window : driver.getWindowHandles()) {
        if (!window.equals(first)) {
          driver.switchTo().window(window).close();
        }
      }
      driver.switchTo().window(first);
      // First away from the page, which might ask for something and get a cookie anew.
      driver.get("about:blank");
      driver.executeCdpCommand(
          "Storage.clearDataForOrigin", Map.of("origin", base, "storageTypes", "all"));
      driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
      driver.executeCdpCommand("Page.resetNavigationHistory", Map.of());
      driver.manage().window().setSize(SIZE);
      errors();
      IDLE.add(driver);
    } catch (WebDriverException e) {
      driver.quit();
    }
  }
}
