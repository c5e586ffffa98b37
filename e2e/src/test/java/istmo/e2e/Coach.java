package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;

/** A coach at the screen: page acts named after what a coach does. */
final class Coach implements AutoCloseable {
  /** Texts under 12 pixels as they are seen, a drawing's own scale counted. */
  private static final String SMALL_TEXT =
      """
      () => {
        const small = []
        const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
        while (texts.nextNode()) {
          const text = texts.currentNode
          const e = text.parentElement
          const seen = e.getClientRects().length && getComputedStyle(e).visibility !== 'hidden'
          if (!text.textContent.trim() || !seen) continue
          if (['title', 'style', 'script', 'option'].includes(e.tagName.toLowerCase())) continue
          if (e.closest('.sr-only')) continue
          const m = e.ownerSVGElement && e.getScreenCTM()
          const px = parseFloat(getComputedStyle(e).fontSize) * (m ? Math.hypot(m.a, m.b) : 1)
          if (px < 11.95) small.push(px.toFixed(1) + ' px: ' + text.textContent.trim())
        }
        return small
      }
      """;

  Page page;
  private final BrowserContext context;
  private CDPSession touch;
  private String home = Istmo.address();

  private Coach(int width, int height, ColorScheme paper) {
    context =
        Istmo.browser()
            .newContext(
                new Browser.NewContextOptions()
                    .setViewportSize(width, height)
                    .setLocale("en-GB")
                    .setColorScheme(paper)
                    .setHasTouch(width < 600));
    page = context.newPage();
  }

  static Coach atTheDesk() {
    return new Coach(1280, 800, ColorScheme.LIGHT);
  }

  static Coach atTheDeskAtNight() {
    return new Coach(1280, 800, ColorScheme.DARK);
  }

  /** The narrowest screen, which is also a desk at four times its size. */
  static Coach withTheSmallestScreen() {
    return new Coach(320, 640, ColorScheme.LIGHT);
  }

  static Coach withAPhone() {
    return new Coach(390, 844, ColorScheme.LIGHT);
  }

  @Override
  public void close() {
    context.close();
  }

  /** The same with a telephone. */
  static Coach withAPhoneAt(String address) {
    Coach coach = withAPhone();
    coach.home = address;
    return coach;
  }

  /** Whether the telephone has a network. */
  Coach network(boolean there) {
    context.setOffline(!there);
    return this;
  }

  /** Another tab of the same telephone; the one before is killed. */
  Coach newTab() {
    Page before = page;
    page = context.newPage();
    before.close();
    return this;
  }

  /** Somebody at another installation. */
  static Coach at(String address) {
    Coach coach = atTheDesk();
    coach.home = address;
    return coach;
  }

  Coach opens(String path) {
    page.navigate(home + path);
    return this;
  }

  Coach goesTo(String screen) {
    page.getByRole(AriaRole.NAVIGATION)
        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(screen).setExact(true))
        .click();
    return this;
  }

  /** Opens what lies one step behind the rooms. */
  Coach looksBehind(String item) {
    presses("More");
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(item)).click();
    return this;
  }

  Coach presses(String button) {
    button(button).click();
    return this;
  }

  /** The floor says that the server has everything; where it does not, the failure tells why. */
  Coach hasEverythingSaved() {
    try {
      assertThat(page.getByTestId("floor-status")).containsText("Everything is saved");
    } catch (AssertionError e) {
      String why = String.join(" ", page.getByLabel("To decide").allInnerTexts());
      throw new AssertionError(why + " " + e.getMessage(), e);
    }
    return this;
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Coach fills(String label, String text) {
    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
    return this;
  }

  Coach ticks(String label) {
    page.getByRole(
            AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^" + label)))
        .check();
    return this;
  }

  Coach picksChoice(String group, String choice) {
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(group))
        .getByText(choice, new Locator.GetByTextOptions().setExact(true))
        .click();
    return this;
  }

  /** Changes an underlined word of the brief line. */
  Coach says(String word, String choice) {
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^" + word + ": ")))
        .click();
    page.getByRole(
            AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(Pattern.compile("^" + choice)))
        .click();
    return this;
  }

  Locator region(String id) {
    return page.locator("[data-region='" + id + "']");
  }

  /** Paints a territory by clicking it so many times: 1 a little, 2 much, 3 most, 4 avoid. */
  Coach paints(String region, int clicks) {
    for (int k = 0; k < clicks; k++) {
      region(region).click();
    }
    return this;
  }

  Locator strip(String candidate) {
    return page.locator("[data-candidate='" + candidate + "']");
  }

  /** The exercise's strip, in whichever set-up stands for it. */
  Locator stripOf(String exercise) {
    return page.locator("[data-candidate^='" + exercise + "/']").first();
  }

  /**
   * Candidates of the order, best first; the first order of a body that a cold server computes
   * takes its time.
   */
  List<String> order() {
    assertThat(page.getByTestId("first-pick")).isVisible();
    assertThat(page.locator("section[aria-busy=false][aria-label=Order]"))
        .isVisible(); // an order that is overtaken stays in sight until then
    return page.locator("[data-candidate]").all().stream()
        .map(locator -> locator.getAttribute("data-candidate"))
        .toList();
  }

  /** Axe with every rule that it has, best practices too. */
  Coach findsNoFault(String screen) {
    List<String> faults =
        new AxeBuilder(page)
            .analyze().getViolations().stream()
                .map(rule -> rule.getId() + ": " + rule.getNodes().get(0).getHtml())
                .toList();
    Assertions.assertThat(faults).as("axe, %s", screen).isEmpty();
    return this;
  }

  /** One touch event of a finger, as the browser gets it from a screen. */
  void touches(String type, double x, double y) {
    JsonObject event = new JsonObject();
    event.addProperty("type", type);
    JsonArray points = new JsonArray();
    if (!type.equals("touchEnd")) {
      JsonObject point = new JsonObject();
      point.addProperty("x", x);
      point.addProperty("y", y);
      points.add(point);
    }
    event.add("touchPoints", points);
    if (touch == null) {
      touch = context.newCDPSession(page);
    }
    touch.send("Input.dispatchTouchEvent", event);
  }

  /** Keeps a picture among the build's output, to be looked at. */
  Coach keepsAPicture(String name) {
    page.screenshot(new Page.ScreenshotOptions().setPath(Istmo.output(name + ".png")));
    return this;
  }

  Coach needsNoSideScroll(String screen) {
    Assertions.assertThat(
            (Integer)
                page.evaluate(
                    "document.documentElement.scrollWidth - document.documentElement.clientWidth"))
        .as("%s wider than the screen by", screen)
        .isLessThanOrEqualTo(0);
    return this;
  }

  /** No text that is seen stands smaller than 12 pixels, in drawings too. */
  Coach readsEveryWord(String screen) {
    Assertions.assertThat((List<?>) page.evaluate(SMALL_TEXT)).as("%s: text", screen).isEmpty();
    return this;
  }

  void needsNoPageScroll() {
    Assertions.assertThat(
            (Integer)
                page.evaluate(
                    "document.documentElement.scrollHeight -"
                        + " document.documentElement.clientHeight"))
        .as("page taller than the screen by")
        .isLessThanOrEqualTo(0);
  }
}
