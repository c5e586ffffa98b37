package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import istmo.core.computing.Kept;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class ArchiveApiTest extends ArchiveApi {
  @Test
  void theFileHoldsEverythingAndErasingLeavesNothing() throws Exception {
    Kept kept = client();
    Answer file = get("/api/clients/" + kept.id() + "/file");
    assertThat(file.at("/format").asString()).isEqualTo("istmo-archive");
    assertThat(file.at("/version").asInt()).isEqualTo(1);
    assertThat(file.at("/gyms/0/name").asString()).isEqualTo(kept.gym());
    assertThat(file.at("/gyms/0/measured/leg-press/railAngle").asDouble()).isEqualTo(40);
    assertThat(file.at("/gyms/0/plates")).hasSize(2);
    assertThat(file.at("/gyms")).as("only what is named").hasSize(1);
    assertThat(file.at("/variants/0/id").asString()).isEqualTo(kept.variant());
    assertThat(file.at("/variants")).hasSize(1);
    assertThat(file.at("/schools/0/id").asString()).isEqualTo(kept.school());
    JsonNode of = file.at("/clients/0");
    assertThat(of.at("/name").asString()).isEqualTo(kept.name());
    assertThat(of.at("/cautions/1/clearedBy").asString()).isEqualTo("A clinician");
    assertThat(of.at("/restrictions/0/kneeMaxDeg").asDouble()).isEqualTo(120);
    assertThat(of.at("/measurements/0/value").asDouble()).isEqualTo(0.43);
    assertThat(of.at("/pain/0/joint").asString()).isEqualTo("KNEE");
    assertThat(of.at("/profile/notes").asString()).isEqualTo("bar hurts the hip bones");
    assertThat(of.at("/profile/likes/0").asString()).isEqualTo("seated-calf-raise");
    assertThat(of.at("/lifts/0/loadKg").asDouble()).isEqualTo(70);
    assertThat(of.at("/sightings/0/on").asString()).isEqualTo("2026-05-12");
    assertThat(of.at("/sightings/0/told/posed/trunk/value").asDouble()).isBetween(0.7, 0.9);
    assertThat(of.at("/sessions").size()).isEqualTo(3);
    assertThat(of.at("/sessions/2/items/0/sets/0/pain/level").asInt()).isEqualTo(2);
    assertThat(of.at("/sessions/2/items/0/sets/0/felt/0").asString()).isEqualTo("SOL");
    assertThat(of.at("/marks/0/words").asString()).isEqualTo("Pad 3");
    assertThat(of.at("/answers/0/act").asString()).isEqualTo("SWAP");
    assertThat(of.at("/learns").asBoolean()).isTrue();
    assertThat(of.at("/sessions/0/items/0/sets/0/loadKg").asDouble())
        .as("oldest first")
        .isEqualTo(40);
    assertThat(of.at("/sessions/1/aim/SOL").asInt()).isEqualTo(2);
    assertThat(of.at("/weeks/0/plan/days/0/bouts/0/0/candidateId").asString())
        .isEqualTo(kept.variant());

    assertThat(delete("/api/clients/" + kept.id() + "?name=Somebody").fault("name"))
        .contains("nothing was erased");
    assertThat(get("/api/clients/" + kept.id()).status()).isEqualTo(200);
    erase(kept);
    assertThat(get("/api/clients/" + kept.id()).status()).isEqualTo(404);
    for (String table :
        List.of(
            "client",
            "measurement",
            "known_lift",
            "training_session",
            "performed_set",
            "week_plan",
            "series",
            "machine_mark",
            "lesson_answer")) {
      assertThat(rows(table, kept.id())).as(table).isZero();
    }
  }

  @Test
  void whatWentOutAndWasErasedComesInAgainAsItWas() {
    Kept kept = client();
    JsonNode file = file(RunningApp.owner(), kept.id());
    erase(kept);
    Answer preview = post("/api/archives/preview", Map.of("text", file.toString()));
    assertThat(preview.at("/ready").asBoolean()).as("%s", preview.body()).isTrue();
    assertThat(preview.at("/clients/0/sets").asInt()).isEqualTo(3);
    assertThat(preview.at("/gyms/0/gymId").isString()).as("the gym is here already").isTrue();
    assertThat(get("/api/clients").body().toString())
        .as("looking keeps nothing")
        .doesNotContain(kept.name());
    Answer in = bring(RunningApp.owner(), file, Map.of());
    assertThat(in.status()).as("%s", in.body()).isEqualTo(201);
    assertThat(in.at("/sets").asInt()).isEqualTo(3);
    assertThat(file(RunningApp.owner(), in.at("/clients/" + kept.name()).asString()))
        .isEqualTo(file);
  }

  /**
   * Ids are new where the old ones are in use: another coach on the same machine gets a copy that
   * is alike but for them, and everything that is named by an id still is.
   */
  @Test
  void anAccountGoesToAnotherCoach() {
    Kept kept = client();
    Visitor next =
        RunningApp.anotherCoach("successor" + UUID.randomUUID().toString().substring(0, 8));
    JsonNode file = file(RunningApp.owner(), kept.id());
    Answer in = bring(next, file, Map.of());
    assertThat(in.status()).as("%s", in.body()).isEqualTo(201);
    JsonNode account = next.get("/api/account/file").body();
    assertThat(account.at("/clients")).hasSize(1);
    assertThat(account.at("/clients/0/sessions/0/items/0/candidateId").asString())
        .isEqualTo(account.at("/variants/0/id").asString())
        .isNotEqualTo(kept.variant());
    assertThat(account.at("/clients/0/answers/0/subject").asString())
        .isEqualTo(account.at("/variants/0/id").asString());
    assertThat(account.at("/clients/0/weeks/0/brief/school").asString())
        .isEqualTo(account.at("/schools/0/id").asString());
    String ids = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";
    String gymAndNames = kept.name() + "|" + kept.gym();
    assertThat(
            JsonMapper.shared()
                .readTree(
                    ((ObjectNode) account)
                        .without("exportedAt")
                        .toString()
                        .replaceAll("(?!" + gymAndNames + ")" + ids, "ID")))
        .isEqualTo(
            JsonMapper.shared()
                .readTree(file.toString().replaceAll("(?!" + gymAndNames + ")" + ids, "ID")));
    assertThat(
            next.get("/api/clients/" + in.at("/clients/" + kept.name()).asString() + "/record")
                .at("/series"))
        .as("the record reads it")
        .hasSize(2);
  }

  @Test
  void theRecordGoesOutAsATableAndInAgain() {
    Kept kept = client();
    String csv = RunningApp.text(RunningApp.owner(), "/api/clients/" + kept.id() + "/record.csv");
    assertThat(csv.lines()).hasSize(4);
    assertThat(csv).startsWith("day,time_utc,gym,exercise,candidate,").contains("ANKLE,2");
    Map<String, Object> intake = ClientAndGymApiTest.intake("Table " + UUID.randomUUID());
    intake.put("pain", List.of());
    String other = post("/api/clients", intake).at("/id").asString();
    String gym =
        post(
                "/api/gyms",
                Map.of("name", "Table " + UUID.randomUUID(), "equipment", List.of("seated-calf")))
            .at("/id")
            .asString();
    Answer in = post("/api/clients/" + other + "/imports", Map.of("gymId", gym, "text", csv));
    assertThat(in.status()).as("%s", in.body()).isEqualTo(200);
    assertThat(in.at("/sets").asInt()).isEqualTo(3);
    assertThat(get("/api/clients/" + other + "/record").at("/series")).hasSize(2);
  }
}
