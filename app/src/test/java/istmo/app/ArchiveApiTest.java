package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(RunningApp.class)
class ArchiveApiTest {
  private static int rows(String table, String client) throws Exception {
    try (Connection connection = RunningApp.bean(DataSource.class).getConnection();
        PreparedStatement statement =
            connection.prepareStatement(
                "select count(*) from "
                    + table
                    + " where "
                    + (table.equals("client") ? "id" : "client_id")
                    + " = ?")) {
      statement.setObject(1, UUID.fromString(client));
      try (ResultSet set = statement.executeQuery()) {
        set.next();
        return set.getInt(1);
      }
    }
  }

  /** A client with something in every part of the file. */
  private record Kept(String id, String name, String gym, String variant, String school) {}

  private static Kept client() {
    String name = "File " + UUID.randomUUID();
    Map<String, Object> intake = ClientAndGymApiTest.intake(name);
    intake.put(
        "cautions",
        List.of(
            Map.of("caution", "LAY_OFF"),
            Map.of(
                "caution",
                "HIGH_BLOOD_PRESSURE",
                "clearedBy",
                "A clinician",
                "clearedOn",
                "2026-10-01")));
    intake.put(
        "restrictions",
        List.of(
            Map.of(
                "by",
                "A clinician",
                "on",
                "2026-09-01",
                "text",
                "no deep bend",
                "kneeMaxDeg",
                120)));
    intake.put(
        "profile",
        Map.of(
            "trainingAge",
            "YEARS",
            "daysAWeek",
            3,
            "notes",
            "bar hurts the hip bones",
            "likes",
            List.of("seated-calf-raise")));
    String client = post("/api/clients", intake).at("/id").asString();
    String gymName = "File gym " + UUID.randomUUID();
    String gym =
        post("/api/gyms", Map.of("name", gymName, "equipment", List.of("seated-calf", "leg-press")))
            .at("/id")
            .asString();
    put(
        "/api/gyms/" + gym + "/machines/leg-press",
        Map.of("version", 0, "measured", Map.of("railAngle", 40)));
    put(
        "/api/gyms/" + gym + "/machines",
        Map.of(
            "version",
            1,
            "plates",
            List.of(Map.of("kg", 20, "pairs", 6), Map.of("kg", 1.25, "pairs", 1))));
    post(
        "/api/clients/" + client + "/measurements",
        Map.of("kind", "THIGH", "side", "LEFT", "value", 0.43, "on", "2026-11-02"));
    post(
        "/api/clients/" + client + "/lifts",
        Map.of(
            "candidateId",
            "back-squat/high-bar",
            "loadKg",
            70,
            "repetitions",
            5,
            "reserve",
            1,
            "on",
            "2026-11-03"));
    post(
        "/api/clients/" + client + "/technique",
        Map.of(
            "picture",
            PictureApiTest.picture(PictureApiTest.marks(11, 80, 47)),
            "on",
            "2026-05-12"));
    String variant =
        post(
                "/api/variants",
                Map.of(
                    "exerciseId",
                    "seated-calf-raise",
                    "name",
                    "Slow " + UUID.randomUUID(),
                    "setup",
                    Map.of("stretch", 12),
                    "clientId",
                    client))
            .at("/id")
            .asString();
    String school =
        post(
                "/api/schools",
                Map.of(
                    "label",
                    "S " + UUID.randomUUID().toString().substring(0, 8),
                    "reason",
                    "a test",
                    "lengthBias",
                    0.5,
                    "passiveWeight",
                    0.2,
                    "activityTrust",
                    0.2,
                    "basics",
                    0))
            .at("/id")
            .asString();
    Map<String, Object> brief =
        Map.of("clientId", client, "gymId", gym, "aim", Map.of("SOL", 2), "school", school);
    for (double load : new double[] {40, 45}) {
      String session = post("/api/sessions", brief).at("/id").asString();
      String item =
          post("/api/sessions/" + session + "/items", Map.of("candidateId", variant))
              .at("/items/0/id")
              .asString();
      put(
          "/api/sessions/" + session + "/items/" + item + "/sets/" + UUID.randomUUID(),
          Map.of("loadKg", load, "repetitions", 15, "reserve", 1));
    }
    String floor = post("/api/sessions", brief).at("/id").asString();
    String item = FloorApiTest.pin(floor, "seated-calf-raise/usual");
    Map<String, Object> set = FloorApiTest.set(floor, item, UUID.randomUUID().toString(), 1, 0, 12);
    set.putAll(
        Map.of(
            "felt",
            List.of("SOL"),
            "pain",
            Map.of("joint", "ANKLE", "level", 2),
            "range",
            "SHORT",
            "number",
            1));
    FloorApiTest.send(
        "phone",
        List.of(
            Map.of("set", set),
            Map.of(
                "mark",
                Map.of(
                    "clientId",
                    client,
                    "gymId",
                    gym,
                    "candidateId",
                    "seated-calf-raise/usual",
                    "words",
                    "Pad 3",
                    "at",
                    java.time.Instant.now().toString()))));
    post(
        "/api/clients/" + client + "/record/lessons/answers",
        Map.of(
            "kind",
            "STALL",
            "subject",
            variant,
            "taken",
            Map.of("act", "SWAP", "words", "Swap it.")));
    Map<String, Object> planned = new HashMap<>(brief);
    planned.putAll(Map.of("times", 1, "name", "A week"));
    JsonNode week = post("/api/weeks", planned).body();
    assertThat(
            RunningApp.send(
                    "PUT",
                    "/api/weeks/" + week.at("/id").asString(),
                    Map.of(
                        "version",
                        0,
                        "what",
                        "a calf",
                        "plan",
                        WeekApiTest.plan(week, List.of(List.of(WeekApiTest.item(variant))))))
                .status())
        .isEqualTo(200);
    return new Kept(client, name, gymName, variant, school);
  }

  /** Other tests of this coach count what there is to choose from. */
  @AfterEach
  void ownThingsAreTakenOut() {
    JsonNode account = get("/api/account/file").body();
    account.at("/variants").forEach(node -> delete("/api/variants/" + node.path("id").asString()));
    account.at("/schools").forEach(node -> delete("/api/schools/" + node.path("id").asString()));
  }

  private static Answer bring(Visitor who, JsonNode file, Map<String, Object> more) {
    Map<String, Object> body = new HashMap<>(more);
    body.put("text", file.toString());
    return who.post("/api/archives", body);
  }

  /** The file without when it was written. */
  private static JsonNode file(Visitor who, String client) {
    Answer answer = who.get("/api/clients/" + client + "/file");
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
    return ((ObjectNode) answer.body()).without("exportedAt");
  }

  private static void erase(Kept kept) {
    assertThat(
            delete("/api/clients/" + kept.id() + "?name=" + kept.name().replace(" ", "%20"))
                .status())
        .isEqualTo(204);
  }

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
    Kept kept = client();
    String good =
        file(RunningApp.owner(), kept.id())
            .toString()
            .replace(kept.name(), "Broken " + UUID.randomUUID());
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
    ObjectNode setBroken = (ObjectNode) JsonMapper.shared().readTree(good);
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
