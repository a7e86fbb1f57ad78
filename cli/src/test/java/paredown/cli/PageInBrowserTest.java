package paredown.cli;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogType;

/** The page of a survey, in a browser without a window; passed over where there is none. */
class PageInBrowserTest {
  /** Texts that stand out from what is behind them by less than 4.5 to 1. */
  private static final String FAINT =
      """
      const luminance = c => {
        const [r, g, b] = c.match(/[\\d.]+/g).map(v => v / 255)
            .map(v => v <= 0.03928 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
        return 0.2126 * r + 0.7152 * g + 0.0722 * b;
      };
      const behind = e => {
        for (; e; e = e.parentElement) {
          const c = getComputedStyle(e).backgroundColor;
          if (!/, 0\\)$|transparent/.test(c)) return c;
        }
        return getComputedStyle(document.body).backgroundColor;
      };
      const faint = [];
      for (const e of document.querySelectorAll('body *')) {
        const own = [...e.childNodes].some(n => n.nodeType === 3 && n.data.trim());
        if (!own || e.closest('svg')) continue;
        const [a, b] = [getComputedStyle(e).color, behind(e)].map(luminance);
        const ratio = (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
        if (ratio < 4.5) faint.push(e.tagName + '.' + e.className + ' ' + ratio.toFixed(2));
      }
      return faint;
      """;

  @TempDir static Path folder;
  private static ChromeDriver browser;

  @BeforeAll
  static void open() throws IOException {
    Optional<File> chromium = program("chromium");
    Optional<File> driver = program("chromedriver");
    assumeTrue(chromium.isPresent() && driver.isPresent(), "There is no browser here.");
    Path sources = Path.of("..", "demo", "src", "main", "java");
    try (Stream<Path> files = Files.walk(sources)) {
      for (Path file : files.filter(Files::isRegularFile).toList()) {
        Path copy = folder.resolve("src").resolve(sources.relativize(file).toString());
        Files.createDirectories(copy.getParent());
        Files.copy(file, copy);
      }
    }
    Ran.pare(folder, "survey", "--format", "html", "--out", "page.html").exits(0);
    ChromeOptions options = new ChromeOptions().setBinary(chromium.get());
    options.addArguments("--headless=new", "--no-sandbox", "--disable-background-networking");
    ChromeDriverService service =
        new ChromeDriverService.Builder()
            .usingDriverExecutable(driver.get())
            .usingAnyFreePort()
            .build();
    browser = new ChromeDriver(service, options);
    browser.get(folder.resolve("page.html").toUri().toString());
  }

  @AfterAll
  static void close() {
    if (browser != null) {
      browser.quit();
    }
  }

  private static Optional<File> program(String name) {
    return Stream.of(System.getenv("PATH").split(File.pathSeparator))
        .map(each -> new File(each, name))
        .filter(File::canExecute)
        .findFirst();
  }

  private static void media(String name, String scheme) {
    browser.executeCdpCommand(
        "Emulation.setEmulatedMedia",
        Map.of(
            "media",
            name,
            "features",
            List.of(Map.of("name", "prefers-color-scheme", "value", scheme))));
  }

  @Test
  void opensWithoutAskingTheNetworkAndWithoutComplaint() {
    assertTrue(browser.findElement(By.tagName("h1")).isDisplayed());
    assertFalse(browser.findElements(By.cssSelector("section h2")).isEmpty());
    assertEquals(
        0L, browser.executeScript("return performance.getEntriesByType('resource').length"));
    assertEquals(List.of(), browser.manage().logs().get(LogType.BROWSER).getAll());
  }

  @ParameterizedTest
  @ValueSource(ints = {1280, 600})
  void neverScrollsSideways(int width) {
    browser.manage().window().setSize(new Dimension(width, 800));
    assertEquals(
        0L,
        browser.executeScript(
            "return Math.max(0, document.documentElement.scrollWidth - innerWidth)"));
  }

  @ParameterizedTest
  @CsvSource({"screen,light", "screen,dark", "print,light", "print,dark"})
  void isReadable(String media, String scheme) {
    media(media, scheme);
    assertEquals(List.of(), browser.executeScript(FAINT));
    media("screen", "light");
  }

  @Test
  void printsEveryDrawingAndEveryLineWhole() {
    browser.manage().window().setSize(new Dimension(700, 900));
    media("print", "light");
    assertEquals(
        List.of(),
        browser.executeScript(
            """
            return [...document.querySelectorAll('svg, pre, details > *')]
                .filter(e => {
                  const box = e.getBoundingClientRect();
                  const card = e.closest('section').getBoundingClientRect();
                  return box.height === 0 || box.right > card.right;
                })
                .map(e => e.outerHTML.slice(0, 80));
            """));
    media("screen", "light");
  }

  @Test
  void goesByTheKeyboardAlone() {
    browser.navigate().refresh();
    browser.switchTo().activeElement().sendKeys(Keys.TAB);
    WebElement first = browser.switchTo().activeElement();
    assertEquals("skip", first.getAttribute("class"));
    assertTrue(first.getSize().getWidth() > 0);
    WebElement more = browser.findElement(By.cssSelector("details > summary"));
    more.sendKeys(Keys.ENTER);
    assertEquals("true", more.findElement(By.xpath("..")).getAttribute("open"));
    more.sendKeys(Keys.ENTER);
  }

  @Test
  void linksEveryBarAndRowToWhatItSpeaksOf() {
    for (WebElement link : browser.findElements(By.cssSelector("a[href^='#']"))) {
      String id = link.getAttribute("href").replaceAll(".*#", "");
      assertEquals(1, browser.findElements(By.id(id)).size(), id);
    }
  }
}
