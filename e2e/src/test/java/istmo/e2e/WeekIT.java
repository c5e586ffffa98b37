package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A week as a coach plans it: composed, moved about by mouse and keys, undone, swapped, and taken
 * out.
 */
@ExtendWith(Istmo.class)
class WeekIT {

  private static Coach composes(Coach coach, String name) {
    coach.opens("/weeks?aim=VL.3~BFL.2").says("Client", "Oda Fenwick").says("Gym", "Quayside Hall");
    coach
        .page
        .getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)))
        .click();
    coach.presses("Compose the week");
    assertThat(coach.page.locator("[data-item]").first()).isVisible();
    assertThat(coach.button("Search 20 s more")).isEnabled();
    return coach;
  }

  private static Locator day(Coach coach, String weekday) {
    return coach.page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(weekday).setExact(true));
  }

  private static List<String> names(Coach coach, String weekday) {
    return day(coach, weekday).locator("[data-item] .font-semibold").allInnerTexts().stream()
        .map(String::strip)
        .toList();
  }

  @Test
  void aWeekIsComposedChangedByKeysAndUndone() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      composes(coach, "Two sessions");
      List<String> monday = names(coach, "Monday");
      List<String> thursday = names(coach, "Thursday");
      Assertions.assertThat(monday).isNotEmpty();
      Assertions.assertThat(thursday).isNotEmpty();
      coach.findsNoFault("week").keepsAPicture("week");

      Locator first = day(coach, "Monday").locator("[data-item]").first();
      String id = first.getAttribute("data-item");
      String before = first.innerText();
      Locator outer = page.locator("[data-coverage=VL] td").nth(1);
      String covered = page.locator("[aria-label=Coverage] table").innerText();
      first.focus();
      page.keyboard().press("+");
      Locator moved = page.locator("[data-item='" + id + "']");
      assertThat(moved).not().hasText(before);
      assertThat(moved).hasAttribute("aria-label", Pattern.compile("locked"));
      Assertions.assertThat(page.locator("[aria-label=Coverage] table").innerText())
          .as("coverage follows")
          .isNotEqualTo(covered);
      assertThat(outer).isVisible();

      page.locator("[data-item='" + id + "']").focus();
      page.keyboard().press("Alt+ArrowRight");
      assertThat(day(coach, "Thursday").locator("[data-item='" + id + "']")).isVisible();
      assertThat(page.locator("[data-item='" + id + "']")).isFocused();
      page.keyboard().press("d");
      assertThat(page.locator("[data-item='" + id + "']")).hasCount(0);
      page.locator("body").press("z");
      assertThat(day(coach, "Thursday").locator("[data-item='" + id + "']")).isVisible();
      page.locator("body").press("z");
      assertThat(day(coach, "Monday").locator("[data-item='" + id + "']")).isVisible();
      page.locator("body").press("z");
      assertThat(page.locator("[data-item='" + id + "']"))
          .not()
          .hasAttribute("aria-label", Pattern.compile("locked"));
      Assertions.assertThat(names(coach, "Monday")).isEqualTo(monday);
      page.locator("body").press("Shift+Z");
      assertThat(page.locator("[data-item='" + id + "']"))
          .hasAttribute("aria-label", Pattern.compile("locked"));
      page.reload();
      assertThat(page.locator("[data-item='" + id + "']"))
          .hasAttribute("aria-label", Pattern.compile("locked"));
    }
  }

  /** Takes a block by the mouse and lets it go at the top of a session. */
  private static void moves(Page page, Locator block, Locator to) {
    block.scrollIntoViewIfNeeded();
    BoundingBox from = block.boundingBox();
    BoundingBox target = to.boundingBox();
    page.mouse().move(from.x + 40, from.y + 10);
    page.mouse().down();
    page.mouse().move(target.x + 60, target.y + 4, new Mouse.MoveOptions().setSteps(12));
    page.mouse().up();
  }

  @Test
  void aBlockIsDraggedAnExerciseSwappedAndAnotherAdded() {
    try (Coach coach = Coach.atTheDesk()) {
      Page page = coach.page;
      composes(coach, "Two sessions");
      Locator block = day(coach, "Monday").locator("li").last();
      String id = block.locator("[data-item]").first().getAttribute("data-item");
      moves(page, block, day(coach, "Thursday").locator("ol"));
      assertThat(day(coach, "Thursday").locator("[data-item='" + id + "']")).isVisible();

      page.locator("[data-item='" + id + "']").click();
      Locator panel = page.locator("section:has(> h2 button[aria-label='Close the exercise'])");
      String name = panel.locator("h2 span").innerText();
      coach.presses("Swap");
      Locator swaps = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Swap"));
      assertThat(swaps.locator("li").first()).isVisible();
      String other = swaps.locator("li button").first().innerText();
      Assertions.assertThat(other).isNotEqualTo(name);
      swaps.getByText("knee", new Locator.GetByTextOptions().setExact(true)).click();
      assertThat(
              swaps.getByRole(
                  AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("knee").setExact(true)))
          .hasAttribute("aria-pressed", "true");
      swaps.getByText("knee", new Locator.GetByTextOptions().setExact(true)).click();
      swaps.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(other)).click();
      assertThat(page.locator("[data-item='" + id + "']")).containsText(other);

      coach.says("How sets are strung together", "always ten");
      assertThat(page.locator("[data-item='" + id + "']"))
          .hasAttribute("aria-label", Pattern.compile("× 10,")); // a low block shows its name alone

      day(coach, "Monday").getByText("Add an exercise").click();
      coach.fills("Name or nickname", "glute thrust machine");
      coach.findsNoFault("adding");
      page.getByRole(AriaRole.DIALOG)
          .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Hip thrust machine"))
          .first()
          .click();
      assertThat(day(coach, "Monday")).containsText("Hip thrust machine");
      coach.says("Block", "6 weeks");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Close the exercise"))
          .click();
      assertThat(
              page.getByRole(
                      AriaRole.LIST, new Page.GetByRoleOptions().setName("Weeks of the block"))
                  .getByRole(AriaRole.LISTITEM))
          .hasCount(6);
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Week 6, easier")))
          .click();
      assertThat(page.getByText(Pattern.compile("Half the sets"))).isVisible();
      coach.says("Weeks missed", "2");
      assertThat(page.getByText(Pattern.compile("Go on with week 1"))).isVisible();
    }
  }

  @Test
  void aShortWeekSaysWhyAndWhatWouldHelp() {
    try (Coach coach = Coach.atTheDesk()) {
      composes(coach, "One leg day");
      coach.presses("Why short, and what would help?");
      assertThat(coach.page.locator("[aria-label=Coverage]")).containsText("Accept");
    }
  }

  @Test
  void aPlanGoesOntoPaperToTheClientAndOntoTheFloor() throws Exception {
    try (Coach coach = Coach.atTheDesk();
        Coach client = Coach.withAPhone()) {
      Page page = coach.page;
      composes(coach, "Two sessions");
      coach.presses("Print or share");
      Download sheet = page.waitForDownload(() -> page.getByText("Sheet (PDF)").first().click());
      Assertions.assertThat(sheet.suggestedFilename()).endsWith(".pdf");
      Assertions.assertThat(Files.readString(sheet.path(), StandardCharsets.ISO_8859_1))
          .startsWith("%PDF-");
      Download calendar =
          page.waitForDownload(
              () -> page.getByText("Calendar", new Page.GetByTextOptions().setExact(true)).click());
      Assertions.assertThat(Files.readString(calendar.path())).startsWith("BEGIN:VCALENDAR");
      coach.findsNoFault("out");
      coach.presses("Make a link");
      String link = page.getByLabel("Link for the client").inputValue();
      client.page.context().clearCookies();
      client.opens(link.substring(link.indexOf("/shared/")));
      assertThat(
              client.page.getByRole(
                  AriaRole.HEADING,
                  new Page.GetByRoleOptions().setName(Pattern.compile("^Monday"))))
          .isVisible();
      client.findsNoFault("shared").keepsAPicture("shared-phone");
      coach.presses("Revoke it");
      assertThat(page.getByText("One link is out")).hasCount(0);
      client.page.reload();
      assertThat(client.page.getByRole(AriaRole.ALERT)).isVisible();
      Download json =
          page.waitForDownload(
              () -> page.getByText("JSON", new Page.GetByTextOptions().setExact(true)).click());
      page.getByText("Start now").first().click();
      assertThat(page.getByText("Open session")).isVisible();
      assertThat(page.locator("article")).containsText("in reserve, tempo");

      coach
          .opens("/weeks?aim=VL.3~BFL.2")
          .says("Client", "Wren Calloway")
          .says("Gym", "Quayside Hall");
      page.locator("input[type=file]").setInputFiles(json.path());
      assertThat(page.getByTestId("plan-line")).containsText("For Wren Calloway at Quayside Hall");
    }
  }
}
