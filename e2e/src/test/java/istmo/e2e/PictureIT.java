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
  private static DrawnPicture kneesBack(Coach coach, String client) throws Exception {
    return drawn(coach, client, 0.3);
  }

  private static DrawnPicture drawn(Coach coach, String client, double kneesBack) throws Exception {
    Map<?, ?> side =
        (Map<?, ?>)
            coach.page.evaluate(
                "async ([clientId, candidateId, back]) => {\n"
                    + "  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? ''\n"
                    + "  const post = async (setup) => (await (await fetch('/api/bench', {\n"
                    + "    method: 'POST',\n"
                    + "    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},\n"
                    + "    body: JSON.stringify({sides: [{clientId, candidateId, setup}]}),\n"
                    + "  })).json()).sides[0]\n"
                    + "  const usual = (await post(undefined)).setup\n"
                    + "  const moved = {...usual, kneeTravel: usual.kneeTravel - back}\n"
                    + "  return (await post(moved)).phases.at(-1).side\n"
                    + "}",
                List.of(client, SQUAT, kneesBack));
    return DrawnPicture.of(side, Istmo.output("squat.png"));
  }

  /** Where the joints are at the low end of this client's usual squat. */
  private static DrawnPicture lowEnd(Coach coach, String client) throws Exception {
    return drawn(coach, client, 0);
  }

  private static void marks(Coach coach, DrawnPicture picture) {
    marks(coach, picture, picture.marks().keySet().toArray(String[]::new));
  }

  private static void marks(Coach coach, DrawnPicture picture, String... landmarks) {
    Locator board = coach.page.getByRole(AriaRole.APPLICATION);
    assertThat(board).isVisible();
    BoundingBox box = board.boundingBox();
    List.of(landmarks)
        .forEach(
            landmark -> {
              double[] at = picture.marks().get(landmark);
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

  /** Two squats as a film: the stage's drawings painted on a canvas that the browser records. */
  private static Path film(Coach coach, String client) throws Exception {
    String webm =
        (String)
            coach.page.evaluate(
                "async ([clientId, candidateId]) => {\n"
                    + "  const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? ''\n"
                    + "  const answer = await fetch('/api/bench', {\n"
                    + "    method: 'POST',\n"
                    + "    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},\n"
                    + "    body: JSON.stringify({sides: [{clientId, candidateId}]}),\n"
                    + "  })\n"
                    + "  const phases = (await answer.json()).sides[0].phases\n"
                    + "  const canvas = document.createElement('canvas')\n"
                    + "  canvas.width = 450; canvas.height = 600\n"
                    + "  const brush = canvas.getContext('2d')\n"
                    + "  const at = (p) => [(p.x + 0.8) * 240, 550 - p.y * 240]\n"
                    + "  const paint = (depth) => {\n"
                    + "    brush.fillStyle = '#969894'; brush.fillRect(0, 0, 450, 600)\n"
                    + "    brush.fillStyle = '#5a5854'; brush.fillRect(0, 550, 450, 50)\n"
                    + "    const where = depth * (phases.length - 1)\n"
                    + "    const k = Math.min(phases.length - 2, Math.floor(where))\n"
                    + "    const mix = where - k\n"
                    + "    const between = (one, other) => [0, 1].map((i) =>\n"
                    + "      (1 - mix) * at(one)[i] + mix * at(other)[i])\n"
                    + "    const [from, to] = [phases[k].side, phases[k + 1].side]\n"
                    + "    from.body.forEach((line, n) => {\n"
                    + "      brush.beginPath()\n"
                    + "      line.points.forEach((p, i) => {\n"
                    + "        const q = between(p, to.body[n].points[i] ?? p)\n"
                    + "        i ? brush.lineTo(...q) : brush.moveTo(...q)\n"
                    + "      })\n"
                    + "      brush.closePath()\n"
                    + "      brush.fillStyle = '#c49e84'; brush.fill()\n"
                    + "      brush.strokeStyle = '#96705c'; brush.lineWidth = 2; brush.stroke()\n"
                    + "    })\n"
                    + "    const spot = (one, other) => {\n"
                    + "      const q = between(one, other)\n"
                    + "      brush.fillStyle = '#222'; brush.beginPath()\n"
                    + "      brush.arc(q[0], q[1], 7, 0, 7); brush.fill()\n"
                    + "      brush.fillStyle = '#eee'; brush.fillRect(q[0] - 3, q[1] - 3, 3, 3)\n"
                    + "      brush.fillRect(q[0], q[1], 3, 3)\n"
                    + "    }\n"
                    + "    const joint = (side, role) =>\n"
                    + "      side.circles.find((circle) => circle.role === role).centre\n"
                    + "    for (const role of ['joint-ankle', 'joint-knee', 'joint-hip'])\n"
                    + "      spot(joint(from, role), joint(to, role))\n"
                    + "    const line = (side, role) =>\n"
                    + "      side.lines.find((each) => each.role === role).points\n"
                    + "    spot(line(from, 'trunk')[1], line(to, 'trunk')[1])\n"
                    + "    spot(line(from, 'foot')[0], line(to, 'foot')[0])\n"
                    + "    spot(line(from, 'foot')[2], line(to, 'foot')[2])\n"
                    + "  }\n"
                    + "  const recorder = new MediaRecorder(canvas.captureStream(30),\n"
                    + "    {mimeType: 'video/webm', videoBitsPerSecond: 4e6})\n"
                    + "  const parts = []\n"
                    + "  recorder.ondataavailable = (event) => parts.push(event.data)\n"
                    + "  const ended = new Promise((done) => { recorder.onstop = done })\n"
                    + "  paint(0)\n"
                    + "  recorder.start()\n"
                    + "  const began = performance.now()\n"
                    + "  await new Promise((done) => {\n"
                    + "    const draw = () => {\n"
                    + "      const t = (performance.now() - began) / 1000\n"
                    + "      paint(t < 0.6 || t > 6.6 ? 0\n"
                    + "        : 0.5 - 0.5 * Math.cos(2 * Math.PI * (t - 0.6) / 3))\n"
                    + "      t < 7.2 ? setTimeout(draw, 33) : done()\n"
                    + "    }\n"
                    + "    draw()\n"
                    + "  })\n"
                    + "  recorder.stop()\n"
                    + "  await ended\n"
                    + "  const bytes = new Uint8Array(await new Blob(parts).arrayBuffer())\n"
                    + "  let text = ''\n"
                    + "  for (const byte of bytes) text += String.fromCharCode(byte)\n"
                    + "  return btoa(text)\n"
                    + "}",
                List.of(client, SQUAT));
    Path file = Istmo.output("squats.webm");
    Files.write(file, java.util.Base64.getDecoder().decode(webm));
    return file;
  }

  @Test
  void aFilmIsFollowedAndItsRepetitionsAreCounted() throws Exception {
    try (Coach coach = Coach.atTheDesk()) {
      String client = client(coach);
      Path film = film(coach, client);
      coach.opens("/clients/" + client + "/picture?candidate=" + SQUAT);
      coach.page.getByLabel("Choose a picture or film").setInputFiles(film);
      Locator moment = coach.page.getByLabel("Moment of the film");
      moment.fill("2.1"); // the first low end
      DrawnPicture places = lowEnd(coach, client);
      marks(coach, places, "heel", "toe", "ankle", "knee", "hip", "shoulder");
      coach.presses("Follow the marks through the film");
      Locator read = coach.page.getByTestId("set-read");
      assertThat(read).containsText("2 repetitions");
      assertThat(read.getByRole(AriaRole.ROW)).hasCount(3);
      coach.findsNoFault("a film that was read");
      coach.page.screenshot(
          new com.microsoft.playwright.Page.ScreenshotOptions()
              .setFullPage(true)
              .setPath(Istmo.output("film.png")));
    }
  }
}
