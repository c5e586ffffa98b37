package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The network, the tab, the server and the database are killed while sets are logged: what the
 * screen said is kept is there in the end, once, in its order.
 */
@ExtendWith(Istmo.class)
class NeverLoseIT {

  private static Locator status(Coach coach) {
    return coach.page.getByTestId("floor-status");
  }

  /**
   * Logs a set of so many repetitions and waits for the screen to say that it is kept, here or at
   * the server.
   */
  private static void logs(Coach coach, int repetitions) {
    Locator log =
        coach.page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Log set")));
    assertThat(log).isVisible();
    coach
        .page
        .getByLabel("Repetitions", new Page.GetByLabelOptions().setExact(true))
        .getByRole(AriaRole.TEXTBOX)
        .or(coach.page.locator("input[aria-label=Repetitions]"))
        .first()
        .fill("" + repetitions);
    coach.page.locator("input[aria-label=Repetitions]").blur();
    log.click();
    assertThat(coach.page.getByTestId("last-set")).containsText("× " + repetitions + ",");
    assertThat(coach.page.getByTestId("kept"))
        .containsText(Pattern.compile("kept on this device|saved"));
  }

  private static void goesOn(Coach coach) {
    coach.presses("Next");
  }

  /** Repetitions that the server has of the session, in its order. */
  @SuppressWarnings("unchecked")
  private static List<Integer> atTheServer(Coach coach, String session) {
    List<Map<String, Object>> items =
        (List<Map<String, Object>>)
            coach.page.evaluate(
                "id => fetch('/api/sessions/' + id).then(r => r.json()).then(s => s.items)",
                session);
    List<Integer> repetitions = new ArrayList<>();
    items.forEach(
        i ->
            ((List<Map<String, Object>>) i.get("sets"))
                .forEach(s -> repetitions.add(((Number) s.get("repetitions")).intValue())));
    return repetitions;
  }

  @Test
  void nothingIsLostAndNothingIsDoubled() throws Exception {
    try (Istmo own = Istmo.toBeKilled("never_lose");
        Coach coach = Coach.withAPhoneAt(own.home())) {
      coach.opens("/floor");
      Locator oda =
          coach.page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Oda Fenwick")));
      assertThat(oda).isVisible();
      oda.click();
      assertThat(coach.button("Skip warm-up")).isVisible();
      coach.page.evaluate("navigator.serviceWorker.ready.then(() => true)");
      String address = coach.page.url();
      String session = address.substring(address.lastIndexOf('/') + 1);
      coach.presses("Skip warm-up");
      logs(coach, 11);
      coach.hasEverythingSaved();
      goesOn(coach);

      // no network: the set is kept here, and still there when the page is opened anew without one
      coach.network(false);
      logs(coach, 12);
      assertThat(coach.page.getByTestId("kept")).hasText("kept on this device");
      coach.page.reload();
      assertThat(coach.page.getByTestId("last-set")).containsText("× 12,");
      assertThat(status(coach)).containsText("1 kept on this device");
      coach.network(true);
      coach.hasEverythingSaved();
      goesOn(coach);

      // the server is killed, the set logged, the tab killed, opened again while the server is dead
      own.kill();
      logs(coach, 13);
      coach.newTab();
      coach.page.navigate(address);
      assertThat(coach.page.getByTestId("last-set")).containsText("× 13,");
      assertThat(coach.page.getByTestId("kept")).hasText("kept on this device");
      own.startAgain();
      coach.hasEverythingSaved();
      goesOn(coach);

      // the database dies under the server
      Istmo.crashDatabase();
      logs(coach, 14);
      coach.hasEverythingSaved();
      // all at once: logged, corrected and taken out without a network while the server is killed
      goesOn(coach);
      coach.network(false);
      coach.presses("Skip warm-up"); // the next exercise
      logs(coach, 15);
      coach.presses("Delete last set");
      logs(coach, 16);
      own.kill();
      Istmo.crashDatabase();
      own.startAgain();
      coach.network(true);
      coach.hasEverythingSaved();
      Assertions.assertThat(atTheServer(coach, session)).containsExactly(11, 12, 13, 14, 16);
    }
  }
}
