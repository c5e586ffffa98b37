package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.post;

import istmo.core.equipment.Equipment;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A client and a gym, and what is asked for them. */
@ExtendWith(RunningApp.class)
abstract class OrderAndSessionApi {
  static String client;
  static String gym;

  @BeforeAll
  static void aClientAndAGym() {
    Map<String, Object> input = intake("Sorrel Keane " + UUID.randomUUID());
    input.put("pain", List.of(Map.of("joint", "LOWER_BACK")));
    client = post("/api/clients", input).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Pier " + UUID.randomUUID(),
                    "equipment",
                    Equipment.everything().stream()
                        .map(Equipment::id)
                        .filter(id -> !id.equals("hack-squat"))
                        .toList()))
            .at("/id")
            .asString();
  }

  static Map<String, Object> brief(Map<String, Integer> aim) {
    return Map.of("clientId", client, "gymId", gym, "aim", aim);
  }

  static double depth(Map<String, Object> brief) {
    for (JsonNode allEntry : RunningApp.allEntries(post("/api/orders", brief))) {
      if (allEntry.path("candidateId").asString().equals("back-squat/high-bar")) {
        return allEntry.at("/setup/depth").asDouble();
      }
    }
    throw new AssertionError("no back squat");
  }

  static double pinnedDepth(String session) {
    return post("/api/sessions/" + session + "/items", Map.of("candidateId", "back-squat/high-bar"))
        .at("/items/0/setup/depth")
        .asDouble();
  }
}
