package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a coach does most takes few acts, and the client stays the client in every room. */
@ExtendWith(Istmo.class)
class RoomsIT {

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  /** Each line is an act: a press, a field that is filled, a choice. */
  private static int does(List<Runnable> acts) {
    acts.forEach(Runnable::run);
    return acts.size();
  }

  @Test
  void aNewClientStartsAnExerciseWithinFourteenActs() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      String name = "Isla Northgate " + UUID.randomUUID().toString().substring(0, 4);
      coach.opens("/");
      int acts =
          does(
              List.of(
                  () -> coach.goesTo("Clients"),
                  () -> coach.presses("New client"),
                  () -> coach.fills("Name", name),
                  () -> coach.fills("Height (cm)", "169"),
                  () -> coach.fills("Weight (kg)", "64"),
                  () -> coach.picksChoice("Sex, for proportions", "female"),
                  () -> coach.presses("Save"),
                  () -> page.getByText("Exercises for Isla").click(),
                  () -> page.getByRole(AriaRole.BUTTON, named("Target: nothing yet")).click(),
                  () -> page.getByRole(AriaRole.MENUITEM, named("all quads")).click(),
                  () -> coach.presses("Add to session"),
                  () -> page.getByText(Pattern.compile("^Open session: 1 exercise")).click(),
                  () ->
                      page.getByRole(AriaRole.MAIN)
                          .getByRole(
                              AriaRole.LINK,
                              new Locator.GetByRoleOptions().setName("Train").setExact(true))
                          .click()));
      Assertions.assertThat(acts).isLessThanOrEqualTo(14);
      assertThat(page).hasURL(Pattern.compile("/floor/"));
      assertThat(page.getByTestId("load")).isVisible();
    }
  }

  @Test
  void whatIsNextForAClientIsOnePressAway() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/");
      coach.page.getByRole(AriaRole.LINK, named("Oda Fenwick").setExact(true)).first().click();
      Locator next = coach.page.getByRole(AriaRole.REGION, named("Next session"));
      assertThat(next).containsText("kg");
      assertThat(next).containsText("in reserve");
      coach.findsNoFault("a client's page");
    }
  }

  /** Rooms, screens of a room and keys keep the client; the title of the page names them. */
  @Test
  void theClientStaysTheClient() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/clients");
      page.getByRole(AriaRole.LINK, named("Wren Calloway").setExact(true)).click();
      // a room that is pressed before the client's page is there replaces it
      assertThat(page).hasTitle(Pattern.compile("Wren Calloway"));
      for (String room : List.of("Exercises", "Set-up", "Plan", "Gyms", "Clients", "Record")) {
        coach.goesTo(room);
        assertThat(page).hasTitle(Pattern.compile("Wren Calloway"));
      }
      assertThat(page.getByRole(AriaRole.HEADING, named("Record of")))
          .containsText("Wren Calloway");
      page.keyboard().press("g");
      page.keyboard().press("e");
      assertThat(page.getByTestId("brief")).containsText("Wren Calloway");
    }
  }

  /** Two presses from what was logged to what was done, and a double tap keeps the rest. */
  @Test
  void aLoggedSetIsCorrectedInTwoActs() {
    try (Coach coach = Coach.withAPhone()) {
      Page page = coach.page;
      coach.opens("/");
      coach.page.getByRole(AriaRole.LINK, named("Go on")).first().click();
      Locator log = page.getByRole(AriaRole.BUTTON, named("Log set"));
      assertThat(page.getByTestId("load")).isVisible();
      Locator warmUp = page.getByText("Skip warm-up");
      if (warmUp.isVisible()) {
        warmUp.click();
      }
      assertThat(log).isVisible();
      Locator repetitions = page.locator("input[aria-label=Repetitions]");
      page.getByLabel("More Repetitions").click();
      String dialled = repetitions.inputValue();
      page.reload();
      assertThat(repetitions).hasValue(dialled);
      log.dblclick();
      Locator last = page.getByTestId("last-set");
      assertThat(last).isVisible();
      String before = last.innerText();
      last.click();
      page.getByLabel("More Repetitions").click();
      assertThat(last).not().hasText(before);
      coach.findsNoFault("a set that is corrected");
    }
  }

  @Test
  void anExerciseByWordIsAddedInTrain() {
    try (Coach coach = Coach.withAPhone()) {
      Page page = coach.page;
      coach.opens("/");
      page.getByRole(AriaRole.LINK, named("Go on")).last().click();
      page.getByText("All exercises").click();
      page.getByText("Add an exercise").click();
      page.getByRole(AriaRole.COMBOBOX).fill("monster walk");
      page.getByRole(AriaRole.OPTION).first().click();
      assertThat(page.getByRole(AriaRole.HEADING, named("Band walk"))).isVisible();
    }
  }

  /** Plan and record can be read where there is no network; signing out leaves nothing behind. */
  @Test
  void planAndRecordAreReadWithoutANetwork() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      coach.opens("/weeks");
      page.evaluate("() => navigator.serviceWorker.ready.then(() => true)");
      page.getByRole(AriaRole.MAIN)
          .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("Oda")))
          .first()
          .click();
      page.waitForURL(Pattern.compile("/weeks/[0-9a-f-]{36}"));
      String plan = page.url();
      Locator title = page.getByLabel("Name of the plan");
      String name = title.inputValue();
      page.getByTitle("To this client's page").click();
      coach.goesTo("Record");
      assertThat(page.getByRole(AriaRole.HEADING, named("Record of"))).containsText("Oda Fenwick");
      String record = page.url();
      coach.network(false);
      page.navigate(plan);
      Locator old = page.getByText(Pattern.compile("shows what it saw last"));
      assertThat(old).isVisible();
      assertThat(title).hasValue(name);
      page.navigate(record);
      assertThat(page.getByRole(AriaRole.HEADING, named("Record of"))).containsText("Oda Fenwick");
      assertThat(old).isVisible();
      coach.network(true);
      page.navigate(plan);
      assertThat(title).hasValue(name);
      assertThat(old).isHidden();
      coach.opens("/account").presses("Sign out");
      assertThat(coach.button("Enter the demo")).isVisible();
      coach.network(false);
      page.navigate(plan);
      assertThat(page.getByText("The server does not answer.")).isVisible();
      assertThat(title).hasCount(0);
    }
  }
}
