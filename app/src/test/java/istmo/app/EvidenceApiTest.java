package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.core.equipment.Equipment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Studies, claims, schools, weights and comparisons over HTTP. */
@ExtendWith(RunningApp.class)
class EvidenceApiTest {
  private static String client;
  private static String gym;

  @BeforeAll
  static void aClientInAGymWithEverything() {
    client =
        post("/api/clients", ClientAndGymApiTest.intake("Evidence " + UUID.randomUUID()))
            .at("/id")
            .asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Evidence " + UUID.randomUUID(),
                    "equipment",
                    Equipment.ids(Equipment.everything())))
            .at("/id")
            .asString();
  }

  private static Map<String, Object> brief(Map<String, Object> more) {
    Map<String, Object> brief =
        new LinkedHashMap<>(
            Map.of("clientId", client, "gymId", gym, "aim", Map.of("BFL", 2, "GMAXM", 1)));
    brief.putAll(more);
    return brief;
  }

  private static List<String> ids(JsonNode entries) {
    List<String> ids = new ArrayList<>();
    entries.forEach(node -> ids.add(node.at("/candidateId").asString()));
    return ids;
  }

  private static Map<String, Object> school(String label, double bias) {
    return Map.of(
        "label",
        label,
        "reason",
        "a test",
        "lengthBias",
        bias,
        "passiveWeight",
        0.3,
        "activityTrust",
        0.2,
        "basics",
        0);
  }

  @Test
  void anOrderCitesStudiesAndSaysWhatWouldMoveItUp() {
    Answer order = post("/api/orders", brief(Map.of()));
    assertThat(order.status()).isEqualTo(200);
    boolean cited = false;
    for (JsonNode node : order.at("/entries")) {
      cited |=
          node.at("/studies").size() > 0
              && node.at("/studies/0/citation").asString().matches(".*\\d{4}");
      assertThat(node.at("/mechanics/BFL").isNumber()).isTrue();
    }
    assertThat(cited).isTrue();
    assertThat(order.at("/entries/1/raise").size()).isPositive();
    assertThat(order.at("/together").size()).isEqualTo(2);
    assertThat(order.at("/together/0/candidateIds").size()).isEqualTo(2);
  }

  @Test
  void presetsAndWeightsChangeTheOrderAndNonsenseIsNamed() {
    List<String> usual = ids(post("/api/orders", brief(Map.of())).at("/entries"));
    assertThat(ids(post("/api/orders", brief(Map.of("preset", "sore-back"))).at("/entries")))
        .isNotEqualTo(usual);
    assertThat(
            ids(
                post("/api/orders", brief(Map.of("weights", Map.of("time", 10, "fit", 0))))
                    .at("/entries")))
        .isNotEqualTo(usual);
    assertThat(post("/api/orders", brief(Map.of("preset", "beginner"))).at("/learning").size())
        .isPositive();
    assertThat(
            post("/api/orders", brief(Map.of("preset", "one-station")))
                .at("/notes/0/words")
                .asString())
        .startsWith("One station");
    Answer wrong = post("/api/orders", brief(Map.of("weights", Map.of("luck", 1, "time", 40))));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.body().toString()).contains("weights.luck").contains("weights.time");
    assertThat(post("/api/orders", brief(Map.of("preset", "party"))).body().toString())
        .contains("sore-back");
  }

  @Test
  void anOwnSchoolJudgesOrdersIsListedAndCanBeTakenOutAndPutBack() {
    String label = "by a test " + UUID.randomUUID();
    Answer made = post("/api/schools", school(label, -1.2));
    assertThat(made.status()).isEqualTo(201);
    String id = made.at("/id").asString();
    assertThat(ids(post("/api/orders", brief(Map.of("school", id))).at("/entries")))
        .isNotEqualTo(ids(post("/api/orders", brief(Map.of())).at("/entries")));
    JsonNode bySchool = post("/api/orders/schools", brief(Map.of())).body();
    assertThat(bySchool.toString()).contains(label).contains("by the squeeze");
    List<String> usual = ids(post("/api/orders", brief(Map.of())).at("/entries"));
    assertThat(bySchool.at("/0/places/" + usual.get(0).split("/")[0]).asInt())
        .as("the default's first place")
        .isEqualTo(1);
    assertThat(post("/api/schools", school(label, 0)).status())
        .as("a name that is taken")
        .isEqualTo(409);
    assertThat(put("/api/schools/" + id, school(label, 0.4)).at("/lengthBias").asDouble())
        .isEqualTo(0.4);
    assertThat(send("DELETE", "/api/schools/" + id, null).status()).isEqualTo(204);
    assertThat(get("/api/catalogue").at("/schools").toString()).contains(label);
    assertThat(post("/api/orders/schools", brief(Map.of())).body().toString())
        .doesNotContain(label);
    assertThat(put("/api/schools/" + id, school(label, 0.4)).at("/retired").asBoolean()).isFalse();
    assertThat(send("DELETE", "/api/schools/" + id, null).status()).isEqualTo(204);
  }

  @Test
  void aSchoolOutOfRangeIsNamedFieldByField() {
    Answer wrong =
        post(
            "/api/schools",
            Map.of(
                "label",
                " ",
                "reason",
                "x",
                "lengthBias",
                5,
                "passiveWeight",
                0.3,
                "activityTrust",
                2,
                "basics",
                0));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.body().toString())
        .contains("label")
        .contains("lengthBias")
        .contains("activityTrust");
    assertThat(post("/api/schools", Map.of("label", "x", "reason", "y")).status()).isEqualTo(422);
    assertThat(put("/api/schools/stretch", school("by mine", 0)).status())
        .as("a stated school is nobody's to change")
        .isEqualTo(404);
    assertThat(post("/api/orders", brief(Map.of("school", "own-" + UUID.randomUUID()))).status())
        .isEqualTo(422);
  }

  @Test
  void claimsHaveVerdictsAndFindingsThatExist() {
    JsonNode findings = get("/api/studies").body();
    List<String> known = new ArrayList<>();
    findings.forEach(node -> known.add(node.at("/id").asString()));
    assertThat(known).hasSizeGreaterThanOrEqualTo(120);
    JsonNode claims = get("/api/claims").body();
    assertThat(claims.size()).isGreaterThanOrEqualTo(50);
    List<String> ids = new ArrayList<>();
    claims.forEach(node -> ids.add(node.at("/id").asString()));
    claims.forEach(
        node -> {
          for (String kind : List.of("supporting", "opposing", "bearing")) {
            node.at("/" + kind)
                .forEach(jsonNode -> assertThat(known).contains(jsonNode.asString()));
          }
          if (node.has("against")) {
            assertThat(ids).contains(node.at("/against").asString());
          }
        });
    assertThat(get("/api/claims?school=squeeze").body()).isNotEqualTo(claims);
    assertThat(get("/api/claims?school=astrology").status()).isEqualTo(422);
  }

  /** Both sides of a claim can be put on the bench as they are. */
  @Test
  void aClaimsSidesGoOnTheBench() {
    for (JsonNode node : get("/api/claims").body()) {
      if (node.at("/id").asString().startsWith("squat-wide")) {
        for (String side : List.of("first", "second")) {
          Map<String, Object> setup = new LinkedHashMap<>();
          node.at("/" + side + "/setup")
              .properties()
              .forEach(entry -> setup.put(entry.getKey(), entry.getValue().asDouble()));
          Answer bench =
              post(
                  "/api/bench",
                  Map.of(
                      "sides",
                      List.of(
                          Map.of(
                              "clientId",
                              client,
                              "candidateId",
                              node.at("/" + side + "/candidateId").asString(),
                              "setup",
                              setup))));
          assertThat(bench.status()).as(node.at("/id").asString()).isEqualTo(200);
        }
      }
    }
  }

  @Test
  void aComparisonOfThreeSaysWhatDiffersAndOneIsRefused() {
    Answer three =
        post(
            "/api/comparisons",
            Map.of(
                "clientId",
                client,
                "gymId",
                gym,
                "aim",
                Map.of("BFL", 3),
                "members",
                List.of(
                    Map.of("candidateId", "seated-leg-curl/usual"),
                    Map.of("candidateId", "leg-press/low"),
                    Map.of(
                        "candidateId",
                        "romanian-deadlift/usual",
                        "setup",
                        Map.of("kneeBend", 12)))));
    assertThat(three.status()).isEqualTo(200);
    assertThat(three.at("/members").size()).isEqualTo(3);
    assertThat(three.at("/computed").size()).isEqualTo(3);
    assertThat(three.at("/regions").size()).isEqualTo(25);
    assertThat(three.at("/practical").size()).isEqualTo(3);
    assertThat(three.at("/differences/0/words").asString()).contains("outer hamstring");
    assertThat(
            post(
                    "/api/comparisons",
                    Map.of(
                        "clientId",
                        client,
                        "members",
                        List.of(Map.of("candidateId", "leg-press/low"))))
                .status())
        .isEqualTo(422);
  }
}
