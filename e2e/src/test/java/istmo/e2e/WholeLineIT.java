package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * What a coach does on a good day, end to end: client, gym, aim, order, why, set-up, sheet, sets,
 * and finding them again.
 */
@ExtendWith(Istmo.class)
class WholeLineIT {

  @Test
  void aCoachTakesInAClientAndComesBackNextTime() {
    try (Coach coach = Coach.atTheDesk()) {
      readsTheClient(coach);
      readsTheGym(coach);
      saysWhatShouldGrow(coach);
      seesWhatToDoAndWhy(coach);
      comesBackByTheAddress(coach);
      pinsAndPrints(coach);
      writesDown(coach);
      findsItNextTime(coach);
    }
  }

  /** Read the client: a mistyped stature is caught beside its control, and nothing is lost. */
  private static void readsTheClient(Coach coach) {
    Page page = coach.page;
    coach
        .opens("/clients")
        .presses("New client")
        .fills("Name", "Ines Varrow")
        .fills("Height (cm)", "17")
        .fills("Weight (kg)", "68")
        .picksChoice("Sex, for proportions", "female")
        .picksChoice("Thigh, for the height", "long")
        .ticks("sore lower back")
        .presses("Save");
    assertThat(page.getByLabel("Height (cm)")).hasAttribute("aria-invalid", "true");
    assertThat(
            page.getByRole(AriaRole.ALERT)
                .filter(
                    new com.microsoft.playwright.Locator.FilterOptions()
                        .setHasText("130 to 220 cm")))
        .isVisible();
    assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
        .hasValue("Ines Varrow");
    coach.fills("Height (cm)", "172").presses("Save");
    assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Ines Varrow")))
        .isVisible();
  }

  /** Read the gym: found by its nickname. */
  private static void readsTheGym(Coach coach) {
    Page page = coach.page;
    coach
        .goesTo("Gyms")
        .presses("New gym")
        .fills("Name", "Harbour Loft")
        .fills("Find by name or nickname", "the 45");
    coach.ticks("Leg press 45°").fills("Find by name or nickname", "");
    coach.ticks("Seated leg curl").ticks("Barbell and plates").ticks("Squat rack").presses("Save");
    assertThat(page.getByText("Harbour Loft", new Page.GetByTextOptions().setExact(true)))
        .isVisible();
  }

  /** Say what should grow. */
  private static void saysWhatShouldGrow(Coach coach) {
    Page page = coach.page;
    coach
        .goesTo("Exercises")
        .says("Client", "Ines Varrow")
        .says("Gym", "Harbour Loft")
        .says("Target", "nothing yet")
        .paints("BFL", 3)
        .paints("SM", 2);
    assertThat(coach.region("BFL")).hasAttribute("aria-valuetext", "most");
    assertThat(page.getByTestId("brief")).containsText("outer hamstring, inner hamstring deep");
  }

  /**
   * See what to do and why; what hurts is left out with its reason, what is missing with its name.
   */
  private static void seesWhatToDoAndWhy(Coach coach) {
    Page page = coach.page;
    assertThat(coach.stripOf("seated-leg-curl")).isVisible();
    assertThat(coach.order().get(0)).startsWith("seated-leg-curl/");
    assertThat(coach.strip("romanian-deadlift/usual")).hasCount(0);
    page.getByText("not in the order, and why").click();
    assertThat(
            page.getByText("Sore lower back: The back holds the whole load at a long lever.")
                .first())
        .isVisible();
    assertThat(page.getByText("Not here: hack squat.").first()).isVisible();
    assertThat(page.getByText("Here instead: Kneeling curl in the rack").first()).isVisible();
    coach.stripOf("seated-leg-curl").click();
    assertThat(
            page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName("Seated leg curl")))
        .isVisible();
    assertThat(page.getByText("Gives out first: hamstrings").first()).isVisible();
    coach.needsNoPageScroll();
    coach.findsNoFault("order").keepsAPicture("order");
  }

  /** The address carries the whole brief: reload and back. */
  private static void comesBackByTheAddress(Coach coach) {
    Page page = coach.page;
    String address = page.url();
    assertThat(address).contains("aim=BFL.3");
    page.reload();
    assertThat(coach.stripOf("seated-leg-curl")).isVisible();
    coach.paints("SM", 1);
    assertThat(coach.region("SM")).hasAttribute("aria-valuenow", "3");
    page.goBack();
    assertThat(coach.region("SM")).hasAttribute("aria-valuenow", "2");
  }

  /** Pin, print, do, write down. */
  private static void pinsAndPrints(Coach coach) {
    Page page = coach.page;
    coach.stripOf("seated-leg-curl").click();
    coach.presses("Add to session");
    assertThat(page.getByTestId("pinned")).isVisible();
    page.getByTestId("hardly").locator("summary").click();
    coach.strip("leg-press/high").click();
    coach.presses("Add to session");
    page.getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("Open session: 2")))
        .click();
    assertThat(page.getByText("never done before")).hasCount(2);
    assertThat(
            page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Leg press, feet high")))
        .containsText("cm");
    coach.keepsAPicture("session").findsNoFault("session");
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(coach.button("Print the sheet")).isHidden();
    byte[] pdf = page.pdf(new Page.PdfOptions().setPath(Istmo.output("sheet.pdf")).setFormat("A4"));
    assertThat(new String(pdf, java.nio.charset.StandardCharsets.ISO_8859_1))
        .as("the sheet is one page")
        .containsPattern("/Type /Pages\\s+/Count 1\\b|/Count 1\\b");
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.SCREEN));
  }

  private static void writesDown(Coach coach) {
    Page page = coach.page;
    var curl =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Seated leg curl"));
    curl.getByLabel("Load (kg)").fill("-5");
    curl.getByLabel("Repetitions").fill("12");
    curl.getByRole(
            AriaRole.BUTTON,
            new com.microsoft.playwright.Locator.GetByRoleOptions().setName("Log set 1"))
        .click();
    assertThat(curl.getByRole(AriaRole.ALERT)).containsText("0 to 1000 kg");
    curl.getByLabel("Load (kg)").fill("30");
    curl.getByRole(
            AriaRole.BUTTON,
            new com.microsoft.playwright.Locator.GetByRoleOptions().setName("Log set 1"))
        .click();
    assertThat(curl.getByTestId("set")).hasText(Pattern.compile("30 kg × 12, 2 in reserve"));
    curl.getByRole(
            AriaRole.BUTTON,
            new com.microsoft.playwright.Locator.GetByRoleOptions()
                .setName(Pattern.compile("^Remove set 1 of Seated leg curl")))
        .click();
    assertThat(curl.getByTestId("set")).hasCount(0);
    coach.presses("Undo");
    assertThat(curl.getByTestId("set")).hasText(Pattern.compile("30 kg × 12, 2 in reserve"));
    coach.presses("Finish");
    assertThat(
            page.getByRole(
                AriaRole.HEADING,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Session ·"))))
        .isVisible();
  }

  /** Next time it is there. */
  private static void findsItNextTime(Coach coach) {
    Page page = coach.page;
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Back to exercises")).click();
    assertThat(coach.stripOf("seated-leg-curl")).isVisible();
    coach.stripOf("seated-leg-curl").click();
    coach.presses("Add to session");
    page.getByRole(
            AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("Open session: 1")))
        .click();
    assertThat(page.getByTestId("last-time")).containsText("30 kg × 12, 2 in reserve");
    assertThat(page.getByLabel("Load (kg)")).hasValue("30");
  }
}
