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
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A client with something in every part of the file. */
@ExtendWith(RunningApp.class)
abstract class ArchiveApi {
  static int rows(String table, String client) throws Exception {
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
  record Kept(String id, String name, String gym, String variant, String school) {}

  static Kept client() {
    String name = "File " + UUID.randomUUID();
    String client = post("/api/clients", intake(name)).at("/id").asString();
    String gymName = "File gym " + UUID.randomUUID();
    String gym = gym(gymName);
    measuredAndSeen(client);
    String variant = variant(client);
    String school = school();
    Map<String, Object> brief =
        Map.of("clientId", client, "gymId", gym, "aim", Map.of("SOL", 2), "school", school);
    sessions(brief, variant);
    onTheFloor(brief, client, gym);
    post(
        "/api/clients/" + client + "/record/lessons/answers",
        Map.of(
            "kind",
            "STALL",
            "subject",
            variant,
            "taken",
            Map.of("act", "SWAP", "words", "Swap it.")));
    week(brief, variant);
    return new Kept(client, name, gymName, variant, school);
  }

  private static Map<String, Object> intake(String name) {
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
    return intake;
  }

  private static String gym(String gymName) {
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
    return gym;
  }

  private static void measuredAndSeen(String client) {
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
  }

  private static String variant(String client) {
    return post(
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
  }

  private static String school() {
    return post(
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
  }

  private static void sessions(Map<String, Object> brief, String variant) {
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
  }

  private static void onTheFloor(Map<String, Object> brief, String client, String gym) {
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
  }

  private static void week(Map<String, Object> brief, String variant) {
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
  }

  /** Other tests of this coach count what there is to choose from. */
  @AfterEach
  void ownThingsAreTakenOut() {
    JsonNode account = get("/api/account/file").body();
    account.at("/variants").forEach(node -> delete("/api/variants/" + node.path("id").asString()));
    account.at("/schools").forEach(node -> delete("/api/schools/" + node.path("id").asString()));
  }

  static Answer bring(Visitor who, JsonNode file, Map<String, Object> more) {
    Map<String, Object> body = new HashMap<>(more);
    body.put("text", file.toString());
    return who.post("/api/archives", body);
  }

  /** The file without when it was written. */
  static JsonNode file(Visitor who, String client) {
    Answer answer = who.get("/api/clients/" + client + "/file");
    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
    return ((ObjectNode) answer.body()).without("exportedAt");
  }

  static void erase(Kept kept) {
    assertThat(
            delete("/api/clients/" + kept.id() + "?name=" + kept.name().replace(" ", "%20"))
                .status())
        .isEqualTo(204);
  }
}
