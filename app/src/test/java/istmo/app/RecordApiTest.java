package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import istmo.core.equipment.Equipment;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class RecordApiTest {
  private static String client;
  private static String gym;

  /** Five weeks of a press that stands still, hurts and is felt in the calves. */
  @BeforeAll
  static void fiveWeeks() {
    Map<String, Object> input = intake("Record " + UUID.randomUUID());
    input.put("pain", List.of());
    client = post("/api/clients", input).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Record " + UUID.randomUUID(),
                    "equipment",
                    Equipment.ids(Equipment.everything())))
            .at("/id")
            .asString();
    for (int week = 5; week >= 1; week--) {
      String session =
          post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 3)))
              .at("/id")
              .asString();
      String item = FloorApiTest.pin(session, "leg-press/low");
      List<Map<String, Object>> changes = new ArrayList<>();
      for (int k = 0; k < 3; k++) {
        Map<String, Object> s =
            new HashMap<>(
                FloorApiTest.set(session, item, UUID.randomUUID().toString(), 1, 0, 10 - k));
        s.put(
            "performedAt",
            Instant.now().minus(7L * week, ChronoUnit.DAYS).plusSeconds(180L * k).toString());
        s.put("loadKg", 100);
        s.put("felt", List.of("GASM"));
        s.put("pain", Map.of("joint", "KNEE", "level", 4));
        changes.add(Map.of("set", s));
      }
      FloorApiTest.send("phone", changes);
    }
  }

  private static String record() {
    return "/api/clients/" + client + "/record";
  }

  /** A set-up that was kept before its exercise got another handle is the same series. */
  @Test
  void aSeriesOutlivesANewHandle() {
    Map<String, Object> curler = intake("Curler");
    curler.put("pain", List.of());
    String other = post("/api/clients", curler).at("/id").asString();
    for (int k = 0; k < 2; k++) {
      String session =
          post("/api/sessions", Map.of("clientId", other, "gymId", gym, "aim", Map.of("BFL", 3)))
              .at("/id")
              .asString();
      String item = FloorApiTest.pin(session, "seated-leg-curl/usual");
      FloorApiTest.send(
          "phone",
          List.of(
              Map.of(
                  "set", FloorApiTest.set(session, item, UUID.randomUUID().toString(), 1, 0, 10))));
      int changed =
          RunningApp.bean(JdbcTemplate.class)
              .update(
                  "update series set setup = setup - 'footUp' where client_id = ?",
                  UUID.fromString(other));
      assertThat(changed).isEqualTo(1);
    }
    Answer overview = get("/api/clients/" + other + "/record");
    assertThat(overview.at("/series")).hasSize(1);
    assertThat(overview.at("/series/0/sets").asInt()).isEqualTo(2);
  }

  @Test
  void aSeriesHasItsReadingsWithErrorsAndItsRecords() {
    Answer overview = get(record());
    assertThat(overview.at("/series")).hasSize(1);
    assertThat(overview.at("/series/0/outings").asInt()).isEqualTo(5);
    assertThat(overview.at("/series/0/sets").asInt()).isEqualTo(15);
    Answer answer = get(record() + "/series/" + overview.at("/series/0/id").asString());
    assertThat(answer.at("/maxima")).hasSize(5);
    double sled = 30; // whatever the sled, 12 to failure is above the load and below twice it
    assertThat(answer.at("/maxima/4/kg").asDouble()).isBetween(100.0, 200.0 + sled);
    assertThat(answer.at("/maxima/4/standardErrorKg").asDouble()).isPositive();
    assertThat(answer.at("/maxima/4/byEquation").size()).isEqualTo(7);
    assertThat(answer.at("/records/0/repetitions").asInt()).isEqualTo(10);
    assertThat(answer.at("/outings/0/sets/0/pain").asInt()).isEqualTo(4);
    assertThat(answer.at("/next/rule").asString()).isEqualTo("PAIN");
    assertThat(get(record() + "/series/" + UUID.randomUUID()).status()).isEqualTo(404);
  }

  @Test
  void anotherSetUpIsAnotherSeries() {
    String session =
        post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 3)))
            .at("/id")
            .asString();
    post("/api/sessions/" + session + "/items", Map.of("candidateId", "leg-extension/upright"));
    String other =
        post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 3)))
            .at("/id")
            .asString();
    post(
        "/api/sessions/" + other + "/items",
        Map.of("candidateId", "leg-extension/upright", "setup", Map.of("hipAngle", 60)));
    for (String text : List.of(session, other)) {
      String item = get("/api/sessions/" + text).at("/items/0/id").asString();
      FloorApiTest.send(
          "phone",
          List.of(
              Map.of("set", FloorApiTest.set(text, item, UUID.randomUUID().toString(), 1, 0, 12))));
    }
    List<JsonNode> lines = new ArrayList<>();
    get(record())
        .at("/series")
        .forEach(
            node -> {
              if (node.path("candidateId").asString().equals("leg-extension/upright")) {
                lines.add(node);
              }
            });
    assertThat(lines).hasSize(2);
    assertThat(lines).anySatisfy(node -> assertThat(node.path("setup").toString()).contains("60°"));
  }

  @Test
  void whatItTeachesIsAnsweredAndTheAnswerCanBeTakenBack() {
    JsonNode pain = lesson("PAINFUL");
    assertThat(pain.at("/found/words").asString()).contains("4 of the last 4").contains("4 of 10");
    assertThat(lesson("STALL").path("proposals")).hasSize(2);
    assertThat(lesson("NOT_FELT").at("/found/words").asString())
        .startsWith("Felt in the calves in the last 3 sessions, never in the");
    Answer agreed =
        post(
            record() + "/lessons/answers",
            Map.of(
                "kind",
                "PAINFUL",
                "subject",
                "leg-press/low",
                "taken",
                Map.of("act", "LESS_RANGE", "words", "Stop at a right angle.")));
    assertThat(agreed.at("/accepted").asBoolean()).isTrue();
    assertThat(lesson("PAINFUL").path("answer").path("taken").path("words").asString())
        .isEqualTo("Stop at a right angle.");
    String session =
        post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 3)))
            .at("/id")
            .asString();
    FloorApiTest.pin(session, "leg-press/low");
    assertThat(get("/api/floor/" + session).at("/items/0/exercise/agreed/0").asString())
        .as("on the floor")
        .isEqualTo("Stop at a right angle.");
    assertThat(
            RunningApp.delete(record() + "/lessons/answers/" + agreed.at("/id").asString())
                .status())
        .isEqualTo(204);
    assertThat(lesson("PAINFUL").has("answer")).isFalse();
    assertThat(
            post(
                    record() + "/lessons/answers",
                    Map.of(
                        "kind",
                        "PAINFUL",
                        "subject",
                        "leg-press/low",
                        "taken",
                        Map.of("act", "SWAP", "words", "")))
                .fault("words"))
        .contains("1 to 300");
  }

  private static JsonNode lesson(String kind) {
    for (JsonNode node : get(record() + "/lessons").body()) {
      if (node.path("kind").asString().equals(kind)) {
        return node;
      }
    }
    throw new AssertionError("no " + kind);
  }

  @Test
  void whatWasSaidMovesThisClientsOrderVisiblyAndBack() {
    Map<String, Object> brief = Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 3));
    double with = utility(post("/api/orders", brief));
    assertThat(put(record() + "/learns", Map.of("on", false)).status()).isEqualTo(200);
    double without = utility(post("/api/orders", brief));
    put(record() + "/learns", Map.of("on", true));
    assertThat(with).isLessThan(without);
    assertThat(utility(post("/api/orders", brief))).isCloseTo(with, within(1e-9));
  }

  private static double utility(Answer order) {
    for (JsonNode allEntry : RunningApp.allEntries(order)) {
      if (allEntry.path("candidateId").asString().equals("leg-press/low")) {
        return allEntry.path("utility").asDouble();
      }
    }
    throw new AssertionError("not in the order");
  }

  @Test
  void weeksCountWhatWasDoneBesideWhatIsAsked() {
    Answer answer = get(record() + "/weeks?weeks=8");
    assertThat(answer.at("/weeks")).hasSize(8);
    double sum = 0;
    for (JsonNode node : answer.at("/weeks")) {
      sum += node.path("sets").path("VL").asDouble(0);
    }
    assertThat(sum)
        .as("15 sets of the press, each a part of the best, and two of leg extensions")
        .isBetween(5.0, 17.0);
    assertThat(answer.at("/asked/VL").asDouble()).isPositive();
    assertThat(get(record() + "/weeks?weeks=500").fault("weeks")).contains("1 to 104");
  }

  @Test
  void whereItWasFeltAndWhatHurtIsThere() {
    JsonNode said = get(record() + "/said").body();
    assertThat(said)
        .anySatisfy(
            node -> {
              assertThat(node.path("felt").toString()).contains("GASM");
              assertThat(node.path("pain").asInt()).isEqualTo(4);
              assertThat(node.path("joint").asString()).isEqualTo("KNEE");
            });
  }

  /**
   * The third voice on claims: nobody felt the low press where it is meant, and another coach hears
   * nothing of it.
   */
  @Test
  void ownClientsSpeakOfClaims() {
    JsonNode practice = get("/api/claims/practice").body();
    List<JsonNode> ofThePress = new ArrayList<>();
    for (JsonNode claim : get("/api/claims").body()) {
      boolean about =
          claim.at("/first/candidateId").asString().equals("leg-press/low")
              && !claim.at("/second/candidateId").asString().equals("leg-press/low");
      practice.forEach(
          node -> {
            if (about && node.path("claimId").asString().equals(claim.path("id").asString())) {
              ofThePress.add(node);
            }
          });
    }
    assertThat(ofThePress)
        .isNotEmpty()
        .allSatisfy(
            node -> {
              assertThat(node.at("/first/sessions").asInt()).isGreaterThanOrEqualTo(5);
              assertThat(node.at("/words").asString()).contains("felt there in");
            });
    assertThat(RunningApp.anotherCoach("no.practice").get("/api/claims/practice").body()).isEmpty();
  }
}
