package istmo.app;

import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Visitor;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A coach, and another one with something of every kind. */
@ExtendWith(RunningApp.class)
abstract class CoachIsolation {
  /** Endpoints that know no coach's data, or are tested by AccountApiTest and GadgetApiTest. */
  static final Set<String> WITHOUT_DATA =
      Set.of(
          "GET /api/account",
          "POST /api/account/sign-in",
          "POST /api/account/demo",
          "POST /api/account/first",
          "POST /api/account/coaches",
          "POST /api/account/sign-out",
          "PUT /api/account/password",
          "PUT /api/account/time-zone",
          "GET /api/account/sessions",
          "DELETE /api/account/sessions/{id}",
          "GET /api/catalogue",
          "GET /api/pictures",
          "GET /api/starts",
          "POST /api/analyses",
          "POST /api/clients",
          "POST /api/gyms",
          "GET /api/schools",
          "POST /api/schools",
          "POST /api/exercises",
          "GET /api/studies",
          "GET /api/claims",
          "GET /api/weeks/planning",
          "POST /api/weeks/prescriptions",
          "POST /api/floor/changes",
          "POST /api/archives",
          "POST /api/archives/preview"); // each of a message's parts is judged by itself:

  // FloorApiTest, ArchiveApiTest

  static final Set<String> LISTS =
      Set.of(
          "GET /api/account/file",
          "GET /api/claims/practice",
          "GET /api/clients",
          "GET /api/gyms",
          "GET /api/search",
          "GET /api/sessions",
          "GET /api/today",
          "GET /api/weeks");
  static final Map<String, String> IDS = new LinkedHashMap<>();
  static Visitor other;
  static String before;
  static String ownClient;
  static String ownGym;

  @BeforeAll
  static void anotherCoachWithAWholeLine() {
    other = RunningApp.anotherCoach("isolated");
    Map<String, Object> intake = ClientAndGymApiTest.intake("Secret Client");
    intake.put("pain", List.of());
    made("client", "/api/clients", intake, "/id");
    made(
        "gym",
        "/api/gyms",
        Map.of("name", "Secret Gym", "equipment", List.of("seated-calf", "leg-press")),
        "/id");
    IDS.put("item", "leg-press");
    ofTheClient();
    ownThings();
    session();
    week();
    IDS.put(
        "series",
        other.get("/api/clients/" + IDS.get("client") + "/record").at("/series/0/id").asString());
    made(
        "answer",
        "/api/clients/" + IDS.get("client") + "/record/lessons/answers",
        Map.of("kind", "STALL", "subject", "Secret subject"),
        "/id");
    assertThat(IDS.values()).allMatch(value -> !value.isEmpty());
    before = everything();
    ownClient =
        post("/api/clients", ClientAndGymApiTest.intake("Own " + UUID.randomUUID()))
            .at("/id")
            .asString();
    ownGym =
        post(
                "/api/gyms",
                Map.of("name", "Own " + UUID.randomUUID(), "equipment", List.of("seated-calf")))
            .at("/id")
            .asString();
  }

  /** Posts something of the other coach, and keeps its id. */
  private static void made(String kind, String path, Object body, String at) {
    IDS.put(kind, other.post(path, body).at(at).asString());
  }

  private static void ofTheClient() {
    String client = "/api/clients/" + IDS.get("client");
    other.post(client + "/measurements", Map.of("kind", "MASS", "value", 68, "on", "2026-11-01"));
    IDS.put("readingId", firstReading(IDS.get("client")));
    made("liftId", client + "/lifts", lift(), "/lifts/0/id");
    made(
        "sightingId",
        client + "/technique",
        Map.of(
            "picture",
            PictureApiTest.picture(PictureApiTest.marks(11, 80, 47)),
            "on",
            "2026-05-12"),
        "/sightings/0/id");
  }

  private static void ownThings() {
    String[] variant =
        other
            .post(
                "/api/variants",
                Map.of(
                    "exerciseId",
                    "back-squat",
                    "name",
                    "Secret squat",
                    "setup",
                    Map.of(),
                    "clientId",
                    IDS.get("client")))
            .at("/id")
            .asString()
            .split("/");
    IDS.put("exerciseId", variant[0]);
    IDS.put("variant", variant[1]);
    made("exercise", "/api/exercises", OwnExerciseApiTest.input("Secret walk"), "/id");
    made("school", "/api/schools", school("Secret school"), "/id");
  }

  private static void session() {
    made(
        "session",
        "/api/sessions",
        Map.of("clientId", IDS.get("client"), "gymId", IDS.get("gym"), "aim", Map.of("SOL", 1)),
        "/id");
    String items = "/api/sessions/" + IDS.get("session") + "/items";
    made("itemId", items, Map.of("candidateId", "seated-calf-raise/usual"), "/items/0/id");
    IDS.put("setId", UUID.randomUUID().toString());
    String set = items + "/" + IDS.get("itemId") + "/sets/" + IDS.get("setId");
    assertThat(other.send("PUT", set, done()).status()).isEqualTo(200);
  }

  private static void week() {
    JsonNode begun =
        other
            .post(
                "/api/weeks",
                Map.of(
                    "clientId",
                    IDS.get("client"),
                    "gymId",
                    IDS.get("gym"),
                    "aim",
                    Map.of("SOL", 1),
                    "times",
                    1,
                    "name",
                    "Secret week"))
            .body();
    Map<String, Object> calf = WeekApiTest.item("seated-calf-raise/usual");
    Map<String, Object> block = WeekApiTest.plan(begun, List.of(List.of(calf)));
    block.put("blockWeeks", 4);
    JsonNode week =
        other
            .send(
                "PUT",
                "/api/weeks/" + begun.at("/id").asString(),
                Map.of("version", 0, "what", "a block", "plan", block))
            .body();
    IDS.put("week", week.at("/id").asString());
    IDS.put("weekItem", week.at("/days/0/bouts/0/items/0/id").asString());
    IDS.put(
        "token",
        other
                .post("/api/weeks/" + IDS.get("week") + "/shares", Map.of())
                .at("/path")
                .asString()
                .substring("/shared/".length())
            + "x");
  }

  static String firstReading(String client) {
    for (JsonNode kind : other.get("/api/clients/" + client + "/measurements").at("/kinds")) {
      if (kind.at("/readings").size() > 0) {
        return kind.at("/readings/0/id").asString();
      }
    }
    return "";
  }

  static Map<String, Object> lift() {
    return Map.of(
        "candidateId", "back-squat/high-bar", "loadKg", 60, "repetitions", 5, "on", "2026-11-01");
  }

  static Map<String, Object> school(String label) {
    return Map.of(
        "label",
        label,
        "reason",
        "a test",
        "lengthBias",
        0.5,
        "passiveWeight",
        0.2,
        "activityTrust",
        0.2,
        "basics",
        0);
  }

  static Map<String, Object> done() {
    return Map.of("loadKg", 40, "repetitions", 12, "reserve", 1);
  }

  /** All that the other coach has. */
  static String everything() {
    return other.get("/api/clients").body()
        + " "
        + other.get("/api/clients/" + IDS.get("client") + "/measurements").body()
        + other.get("/api/clients/" + IDS.get("client") + "/lifts").body()
        + other.get("/api/gyms").body()
        + other.get("/api/gyms/" + IDS.get("gym") + "/machines").body()
        + other.get("/api/sessions/" + IDS.get("session")).body()
        + other.get("/api/catalogue").body()
        + other.get("/api/schools").body()
        + other.get("/api/weeks/" + IDS.get("week")).body()
        + other.get("/api/weeks/" + IDS.get("week") + "/shares").body()
        + other.get("/api/clients/" + IDS.get("client") + "/record").body();
  }

  @AfterAll
  static void nothingOfTheOthersHasChanged() {
    assertThat(everything()).isEqualTo(before);
  }
}
