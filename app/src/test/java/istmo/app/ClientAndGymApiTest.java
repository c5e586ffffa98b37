package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningApp.class)
class ClientAndGymApiTest {
  static Map<String, Object> intake(String name) {
    return new HashMap<>(
        Map.of(
            "name",
            name,
            "statureM",
            1.72,
            "massKg",
            68,
            "sex",
            "FEMALE",
            "thigh",
            "LONG",
            "ankle",
            "STIFF",
            "pain",
            List.of(Map.of("joint", "KNEE"))));
  }

  @Test
  void aClientIsStoredAndComesBackAsItWasGiven() {
    Answer added = post("/api/clients", intake("Nessa Thorne"));
    assertThat(added.status()).isEqualTo(201);
    Answer found = get("/api/clients/" + added.at("/id").asString());
    assertThat(found.at("/statureM").asDouble()).isEqualTo(1.72);
    assertThat(found.at("/thigh").asString()).isEqualTo("LONG");
    assertThat(found.at("/pain/0/joint").asString()).isEqualTo("KNEE");
  }

  @Test
  void everyFaultOfAnIntakeIsNamedAtOnceWithWhatIsAllowed() {
    Map<String, Object> input = intake("Faulty");
    input.put("statureM", 17.2);
    input.put("massKg", null);
    input.remove("sex");
    Answer answer = post("/api/clients", input);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.contentType()).contains("application/problem+json");
    assertThat(answer.fault("statureM")).contains("1.3 to 2.2 m");
    assertThat(answer.fault("massKg")).isEqualTo("is needed");
    assertThat(answer.fault("sex")).isEqualTo("is needed");
    assertThat(get("/api/clients").body().toString()).doesNotContain("Faulty");
  }

  @Test
  void jsonThatCannotBeReadSaysWhereAndWhatIsKnown() {
    Map<String, Object> input = intake("Typo");
    input.put("ankle", "WOBBLY");
    Answer answer = post("/api/clients", input);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.fault("ankle")).contains("STIFF");
    input.put("ankle", "FREE");
    input.put("staturem", 1.7);
    assertThat(post("/api/clients", input).fault("staturem")).contains("statureM");
    assertThat(post("/api/clients", "{").status()).isEqualTo(400);
  }

  @Test
  void aChangeMadeElsewhereMeanwhileIsNotOverwritten() {
    Answer added = post("/api/clients", intake("Version Vane"));
    String path = "/api/clients/" + added.at("/id").asString();
    Map<String, Object> change = intake("Version Vane");
    change.put("version", added.at("/version").asInt());
    change.put("massKg", 70);
    assertThat(put(path, change).status()).isEqualTo(200);
    change.put("massKg", 75);
    Answer late = put(path, change);
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.at("/detail").asString()).contains("nothing was overwritten");
    assertThat(get(path).at("/massKg").asDouble()).isEqualTo(70);
  }

  @Test
  void cautionsAndRestrictionsAreKeptAndEveryOrderRespectsThem() {
    Map<String, Object> input = intake("Careful " + UUID.randomUUID());
    input.put("pain", List.of());
    input.put(
        "cautions", List.of(Map.of("caution", "KNEE_REPLACEMENT"), Map.of("caution", "LAY_OFF")));
    input.put(
        "restrictions",
        List.of(
            Map.of(
                "by",
                "Dr Amsel",
                "on",
                "2026-10-30",
                "text",
                "No load on the back before January.",
                "noLoadedBack",
                true)));
    Answer added = post("/api/clients", input);
    assertThat(added.status()).isEqualTo(201);
    String client = added.at("/id").asString();
    assertThat(get("/api/clients/" + client).at("/restrictions/0/by").asString())
        .isEqualTo("Dr Amsel");
    String gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Careful gym " + UUID.randomUUID(),
                    "equipment",
                    List.of("barbell", "rack", "leg-press", "leg-extension")))
            .at("/id")
            .asString();
    Answer order =
        post("/api/orders", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 2)));
    assertThat(order.at("/statements").toString())
        .contains(
            "Knee replacement: ask the clinician in charge first",
            "Restriction by Dr Amsel, 2026-10-30",
            "Begin at about half");
    assertThat(order.at("/excluded").toString()).contains("No load on the back before January.");
    order
        .at("/entries")
        .forEach(
            node -> {
              if (node.path("setup").has("kneeDepth")) {
                assertThat(node.path("setup").path("kneeDepth").asDouble()).isLessThanOrEqualTo(90);
              }
            });
    input.put("cautions", List.of(Map.of("caution", "KNEE_REPLACEMENT", "clearedBy", "Dr Amsel")));
    input.put("version", added.at("/version").asInt());
    assertThat(put("/api/clients/" + client, input).fault("cautions.clearance"))
        .contains("the day");
    input.put("restrictions", List.of(Map.of("by", "Dr Amsel", "on", "2026-10-30")));
    input.put("cautions", List.of());
    assertThat(put("/api/clients/" + client, input).fault("restrictions.text"))
        .contains("what it says");
  }

  @Test
  void twoClientsOfOneNameAreRefused() {
    post("/api/clients", intake("Same Name"));
    assertThat(post("/api/clients", intake(" Same Name ")).fault("name")).contains("already");
  }

  @Test
  void aGymKeepsItsTickListAndRefusesWhatDoesNotExist() {
    Answer added =
        post("/api/gyms", Map.of("name", "Slipway", "equipment", List.of("barbell", "rack")));
    assertThat(added.status()).isEqualTo(201);
    assertThat(get("/api/gyms/" + added.at("/id").asString()).at("/equipment").toString())
        .isEqualTo("[\"barbell\",\"rack\"]");
    assertThat(
            post("/api/gyms", Map.of("name", "Odd", "equipment", List.of("trampoline")))
                .fault("equipment"))
        .contains("leg-press");
    assertThat(post("/api/gyms", Map.of("name", "  ")).fault("name")).contains("1 to 120");
  }

  @Test
  void aGymIsTakenOutAndPutBackAndWhatWasDoneThereKeepsIt() {
    String name = "Old pier " + UUID.randomUUID();
    String gym =
        post("/api/gyms", Map.of("name", name, "equipment", List.of("seated-calf")))
            .at("/id")
            .asString();
    String client = post("/api/clients", intake("Pier " + UUID.randomUUID())).at("/id").asString();
    Map<String, Object> begin = Map.of("clientId", client, "gymId", gym, "aim", Map.of("SOL", 1));
    String session = post("/api/sessions", begin).at("/id").asString();
    assertThat(RunningApp.delete("/api/gyms/" + gym).status()).isEqualTo(204);
    assertThat(get("/api/gyms").body().toString()).doesNotContain(name);
    assertThat(get("/api/gyms?removed=true").body().toString()).contains(name);
    assertThat(get("/api/sessions/" + session).at("/gymName").asString()).isEqualTo(name);
    assertThat(post("/api/sessions", begin).status()).as("nothing new there").isEqualTo(409);
    assertThat(post("/api/weeks", begin).status()).isEqualTo(409);
    assertThat(post("/api/gyms", Map.of("name", name, "equipment", List.of("rack"))).fault("name"))
        .contains("before it was taken out");
    assertThat(get("/api/search?text=" + name.replace(' ', '+')).body()).isEmpty();
    assertThat(get("/api/clients/" + client + "/file").at("/gyms/0/removed").asBoolean()).isTrue();
    assertThat(post("/api/gyms/" + gym + "/restore", null).at("/removed").asBoolean()).isFalse();
    assertThat(post("/api/sessions", begin).status()).isEqualTo(201);
  }

  @Test
  void whatIsNotThereIsNotFound() {
    assertThat(get("/api/clients/" + UUID.randomUUID()).status()).isEqualTo(404);
    assertThat(get("/api/clients/not-an-id").status()).isEqualTo(400);
    assertThat(get("/api/nothing").status()).isEqualTo(404);
  }

  @Test
  void otherSitesCannotReachTheNotes() {
    assertThat(send("GET", "/api/clients", null, "Origin", "http://elsewhere.example").status())
        .isEqualTo(403);
  }

  /** A form that is wrong in five places says so once, not five times one after another. */
  @Test
  void everyFaultOfAFormIsSaidAtOnce() {
    Map<String, Object> client = intake("");
    client.put("statureM", 9);
    client.put("profile", Map.of("likes", List.of("no-such"), "notes", ""));
    client.put("pain", List.of(Map.of("movements", List.of())));
    Answer answer = post("/api/clients", client);
    assertThat(answer.fault("name")).contains("visible");
    assertThat(answer.fault("statureM")).contains("1.3 to 2.2");
    assertThat(answer.fault("pain.joint")).contains("needed");
    assertThat(answer.at("/faults")).hasSize(4);

    Answer gym = post("/api/gyms", Map.of("name", "", "equipment", List.of("no-such")));
    assertThat(gym.fault("name")).contains("visible");
    assertThat(gym.at("/faults")).hasSize(2);

    String id = post("/api/clients", intake("Faults " + UUID.randomUUID())).at("/id").asString();
    Answer reading =
        post(
            "/api/clients/" + id + "/measurements",
            Map.of("kind", "MASS", "value", 9999, "on", "2099-01-01"));
    assertThat(reading.fault("value")).contains("220 kg");
    assertThat(reading.fault("on")).contains("to come");
  }
}
