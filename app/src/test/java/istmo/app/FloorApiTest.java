package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * The floor over HTTP: what is taken along, and messages that come late, twice, at once or out of
 * order.
 */
class FloorApiTest extends FloorApi {
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
  void aSwapTakesThePlaceOnceHoweverOftenItIsSent() {
    String text = begin();
    String old = pin(text, "leg-extension/upright");
    String instead =
        get("/api/floor/" + text).at("/items/0/exercise/swaps/0/candidateId").asString();
    String id = UUID.randomUUID().toString();
    Map<String, Object> message = swap(text, old, id);
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
    assertThat(items.get(0).path("exercise").path("candidateId").asString()).isEqualTo(instead);
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
}
