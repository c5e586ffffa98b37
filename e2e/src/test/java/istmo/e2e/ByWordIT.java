package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What Istmo does not compute has its place all the same, and everything is found by its name. */
@ExtendWith(Istmo.class)
class ByWordIT {

  private static Locator search(Coach coach) {
    return coach.page.getByRole(AriaRole.DIALOG, named("Find"));
  }

  /** What the search shows; a screen behind it has options of its own. */
  private static Locator found(Coach coach) {
    return search(coach).getByRole(AriaRole.OPTION);
  }

  /** The address changes a moment before the search of before is gone, so that is waited for. */
  private static void looksFor(Coach coach, String text) {
    assertThat(search(coach)).hasCount(0);
    coach.page.keyboard().press("/");
    search(coach).getByRole(AriaRole.COMBOBOX).fill(text);
  }

  @Test
  void anOwnExerciseGoesFromANameThatNobodyKnowsToTheRecord() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/exercises");
      assertThat(coach.page.getByTestId("first-pick")).isVisible();
      looksFor(coach, "Duck walk");
      coach.page.getByText("make it one of your own").click();
      assertThat(coach.page.getByLabel("Name", exactly())).hasValue("Duck walk");
      coach.findsNoFault("the form of an own exercise");
      coach.presses("Keep this exercise");
      assertThat(coach.page.getByText("say at least one region that it trains")).isVisible();
      assertThat(coach.page.getByText("say at least one thing that it does")).isVisible();
      coach.ticks("straightens the knee");
      coach.presses("outer quad (sweep): nothing").presses("upper quad: nothing");
      coach.presses("upper quad: a whole set");
      coach.presses("Keep this exercise");
      assertThat(coach.page.getByRole(AriaRole.HEADING, named("Duck walk"))).isVisible();
      assertThat(coach.page.getByRole(AriaRole.ARTICLE)).containsText("upper quad");

      // from the order, by its name, into the session
      coach.opens("/exercises");
      assertThat(coach.page.getByTestId("first-pick")).isVisible();
      looksFor(coach, "duck");
      assertThat(found(coach).first()).containsText("Your own exercise");
      coach.page.keyboard().press("Enter");
      coach
          .page
          .getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Add to .*session$")))
          .click();
      coach.page.getByText("Open the session").click();
      Locator item = coach.page.getByRole(AriaRole.REGION, named("Duck walk"));
      assertThat(item).containsText("By word, not computed");
      coach.findsNoFault("a session with an exercise by word");
      item.getByLabel("Load (kg)").fill("0");
      item.getByLabel("Repetitions").fill("15");
      item.getByText("Log set 1").click();
      assertThat(item.getByTestId("set")).containsText("15");
      coach.presses("Finish");
      assertThat(coach.page.getByText(Pattern.compile("^Session · "))).isVisible();
      coach.goesTo("Clients").goesTo("Record");
      assertThat(
              coach.page.getByRole(
                  AriaRole.BUTTON,
                  new Page.GetByRoleOptions().setName(Pattern.compile("^Duck walk"))))
          .isVisible();
    }
  }

  @Test
  void oneSearchFindsExercisesByNicknamePeopleAndScreens() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/exercises");
      assertThat(coach.page.getByTestId("first-pick")).isVisible();
      looksFor(coach, "rdl");
      assertThat(found(coach).first()).containsText("Romanian deadlift");
      coach.findsNoFault("the search");
      coach.page.keyboard().press("Enter");
      assertThat(coach.page).hasURL(Pattern.compile("/bench\\?.*romanian-deadlift"));
      looksFor(coach, "monster walk");
      assertThat(found(coach).first()).containsText("Band walk");
      assertThat(found(coach).first()).containsText("not computed");
      coach.page.keyboard().press("Escape");
      looksFor(coach, "oda");
      coach.page.keyboard().press("Enter");
      assertThat(coach.page.getByRole(AriaRole.HEADING, named("Oda Fenwick"))).isVisible();
      looksFor(coach, "gyms");
      coach.page.keyboard().press("Enter");
      assertThat(coach.page).hasURL(Pattern.compile("/gyms"));
    }
  }

  /** What is not computed can be chosen for a week too. */
  @Test
  void aSwingIsPlannedByItsNickname() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/weeks");
      coach.page.getByRole(AriaRole.LINK, named("Quads, winter")).first().click();
      coach
          .page
          .getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Add an exercise")))
          .first()
          .click();
      coach.page.getByLabel("Name or nickname").fill("monster");
      coach
          .page
          .getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Band walk")))
          .click();
      assertThat(coach.page.getByText("Band walk").first()).isVisible();
    }
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }
}
