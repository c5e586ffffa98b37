package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.core.computing.Kept;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Files that cannot be brought in, or not as they are. */
class ArchiveFaultsApiTest extends ArchiveApi {
  @Test
  void aNameThatIsTakenIsAskedFor() {
    Kept kept = client();
    JsonNode file = file(RunningApp.owner(), kept.id());
    Answer preview = post("/api/archives/preview", Map.of("text", file.toString()));
    assertThat(preview.at("/clients/0/taken").asBoolean()).isTrue();
    assertThat(preview.at("/ready").asBoolean()).isFalse();
    assertThat(bring(RunningApp.owner(), file, Map.of()).fault("names." + kept.name()))
        .contains("another name, or leave this one out");
    Answer left = bring(RunningApp.owner(), file, Map.of("names", Map.of(kept.name(), "")));
    assertThat(left.status()).isEqualTo(201);
    assertThat(left.at("/clients").size()).isZero();
    Answer twin =
        bring(
            RunningApp.owner(),
            file,
            Map.of("names", Map.of(kept.name(), "Twin of " + kept.name())));
    assertThat(twin.at("/sets").asInt()).isEqualTo(3);
    JsonNode before = file(RunningApp.owner(), kept.id());
    JsonNode other = file(RunningApp.owner(), twin.at("/clients/" + kept.name()).asString());
    assertThat(before).as("the first one is untouched").isEqualTo(file);
    assertThat(other.at("/variants"))
        .as("the own variant is the one that is here")
        .isEqualTo(file.at("/variants"));
    assertThat(other.at("/clients/0/sessions/0/items/0/sets/0/id"))
        .isNotEqualTo(file.at("/clients/0/sessions/0/items/0/sets/0/id"));
  }

  @Test
  void everyFaultHasItsPlaceAndNothingComesIn() {

    String good = good(client());
    ObjectNode broken = (ObjectNode) JsonMapper.shared().readTree(good);
    ((ObjectNode) broken.at("/clients/0/sessions/0/items/0/sets/0")).put("loadKg", -5);
    ((ObjectNode) broken.at("/clients/0/sessions/2/items/0/sets/0/pain")).put("level", 11);
    ((ObjectNode) broken.at("/clients/0/sessions/1/items/0")).put("candidateId", "no-such/thing");
    ((ObjectNode) broken.at("/clients/0/sessions/2")).put("school", "own-" + UUID.randomUUID());
    ((ObjectNode) broken.at("/clients/0/measurements/0")).put("value", 4.3);
    ((ObjectNode) broken.at("/clients/0/weeks/0/plan/days/0")).put("weekday", 9);
    ((ObjectNode) broken.at("/clients/0/marks/0")).put("changedAt", "+100000-01-01T00:00:00Z");
    ((ObjectNode) broken.at("/gyms/0/measured/leg-press")).put("railAngle", 400);
    Answer answer = bring(RunningApp.owner(), broken, Map.of());
    assertThat(answer.status()).isEqualTo(422);
    for (String field :
        List.of(
            "clients[0].sessions[0].items[0].sets[0].loadKg",
            "clients[0].sessions[2].items[0].sets[0].pain.level",
            "clients[0].sessions[1].items[0].candidateId",
            "clients[0].sessions[2].school",
            "clients[0].measurements[0].value",
            "clients[0].weeks[0].plan.days[0].weekday",
            "clients[0].marks[0].changedAt",
            "gyms[0].measured.leg-press.railAngle")) {
      assertThat(answer.fault(field)).as(field + " in " + answer.body()).isNotBlank();
    }
    assertThat(get("/api/clients").body().toString()).doesNotContain("Broken");
    assertThat(
            post("/api/archives/preview", Map.of("text", broken.toString()))
                .at("/faultCount")
                .asInt())
        .isEqualTo(8);
  }

  @Test
  void whatIsLeftOutHarmsNobody() {
    ObjectNode setBroken = (ObjectNode) JsonMapper.shared().readTree(good(client()));
    ((ObjectNode) setBroken.at("/clients/0/sessions/0/items/0/sets/0")).put("loadKg", -5);
    assertThat(
            post("/api/archives/preview", Map.of("text", setBroken.toString()))
                .at("/faultCount")
                .asInt())
        .isEqualTo(1);
    assertThat(
            post(
                    "/api/archives/preview",
                    Map.of(
                        "text",
                        setBroken.toString(),
                        "names",
                        Map.of(setBroken.at("/clients/0/name").asString(), "")))
                .at("/ready")
                .asBoolean())
        .as("what is left out harms nobody")
        .isTrue();
  }

  @Test
  void whatCannotBeReadSaysWhere() {
    Kept kept = client();
    String good = good(kept);
    assertThat(
            post(
                    "/api/archives",
                    Map.of("text", good.replace("\"loadKg\":70.0", "\"loadKg\":700.0")))
                .fault("clients[0].lifts[0].loadKg"))
        .contains("mistyped");
    assertThat(
            post("/api/archives", Map.of("text", good.replace("\"2026-11-03\"", "\"yesterday\"")))
                .fault("clients[0].lifts[0].on"))
        .contains("yesterday");
    assertThat(
            post("/api/archives", Map.of("text", good.replace("\"loadShare\"", "\"loadShore\"")))
                .body()
                .toString())
        .as("what nobody knows is not dropped silently")
        .contains("loadShore");
    assertThat(post("/api/archives", Map.of("text", "{")).fault("text")).contains("cannot be read");
    assertThat(
            post("/api/archives", Map.of("text", "{\"format\":\"istmo-client\",\"version\":3}"))
                .fault("format"))
        .contains("istmo-archive");
    assertThat(
            post(
                    "/api/archives",
                    Map.of("text", good, "gyms", Map.of(kept.gym(), UUID.randomUUID())))
                .fault("gyms." + kept.gym()))
        .contains("which of your gyms");
  }

  /** The file of a client, who has another name in it. */
  private static String good(Kept kept) {
    return file(RunningApp.owner(), kept.id())
        .toString()
        .replace(kept.name(), "Broken " + UUID.randomUUID());
  }
}
