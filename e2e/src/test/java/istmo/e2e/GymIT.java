package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Reading the gym: a coach's first five minutes, and what is missing. */
@ExtendWith(Istmo.class)
class GymIT {

  /**
   * New client, new gym, one machine measured with the stand-in scale and inclinometer, an order:
   * at the desk and on a phone.
   */
  @ParameterizedTest
  @ValueSource(strings = {"desk", "phone"})
  void aCoachsFirstFiveMinutes(String where) {
    try (Coach coach = where.equals("desk") ? Coach.atTheDesk() : Coach.withAPhone()) {
      Page page = coach.page;
      String client = "Nell Ashby " + where;
      String gym = "Old Sail Loft " + where;
      takesIn(coach, client, gym);
      coach.goesTo("Exercises").says("Client", client).says("Gym", gym).says("Target", "all quads");
      assertThat(page.getByTestId("first-pick")).isVisible();
      String before = page.getByTestId("first-pick").textContent();
      assertThat(page.getByTestId("measuring")).containsText("change their place");

      coach.goesTo("Gyms");
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Machines of " + gym))
          .click();
      assertThat(page.getByTestId("worth").getByRole(AriaRole.LISTITEM).first()).isVisible();
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Leg extension")))
          .first()
          .click();
      coach.needsNoSideScroll("machines").findsNoFault("machines");
      pulls(coach);
      assertThat(page.getByTestId("pull")).hasCount(6);
      assertThat(page.getByTestId("fit")).containsText("about the generic type");
      assertThat(page.getByTestId("effect")).containsText("For the order at hand:");
      coach.needsNoSideScroll("measuring").keepsAPicture("measuring-" + where);
      coach.presses("Keep this measurement");
      assertThat(
              page.getByRole(
                  AriaRole.BUTTON,
                  new Page.GetByRoleOptions().setName(Pattern.compile("^Leg extension.*known"))))
          .isVisible();
      assertThat(page.getByTestId("pull")).hasCount(6);

      // a value that cannot be is told in the coach's unit, beside its control, and nothing is lost
      page.getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Leg press")))
          .first()
          .click();
      page.getByLabel(Pattern.compile("^Plate to back rest at the stop")).fill("300");
      coach.presses("Save");
      assertThat(page.getByRole(AriaRole.ALERT)).containsText("300 is not within 0 to 120 cm");
      page.getByLabel(Pattern.compile("^Plate to back rest at the stop")).fill("80");
      coach.presses("Save");
      assertThat(page.locator("[data-detail='stop']")).containsText("measured");

      coach.goesTo("Exercises");
      assertThat(coach.strip("leg-press/low")).isVisible();
      coach.strip("leg-press/low").click();
      assertThat(page.getByText("The machine's stop ends the repetition").first()).isVisible();
      org.assertj.core.api.Assertions.assertThat(before).isNotBlank();
    }
  }

  private static void takesIn(Coach coach, String client, String gym) {
    Page page = coach.page;
    coach
        .opens("/clients")
        .presses("New client")
        .fills("Name", client)
        .fills("Height (cm)", "168")
        .fills("Weight (kg)", "64")
        .picksChoice("Sex, for proportions", "female")
        .presses("Save");
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(client)))
        .isVisible();
    coach.goesTo("Gyms").presses("New gym").fills("Name", gym);
    coach
        .ticks("Leg press 45°")
        .ticks("Leg extension(?! whose)")
        .ticks("Seated leg curl")
        .ticks("Barbell and plates")
        .ticks("Squat rack")
        .presses("Save");
  }

  /** Six pulls on the lever, one of them from the stand-in scale. */
  private static void pulls(Coach coach) {
    Page page = coach.page;
    for (String angle : new String[] {"15", "60", "105"}) {
      for (String way : new String[] {"up", "down"}) {
        page.getByLabel("Knee bend at the lever (°)").fill(angle);
        page.getByLabel("Lever arm (cm)").fill("38");
        page.getByLabel("Pin (kg)").fill("40");
        page.getByLabel("While it goes")
            .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(way));
        if (angle.equals("60") && way.equals("up")) {
          takesFromTheStandIn(coach, "scale", "FORCE");
        } else {
          page.getByLabel("Scale reads (kg)").fill(way.equals("up") ? "22" : "19");
        }
        coach.presses("Add");
      }
    }
  }

  private static void takesFromTheStandIn(Coach coach, String gadget, String kind) {
    coach.presses("From a " + gadget);
    Locator link = coach.page.getByTestId("gadget-" + kind);
    link.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Use the stand-in " + gadget))
        .click();
    assertThat(link).containsText("dropped out once");
    link.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Take ")))
        .click();
    assertThat(coach.page.getByLabel("Scale reads (kg)")).not().hasValue("");
  }

  @Test
  void whatIsMissingIsImprovisedWithItsSafetyPoints() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/exercises").order();
      coach.says("Client", "Wren Calloway").says("Gym", "Boatshed").says("Target", "all calves");
      assertThat(page.getByTestId("first-pick")).isVisible();
      page.getByText("not in the order, and why").click();
      Locator way =
          page.getByText("Without it: Calf raise under the fixed-track bar, on a plate").first();
      way.click();
      Locator open = page.locator("details[open] details[open]");
      assertThat(
              open.getByText(
                  "A plate or board of about 4 cm under the balls of the feet, heels free."))
          .isVisible();
      assertThat(open.getByText("Stops in before loading; shoes that grip")).isVisible();
      assertThat(open.getByText("Common practice, in this client's centimetres.")).isVisible();
    }
  }

  /** Ranked with a generic machine, then with this one: the tape says where its pivot is. */
  @Test
  void aPendulumSquatIsMeasuredByTapeAndRanked() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/gyms").presses("New gym").fills("Name", "Lantern Yard");
      coach
          .ticks("Pendulum squat machine")
          .ticks("Leg press 45°")
          .ticks("Leg extension(?! whose)")
          .presses("Save");
      coach.goesTo("Exercises");
      coach.says("Client", "Wren Calloway").says("Gym", "Lantern Yard");
      coach.says("Target", "all quads");
      assertThat(page.getByTestId("first-pick")).isVisible();
      Locator pendulum = page.locator("[data-candidate^='pendulum-squat/']").first();
      assertThat(pendulum).isVisible();
      String generic = pendulum.textContent();

      coach.goesTo("Gyms");
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Machines of Lantern Yard"))
          .click();
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Pendulum squat")))
          .first()
          .click();
      page.getByLabel(Pattern.compile("^Pivot behind the foot plate's middle")).fill("140");
      page.getByLabel(Pattern.compile("^Pivot above the foot plate's middle")).fill("40");
      coach.presses("Save");
      assertThat(page.locator("[data-detail='pivotBehind']")).containsText("measured");
      coach.findsNoFault("a pendulum's places");

      coach.goesTo("Exercises");
      assertThat(pendulum).isVisible();
      assertThat(pendulum).not().hasText(generic);
    }
  }

  @Test
  void aGymIsTakenOutPutBackAtOnceAndLater() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/gyms").presses("New gym").fills("Name", "Old pier");
      coach.presses("Save");
      assertThat(coach.button("Take out Old pier")).isVisible();
      coach.presses("Take out Old pier");
      assertThat(coach.page.getByText("Old pier was taken out.")).isVisible();
      coach.presses("Undo");
      coach.presses("Take out Old pier");
      coach.page.getByText("1 taken out").click();
      coach.findsNoFault("a gym that was taken out");
      coach.presses("Put back Old pier");
      assertThat(coach.button("Change Old pier")).isVisible();
      coach.presses("Take out Old pier"); // other tests count the demo's gyms
      assertThat(coach.page.getByText("Old pier was taken out.")).isVisible();
    }
  }
}
