package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.core.equipment.Equipment;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A session on the floor, and a device that sends what is done in it. */
@ExtendWith(RunningApp.class)
abstract class FloorApi {
  static String client;
  static String gym;
  static String session;
  static String item;

  @BeforeAll
  static void aSession() {
    Map<String, Object> input = intake("Floor " + UUID.randomUUID());
    input.put("pain", List.of());
    client = post("/api/clients", input).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Floor " + UUID.randomUUID(),
                    "equipment",
                    Equipment.ids(Equipment.everything())))
            .at("/id")
            .asString();
    session = begin();
    item = pin(session, "leg-extension/upright");
  }

  static String begin() {
    return post(
            "/api/sessions",
            Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 2, "RF", 1)))
        .at("/id")
        .asString();
  }

  static String pin(String session, String candidate) {
    JsonNode items =
        post("/api/sessions/" + session + "/items", Map.of("candidateId", candidate)).at("/items");
    return items.get(items.size() - 1).path("id").asString();
  }

  /** The message that puts the first exercise offered instead in an exercise's place. */
  static Map<String, Object> swap(String session, String old, String id) {
    JsonNode swap = get("/api/floor/" + session).at("/items/0/exercise/swaps/0");
    return Map.of(
        "item",
        Map.of(
            "sessionId",
            session,
            "itemId",
            id,
            "candidateId",
            swap.path("candidateId").asString(),
            "setup",
            swap.path("setup"),
            "replaces",
            old));
  }

  static Map<String, Object> set(
      String session, String item, String id, int revision, int base, int repetitions) {
    Map<String, Object> s =
        new HashMap<>(
            Map.of(
                "sessionId",
                session,
                "itemId",
                item,
                "setId",
                id,
                "revision",
                revision,
                "base",
                base,
                "loadKg",
                40,
                "repetitions",
                repetitions,
                "reserve",
                2));
    s.put("performedAt", Instant.now().toString());
    return s;
  }

  static Map<String, Object> set(String id, int revision, int base, int repetitions) {
    return set(session, item, id, revision, base, repetitions);
  }

  static Answer send(String device, List<Map<String, Object>> changes) {
    return post(
        "/api/floor/changes",
        Map.of("device", device, "sentAt", Instant.now().toString(), "changes", changes));
  }

  static String outcome(Answer answer, int k) {
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
    return answer.at("/results/" + k + "/outcome").asString();
  }

  static JsonNode stored(String id) {
    for (JsonNode node : get("/api/floor/" + session).at("/items")) {
      for (JsonNode jsonNode : node.path("sets")) {
        if (jsonNode.path("id").asString().equals(id)) {
          return jsonNode;
        }
      }
    }
    return null;
  }
}
