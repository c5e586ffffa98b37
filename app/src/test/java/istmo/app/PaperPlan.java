package istmo.app;

import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/**
 * A plan of two sessions a week for a client with a sore knee, with drops, a block and targets, as
 * the tests of what goes out need it.
 */
record PaperPlan(String client, String gym, JsonNode week) {
  /** A new client, a new gym and the plan. */
  static PaperPlan made() {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Łucja Ødegård");
    intake.put(
        "pain",
        List.of(
            Map.of("joint", "KNEE", "movements", List.of("DEEP_KNEE"), "approach", "LESS_LOAD")));
    String client = post("/api/clients", intake).at("/id").asString();
    String gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Paper Gym",
                    "equipment",
                    List.of("leg-press", "seated-curl", "seated-calf", "barbell", "rack", "bench")))
            .at("/id")
            .asString();
    JsonNode begun =
        post(
                "/api/weeks",
                Map.of(
                    "clientId",
                    client,
                    "gymId",
                    gym,
                    "aim",
                    Map.of("VL", 3, "BFL", 2),
                    "keepOut",
                    List.of("ERECTORS"),
                    "times",
                    2,
                    "minutes",
                    60,
                    "name",
                    "Winter, \"first\" half; more"))
            .body();
    return planned(client, gym, begun);
  }

  private static PaperPlan planned(String client, String gym, JsonNode begun) {
    Map<String, Object> curl = WeekApiTest.item("seated-leg-curl/usual");
    curl.put("id", "pin-2");
    Map<String, Object> calf = WeekApiTest.item("seated-calf-raise/usual");
    calf.put("id", "pin-3");
    curl.put("prescription", strung(curl.get("prescription")));
    Map<String, Object> plan =
        WeekApiTest.plan(
            begun, List.of(List.of(WeekApiTest.item("leg-press/high"), curl), List.of(calf)));
    plan.putAll(
        Map.of(
            "blockWeeks",
            5,
            "startsOn",
            "2026-11-30",
            "targets",
            Map.of("VL", 7.5),
            "pairing",
            "TWO_PLACES"));
    Answer answer =
        put(
            "/api/weeks/" + begun.at("/id").asString(),
            Map.of("version", begun.at("/version").asInt(), "what", "for paper", "plan", plan));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return new PaperPlan(client, gym, answer.body());
  }

  /** The same prescription with drops after every set and a rest between the legs. */
  static Map<String, Object> strung(Object prescription) {
    Map<String, Object> strung = new LinkedHashMap<>();
    ((Map<?, ?>) prescription).forEach((k, v) -> strung.put((String) k, v));
    strung.put("scheme", "DROP");
    strung.put("sideRestS", 40);
    strung.put(
        "drops",
        Map.of("number", 3, "less", 0.15, "everySet", true, "easier", "seat one hole nearer"));
    return strung;
  }

  /** The address of something of this plan. */
  String path(String rest) {
    return "/api/weeks/" + week.at("/id").asString() + rest;
  }
}
