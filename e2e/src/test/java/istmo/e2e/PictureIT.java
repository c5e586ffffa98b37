package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A picture of a squat is marked, read, kept as the client's technique, and taken back. */
@ExtendWith(Istmo.class)
class PictureIT {
  private static final String SQUAT = "back-squat/high-bar";

  private static String client(Coach coach) {
    coach.opens("/clients");
    assertThat(coach.page.getByText("Oda Fenwick").first()).isVisible(); // signed in by then
    return (String)
        coach.page.evaluate(
            "async () => (await (await fetch('/api/clients')).json())"
                + ".find((client) => client.name === 'Oda Fenwick').id");
  }

  /** The bottom of this client's squat with the knees further back than usual, as a picture. */
  static DrawnPicture kneesBack(Coach coach, String client) throws Exception {
    Map<?, ?> side =
        (Map<?, ?>)
            coach.page.evaluate(
                "async ([clientId, candidateId]) => {\n"
                    + "  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? ''\n"
                    + "  const post = async (setup) => (await (await fetch('/api/bench', {\n"
                    + "    method: 'POST',\n"
                    + "    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},\n"
                    + "    body: JSON.stringify({sides: [{clientId, candidateId, setup}]}),\n"
                    + "  })).json()).sides[0]\n"
                    + "  const usual = (await post(undefined)).setup\n"
                    + "  const moved = {...usual, kneeTravel: usual.kneeTravel - 0.3}\n"
                    + "  return (await post(moved)).phases.at(-1).side\n"
                    + "}",
                List.of(client, SQUAT));
    return DrawnPicture.of(side, Istmo.output("squat.png"));
  }

  private static void marks(Coach coach, DrawnPicture picture) {
    Locator board = coach.page.getByRole(AriaRole.APPLICATION);
    assertThat(board).isVisible();
    BoundingBox box = board.boundingBox();
    picture
        .marks()
        .forEach(
            (landmark, at) -> {
              coach
                  .page
                  .getByRole(AriaRole.LIST, named("Marks"))
                  .getByText(landmark, exactly())
                  .first()
                  .click();
              coach
                  .page
                  .mouse()
                  .move(
                      box.x + at[0] / DrawnPicture.WIDTH * box.width,
                      box.y + at[1] / DrawnPicture.HEIGHT * box.height);
              coach.page.mouse().down();
              coach.page.mouse().up();
            });
  }

  private static com.microsoft.playwright.Page.GetByRoleOptions named(String name) {
    return new com.microsoft.playwright.Page.GetByRoleOptions().setName(name);
  }

  private static Locator.GetByTextOptions exactly() {
    return new Locator.GetByTextOptions().setExact(true);
  }

  @Test
  void aPictureBecomesTheClientsTechniqueAndIsTakenBack() throws Exception {
    try (Coach coach = Coach.atTheDesk()) {
      String client = client(coach);
      DrawnPicture picture = kneesBack(coach, client);
      coach.opens("/clients/" + client + "/picture?candidate=" + SQUAT);
      coach.page.getByLabel("Choose a picture or film").setInputFiles(picture.file());
      marks(coach, picture);
      Locator technique = coach.page.getByRole(AriaRole.LIST, named("Technique"));
      assertThat(technique).containsText("Knee travel");
      assertThat(technique).containsText("instead of");
      coach.presses("Use as this client’s technique");
      assertThat(coach.page.getByText("The picture was not kept")).isVisible();
      Locator before = coach.page.getByRole(AriaRole.REGION, named("Seen before"));
      assertThat(before).containsText("less than assumed");
      coach.findsNoFault("a marked picture");
      coach.page.screenshot(
          new com.microsoft.playwright.Page.ScreenshotOptions()
              .setPath(Istmo.output("picture.png")));

      coach.opens("/bench?client=" + client + "&candidate=" + SQUAT);
      Assertions.assertThat(kneeTravel(coach, client)).isLessThan(0.9);
      coach.opens("/clients/" + client + "/picture?candidate=" + SQUAT);
      coach.presses("Take back");
      assertThat(before).containsText("No picture was read yet");
    }
  }

  private static double kneeTravel(Coach coach, String client) {
    return ((Number)
            coach.page.evaluate(
                "async ([clientId, candidateId]) => {\n"
                    + "  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? ''\n"
                    + "  const answer = await fetch('/api/bench', {\n"
                    + "    method: 'POST',\n"
                    + "    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},\n"
                    + "    body: JSON.stringify({sides: [{clientId, candidateId}]}),\n"
                    + "  })\n"
                    + "  return (await answer.json()).sides[0].setup.kneeTravel\n"
                    + "}",
                List.of(client, SQUAT)))
        .doubleValue();
  }

  @Test
  void keysMoveAMarkAndWhatIsNoPictureIsSaid() throws Exception {
    try (Coach coach = Coach.atTheDesk()) {
      String client = client(coach);
      DrawnPicture picture = kneesBack(coach, client);
      coach.opens("/clients/" + client + "/picture?candidate=" + SQUAT);
      coach.page.getByLabel("Choose a picture or film").setInputFiles(picture.file());
      Locator board = coach.page.getByRole(AriaRole.APPLICATION);
      board.focus();
      coach.page.keyboard().press("ArrowRight");
      Locator heel = coach.page.locator("[data-mark=HEEL] circle");
      double first = Double.parseDouble(heel.getAttribute("cx"));
      coach.page.getByRole(AriaRole.LIST, named("Marks")).getByText("heel").click();
      board.focus();
      coach.page.keyboard().press("Shift+ArrowRight");
      Assertions.assertThat(Double.parseDouble(heel.getAttribute("cx"))).isGreaterThan(first + 5);

      Path words = Istmo.output("words.png");
      Files.writeString(words, "no picture at all");
      coach.page.getByLabel("Another picture").setInputFiles(words);
      assertThat(coach.page.getByText("This is no picture that this browser can show")).isVisible();
    }
  }
}
