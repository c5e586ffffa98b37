package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
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
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Several devices on one session, late, twice and in any order. */
class FloorDevicesApiTest extends FloorApi {
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

  /**
   * A network that comes and goes lets the same swap arrive several times at once, each time with
   * the set that was done after it: it takes its place once, and neither is refused.
   */
  @RepeatedTest(4)
  void aSwapAndItsSetSentSeveralTimesAtOnceAreTakenOnce() throws Exception {
    String text = begin();
    String old = pin(text, "leg-extension/upright");
    String id = UUID.randomUUID().toString();
    List<Map<String, Object>> messages =
        List.of(
            swap(text, old, id),
            Map.of("set", set(text, id, UUID.randomUUID().toString(), 1, 0, 8)));
    ExecutorService threads = Executors.newFixedThreadPool(6);
    try {
      List<Future<List<Map<String, Object>>>> sent = new ArrayList<>();
      for (int copy = 0; copy < 6; copy++) {
        sent.add(threads.submit(() -> again(messages)));
      }
      for (Future<List<Map<String, Object>>> f : sent) {
        assertThat(again(f.get())).as("taken at last").isEmpty();
      }
    } finally {
      threads.shutdown();
    }
    JsonNode items = get("/api/floor/" + text).at("/items");
    assertThat(items).hasSize(1);
    assertThat(items.get(0).path("sets")).hasSize(1);
  }

  /** What has to be sent again. */
  private static List<Map<String, Object>> again(List<Map<String, Object>> part) {
    Answer answer = send("phone", part);
    List<Map<String, Object>> left = new ArrayList<>();
    for (int k = 0; k < part.size(); k++) {
      String other = outcome(answer, k);
      assertThat(other)
          .as(answer.at("/results/" + k + "/detail").asString())
          .isIn("STORED", "SAME", "STALE", "AGAIN");
      if (other.equals("AGAIN")) {
        left.add(part.get(k));
      }
    }
    return left;
  }
}
