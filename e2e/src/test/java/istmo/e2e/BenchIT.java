package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Moving things on the bench by mouse and keyboard, and the other screens in both papers and on a
 * phone.
 */
@ExtendWith(Istmo.class)
class BenchIT {
  private static Locator handle(Coach coach, String parameter) {
    return coach.page.locator("[data-handle='" + parameter + "']");
  }

  private static double value(Locator handle) {
    return Double.parseDouble(handle.getAttribute("aria-valuenow"));
  }

  private static Coach onTheBench(Coach coach, String candidate) {
    coach.opens("/exercises").order();
    coach.opens(
        "/bench"
            + coach.page.url().substring(coach.page.url().indexOf('?'))
            + "&candidate="
            + candidate);
    assertThat(coach.page.getByTestId("angles")).isVisible();
    return coach;
  }

  @Test
  void theHipIsDraggedAndTheFiguresFollow() {
    try (Coach coach = onTheBench(Coach.atTheDesk(), "back-squat/high-bar")) {
      coach.says("Client", "Oda Fenwick");
      Locator hip = handle(coach, "depth");
      assertThat(hip).isVisible();
      double before = value(hip);
      BoundingBox box = hip.boundingBox();
      List<Integer> inFlight = new ArrayList<>();
      int[] open = {0};
      coach.page.onRequest(
          request -> inFlight.add(request.url().endsWith("/api/bench") ? ++open[0] : 0));
      coach.page.onRequestFinished(
          request -> open[0] -= request.url().endsWith("/api/bench") ? 1 : 0);
      coach.page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
      coach.page.mouse().down();
      for (int k = 1; k <= 12; k++) {
        coach.page.mouse().move(box.x + box.width / 2, box.y + box.height / 2 - 5 * k);
      }
      coach.page.mouse().up();
      assertThat(value(hip)).isLessThan(before - 5);
      assertThat(coach.page.getByTestId("changes")).isVisible();
      assertThat(
              coach
                  .page
                  .locator("[aria-label='Controls']")
                  .getByText(Pattern.compile("^was "))
                  .first())
          .isVisible();
      assertThat(inFlight.stream().mapToInt(i -> i).max().orElse(0))
          .as("requests in flight at once")
          .isEqualTo(1);
      assertThat(coach.page.url()).contains("set=");
    }
  }

  @Test
  void keysMoveAHandleAndAnImpossiblePostureSaysWhatIsMissing() {
    try (Coach coach = onTheBench(Coach.atTheDesk(), "track-squat/under")) {
      Locator lean = handle(coach, "lean");
      double before = value(lean);
      lean.focus();
      lean.press("ArrowRight");
      assertThat(lean).hasAttribute("aria-valuenow", Pattern.compile("^" + (int) (before + 5)));
      for (int k = 0; k < 6; k++) {
        lean.press("Shift+ArrowLeft");
      }
      assertThat(coach.page.getByTestId("obstacle")).containsText("Missing:");
      coach.presses("Reset");
      assertThat(coach.page.getByTestId("obstacle")).hasCount(0);
      coach.findsNoFault("bench").needsNoPageScroll();
    }
  }

  /** Ten presses are ten steps, on a slider as on a handle. */
  @Test
  void noKeyIsLost() {
    try (Coach coach = onTheBench(Coach.atTheDesk(), "leg-press/high")) {
      Locator slider = coach.page.locator("[aria-label='Controls'] input[type=range]").first();
      double before = Double.parseDouble(slider.inputValue());
      double step = Double.parseDouble(slider.getAttribute("step"));
      slider.focus();
      for (int k = 0; k < 10; k++) {
        coach.page.keyboard().press("ArrowLeft");
      }
      assertThat(Double.parseDouble(slider.inputValue()))
          .isCloseTo(before - 10 * step, within(1e-6));
    }
  }

  /**
   * The targeted muscles lie on the figure, the others when they are asked for; it can be played.
   */
  @Test
  void theMusclesLieOnTheFigureAndTheRepetitionPlays() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/exercises?aim=VL.2").order();
      assertThat(coach.page.locator("[data-thumb]").first()).isVisible();
      coach.opens("/bench?aim=VL.2&candidate=back-squat/high-bar");
      Locator side =
          coach.page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Side view of"));
      assertThat(side.locator("[data-muscle=VL]")).isVisible();
      assertThat(side.locator("[data-muscle]")).hasCount(1);
      Locator front =
          coach.page.getByRole(
              AriaRole.GROUP, new Page.GetByRoleOptions().setName("Front view of"));
      assertThat(front.locator("[data-role=plumb]")).hasCount(2);
      assertThat(front.locator("[data-muscle=VL]")).isVisible();
      coach.page.getByLabel("Muscles on the figure").selectOption("all");
      assertThat(side.locator("[data-muscle=BFL]")).isVisible();
      Locator place = coach.page.getByLabel("Place in the repetition");
      coach.presses("Play");
      assertThat(place).hasValue(Pattern.compile("1[0-9]"));
      coach.presses("Stop");
      coach.findsNoFault("the figure");
    }
  }

  @Test
  void aFingerMovesTheFeetApartOnAPhone() {
    try (Coach coach = onTheBench(Coach.withAPhone(), "leg-press/high")) {
      Locator stance = handle(coach, "stance");
      stance.scrollIntoViewIfNeeded();
      double before = value(stance);
      BoundingBox box = stance.boundingBox();
      double x = box.x + box.width / 2;
      double y = box.y + box.height / 2;
      coach.touches("touchStart", x, y);
      for (int k = 1; k <= 8; k++) {
        coach.touches("touchMove", x + 4 * k, y);
      }
      coach.touches("touchEnd", x + 32, y);
      assertThat(value(stance)).isGreaterThan(before + 0.03);
    }
  }

  @Test
  void aMoveInsideTheNoiseIsSaidToBeNone() {
    try (Coach coach = onTheBench(Coach.atTheDesk(), "leg-press/high")) {
      Locator stance = handle(coach, "stance");
      stance.focus();
      stance.press("ArrowRight");
      assertThat(coach.page.getByText("The model cannot tell these two set-ups apart."))
          .isVisible();
    }
  }

  @Test
  void twoClientsOfDifferentBuildAreSetSideBySide() {
    try (Coach coach = Coach.atTheDesk()) {
      coach
          .opens("/side-by-side")
          .says("First client", "Oda Fenwick")
          .says("Second client", "Tarn Holloway")
          .says("Exercise", "Back squat, high bar");
      assertThat(coach.page.getByTestId("differences"))
          .containsText(
              Pattern.compile("Trunk lean at the bottom: Oda Fenwick \\d+°, Tarn Holloway \\d+°"));
      assertThat(
              coach.page.getByRole(
                  AriaRole.REGION, new Page.GetByRoleOptions().setName("Tarn Holloway")))
          .containsText("instead of");
      coach.findsNoFault("side by side").keepsAPicture("side-by-side");
    }
  }

  @Test
  void theLimbChartIsAListOfSlidersForTheKeyboard() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/exercises").order();
      Locator soleus = coach.region("SOL");
      soleus.focus();
      soleus.press("+");
      assertThat(soleus).hasAttribute("aria-valuetext", "a little");
      soleus.press("3");
      assertThat(soleus).hasAttribute("aria-valuetext", "most");
      soleus.press("x");
      assertThat(soleus).hasAttribute("aria-valuetext", "avoid");
      assertThat(coach.page.getByTestId("brief")).containsText("avoid lower calf");
    }
  }

  @Test
  void aSetUpIsKeptAsAVariantOrderedAndTakenOut() {
    String name = "Our narrow back squat " + System.nanoTime();
    try (Coach coach = onTheBench(Coach.atTheDesk(), "back-squat/high-bar")) {
      Locator stance =
          coach
              .page
              .getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Stance width"))
              .first();
      stance.focus();
      stance.press("ArrowLeft");
      coach.page.getByText("Keep this as a variant of your own").click();
      coach.fills("Name", "Back squat, high bar").presses("Keep");
      assertThat(coach.page.getByText("There is a variant of that name")).isVisible();
      coach.fills("Name", name).presses("Keep");
      assertThat(coach.page.getByText("Set-up of")).containsText(name);
      String bench = coach.page.url();
      coach.goesTo("Exercises");
      assertThat(coach.page.getByText(name).first()).isVisible();
      coach.page.navigate(bench);
      coach.presses("Take it out");
      assertThat(coach.page.getByText("out of lists and orders")).isVisible();
      coach.goesTo("Exercises").order();
      assertThat(coach.page.getByText(name)).hasCount(0);
      coach.page.navigate(bench);
      coach.presses("Put it back");
      assertThat(coach.page.getByText("Sessions that have it keep it.")).isVisible();
    }
  }
}
