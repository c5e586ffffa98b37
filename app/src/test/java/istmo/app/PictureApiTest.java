package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Marks on a picture become a client's technique, which order and bench follow. */
@ExtendWith(RunningApp.class)
class PictureApiTest {
  private static final double PX_PER_M = 400;
  private static final double SHANK_M = 0.423;
  private static final double THIGH_M = 0.44;
  private static final double TRUNK_M = 0.476;

  private static String client() {
    return post("/api/clients", ClientAndGymApiTest.intake("Seen " + UUID.randomUUID()))
        .at("/id")
        .asString();
  }

  /** A squat's bottom as a camera far away and square to it sees it; leans in deg. */
  static List<Map<String, Object>> marks(double shank, double thigh, double trunk) {
    double[] ankle = {500, 1500};
    double[] knee = end(ankle, SHANK_M, shank);
    double[] hip = end(knee, THIGH_M, -thigh);
    double[] shoulder = end(hip, TRUNK_M, trunk);
    List<Map<String, Object>> marks = new ArrayList<>();
    marks.add(mark("HEEL", new double[] {474, 1527}));
    marks.add(mark("TOE", new double[] {583, 1527}));
    marks.add(mark("ANKLE", ankle));
    marks.add(mark("KNEE", knee));
    marks.add(mark("HIP", hip));
    marks.add(mark("SHOULDER", shoulder));
    marks.add(mark("OTHER_ANKLE", ankle));
    return marks;
  }

  private static double[] end(double[] from, double metres, double leanDeg) {
    double px = metres * PX_PER_M;
    double lean = Math.toRadians(leanDeg);
    return new double[] {from[0] + px * Math.sin(lean), from[1] - px * Math.cos(lean)};
  }

  private static Map<String, Object> mark(String landmark, double[] at) {
    return Map.of("landmark", landmark, "xPx", at[0], "yPx", at[1]);
  }

  static Map<String, Object> picture(List<Map<String, Object>> marks) {
    Map<String, Object> picture = new HashMap<>();
    picture.put("candidateId", "back-squat/high-bar");
    picture.put("loadKg", 60);
    picture.put("widthPx", 1080);
    picture.put("heightPx", 1920);
    picture.put("marks", marks);
    return picture;
  }

  private static JsonNode named(JsonNode list, String id) {
    for (JsonNode node : list) {
      if (node.path("id").asString().equals(id)) {
        return node;
      }
    }
    throw new AssertionError(id);
  }

  private static double kneeTravel(String client) {
    return post(
            "/api/bench",
            Map.of(
                "sides", List.of(Map.of("clientId", client, "candidateId", "back-squat/high-bar"))))
        .at("/sides/0/setup/kneeTravel")
        .asDouble();
  }

  @Test
  void aPictureTellsLeansAndIsNotKept() {
    String path = "/api/clients/" + client() + "/technique";
    Answer read = post(path + "/read", picture(marks(14, 80, 45)));
    assertThat(read.status()).isEqualTo(200);
    JsonNode trunk = named(read.at("/figures"), "trunk");
    assertThat(trunk.path("seen").asDouble()).isCloseTo(45, within(3.0));
    assertThat(trunk.path("error").asDouble()).isBetween(1.0, 6.0);
    assertThat(named(read.at("/figures"), "shank").path("seen").asDouble())
        .isCloseTo(14, within(3.0));
    assertThat(get(path).at("/sightings").size()).isZero();
    assertThat(get(path).at("/landmarks/0/label").asString()).isEqualTo("heel");
  }

  @Test
  void whatIsKeptBecomesTheClientsUsualUntilItIsTakenBack() {
    String client = client();
    String path = "/api/clients/" + client + "/technique";
    double before = kneeTravel(client);
    Answer kept = post(path, Map.of("picture", picture(marks(11, 80, 47)), "on", "2026-05-12"));
    assertThat(kept.status()).isEqualTo(201);
    assertThat(kept.at("/sightings/0/counts").asBoolean()).isTrue();
    double shift = kept.at("/sightings/0/technique/0/shift").asDouble();
    assertThat(shift).isNegative();
    assertThat(kneeTravel(client)).isCloseTo(before + shift, within(0.002));
    Answer bench =
        post(
            "/api/bench",
            Map.of(
                "sides",
                List.of(Map.of("clientId", client, "candidateId", "back-squat/high-bar"))));
    assertThat(bench.at("/sides/0/changes").toString()).contains("Seen on 12 May 2026");
    String id = kept.at("/sightings/0/id").asString();
    assertThat(delete(path + "/" + id).at("/sightings").size()).isZero();
    assertThat(kneeTravel(client)).isEqualTo(before);
  }

  @Test
  void aChangeBeyondThePicturesErrorsIsALesson() {
    String client = client();
    String path = "/api/clients/" + client + "/technique";
    String today = LocalDate.now().toString();
    post(path, Map.of("picture", picture(marks(14, 60, 30)), "on", "2026-05-12"));
    post(path, Map.of("picture", picture(marks(14, 95, 45)), "on", today));
    assertThat(get(path).at("/changes/0/words").asString()).startsWith("Deeper by ");
    Answer lessons = get("/api/clients/" + client + "/record/lessons");
    assertThat(lessons.at("/0/kind").asString()).isEqualTo("MOVES_OTHERWISE");
    assertThat(lessons.at("/0/found/words").asString()).contains("than on 12 May 2026");
    assertThat(lessons.at("/0/proposals").size()).isEqualTo(1);
  }

  @Test
  void whatCannotBeIsRefusedByField() {
    String path = "/api/clients/" + client() + "/technique";
    List<Map<String, Object>> without = new ArrayList<>(marks(14, 80, 45));
    without.remove(4);
    assertThat(post(path + "/read", picture(without)).fault("marks")).contains("lack hip");
    assertThat(post(path + "/read", Map.of()).fault("widthPx")).isEqualTo("is needed");
    Map<String, Object> heavy = picture(marks(14, 80, 45));
    heavy.put("loadKg", 900);
    assertThat(post(path + "/read", heavy).fault("loadKg")).contains("0 to 600");
    Answer tomorrow =
        post(
            path,
            Map.of(
                "picture",
                picture(marks(14, 80, 45)),
                "on",
                LocalDate.now().plusDays(9).toString()));
    assertThat(tomorrow.fault("on")).contains("day to come");
    List<Map<String, Object>> wrong = new ArrayList<>(marks(14, 80, 45));
    wrong.set(3, mark("KNEE", new double[] {300, 1100}));
    Answer read = post(path + "/read", picture(wrong));
    assertThat(read.at("/notSeen/reason").asString()).contains("do not fit one body");
    assertThat(post(path, Map.of("picture", picture(wrong), "on", "2026-05-12")).fault("marks"))
        .contains("do not fit one body");
  }

  /** Marks followed through three squats, ten frames a second. */
  static Map<String, Object> film() {
    List<Map<String, Object>> frames = new ArrayList<>();
    for (int k = 0; k <= 90; k++) {
      double depth = 0.5 - 0.5 * Math.cos(2 * Math.PI * k / 30);
      frames.add(
          Map.of("timeS", k / 10.0, "marks", marks(3 + 11 * depth, 6 + 74 * depth, 45 * depth)));
    }
    return Map.of("picture", picture(marks(14, 80, 45)), "frames", frames, "loweringS", 1.5);
  }

  @Test
  void aFilmTellsItsRepetitions() {
    String path = "/api/clients/" + client() + "/technique/film";
    Answer read = post(path, film());
    assertThat(read.status()).isEqualTo(200);
    assertThat(read.at("/repetitions").size()).isEqualTo(3);
    assertThat(read.at("/repetitions/1/kneeBendDeg").asDouble()).isCloseTo(94, within(4.0));
    assertThat(read.at("/curves/timeS").size()).isEqualTo(91);
    Map<String, Object> few = new HashMap<>(film());
    few.put("frames", List.of());
    assertThat(post(path, few).fault("frames")).contains("5 to 5000");
  }

  /** A squat from the front, the knee at the right of the picture so many pixels inwards. */
  static Map<String, Object> front(double kneeIn) {
    List<Map<String, Object>> marks = new ArrayList<>();
    for (int side : new int[] {-1, 1}) {
      String name = side < 0 ? "LEFT" : "RIGHT";
      marks.add(mark("TOE_" + name, new double[] {540 + side * 110, 1560}));
      marks.add(mark("ANKLE_" + name, new double[] {540 + side * 85, 1500}));
      double in = side > 0 ? kneeIn : 0;
      marks.add(mark("KNEE_" + name, new double[] {540 + side * (125 - in), 1350}));
      marks.add(mark("HIP_" + name, new double[] {540 + side * 60, 1290}));
    }
    return picture(marks);
  }

  @Test
  void aPictureFromTheFrontTellsWhereTheKneesGo() {
    String path = "/api/clients/" + client() + "/technique/front";
    Answer out = post(path, front(0));
    assertThat(out.status()).isEqualTo(200);
    assertThat(named(out.at("/figures"), "stance").path("seen").asDouble()).isBetween(0.3, 0.6);
    double before = named(out.at("/figures"), "kneeInRight").path("seen").asDouble();
    Answer in = post(path, front(60));
    assertThat(named(in.at("/figures"), "kneeInRight").path("seen").asDouble())
        .isGreaterThan(before + 0.08);
    assertThat(in.at("/sentences").toString()).contains("The right knee goes");
    assertThat(post(path, picture(marks(14, 80, 45))).fault("marks")).contains("lack left toe");
  }
}
