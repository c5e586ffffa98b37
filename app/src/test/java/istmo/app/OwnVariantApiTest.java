package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A coach's own variants: kept from the bench, ordered, pinned, taken out again. */
@ExtendWith(RunningApp.class)
class OwnVariantApiTest {
  private static String client;
  private static String tall;
  private static String gym;

  @BeforeAll
  static void aLine() {
    Map<String, Object> usual = ClientAndGymApiTest.intake("Variant " + UUID.randomUUID());
    usual.put("pain", List.of());
    client = post("/api/clients", usual).at("/id").asString();
    Map<String, Object> other = ClientAndGymApiTest.intake("Tall " + UUID.randomUUID());
    other.put("statureM", 1.95);
    tall = post("/api/clients", other).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Variants " + UUID.randomUUID(),
                    "equipment",
                    List.of("barbell", "rack", "dumbbells")))
            .at("/id")
            .asString();
  }

  private static Answer side(String who, String candidate, Map<String, Object> setup) {
    Map<String, Object> side =
        new HashMap<>(Map.of("clientId", who, "gymId", gym, "candidateId", candidate));
    if (setup != null) {
      side.put("setup", setup);
    }
    return post("/api/bench", Map.of("sides", List.of(side)));
  }

  private static List<String> ordered() {
    List<String> ids = new ArrayList<>();
    Answer order =
        post("/api/orders", Map.of("clientId", client, "gymId", gym, "aim", Map.of("GMAXM", 2)));
    RunningApp.allEntries(order).forEach(node -> ids.add(node.path("candidateId").asString()));
    return ids;
  }

  private static boolean retired(String id) {
    for (JsonNode exercise : get("/api/catalogue").at("/exercises")) {
      for (JsonNode candidate : exercise.path("candidates")) {
        if (candidate.path("id").asString().equals(id)) {
          return candidate.path("retired").asBoolean();
        }
      }
    }
    throw new AssertionError(id + " is not listed");
  }

  private static Answer keep(String name, Map<String, Object> setup) {
    return post(
        "/api/variants",
        Map.of("exerciseId", "split-squat", "name", name, "setup", setup, "clientId", client));
  }

  @Test
  void aKeptSetUpIsOrderedPinnedAndTakenOut() {
    String name = "Our long leaning split squat " + UUID.randomUUID();
    Map<String, Object> setup = Map.of("stride", 0.80, "lean", 30);
    Answer kept = keep(name, setup);
    assertThat(kept.status()).isEqualTo(201);
    String id = kept.at("/id").asString();
    assertThat(kept.at("/own").asBoolean()).isTrue();
    assertThat(get("/api/catalogue").body().toString()).contains(name);

    Answer begun = side(client, id, null);
    assertThat(begun.at("/sides/0/name").asString()).isEqualTo(name);
    assertThat(begun.at("/sides/0/setup/stride").asDouble())
        .as("this client gets it back")
        .isEqualTo(0.80);
    assertThat(begun.at("/sides/0/setup/lean").asDouble()).isEqualTo(30);
    double longer = side(tall, id, null).at("/sides/0/setup/stride").asDouble();
    double size =
        side(tall, "split-squat/upright", null).at("/sides/0/setup/stride").asDouble()
            / side(client, "split-squat/upright", null).at("/sides/0/setup/stride").asDouble();
    assertThat(longer / 0.80)
        .as("a taller client gets it in proportion")
        .isCloseTo(size, within(0.02))
        .isGreaterThan(1.03);

    assertThat(get("/api/starts?candidateId=" + id).status()).isEqualTo(200);
    assertThat(ordered()).contains(id, "split-squat/upright");
    String session =
        post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("GMAXM", 2)))
            .at("/id")
            .asString();
    assertThat(
            post("/api/sessions/" + session + "/items", Map.of("candidateId", id))
                .at("/items/0/name")
                .asString())
        .isEqualTo(name);

    assertThat(delete("/api/variants/" + id).status()).isEqualTo(204);
    assertThat(ordered()).doesNotContain(id);
    assertThat(retired(id)).isTrue();
    assertThat(get("/api/sessions/" + session).at("/items/0/name").asString())
        .as("what was planned keeps its name")
        .isEqualTo(name);
    assertThat(side(client, id, null).status()).as("and can still be looked at").isEqualTo(200);

    String again = keep(name, setup).at("/id").asString();
    assertThat(put("/api/variants/" + id, null).status())
        .as("its name is taken by now")
        .isEqualTo(409);
    delete("/api/variants/" + again);
    assertThat(put("/api/variants/" + id, null).status()).isEqualTo(204);
    assertThat(retired(id)).isFalse();
    assertThat(ordered()).contains(id);
  }

  /** As if a later version of the exercise took shorter strides only, and had lost a parameter. */
  @Test
  void aVariantThatTheExerciseDoesNotTakeAnyMoreIsOutOfOrdersAndBreaksNothing() {
    String id = keep("Outgrown " + UUID.randomUUID(), Map.of("stride", 0.80)).at("/id").asString();
    String session =
        post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("GMAXM", 2)))
            .at("/id")
            .asString();
    post("/api/sessions/" + session + "/items", Map.of("candidateId", id));
    RunningApp.bean(JdbcTemplate.class)
        .update(
            "update own_variant set setup = setup || '{\"stride\": 9, \"gone\": 1}'::jsonb where id"
                + " = ?::uuid",
            id.substring(id.indexOf("own-") + 4));
    assertThat(retired(id)).isTrue();
    assertThat(get("/api/sessions/" + session).at("/items/0/name").asString())
        .startsWith("Outgrown");
    assertThat(side(client, id, null).status()).isEqualTo(200);
    assertThat(put("/api/variants/" + id, null).status()).isEqualTo(409);
    assertThat(ordered()).doesNotContain(id).isNotEmpty();
  }

  @Test
  void whatCannotBeKeptIsSaid() {
    assertThat(keep("Split squat, too long", Map.of("stride", 9)).fault("setup.stride"))
        .isNotBlank();
    assertThat(keep("Split squat with a wheel", Map.of("wheel", 1)).fault("setup.wheel"))
        .contains("is not a parameter here");
    assertThat(keep("  ", Map.of()).fault("name")).contains("1 to 120");
    String taken = get("/api/catalogue").at("/exercises/0/candidates/0/name").asString();
    assertThat(keep(taken.toUpperCase(java.util.Locale.ROOT), Map.of()).status())
        .as("a name of the catalogue")
        .isEqualTo(409);
    assertThat(
            post(
                    "/api/variants",
                    Map.of(
                        "exerciseId",
                        "no-such",
                        "name",
                        "x",
                        "setup",
                        Map.of(),
                        "clientId",
                        client))
                .fault("exercise"))
        .contains("not in the catalogue");
    assertThat(delete("/api/variants/back-squat/high-bar").status())
        .as("the catalogue's own stay")
        .isEqualTo(404);
    assertThat(
            post(
                    "/api/variants",
                    Map.of(
                        "exerciseId",
                        "split-squat",
                        "name",
                        "Shorter than in proportion",
                        "setup",
                        Map.of("stride", 0.20),
                        "clientId",
                        tall))
                .fault("setup.stride"))
        .contains("on an average body");
    assertThat(delete("/api/variants/back-squat/own-nonsense").status()).isEqualTo(404);
  }
}
