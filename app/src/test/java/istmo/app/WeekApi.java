package istmo.app;

import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A client, a gym and weeks of theirs. */
@ExtendWith(RunningApp.class)
abstract class WeekApi {
  static String client;
  static String gym;

  @BeforeAll
  static void aClientAndAGym() {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Week Client");
    intake.put("pain", List.of());
    client = post("/api/clients", intake).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Week Gym",
                    "equipment",
                    List.of(
                        "leg-press",
                        "seated-curl",
                        "leg-extension",
                        "seated-calf",
                        "standing-calf",
                        "barbell",
                        "rack",
                        "bench",
                        "dumbbells",
                        "abduction-machine")))
            .at("/id")
            .asString();
  }

  static Map<String, Object> wish() {
    return wish(client, gym);
  }

  static Map<String, Object> wish(String client, String gym) {
    Map<String, Object> w = new LinkedHashMap<>();
    w.put("clientId", client);
    w.put("gymId", gym);
    w.put("aim", Map.of("VL", 3, "BFL", 2));
    w.put("times", 2);
    w.put("minutes", 50);
    return w;
  }

  static Answer begun() {
    Answer answer = post("/api/weeks", wish());
    assertThat(answer.status()).isEqualTo(201);
    return answer;
  }

  static Answer composed() {
    Answer week = begun();
    Answer answer =
        post(
            "/api/weeks/" + week.at("/id").asString() + "/compose",
            Map.of(
                "version", week.at("/version").asInt(), "run", UUID.randomUUID(), "seconds", 1.5));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer;
  }

  static Answer changed(JsonNode week, String what, Object plan) {
    return put(
        "/api/weeks/" + week.at("/id").asString(),
        Map.of("version", week.at("/version").asInt(), "what", what, "plan", plan));
  }

  static Map<String, Object> prescription(int sets) {
    return Map.of(
        "sets",
        sets,
        "repetitionsLow",
        8,
        "repetitionsHigh",
        12,
        "reserve",
        2,
        "tempo",
        Map.of("loweringS", 2, "lowS", 0, "liftingS", 1, "topS", 0),
        "restS",
        120,
        "scheme",
        "STRAIGHT");
  }

  static Map<String, Object> item(String candidate) {
    return new LinkedHashMap<>(
        Map.of(
            "id",
            "pin-1",
            "candidateId",
            candidate,
            "pinned",
            true,
            "prescription",
            prescription(3)));
  }

  /** The document of a week as it stands, with other bouts in its first session. */
  static Map<String, Object> plan(JsonNode week, List<List<Map<String, Object>>> firstDay) {
    Map<String, Object> plan = new LinkedHashMap<>();
    week.at("/plan").propertyStream().forEach(entry -> plan.put(entry.getKey(), entry.getValue()));
    if (firstDay != null) {
      List<Object> days = new ArrayList<>();
      for (JsonNode node : week.at("/plan/days")) {
        days.add(
            days.isEmpty()
                ? Map.of(
                    "weekday",
                    node.at("/weekday"),
                    "minutes",
                    node.at("/minutes"),
                    "oneStation",
                    false,
                    "bouts",
                    firstDay)
                : node);
      }
      plan.put("days", days);
    }
    return plan;
  }

  static List<String> items(JsonNode week) {
    List<String> ids = new ArrayList<>();
    week.at("/days")
        .forEach(
            node ->
                node.at("/bouts")
                    .forEach(
                        jsonNode ->
                            jsonNode
                                .at("/items")
                                .forEach(item -> ids.add(item.at("/id").asString()))));
    return ids;
  }
}
