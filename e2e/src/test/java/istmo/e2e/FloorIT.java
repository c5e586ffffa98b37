package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A coach on the floor with a telephone, and the record that comes of it. */
@ExtendWith(Istmo.class)
class FloorIT {

  private static Locator starting(Coach coach, String name) {
    return coach.page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
  }

  /** Logs a set; a load that nothing tells is said first: the lightest that is there. */
  private static void logs(Coach coach, String set) {
    Locator button = starting(coach, set);
    assertThat(button).isVisible();
    if (coach.page.getByText("not known yet").isVisible()) {
      coach.page.getByLabel("More Load").click();
    }
    button.click();
  }

  /** Begins a session at the desk by the interface's own calls, and takes it to the floor. */
  private static String begins(Coach coach, String client, String gym, String... candidates) {
    coach.opens("/sessions");
    assertThat(coach.page.getByRole(AriaRole.HEADING).first()).isVisible();
    return (String)
        coach.page.evaluate(
            """
            async ([client, gym, candidates]) => {
              const cookie = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]
              const token = decodeURIComponent(cookie)
              const headers = { 'content-type': 'application/json', 'X-XSRF-TOKEN': token }
              const post = (path, body) =>
                fetch(path, { method: 'POST', headers, body: JSON.stringify(body) })
                  .then((r) => r.json())
              const clients = await fetch('/api/clients').then((r) => r.json())
              const gyms = await fetch('/api/gyms').then((r) => r.json())
              const clientId = clients.find((c) => c.name === client).id
              const gymId = gyms.find((g) => g.name === gym).id
              const aim = { GMAXM: 2, VL: 1 }
              const s = await post('/api/sessions', { clientId, gymId, aim })
              for (const candidateId of candidates) {
                await post(`/api/sessions/${s.id}/items`, { candidateId })
              }
              return s.id
            }\
            """,
            java.util.List.of(client, gym, java.util.List.of(candidates)));
  }

  @Test
  void oneLegGoesFirstAndIsTheOthersLimitAndTwoClientsKeepTheirTimers() {
    try (Coach coach = Coach.withAPhone()) {
      String tarn = begins(coach, "Tarn Holloway", "Boatshed", "split-squat/lean");
      String rook = begins(coach, "Rook Tamsin", "Quayside Hall", "leg-extension/upright");
      coach.opens("/floor/" + rook);
      logs(coach, "Log set 1");
      assertThat(coach.page.getByTestId("rest")).hasText(Pattern.compile("1:(2|30)"));
      coach.findsNoFault("floor-rest");
      coach.opens("/floor/" + tarn);
      starting(coach, "Skip warm-up").click();
      assertThat(coach.page.getByText("left leg")).isVisible();
      coach.findsNoFault("floor").keepsAPicture("floor");
      coach.page.locator("input[aria-label=Repetitions]").fill("7");
      coach.page.locator("input[aria-label=Repetitions]").blur();
      logs(coach, "Log set 1, left");
      coach.presses("Next");
      assertThat(coach.page.locator("input[aria-label=Repetitions]")).hasValue("7");
      assertThat(coach.page.getByText("no more than the other side")).isVisible();
      Locator tab =
          coach
              .page
              .getByRole(AriaRole.NAVIGATION)
              .getByRole(AriaRole.BUTTON)
              .filter(new Locator.FilterOptions().setHasText("Rook"));
      assertThat(tab).containsText(Pattern.compile("\\d:\\d\\d|ready"));
      tab.click();
      assertThat(coach.page.getByTestId("last-set")).isVisible();
      for (Locator locator : coach.page.getByRole(AriaRole.BUTTON).all()) {
        BoundingBox box = locator.boundingBox();
        Assertions.assertThat(box == null || box.height >= 47.5)
            .as("a thumb's height: %s", locator.innerText())
            .isTrue();
      }
    }
  }

  @Test
  void aTakenMachineIsSwappedWithoutANetworkAndPainSaysWhatToDo() {
    try (Coach coach = Coach.withAPhone()) {
      String id = begins(coach, "Rook Tamsin", "Quayside Hall", "seated-leg-curl/usual");
      coach.opens("/floor/" + id);
      assertThat(starting(coach, "Machine busy")).isVisible();
      coach.network(false);
      starting(coach, "Machine busy").click();
      Locator swaps = coach.page.getByRole(AriaRole.LISTITEM).getByRole(AriaRole.BUTTON);
      assertThat(swaps).hasCount(3);
      String name = swaps.first().locator("span").first().innerText();
      swaps.first().click();
      assertThat(coach.page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name)))
          .isVisible();
      logs(coach, "Log set 1");
      starting(coach, "Any pain").click();
      coach
          .page
          .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("knee").setExact(true))
          .click();
      coach
          .page
          .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("7").setExact(true))
          .click();
      assertThat(
              coach
                  .page
                  .getByRole(AriaRole.ALERT)
                  .filter(new Locator.FilterOptions().setHasText("licensed clinician"))
                  .first())
          .isVisible();
      coach.presses("Back");
      starting(coach, "Felt where").click();
      coach.page.locator("[data-region=BFL]").click();
      coach.findsNoFault("floor-felt").keepsAPicture("floor-felt");
      coach.network(true);
      coach.hasEverythingSaved();
      coach.opens("/sessions/" + id);
      assertThat(
              coach.page.getByRole(
                  AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile(name))))
          .isVisible();
    }
  }

  @Test
  void aStandInOnTheBarCountsTheSetAndWhatItSaysIsWrittenDown() {
    try (Coach coach = Coach.withAPhone()) {
      coach.opens(
          "/floor/" + begins(coach, "Mirren Oakshott", "Quayside Hall", "leg-extension/upright"));
      starting(coach, "Watch").click();
      coach
          .page
          .getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Cord on the bar")))
          .click();
      starting(coach, "Let the stand-in lift").click();
      assertThat(coach.page.getByTestId("watched-table").locator("tbody tr").nth(2)).isVisible();
      coach.findsNoFault("watching").keepsAPicture("floor-watch");
      Locator take =
          coach.page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Take \\d+ rep")));
      String counted = take.innerText().replaceAll("\\D", "");
      take.click();
      assertThat(coach.page.getByTestId("watched-words")).containsText("as it was asked");
      assertThat(coach.page.locator("input[aria-label=Repetitions]"))
          .hasValue(Pattern.compile(counted + "|" + (Integer.parseInt(counted) + 1)));
      logs(coach, "Log set 1");
      assertThat(
              coach.page.getByRole(
                  AriaRole.RADIO, new Page.GetByRoleOptions().setName("whole").setExact(true)))
          .isChecked();
      assertThat(
              coach.page.getByRole(
                  AriaRole.RADIO, new Page.GetByRoleOptions().setName("kept").setExact(true)))
          .isChecked();
    }
  }

  @Test
  void twoTelephonesThatCorrectOneSetAreToldAndTheCoachDecides() {
    try (Coach one = Coach.withAPhone();
        Coach two = Coach.withAPhone()) {
      String id = begins(one, "Edda Brackwater", "Quayside Hall", "leg-extension/upright");
      one.opens("/floor/" + id);
      logs(one, "Log set 1");
      assertThat(one.page.getByTestId("kept")).hasText("saved");
      two.opens("/floor/" + id);
      assertThat(starting(two, "Log set 2")).isVisible();
      one.network(false);
      corrects(one, 9);
      corrects(two, 5);
      two.hasEverythingSaved();
      one.network(true);
      Locator decide =
          one.page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To decide"));
      assertThat(decide).containsText("× 9");
      assertThat(decide).containsText("× 5");
      decide
          .getByRole(AriaRole.BUTTON)
          .filter(new Locator.FilterOptions().setHasText("(here)"))
          .click();
      assertThat(decide).isHidden();
      one.hasEverythingSaved();
      two.page.reload();
      two.presses("All exercises");
      assertThat(starting(two, ".* × 9")).isVisible();
    }
  }

  private static void corrects(Coach coach, int repetitions) {
    coach.presses("All exercises");
    coach
        .page
        .getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("correct it$")))
        .first()
        .click();
    coach.page.locator("input[aria-label=Repetitions]").fill("" + repetitions);
    coach.page.locator("input[aria-label=Repetitions]").blur();
    coach.presses("Keep");
    coach.presses("Back");
  }

  @Test
  void theRecordTeachesAndWhatIsAgreedStandsOnTheFloor() {
    try (Coach coach = Coach.atTheDesk()) {
      coach.opens("/record");
      coach.says("Client", "Tarn Holloway");
      Locator lesson =
          coach.page.getByRole(
              AriaRole.ARTICLE,
              new Page.GetByRoleOptions()
                  .setName("never felt where it should be: Romanian deadlift"));
      assertThat(lesson).containsText("Felt in the lower back in the last 3 sessions");
      assertThat(
              coach.page.getByRole(
                  AriaRole.ARTICLE,
                  new Page.GetByRoleOptions().setName(Pattern.compile("^one side behind"))))
          .containsText("±");
      coach
          .page
          .getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Split squat")))
          .click();
      assertThat(coach.page.getByText(Pattern.compile("Load for one repetition"))).isVisible();
      coach.presses("How?");
      assertThat(coach.page.getByText("Wathan 1994")).isVisible();
      coach.findsNoFault("record").keepsAPicture("record");
      lesson
          .getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName(Pattern.compile("^Agree: Less depth")))
          .click();
      assertThat(coach.page.getByText("1 answered in the last four weeks")).isVisible();
      String id = begins(coach, "Tarn Holloway", "Boatshed", "romanian-deadlift/usual");
      coach.opens("/floor/" + id);
      assertThat(coach.page.getByText("Agreed: Less depth, lighter, brace first.")).isVisible();
      coach.opens("/record").says("Client", "Tarn Holloway");
      coach.page.getByText("1 answered in the last four weeks").click();
      coach.presses("Take the answer back");
      assertThat(
              lesson.getByRole(
                  AriaRole.BUTTON,
                  new Locator.GetByRoleOptions().setName(Pattern.compile("^Agree: Less depth"))))
          .isVisible();
    }
  }
}
