package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Knowing the body better: measurements and cautions, and what they do to the order. */
@ExtendWith(Istmo.class)
class BodyIT {
  private static final LocatorAssertions.ContainsTextOptions SLOWLY = new LocatorAssertions.ContainsTextOptions().setTimeout(30_000);

  @Test
  void theOrderAsksForAMeasurementAndTheAnswerIsUsed() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/").order();
      coach.says("Client", "Wren Calloway").says("Gym", "Quayside Hall").says("Bring up", "all quads");
      assertThat(page.getByTestId("measuring")).containsText("of the first 10 change their place", SLOWLY);
      page.getByTestId("measuring").getByRole(AriaRole.LINK).click();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Measure thigh length")).click();
      coach.picksChoice("Side", "left").fills("Reading (cm)", "58").presses("Add the reading");
      assertThat(page.getByText("is not believable for a stature of 158 cm")).isVisible();
      assertThat(page.getByLabel("Reading (cm)")).hasValue("58");
      coach.fills("Reading (cm)", "41.5").presses("Add the reading");
      Locator thigh = page.locator("[data-kind='THIGH']");
      assertThat(thigh).containsText("41.5 cm");
      assertThat(thigh).containsText("measured");
      coach.findsNoSeriousFault("measurements").keepsAPicture("measurements");
    }
  }

  @Test
  void aCautionSpeaksAndLeavesOutUntilItIsCleared() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/clients").presses("New client").fills("Name", "Mirek Dunmore").fills("Stature (cm)", "178").fills("Mass (kg)", "82").picksChoice("Body tables that fit better", "male");
      page.getByText("Cautions and restrictions").click();
      coach.ticks("known back condition").presses("Save");
      assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName("Mirek Dunmore"))).containsText("known back condition (not cleared)");
      coach.goesTo("Order").order();
      coach.says("Client", "Mirek Dunmore").says("Gym", "Quayside Hall").says("Bring up", "all hamstrings");
      assertThat(page.getByTestId("cautions")).containsText("Known back condition: ask the clinician in charge first.", SLOWLY);
      assertThat(coach.strip("seated-leg-curl/usual")).isVisible();
      assertThat(coach.strip("romanian-deadlift/usual")).hasCount(0);
      coach.findsNoSeriousFault("order with cautions").keepsAPicture("cautions");

      coach.goesTo("Clients");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change Mirek Dunmore")).click();
      coach.fills("Cleared by", "Dr Amsel").presses("Save");
      assertThat(page.getByText("needs the clinician's name and the day")).isVisible();
      page.getByLabel("on", new Page.GetByLabelOptions().setExact(true)).first().fill("2026-11-20");
      coach.presses("Save");
      coach.goesTo("Order");
      assertThat(coach.strip("romanian-deadlift/usual")).isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(30_000));
      assertThat(coach.order()).contains("deadlift/conventional");
    }
  }

  @Test
  void aClientIsErasedOnlyByName() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/clients").presses("New client").fills("Name", "Gone Tomorrow").fills("Stature (cm)", "170").fills("Mass (kg)", "70").picksChoice("Body tables that fit better", "female").presses("Save");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change Gone Tomorrow")).click();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Erase for good")).click();
      Locator dialog = page.getByRole(AriaRole.ALERTDIALOG);
      Locator erase = dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Erase for good"));
      assertThat(erase).isDisabled();
      coach.findsNoSeriousFault("erase dialog");
      dialog.getByRole(AriaRole.TEXTBOX).fill("Gone Tomorrow");
      erase.click();
      assertThat(page.getByRole(AriaRole.ROWHEADER, new Page.GetByRoleOptions().setName("Gone Tomorrow"))).hasCount(0);
    }
  }
}
