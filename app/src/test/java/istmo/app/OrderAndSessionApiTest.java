package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.core.catalogue.Catalogue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class OrderAndSessionApiTest extends OrderAndSessionApi {
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
}
