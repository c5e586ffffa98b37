package istmo.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A picture of a squat is marked, read, kept as the client's technique, and taken back. */
@ExtendWith(Istmo.class)
class PictureIT {
  private static final String SQUAT = "back-squat/high-bar";

  /** Asks for one side of the set-up, as the screens do. */
  private static final String BENCH =
      """
      async ([clientId, candidateId, back]) => {
        const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)?.[1] ?? ''
        const bench = async (setup) => (await (await fetch('/api/bench', {
          method: 'POST',
          headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},
          body: JSON.stringify({sides: [{clientId, candidateId, setup}]}),
        })).json()).sides[0]
      """;

  /** The side view of the low end with the knees so far back. */
  private static final String DRAW =
      BENCH
          + """
            const usual = (await bench(undefined)).setup
            const moved = {...usual, kneeTravel: usual.kneeTravel - back}
            return (await bench(moved)).phases.at(-1).side
          }
          """;

  /** How far the knees travel in this client's usual set-up. */
  private static final String TRAVEL =
      BENCH
          + """
            return (await bench(undefined)).setup.kneeTravel
          }
          """;

  /** Records two squats that are painted on a canvas; the answer is the film, as base64. */
  private static final String FILM =
      BENCH
          + """
            const phases = (await bench(undefined)).phases
            const canvas = document.createElement('canvas')
            canvas.width = 450; canvas.height = 600
            const brush = canvas.getContext('2d')
            const at = (p) => [(p.x + 0.62) * 350, 550 - p.y * 350]
            const paint = (depth) => {
              brush.fillStyle = '#969894'; brush.fillRect(0, 0, 450, 600)
              brush.fillStyle = '#5a5854'; brush.fillRect(0, 550, 450, 50)
              const where = depth * (phases.length - 1)
              const k = Math.min(phases.length - 2, Math.floor(where))
              const mix = where - k
              const between = (one, other) => [0, 1].map((i) =>
                (1 - mix) * at(one)[i] + mix * at(other)[i])
              const [from, to] = [phases[k].side, phases[k + 1].side]
              from.body.forEach((line, n) => {
                brush.beginPath()
                line.points.forEach((p, i) => {
                  const q = between(p, to.body[n].points[i] ?? p)
                  i ? brush.lineTo(...q) : brush.moveTo(...q)
                })
                brush.closePath()
                brush.fillStyle = '#c49e84'; brush.fill()
                brush.strokeStyle = '#96705c'; brush.lineWidth = 2; brush.stroke()
              })
              const spot = (one, other) => {
                const q = between(one, other)
                brush.fillStyle = '#222'; brush.beginPath()
                brush.arc(q[0], q[1], 7, 0, 7); brush.fill()
                brush.fillStyle = '#eee'; brush.fillRect(q[0] - 3, q[1] - 3, 3, 3)
                brush.fillRect(q[0], q[1], 3, 3)
              }
              const joint = (side, role) =>
                side.circles.find((circle) => circle.role === role).centre
              for (const role of ['joint-ankle', 'joint-knee', 'joint-hip'])
                spot(joint(from, role), joint(to, role))
              const line = (side, role) =>
                side.lines.find((each) => each.role === role).points
              spot(line(from, 'trunk')[1], line(to, 'trunk')[1])
              spot(line(from, 'foot')[0], line(to, 'foot')[0])
              spot(line(from, 'foot')[2], line(to, 'foot')[2])
            }
            const recorder = new MediaRecorder(canvas.captureStream(30),
              {mimeType: 'video/webm', videoBitsPerSecond: 4e6})
            const parts = []
            recorder.ondataavailable = (event) => parts.push(event.data)
            const ended = new Promise((done) => { recorder.onstop = done })
            paint(0)
            recorder.start()
            const began = performance.now()
            await new Promise((done) => {
              const draw = () => {
                const t = (performance.now() - began) / 1000
                paint(t < 0.6 || t > 6.6 ? 0
                  : 0.5 - 0.5 * Math.cos(2 * Math.PI * (t - 0.6) / 3))
                t < 7.2 ? setTimeout(draw, 33) : done()
              }
              draw()
            })
            recorder.stop()
            await ended
            const bytes = new Uint8Array(await new Blob(parts).arrayBuffer())
            let text = ''
            for (const byte of bytes) text += String.fromCharCode(byte)
            return btoa(text)
          }
          """;

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
    Map<?, ?> side = (Map<?, ?>) coach.page.evaluate(DRAW, List.of(client, SQUAT, kneesBack));
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

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
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
      coach.page.screenshot(new Page.ScreenshotOptions().setPath(Istmo.output("picture.png")));

      coach.opens("/bench?client=" + client + "&candidate=" + SQUAT);
      Assertions.assertThat(kneeTravel(coach, client)).isLessThan(0.9);
      coach.opens("/clients/" + client + "/picture?candidate=" + SQUAT);
      coach.presses("Take back");
      assertThat(before).containsText("No picture was read yet");
    }
  }

  private static double kneeTravel(Coach coach, String client) {
    return ((Number) coach.page.evaluate(TRAVEL, List.of(client, SQUAT))).doubleValue();
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
    String webm = (String) coach.page.evaluate(FILM, List.of(client, SQUAT));
    Path file = Istmo.output("squats.webm");
    Files.write(file, Base64.getDecoder().decode(webm));
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
          new Page.ScreenshotOptions().setFullPage(true).setPath(Istmo.output("film.png")));
    }
  }

  @Test
  void aPictureFromTheFrontTellsOfTheKnees() throws Exception {
    try (Coach coach = Coach.atTheDesk()) {
      String client = client(coach);
      DrawnPicture picture = kneesBack(coach, client);
      coach.opens("/clients/" + client + "/picture?candidate=" + SQUAT);
      coach.says("Seen from", "front");
      coach.page.getByLabel("Choose a picture or film").setInputFiles(picture.file());
      Map<String, double[]> places = new LinkedHashMap<>();
      for (int side : new int[] {-1, 1}) {
        String name = side < 0 ? "left " : "right ";
        places.put(name + "toe", new double[] {450 + side * 90, 1010});
        places.put(name + "ankle", new double[] {450 + side * 70, 960});
        places.put(name + "knee", new double[] {450 + side * 102, 840});
        places.put(name + "hip bone", new double[] {450 + side * 50, 790});
      }
      marks(coach, new DrawnPicture(picture.file(), places));
      assertThat(coach.page.getByRole(AriaRole.LIST, named("From the front")))
          .containsText("The knees stay over the toes");
      assertThat(coach.page.getByText("Stance, ankle to ankle")).isVisible();
      coach.findsNoFault("a picture from the front");
      coach.page.screenshot(new Page.ScreenshotOptions().setPath(Istmo.output("front.png")));
    }
  }
}
