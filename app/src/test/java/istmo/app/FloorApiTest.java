package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import istmo.core.equipment.Equipment;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * The floor over HTTP: what is taken along, and messages that come late, twice, at once or out of
 * order.
 */
@ExtendWith(RunningApp.class)
class FloorApiTest {
  private static String client;
  private static String gym;
  private static String session;
  private static String item;

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

  private static Map<String, Object> set(String id, int revision, int base, int repetitions) {
    return set(session, item, id, revision, base, repetitions);
  }

  static Answer send(String device, List<Map<String, Object>> changes) {
    return post(
        "/api/floor/changes",
        Map.of("device", device, "sentAt", Instant.now().toString(), "changes", changes));
  }

  private static String outcome(Answer answer, int k) {
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
    return answer.at("/results/" + k + "/outcome").asString();
  }

  private static JsonNode stored(String id) {
    for (JsonNode node : get("/api/floor/" + session).at("/items")) {
      for (JsonNode jsonNode : node.path("sets")) {
        if (jsonNode.path("id").asString().equals(id)) {
          return jsonNode;
        }
      }
    }
    return null;
  }

  @Test
  void theWalkHasAllThatIsNeededWithoutANetwork() {
    Answer walk = get("/api/floor/" + session);
    JsonNode node = walk.at("/items/0/exercise");
    assertThat(node.path("name").asString()).isEqualTo("Leg extension, upright");
    assertThat(node.path("steps").size()).isGreaterThanOrEqualTo(4);
    assertThat(node.path("cues").size()).isPositive();
    assertThat(node.path("stopSigns").size()).isPositive();
    assertThat(node.path("loads").size()).isGreaterThan(5);
    assertThat(node.path("swaps"))
        .as("three, worked out beforehand")
        .hasSize(3)
        .allSatisfy(
            jsonNode -> {
              assertThat(jsonNode.path("exercise").path("steps").size()).isPositive();
              assertThat(jsonNode.path("exercise").path("swaps")).isEmpty();
              assertThat(jsonNode.path("candidateId").asString())
                  .as("another machine")
                  .doesNotStartWith("leg-extension/");
            });
    assertThat(walk.at("/pain")).hasSize(5);
    assertThat(walk.at("/pain/0/byLevel")).hasSize(11);
  }

  @Test
  void everythingThatIsWrittenDownComesBack() {
    String id = UUID.randomUUID().toString();
    Map<String, Object> s = set(id, 1, 0, 9);
    s.putAll(
        Map.of(
            "kind",
            "WORK",
            "number",
            3,
            "side",
            "LEFT",
            "range",
            "SHORT",
            "tempoKept",
            false,
            "felt",
            List.of("VL", "ERECTORS"),
            "pain",
            Map.of("joint", "KNEE", "level", 4)));
    assertThat(outcome(send("phone", List.of(Map.of("set", s))), 0)).isEqualTo("STORED");
    JsonNode back = stored(id);
    assertThat(back.path("side").asString()).isEqualTo("LEFT");
    assertThat(back.path("range").asString()).isEqualTo("SHORT");
    assertThat(back.path("tempoKept").asBoolean()).isFalse();
    assertThat(back.path("felt").toString()).isEqualTo("[\"ERECTORS\",\"VL\"]");
    assertThat(back.path("pain").path("level").asInt()).isEqualTo(4);
    assertThat(back.path("number").asInt()).isEqualTo(3);
  }

  @Test
  void aRetryIsTheSameAndALateOneIsStale() {
    String id = UUID.randomUUID().toString();
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 1, 0, 9)))), 0))
        .isEqualTo("STORED");
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 1, 0, 9)))), 0))
        .isEqualTo("SAME");
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 2, 1, 10)))), 0))
        .isEqualTo("STORED");
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 1, 0, 9)))), 0))
        .isEqualTo("STALE");
    assertThat(stored(id).path("repetitions").asInt()).isEqualTo(10);
  }

  @Test
  void twoDevicesAreToldOfEachOther() {
    String id = UUID.randomUUID().toString();
    send("phone", List.of(Map.of("set", set(id, 1, 0, 9))));
    assertThat(outcome(send("tablet", List.of(Map.of("set", set(id, 2, 1, 12)))), 0))
        .isEqualTo("STORED");
    Answer conflict = send("phone", List.of(Map.of("set", set(id, 2, 1, 8))));
    assertThat(outcome(conflict, 0)).isEqualTo("CONFLICT");
    assertThat(conflict.at("/results/0/stored/repetitions").asInt()).isEqualTo(12);
    assertThat(conflict.at("/results/0/stored/revision").asInt()).isEqualTo(2);
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 3, 2, 8)))), 0))
        .isEqualTo("STORED");
    assertThat(stored(id).path("repetitions").asInt()).isEqualTo(8);
  }

  @Test
  void theDeskIsADeviceToo() {
    String id = UUID.randomUUID().toString();
    send("phone", List.of(Map.of("set", set(id, 1, 0, 9))));
    RunningApp.put(
        "/api/sessions/" + session + "/items/" + item + "/sets/" + id,
        Map.of("loadKg", 42.5, "repetitions", 9, "reserve", 1));
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 2, 1, 11)))), 0))
        .isEqualTo("CONFLICT");
    RunningApp.delete("/api/sessions/" + session + "/items/" + item + "/sets/" + id);
    assertThat(stored(id)).isNull();
    assertThat(outcome(send("phone", List.of(Map.of("set", set(id, 1, 0, 9)))), 0))
        .as("the first log, again")
        .isEqualTo("STALE");
    assertThat(stored(id)).as("does not bring it back").isNull();
    RunningApp.put(
        "/api/sessions/" + session + "/items/" + item + "/sets/" + id,
        Map.of("loadKg", 42.5, "repetitions", 9, "reserve", 1));
    assertThat(stored(id).path("loadKg").asDouble()).as("undone at the desk").isEqualTo(42.5);
  }

  @Test
  void whatCannotBeTakenSaysWhyAndHoldsNothingUp() {
    String good = UUID.randomUUID().toString();
    Answer answer =
        send(
            "phone",
            List.of(
                Map.of("set", set(UUID.randomUUID().toString(), 1, 0, 900)),
                Map.of(
                    "set",
                    set(
                        session,
                        UUID.randomUUID().toString(),
                        UUID.randomUUID().toString(),
                        1,
                        0,
                        9)),
                Map.of("set", set(good, 1, 0, 9)),
                Map.of()));
    assertThat(outcome(answer, 0)).isEqualTo("REFUSED");
    assertThat(answer.at("/results/0/detail").asString())
        .contains("repetitions: 900 is not within 1 to 200");
    assertThat(outcome(answer, 1)).isEqualTo("REFUSED");
    assertThat(outcome(answer, 2)).isEqualTo("STORED");
    assertThat(outcome(answer, 3)).isEqualTo("REFUSED");
    assertThat(stored(good)).isNotNull();
    assertThat(
            post("/api/floor/changes", Map.of("device", "phone", "changes", List.of()))
                .fault("sentAt"))
        .isEqualTo("is needed");
  }

  @Test
  void aWrongClockIsPutRightByHowFarItIsOff() {
    String id = UUID.randomUUID().toString();
    Instant wrong = Instant.parse("2019-03-01T08:00:00Z");
    Map<String, Object> s = set(id, 1, 0, 9);
    s.put("performedAt", wrong.minusSeconds(600).toString());
    post(
        "/api/floor/changes",
        Map.of(
            "device",
            "old clock",
            "sentAt",
            wrong.toString(),
            "changes",
            List.of(Map.of("set", s))));
    Instant at = Instant.parse(stored(id).path("performedAt").asString());
    assertThat(at).isBetween(Instant.now().minusSeconds(640), Instant.now().minusSeconds(560));
  }

  @Test
  void aSwapTakesThePlaceOnceHoweverOftenItIsSent() {
    String text = begin();
    String old = pin(text, "leg-extension/upright");
    JsonNode swap = get("/api/floor/" + text).at("/items/0/exercise/swaps/0");
    String id = UUID.randomUUID().toString();
    Map<String, Object> message =
        Map.of(
            "item",
            Map.of(
                "sessionId",
                text,
                "itemId",
                id,
                "candidateId",
                swap.path("candidateId").asString(),
                "setup",
                Map.of(),
                "replaces",
                old));
    assertThat(
            outcome(
                send(
                    "phone",
                    List.of(
                        message,
                        Map.of("set", set(text, id, UUID.randomUUID().toString(), 1, 0, 8)))),
                1))
        .isEqualTo("STORED");
    assertThat(outcome(send("phone", List.of(message)), 0)).isEqualTo("STORED");
    JsonNode items = get("/api/floor/" + text).at("/items");
    assertThat(items).as("the one swapped away had no set").hasSize(1);
    assertThat(items.get(0).path("exercise").path("candidateId").asString())
        .isEqualTo(swap.path("candidateId").asString());
    assertThat(items.get(0).path("sets")).hasSize(1);
  }

  @Test
  void marksAreRememberedAndTheNewerStays() {
    String text = begin();
    pin(text, "seated-leg-curl/usual");
    Instant now = Instant.now();
    Map<String, Object> newer =
        Map.of(
            "mark",
            Map.of(
                "clientId",
                client,
                "gymId",
                gym,
                "candidateId",
                "seated-leg-curl/usual",
                "words",
                "Seat 4 · pad 2",
                "at",
                now.toString()));
    Map<String, Object> older =
        Map.of(
            "mark",
            Map.of(
                "clientId",
                client,
                "gymId",
                gym,
                "candidateId",
                "seated-leg-curl/usual",
                "words",
                "Seat 1",
                "at",
                now.minusSeconds(30).toString()));
    send("phone", List.of(newer, older, newer));
    assertThat(get("/api/floor/" + text).at("/items/0/exercise/mark").asString())
        .isEqualTo("Seat 4 · pad 2");
    String another = begin();
    pin(another, "seated-leg-curl/usual");
    assertThat(get("/api/floor/" + another).at("/items/0/exercise/mark").asString())
        .as("next time")
        .isEqualTo("Seat 4 · pad 2");
  }

  @Test
  void lastTimeIsThisSetUpsAndTheNextLoadFollowsTheRule() {
    String first = begin();
    String calf = pin(first, "standing-calf-raise/usual");
    List<Map<String, Object>> sets = new ArrayList<>();
    for (int k = 0; k < 3; k++) {
      sets.add(Map.of("set", set(first, calf, UUID.randomUUID().toString(), 1, 0, 25)));
    }
    send("phone", sets);
    send(
        "phone",
        List.of(Map.of("finish", Map.of("sessionId", first, "at", Instant.now().toString()))));
    String next = begin();
    pin(next, "standing-calf-raise/usual");
    JsonNode node = get("/api/floor/" + next).at("/items/0/exercise");
    assertThat(node.path("last").path("sets")).hasSize(3);
    assertThat(node.path("rule").asString()).isIn("LOAD", "STEP_TOO_LARGE");
    assertThat(node.path("basis").asString()).contains("kg");
    assertThat(get("/api/sessions/" + first).body().has("finishedAt")).isTrue();
  }

  @Test
  void anotherCoachsSessionIsNotReached() {
    Visitor other =
        RunningApp.anotherCoach("floor-" + UUID.randomUUID().toString().substring(0, 8));
    String before = get("/api/floor/" + session).at("/items").toString();
    Map<String, Object> body =
        Map.of(
            "device",
            "x",
            "sentAt",
            Instant.now().toString(),
            "changes",
            List.of(
                Map.of("set", set(UUID.randomUUID().toString(), 1, 0, 9)),
                Map.of(
                    "item",
                    Map.of(
                        "sessionId",
                        session,
                        "itemId",
                        UUID.randomUUID().toString(),
                        "candidateId",
                        "hip-thrust/usual")),
                Map.of(
                    "mark",
                    Map.of(
                        "clientId",
                        client,
                        "gymId",
                        gym,
                        "candidateId",
                        "leg-extension/upright",
                        "words",
                        "stolen",
                        "at",
                        Instant.now().toString())),
                Map.of("finish", Map.of("sessionId", session, "at", Instant.now().toString()))));
    Answer answer = other.post("/api/floor/changes", body);
    for (int k = 0; k < 4; k++) {
      assertThat(outcome(answer, k)).isEqualTo("REFUSED");
    }
    assertThat(other.get("/api/floor/" + session).status()).isEqualTo(404);
    assertThat(get("/api/floor/" + session).at("/items").toString()).isEqualTo(before);
    assertThat(get("/api/sessions/" + session).body().has("finishedAt")).isFalse();
  }

  /**
   * Against the real database: two devices' worth of logs, corrections and removals, doubled,
   * shuffled, sent by several threads at once; each set ends as its device had it last, and once.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6})
  void anyInterleavingGivesTheSameRecord(int seed) throws Exception {
    Random random = new Random(seed);
    String text = begin();
    String i = pin(text, "leg-press/high");
    Map<String, int[]> wanted = new LinkedHashMap<>(); // repetitions, removed
    List<Map<String, Object>> messages = new ArrayList<>();
    for (int n = 0; n < 12; n++) {
      String id = UUID.randomUUID().toString();
      int revisions = 1 + random.nextInt(4);
      for (int r = 1; r <= revisions; r++) {
        Map<String, Object> m = set(text, i, id, r, r - 1, 1 + random.nextInt(20));
        boolean removed = r > 1 && random.nextInt(4) == 0;
        m.put("removed", removed);
        wanted.put(id, new int[] {(Integer) m.get("repetitions"), removed ? 1 : 0});
        for (int copies = 1 + random.nextInt(2); copies > 0; copies--) {
          messages.add(Map.of("set", m));
        }
      }
    }
    Collections.shuffle(messages, random);
    ExecutorService threads = Executors.newFixedThreadPool(4);
    try {
      List<Map<String, Object>> left = new ArrayList<>(messages);
      for (int round = 0; round < 6 && !left.isEmpty(); round++) {
        List<Future<List<Map<String, Object>>>> sent = new ArrayList<>();
        for (int from = 0; from < left.size(); from += 7) {
          List<Map<String, Object>> part =
              List.copyOf(left.subList(from, Math.min(left.size(), from + 7)));
          sent.add(threads.submit(() -> again(part)));
        }
        left = new ArrayList<>();
        for (Future<List<Map<String, Object>>> f : sent) {
          left.addAll(f.get());
        }
      }
      assertThat(left).as("taken at last").isEmpty();
    } finally {
      threads.shutdown();
    }
    Map<String, Integer> found = new HashMap<>();
    get("/api/floor/" + text)
        .at("/items/0/sets")
        .forEach(
            node ->
                assertThat(found.put(node.path("id").asString(), node.path("repetitions").asInt()))
                    .as("once")
                    .isNull());
    wanted.forEach(
        (id, w) -> assertThat(found.get(id)).as(id).isEqualTo(w[1] == 1 ? null : (Integer) w[0]));
    assertThat(found.size()).isEqualTo(wanted.values().stream().filter(w -> w[1] == 0).count());
  }

  /** What has to be sent again. */
  private static List<Map<String, Object>> again(List<Map<String, Object>> part) {
    Answer answer = send("phone", part);
    List<Map<String, Object>> left = new ArrayList<>();
    for (int k = 0; k < part.size(); k++) {
      String other = outcome(answer, k);
      assertThat(other).isIn("STORED", "SAME", "STALE", "AGAIN");
      if (other.equals("AGAIN")) {
        left.add(part.get(k));
      }
    }
    return left;
  }
}
