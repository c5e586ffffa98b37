package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ForcedColors;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What holds of every screen: it fits, it can be read, and axe finds nothing. */
@ExtendWith(Istmo.class)
class EveryScreenIT {

  /** Every route of the application, with the demo's own things in it. */
  private static List<String> routes(Coach coach) {
    // a name on the list shows that the coach is signed in; the frame is there before that
    coach.opens("/clients");
    assertThat(coach.page.getByText("Oda Fenwick").first()).isVisible();
    String client = first(coach, "clients", "Oda Fenwick");
    String gym = first(coach, "gyms", "Quayside Hall");
    return Stream.of(
            "/",
            "/exercises?client=C&gym=G&aim=VL.3",
            "/bench?client=C&gym=G&candidate=leg-press/low&set=footHeight.0.12",
            "/side-by-side",
            "/compare?client=C&gym=G&aim=VL.3",
            "/claims",
            "/schools",
            "/clients",
            "/clients/C",
            "/clients/C/body",
            "/clients/C/picture",
            "/clients/C/bring",
            "/clients/bring",
            "/exercises/by-word",
            "/gyms",
            "/gyms/G",
            "/account",
            "/weeks",
            "/weeks/" + first(coach, "weeks", "Quads, winter"),
            "/record/C",
            "/sessions",
            "/floor",
            "/nowhere")
        .map(region -> region.replace("C", client).replace("G", gym))
        .toList();
  }

  private static String first(Coach coach, String things, String name) {
    return (String)
        coach.page.evaluate(
            "async ([things, name]) => (await (await fetch('/api/' + things)).json())"
                + ".find((x) => x.name === name).id",
            List.of(things, name));
  }

  @Test
  void everyScreenFitsIsReadAndHasNoFaultOnTheSmallestScreenAndAtNight() {
    try (Coach night = Coach.atTheDeskAtNight();
        Coach small = Coach.withTheSmallestScreen()) {
      for (String path : routes(night)) {
        for (Coach coach : List.of(night, small)) {
          coach.opens(path);
          assertThat(coach.page.locator("main").getByText(Pattern.compile("\\w")).first())
              .isVisible();
          coach.page.waitForLoadState(LoadState.NETWORKIDLE);
          coach.findsNoFault(path).readsEveryWord(path).needsNoSideScroll(path);
        }
      }
    }
  }

  /**
   * One switch for weights and one for lengths are obeyed on every screen, in figures and words.
   */
  @Test
  void poundsAndInchesAreObeyedOnEveryScreen() {
    try (Coach coach = Coach.atTheDesk()) {
      List<String> routes = routes(coach);
      coach.presses("More");
      item(coach, "Weights in pounds").click();
      coach.presses("More");
      item(coach, "Lengths in inches").click();
      Pattern metric = Pattern.compile("[^.\\n]*\\d[\\s\u00a0](kg|cm)\\b[^.\\n]*");
      for (String path : routes) {
        coach.opens(path);
        Locator main = coach.page.locator("main");
        assertThat(main.getByText(Pattern.compile("\\w")).first()).isVisible();
        coach.page.waitForLoadState(LoadState.NETWORKIDLE);
        Assertions.assertThat(metric.matcher(main.innerText()).results().map(MatchResult::group))
            .as(path)
            .isEmpty();
      }
      coach.opens("/clients");
      assertThat(coach.page.getByText("139 lb").first()).isVisible();
      assertThat(coach.page.getByText("65.4 in").first()).isVisible();
    }
  }

  private static Locator item(Coach coach, String name) {
    return coach.page.getByRole(
        AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /**
   * From a fresh page to the first exercise: two links that only the keyboard finds, and a step.
   */
  @Test
  void theKeyboardIsAtTheFirstExerciseInSixStops() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/exercises?aim=VL.3");
      assertThat(coach.page.getByTestId("first-pick")).isVisible();
      coach.page.keyboard().press("Tab");
      coach.page.keyboard().press("Tab");
      coach.page.keyboard().press("Enter");
      int stops = 2;
      while (!inAStrip(coach) && stops < 10) {
        coach.page.keyboard().press("Tab");
        stops++;
      }
      Assertions.assertThat(stops).isLessThanOrEqualTo(6);
    }
  }

  private static boolean inAStrip(Coach coach) {
    return (Boolean)
        coach.page.evaluate("document.activeElement.closest('[data-candidate]') !== null");
  }

  /** Where the reader's system forces its colours, what is chosen still has a mark of its own. */
  @Test
  void whatIsChosenIsSeenInForcedColours() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.page.emulateMedia(new Page.EmulateMediaOptions().setForcedColors(ForcedColors.ACTIVE));
      coach.opens("/clients").presses("New client").picksChoice("Thigh", "long");
      Locator chosen = coach.page.locator("label:has(input:checked)").first();
      Assertions.assertThat(
              chosen.evaluate(
                  "(e) => getComputedStyle(e).outlineStyle + getComputedStyle(e).outlineWidth"))
          .isEqualTo("solid3px");
      Locator here =
          coach
              .page
              .getByRole(AriaRole.NAVIGATION)
              .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Clients"))
              .first();
      Assertions.assertThat(here.evaluate("(e) => getComputedStyle(e).outlineStyle"))
          .isEqualTo("solid");
    }
  }

  /** The edges of what can be typed into stand out from both papers by 3 to 1. */
  @Test
  void controlsHaveAnEdgeThatIsSeen() {
    try (Coach day = Coach.atTheDesk();
        Coach night = Coach.atTheDeskAtNight()) {
      for (Coach coach : List.of(day, night)) {
        coach.opens("/clients").presses("New client");
        Map<?, ?> of =
            (Map<?, ?>)
                coach
                    .page
                    .getByLabel("Height (cm)")
                    .evaluate(
                        "(e) => ({edge: getComputedStyle(e).borderTopColor,"
                            + " paper: getComputedStyle(document.body).backgroundColor})");
        Assertions.assertThat(contrast((String) of.get("edge"), (String) of.get("paper")))
            .isGreaterThan(3);
      }
    }
  }

  /** Contrast of two colours "rgb(r, g, b)" (Web Content Accessibility Guidelines 2.2). */
  private static double contrast(String one, String other) {
    double a = luminance(one);
    double b = luminance(other);
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static double luminance(String rgb) {
    double[] linear =
        Pattern.compile("\\d+")
            .matcher(rgb)
            .results()
            .limit(3)
            .mapToDouble(m -> Integer.parseInt(m.group()) / 255.0)
            .map(c -> c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4))
            .toArray();
    return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
  }
}
