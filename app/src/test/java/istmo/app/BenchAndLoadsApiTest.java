package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Set-ups, what they change, and loads from one known lift. */
class BenchAndLoadsApiTest extends OrderAndSessionApi {
  /**
   * What the client's cautions leave out is left out everywhere: order, bench and session say the
   * same; a caution that comes later marks what was pinned before.
   */
  @Test
  void aCautionHoldsInTheOrderOnTheBenchAndInTheSession() {
    Map<String, Object> input = intake("Cautious " + UUID.randomUUID());
    input.put("pain", List.of());
    Answer added = post("/api/clients", input);
    String id = added.at("/id").asString();
    Map<String, Object> brief = Map.of("clientId", id, "gymId", gym, "aim", Map.of("BFL", 3));
    String session = post("/api/sessions", brief).at("/id").asString();
    assertThat(
            post(
                    "/api/sessions/" + session + "/items",
                    Map.of("candidateId", "lying-leg-curl/usual"))
                .status())
        .isEqualTo(201);

    input.put("version", added.at("/version").asInt());
    input.put(
        "cautions", List.of(Map.of("caution", "PREGNANCY"), Map.of("caution", "BACK_CONDITION")));
    assertThat(put("/api/clients/" + id, input).status()).isEqualTo(200);
    Answer after = get("/api/sessions/" + session);
    assertThat(after.at("/statements").toString())
        .contains("Pregnancy: ask the clinician in charge first");
    assertThat(after.at("/items/0/refusal").asString()).contains("Lying face down");
    for (String candidate : List.of("lying-leg-curl/usual", "romanian-deadlift/usual")) {
      Answer bench =
          post(
              "/api/bench",
              Map.of("sides", List.of(Map.of("clientId", id, "candidateId", candidate))));
      assertThat(bench.at("/sides/0/refusal").asString()).as(candidate).isNotEmpty();
      assertThat(bench.at("/sides/0/statements").size()).isPositive();
      assertThat(post("/api/orders", brief).at("/excluded").toString()).contains(candidate);
    }
    Answer refused =
        post(
            "/api/sessions/" + session + "/items",
            Map.of("candidateId", "romanian-deadlift/usual"));
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.at("/detail").asString())
        .contains("is left out for")
        .contains("Known back condition");
    Answer deep =
        post(
            "/api/sessions/" + session + "/items",
            Map.of(
                "candidateId",
                "leg-press/high",
                "setup",
                Map.of("footHeight", -0.2, "kneeDepth", 130)));
    assertThat(deep.status()).as("nor is what the body cannot take").isEqualTo(409);
    assertThat(
            post(
                    "/api/sessions/" + session + "/items",
                    Map.of("candidateId", "seated-leg-curl/usual"))
                .status())
        .isEqualTo(201);
  }

  /**
   * Before one known lift no load is shown anywhere; after it, everywhere but on stacks that nobody
   * has measured.
   */
  @Test
  void oneKnownLiftBringsLoads() {
    Map<String, Object> input = intake("Strong " + UUID.randomUUID());
    input.put("pain", List.of());
    String id = post("/api/clients", input).at("/id").asString();
    Map<String, Object> brief = Map.of("clientId", id, "gymId", gym, "aim", Map.of("VL", 2));
    post("/api/orders", brief)
        .at("/entries")
        .forEach(node -> assertThat(node.has("load")).isFalse());
    String lifts = "/api/clients/" + id + "/lifts";
    Answer known =
        post(
            lifts,
            Map.of(
                "candidateId",
                "back-squat/high-bar",
                "loadKg",
                60,
                "repetitions",
                5,
                "reserve",
                1,
                "on",
                "2026-11-01"));
    assertThat(known.status()).isEqualTo(201);
    assertThat(known.at("/strength/legs").asDouble()).isBetween(0.35, 3.5);
    int with = 0;
    for (JsonNode node : post("/api/orders", brief).at("/entries")) {
      boolean stack =
          Catalogue.standard().exercise(node.path("exerciseId").asString()).needs().stream()
              .anyMatch(item -> item.load() == Equipment.LoadKind.STACK);
      assertThat(node.has("load")).as(node.path("name").asString()).isEqualTo(!stack);
      with += stack ? 0 : 1;
    }
    assertThat(with).isGreaterThan(4);
    String session = post("/api/sessions", brief).at("/id").asString();
    assertThat(
            post(
                    "/api/sessions/" + session + "/items",
                    Map.of("candidateId", "back-squat/high-bar"))
                .at("/items/0/load/basis")
                .asString())
        .contains("own lift");
    input.put("version", get("/api/clients/" + id).at("/version").asInt());
    input.put("cautions", List.of(Map.of("caution", "RED_FLAG")));
    put("/api/clients/" + id, input);
    assertThat(get("/api/sessions/" + session).at("/items/0/refusal").asString()).contains("Stop");
    assertThat(get("/api/sessions/" + session).at("/items/0").has("load"))
        .as("no load for what is left out")
        .isFalse();
    assertThat(delete(lifts + "/" + known.at("/lifts/0/id").asString()).body().has("strength"))
        .isFalse();
  }

  @Test
  void aLiftThatCannotBeIsRefusedByField() {
    String id = post("/api/clients", intake("Mistyped " + UUID.randomUUID())).at("/id").asString();
    String lifts = "/api/clients/" + id + "/lifts";
    assertThat(
            post(
                    lifts,
                    Map.of(
                        "candidateId",
                        "back-squat/high-bar",
                        "loadKg",
                        900,
                        "repetitions",
                        5,
                        "on",
                        "2026-11-01"))
                .fault("loadKg"))
        .contains("is it mistyped?");
    assertThat(
            post(
                    lifts,
                    Map.of(
                        "candidateId",
                        "back-squat/high-bar",
                        "loadKg",
                        60,
                        "repetitions",
                        5,
                        "on",
                        "2099-11-01"))
                .fault("on"))
        .contains("day to come");
    assertThat(post(lifts, Map.of("loadKg", 60)).fault("repetitions")).isEqualTo("is needed");
  }

  @Test
  void theBenchFindsABetterSetUpAndSaysWhatEachStepDoes() {
    Map<String, Object> side =
        Map.of("clientId", client, "gymId", gym, "candidateId", "leg-extension/upright");
    Map<String, Object> wish = Map.of("side", side, "aim", Map.of("RF", 3));
    Answer steps = post("/api/bench/steps", wish);
    assertThat(steps.status()).isEqualTo(200);
    JsonNode back = null;
    for (JsonNode node : steps.at("/steps")) {
      back = node.path("parameterId").asString().equals("hipAngle") ? node : back;
    }
    assertThat(back).isNotNull();
    assertThat(back.at("/less/gain").asDouble())
        .as("leaning back by one step serves rectus femoris")
        .isPositive();
    assertThat(back.at("/less/change/RF").asDouble()).isPositive();
    Answer best = post("/api/bench/best", wish);
    assertThat(best.at("/gain").asDouble()).isGreaterThan(back.at("/less/gain").asDouble());
    assertThat(best.at("/setup/hipAngle").asDouble())
        .isLessThan(steps.at("/setup/hipAngle").asDouble());
    assertThat(best.at("/sentence").asString()).contains("for the aim");
    Map<String, Object> there =
        Map.of(
            "clientId",
            client,
            "gymId",
            gym,
            "candidateId",
            "leg-extension/upright",
            "setup",
            Map.of("hipAngle", best.at("/setup/hipAngle").asDouble()));
    assertThat(
            post("/api/bench", Map.of("sides", List.of(side, there)))
                .at("/sides/1/stimulus/RF")
                .asDouble())
        .as("what it found holds on the bench")
        .isGreaterThan(
            post("/api/bench", Map.of("sides", List.of(side)))
                .at("/sides/0/stimulus/RF")
                .asDouble());
    assertThat(post("/api/bench/best", Map.of("side", side, "aim", Map.of())).fault("aim"))
        .contains("paint");
    assertThat(post("/api/bench/best", Map.of("aim", Map.of("RF", 1))).fault("side"))
        .contains("clientId");
  }

  @Test
  void theBenchSaysWhatDiffersOrWhyItCannot() {
    Map<String, Object> start = Map.of("clientId", client, "candidateId", "leg-press/high");
    Answer bench =
        post(
            "/api/bench",
            Map.of(
                "sides",
                List.of(
                    start,
                    Map.of(
                        "clientId",
                        client,
                        "candidateId",
                        "leg-press/high",
                        "setup",
                        Map.of("kneeDepth", 55)))));
    assertThat(bench.status()).isEqualTo(200);
    assertThat(bench.at("/sides/0/phases").size()).isEqualTo(21);
    assertThat(bench.at("/changes").size()).isEqualTo(25);
    assertThat(bench.at("/differences").toString())
        .as("a program reads the facts, a person the words")
        .contains("Knee bend at the bottom")
        .contains("ANGLES_DIFFER")
        .contains("KNEE_BEND");
    Answer impossible =
        post(
            "/api/bench",
            Map.of(
                "sides",
                List.of(
                    start,
                    Map.of(
                        "clientId",
                        client,
                        "candidateId",
                        "leg-press/high",
                        "setup",
                        Map.of("footHeight", -0.2, "kneeDepth", 130)))));
    assertThat(impossible.at("/sides/1/obstacle/reason").asString()).contains("heels would lift");
    assertThat(impossible.at("/changes").size()).isZero();
    assertThat(post("/api/bench", Map.of("sides", List.of())).fault("sides"))
        .contains("one side or two");
  }
}
