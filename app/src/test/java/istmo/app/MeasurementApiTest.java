package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import istmo.core.equipment.Equipment;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class MeasurementApiTest {
  private static String client() {
    return post("/api/clients", ClientAndGymApiTest.intake("Tape " + UUID.randomUUID()))
        .at("/id")
        .asString();
  }

  private static JsonNode kind(Answer answer, String kind) {
    for (JsonNode node : answer.at("/kinds")) {
      if (node.path("kind").asString().equals(kind)) {
        return node;
      }
    }
    throw new AssertionError(kind);
  }

  private static Map<String, Object> reading(String kind, String side, double value) {
    return Map.of("kind", kind, "side", side, "value", value, "on", "2026-11-02");
  }

  @Test
  void anEstimateIsMarkedUntilItIsMeasuredAndMeasuringChangesTheBody() {
    String path = "/api/clients/" + client() + "/measurements";
    Answer before = get(path);
    assertThat(kind(before, "THIGH").path("origin").asString()).isEqualTo("ESTIMATED");
    double estimated = kind(before, "THIGH").path("used").asDouble();
    assertThat(estimated).as("172 cm, long thigh").isCloseTo(0.245 * 1.72 * 1.045, within(1e-9));
    assertThat(before.at("/dorsiflexionDeg").asDouble()).isEqualTo(25);
    post(path, reading("THIGH", "LEFT", 0.43));
    Answer after = post(path, reading("THIGH", "LEFT", 0.44));
    assertThat(after.status()).isEqualTo(201);
    assertThat(kind(after, "THIGH").path("origin").asString()).isEqualTo("MEASURED");
    assertThat(kind(after, "THIGH").path("used").asDouble()).isCloseTo(0.435, within(1e-12));
    assertThat(kind(after, "THIGH").path("error").asDouble())
        .isCloseTo(0.01 / Math.sqrt(2), within(1e-9));
    Answer wall = post(path, reading("KNEE_TO_WALL", "RIGHT", 0.11));
    assertThat(wall.at("/dorsiflexionDeg").asDouble()).isBetween(33.0, 42.0);
    String first = kind(wall, "THIGH").at("/readings/0/id").asString();
    assertThat(kind(delete(path + "/" + first), "THIGH").path("readings").size()).isEqualTo(1);
  }

  @Test
  void mistypedReadingsAreRefusedByField() {
    String path = "/api/clients/" + client() + "/measurements";
    assertThat(post(path, reading("THIGH", "LEFT", 0.60)).fault("value"))
        .contains("not believable for a stature of 172\u00a0cm");
    assertThat(post(path, reading("THIGH", "NONE", 0.43)).fault("side")).contains("LEFT or RIGHT");
    assertThat(
            post(
                    path,
                    Map.of(
                        "kind", "MASS", "value", 70, "on", LocalDate.now().plusDays(9).toString()))
                .fault("on"))
        .contains("day to come");
    Answer nothing = post(path, Map.of());
    assertThat(nothing.fault("kind")).contains("KNEE_TO_WALL");
    assertThat(nothing.fault("value")).isEqualTo("is needed");
    assertThat(get("/api/clients/" + UUID.randomUUID() + "/measurements").status()).isEqualTo(404);
  }

  @Test
  void rangeGainedOverMonthsIsToldAndTaught() {
    String client = client();
    String path = "/api/clients/" + client + "/measurements";
    LocalDate today = LocalDate.now();
    for (double[] weekAndMetres : new double[][] {{9, 0.07}, {4, 0.09}, {0, 0.11}}) {
      post(
          path,
          Map.of(
              "kind",
              "KNEE_TO_WALL",
              "side",
              "LEFT",
              "value",
              weekAndMetres[1],
              "on",
              today.minusWeeks((long) weekAndMetres[0]).toString()));
    }
    JsonNode wall = kind(get(path), "KNEE_TO_WALL");
    assertThat(wall.at("/ranges")).hasSize(1);
    assertThat(wall.at("/ranges/0/days")).hasSize(3);
    assertThat(wall.at("/ranges/0/days/2/value").asDouble()).isEqualTo(0.11);
    assertThat(wall.at("/ranges/0/found/0/kind").asString()).isEqualTo("CHANGED");
    assertThat(wall.at("/ranges/0/found/0/words").asString()).contains("4\u00a0cm more");
    assertThat(kind(get(path), "THIGH_GIRTH").path("ranges")).isEmpty();
    Answer lessons = get("/api/clients/" + client + "/record/lessons");
    assertThat(lessons.at("/0/kind").asString()).isEqualTo("RANGE_CHANGED");
    assertThat(lessons.at("/0/name").asString()).isEqualTo("Knee to wall, left");
    assertThat(lessons.at("/0/proposals/0/words").asString()).contains("within reach now");
  }

  @Test
  void theOrderSaysWhichMeasurementWouldMoveIt() {
    String client = client();
    String gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Tape gym " + UUID.randomUUID(),
                    "equipment",
                    Equipment.ids(Equipment.everything())))
            .at("/id")
            .asString();
    Map<String, Object> brief =
        Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 2, "GMAXM", 2));
    Answer open = post("/api/orders/measuring", brief);
    assertThat(open.status()).isEqualTo(200);
    assertThat(open.at("/0/affected").asInt()).isPositive();
    assertThat(open.body().toString()).contains("KNEE_TO_WALL");
    post("/api/clients/" + client + "/measurements", reading("KNEE_TO_WALL", "LEFT", 0.08));
    assertThat(post("/api/orders/measuring", brief).body().toString())
        .doesNotContain("KNEE_TO_WALL");
  }
}
