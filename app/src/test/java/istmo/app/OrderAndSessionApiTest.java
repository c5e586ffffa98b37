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
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class OrderAndSessionApiTest {
  private static String client;
  private static String gym;

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

  private static Map<String, Object> brief(Map<String, Integer> aim) {
    return Map.of("clientId", client, "gymId", gym, "aim", aim);
  }

  @Test
  void theOrderNamesAFirstPickAndLosesNothingSilently() {
    Answer order = post("/api/orders", brief(Map.of("BFL", 3)));
    assertThat(order.status()).isEqualTo(200);
    assertThat(order.at("/firstPick/candidateId").asString())
        .isEqualTo(order.at("/entries/0/candidateId").asString());
    List<String> kinds = new ArrayList<>();
    order
        .at("/excluded")
        .forEach(
            node ->
                kinds.add(
                    node.path("candidateId").asString() + " " + node.path("kind").asString()));
    assertThat(kinds).contains("romanian-deadlift/usual PAIN", "hack-squat/usual GYM");
    assertThat(RunningApp.allEntries(order).size() + order.at("/excluded").size())
        .isEqualTo(Catalogue.standard().candidates().size() + Catalogue.standard().byWord().size());
    JsonNode first = order.at("/entries/0");
    double sum = 0;
    for (JsonNode node : first.path("contributions")) {
      sum += node.path("points").asDouble();
    }
    assertThat(sum)
        .as("contributions add up to the score")
        .isCloseTo(first.path("utility").asDouble(), org.assertj.core.api.Assertions.within(0.005));
  }

  @Test
  void theSameBriefGivesTheSameOrder() {
    assertThat(post("/api/orders", brief(Map.of("VL", 2, "AL", 1))).body())
        .isEqualTo(post("/api/orders", brief(Map.of("AL", 1, "VL", 2))).body());
  }

  @Test
  void aBriefWithoutAnAimOrWithUnknownRegionsIsRefusedByField() {
    assertThat(post("/api/orders", brief(Map.of())).fault("aim")).contains("at least one");
    assertThat(post("/api/orders", brief(Map.of("ELBOW", 2))).fault("aim.ELBOW"))
        .contains("not a region");
    assertThat(post("/api/orders", Map.of("clientId", client)).fault("gymId"))
        .isEqualTo("is needed");
    assertThat(
            post(
                    "/api/orders",
                    Map.of(
                        "clientId",
                        client,
                        "gymId",
                        gym,
                        "aim",
                        Map.of("VL", 1),
                        "school",
                        "nonesuch"))
                .fault("school"))
        .contains("stretch");
  }

  @Test
  void aSetIsStoredOnceHoweverOftenItIsSentAndIsThereNextTime() {
    String session = post("/api/sessions", brief(Map.of("SOL", 2))).at("/id").asString();
    Answer pinned =
        post(
            "/api/sessions/" + session + "/items",
            Map.of("candidateId", "seated-calf-raise/usual"));
    assertThat(pinned.status()).isEqualTo(201);
    assertThat(pinned.at("/items/0/setup/stretch").asDouble()).isEqualTo(20);
    assertThat(pinned.at("/items/0").has("lastTime")).isFalse();
    assertThat(
            post(
                    "/api/sessions/" + session + "/items",
                    Map.of("candidateId", "seated-calf-raise/usual"))
                .status())
        .isEqualTo(409);

    String item = pinned.at("/items/0/id").asString();
    String set = "/api/sessions/" + session + "/items/" + item + "/sets/" + UUID.randomUUID();
    for (int sent = 0; sent < 3; sent++) {
      assertThat(
              put(set, Map.of("loadKg", 40, "repetitions", 15, "reserve", 1.5))
                  .at("/items/0/sets")
                  .size())
          .isEqualTo(1);
    }
    assertThat(
            put(set, Map.of("loadKg", 42.5, "repetitions", 14, "reserve", 1))
                .at("/items/0/sets/0/loadKg")
                .asDouble())
        .as("a correction")
        .isEqualTo(42.5);
    assertThat(delete("/api/sessions/" + session + "/items/" + item).status())
        .as("sets are not thrown away with their exercise")
        .isEqualTo(409);
    assertThat(
            put(
                    "/api/sessions/" + session + "/items/" + item + "/setup",
                    Map.of("setup", Map.of("stretch", 15)))
                .status())
        .isEqualTo(409);
    post("/api/sessions/" + session + "/finish", Map.of());

    String next = post("/api/sessions", brief(Map.of("SOL", 2))).at("/id").asString();
    Answer again =
        post("/api/sessions/" + next + "/items", Map.of("candidateId", "seated-calf-raise/usual"));
    assertThat(again.at("/items/0/lastTime/sets/0/loadKg").asDouble()).isEqualTo(42.5);
    assertThat(again.at("/items/0/lastTime/sameSetup").asBoolean()).isTrue();
    String nextItem = again.at("/items/0/id").asString();
    Answer moved =
        put(
            "/api/sessions/" + next + "/items/" + nextItem + "/setup",
            Map.of("setup", Map.of("stretch", 12)));
    assertThat(moved.at("/items/0/lastTime/sameSetup").asBoolean())
        .as("another set-up is another record")
        .isFalse();
    assertThat(delete("/api/sessions/" + next + "/items/" + nextItem).at("/items").size()).isZero();
  }

  @Test
  void faultsOfASetAreNamed() {
    String session = post("/api/sessions", brief(Map.of("SOL", 2))).at("/id").asString();
    String item =
        post(
                "/api/sessions/" + session + "/items",
                Map.of("candidateId", "seated-calf-raise/usual"))
            .at("/items/0/id")
            .asString();
    String set = "/api/sessions/" + session + "/items/" + item + "/sets/" + UUID.randomUUID();
    Answer answer = put(set, Map.of("loadKg", -1, "repetitions", 0, "reserve", 0.3));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.fault("loadKg")).contains("0 to 1000 kg");
    assertThat(answer.fault("repetitions")).contains("1 to 200");
    assertThat(put(set, Map.of("loadKg", 10, "repetitions", 8, "reserve", 0.3)).fault("reserve"))
        .contains("halves");
    assertThat(put(set, Map.of("loadKg", 10)).fault("repetitions")).isEqualTo("is needed");
    assertThat(get("/api/sessions/" + session).at("/items/0/sets").size()).isZero();
  }

  @Test
  void aSetUpOutOfRangeIsRefusedNotClipped() {
    String session = post("/api/sessions", brief(Map.of("VL", 2))).at("/id").asString();
    Answer answer =
        post(
            "/api/sessions/" + session + "/items",
            Map.of(
                "candidateId",
                "leg-press/low",
                "setup",
                Map.of("kneeDepth", 300, "footheight", 0.1)));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.fault("setup.kneeDepth")).contains("50 to 140 deg");
    assertThat(answer.fault("setup.footheight")).contains("footHeight");
  }

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

  @Test
  void aStiffDayLastsForOneSession() {
    Map<String, Object> input = intake("Stiff " + UUID.randomUUID());
    input.put("pain", List.of());
    String id = post("/api/clients", input).at("/id").asString();
    Map<String, Object> brief =
        new java.util.HashMap<>(Map.of("clientId", id, "gymId", gym, "aim", Map.of("VL", 2)));
    double usual = depth(brief);
    brief.put("stiffToday", true);
    assertThat(depth(brief)).isLessThan(usual);
    String stiff = post("/api/sessions", brief).at("/id").asString();
    brief.remove("stiffToday");
    String next = post("/api/sessions", brief).at("/id").asString();
    assertThat(pinnedDepth(stiff)).isLessThan(pinnedDepth(next));
    assertThat(get("/api/sessions/" + stiff).at("/brief/stiffToday").asBoolean()).isTrue();
  }

  private static double depth(Map<String, Object> brief) {
    for (JsonNode allEntry : RunningApp.allEntries(post("/api/orders", brief))) {
      if (allEntry.path("candidateId").asString().equals("back-squat/high-bar")) {
        return allEntry.at("/setup/depth").asDouble();
      }
    }
    throw new AssertionError("no back squat");
  }

  private static double pinnedDepth(String session) {
    return post("/api/sessions/" + session + "/items", Map.of("candidateId", "back-squat/high-bar"))
        .at("/items/0/setup/depth")
        .asDouble();
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
    assertThat(bench.at("/changes").size()).isEqualTo(23);
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
