package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Knowing the body better: measurements and cautions, and what they do to the order. */
@ExtendWith(Istmo.class)
class BodyIT {

  @Test
  void theOrderAsksForAMeasurementAndTheAnswerIsUsed() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/exercises").order();
      coach
          .says("Client", "Wren Calloway")
          .says("Gym", "Quayside Hall")
          .says("Target", "all quads");
      assertThat(page.getByTestId("measuring")).containsText("of the first 10 change their place");
      page.getByTestId("measuring").getByRole(AriaRole.LINK).click();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Measure thigh length"))
          .click();
      coach.picksChoice("Side", "left").fills("Reading (cm)", "58").presses("Add the reading");
      assertThat(page.getByText("is not believable for a stature of 158 cm")).isVisible();
      assertThat(page.getByLabel("Reading (cm)")).hasValue("58");
      coach.fills("Reading (cm)", "41.5").presses("Add the reading");
      Locator thigh = page.locator("[data-kind='THIGH']");
      assertThat(thigh).containsText("41.5 cm");
      assertThat(thigh).containsText("measured");
      coach.findsNoFault("measurements").keepsAPicture("measurements");
    }
  }

  @Test
  void aCautionSpeaksAndLeavesOutUntilItIsCleared() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach
          .opens("/clients")
          .presses("New client")
          .fills("Name", "Mirek Dunmore")
          .fills("Height (cm)", "178")
          .fills("Weight (kg)", "82")
          .picksChoice("Sex, for proportions", "male");
      page.getByText("Cautions and restrictions").click();
      coach.ticks("known back condition").presses("Save");
      assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To mind")))
          .containsText("known back condition (not cleared)");
      coach.goesTo("Clients");
      assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName("Mirek Dunmore")))
          .containsText("known back condition (not cleared)");
      page.getByRole(
              AriaRole.LINK, new Page.GetByRoleOptions().setName("Mirek Dunmore").setExact(true))
          .first()
          .click();
      coach.goesTo("Exercises").says("Gym", "Quayside Hall").says("Target", "all hamstrings");
      assertThat(page.getByTestId("cautions"))
          .containsText("Known back condition: ask the clinician in charge first.");
      assertThat(coach.strip("seated-leg-curl/usual")).isVisible();
      assertThat(coach.strip("romanian-deadlift/usual")).hasCount(0);
      coach.findsNoFault("order with cautions").keepsAPicture("cautions");

      coach.goesTo("Clients");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change Mirek Dunmore"))
          .click();
      coach.fills("Cleared by", "Dr Amsel").presses("Save");
      assertThat(page.getByText("needs the clinician's name and the day")).isVisible();
      page.getByLabel("on", new Page.GetByLabelOptions().setExact(true)).first().fill("2026-11-20");
      coach.presses("Save");
      coach.goesTo("Exercises");
      assertThat(coach.strip("romanian-deadlift/usual")).isVisible();
      assertThat(coach.order()).contains("deadlift/conventional");
    }
  }

  @Test
  void aCautionHoldsOnTheBenchToo() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/exercises").order();
      coach
          .says("Client", "Joss Merrow")
          .says("Gym", "Quayside Hall")
          .says("Target", "all hamstrings");
      coach.order();
      coach.opens(
          "/bench"
              + page.url().substring(page.url().indexOf('?'))
              + "&candidate=romanian-deadlift/usual");
      assertThat(page.getByTestId("refusal"))
          .containsText("Left out for Joss Merrow: Sore lower back");
      assertThat(coach.button("Add to session")).isDisabled();
      coach.findsNoFault("bench with a refusal");
    }
  }

  @Test
  void oneKnownLiftBringsLoadsAndAStiffDayLessDepth() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/clients");
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Measure Wren Calloway"))
          .click();
      assertThat(page.getByTestId("strength")).containsText("no loads are shown");
      Locator form =
          page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a known lift"));
      form.getByLabel("Load (kg)").fill("450");
      form.getByRole(AriaRole.TEXTBOX, new Locator.GetByRoleOptions().setName("Repetitions"))
          .fill("5");
      form.getByRole(AriaRole.BUTTON).click();
      assertThat(form.getByRole(AriaRole.ALERT)).containsText("is it mistyped?");
      form.getByLabel("Load (kg)").fill("45");
      form.getByRole(AriaRole.BUTTON).click();
      assertThat(page.getByTestId("strength")).containsText("From Back squat, high bar");
      coach.findsNoFault("known lifts");
      coach.goesTo("Exercises").says("Gym", "Quayside Hall").says("Target", "all quads");
      assertThat(coach.strip("back-squat/high-bar")).isVisible();
      coach.strip("back-squat/high-bar").click();
      assertThat(page.getByTestId("load")).containsText("from this exercise's own lift");
      coach.strip("leg-press/low").click();
      Locator height =
          page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Why"))
              .getByRole(AriaRole.ROW)
              .filter(new Locator.FilterOptions().setHasText("Feet up the plate"));
      assertThat(height).isVisible();
      String asUsual = height.textContent();
      coach.presses("Today: moving normally");
      assertThat(page.getByTestId("brief")).containsText("stiff today");
      assertThat(height).not().hasText(asUsual);
      assertThat(page.url()).contains("stiff=1");
    }
  }

  @Test
  void aStartIsFoundWithoutATape() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/exercises").order();
      coach.opens(
          "/bench"
              + page.url().substring(page.url().indexOf('?'))
              + "&candidate=back-squat/high-bar");
      page.getByText("Find a start without a tape").click();
      Locator way =
          page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Jump and land"));
      way.getByLabel("Foot lengths from heel to heel").fill("2");
      way.getByLabel("The right foot points at").fill("5");
      way.getByRole(AriaRole.BUTTON).click();
      assertThat(way.getByRole(AriaRole.STATUS)).containsText("toes 30° out");
      assertThat(page.url()).contains("toeOut.30");
    }
  }

  @Test
  void aClientIsErasedOnlyByName() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach
          .opens("/clients")
          .presses("New client")
          .fills("Name", "Gone Tomorrow")
          .fills("Height (cm)", "170")
          .fills("Weight (kg)", "70")
          .picksChoice("Sex, for proportions", "female")
          .presses("Save");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Erase for good"))
          .click();
      Locator dialog = page.getByRole(AriaRole.ALERTDIALOG);
      Locator erase =
          dialog.getByRole(
              AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Erase for good"));
      assertThat(erase).isDisabled();
      coach.findsNoFault("erase dialog");
      dialog.getByRole(AriaRole.TEXTBOX).fill("Gone Tomorrow");
      erase.click();
      assertThat(
              page.getByRole(
                  AriaRole.ROWHEADER, new Page.GetByRoleOptions().setName("Gone Tomorrow")))
          .hasCount(0);
    }
  }
}
