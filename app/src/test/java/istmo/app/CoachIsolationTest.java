package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Another coach's clients, gyms and sessions are as if they did not exist. Goes through every
 * endpoint of the API description: one that is new and not said here how to try fails the test.
 */
@ExtendWith(RunningApp.class)
class CoachIsolationTest {
  /** Endpoints that know no coach's data, or are tested by AccountApiTest and GadgetApiTest. */
  private static final Set<String> WITHOUT_DATA =
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

  private static final Set<String> LISTS =
      Set.of(
          "GET /api/account/file",
          "GET /api/claims/practice",
          "GET /api/clients",
          "GET /api/gyms",
          "GET /api/search",
          "GET /api/sessions",
          "GET /api/today",
          "GET /api/weeks");
  private static final Map<String, String> IDS = new LinkedHashMap<>();
  private static Visitor other;
  private static String before;
  private static String ownClient;
  private static String ownGym;

  @BeforeAll
  static void anotherCoachWithAWholeLine() {
    other = RunningApp.anotherCoach("isolated");
    Map<String, Object> intake = ClientAndGymApiTest.intake("Secret Client");
    intake.put("pain", List.of());
    String client = other.post("/api/clients", intake).at("/id").asString();
    String gym =
        other
            .post(
                "/api/gyms",
                Map.of("name", "Secret Gym", "equipment", List.of("seated-calf", "leg-press")))
            .at("/id")
            .asString();
    String reading =
        other
                    .post(
                        "/api/clients/" + client + "/measurements",
                        Map.of("kind", "MASS", "value", 68, "on", "2026-11-01"))
                    .body()
                    .findValue("readings")
                == null
            ? ""
            : firstReading(client);
    String lift =
        other.post("/api/clients/" + client + "/lifts", lift()).at("/lifts/0/id").asString();
    String sighting =
        other
            .post(
                "/api/clients/" + client + "/technique",
                Map.of(
                    "picture",
                    PictureApiTest.picture(PictureApiTest.marks(11, 80, 47)),
                    "on",
                    "2026-05-12"))
            .at("/sightings/0/id")
            .asString();
    String session =
        other
            .post(
                "/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("SOL", 1)))
            .at("/id")
            .asString();
    String item =
        other
            .post(
                "/api/sessions/" + session + "/items",
                Map.of("candidateId", "seated-calf-raise/usual"))
            .at("/items/0/id")
            .asString();
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
                    client))
            .at("/id")
            .asString()
            .split("/");
    String exercise =
        other.post("/api/exercises", OwnExerciseApiTest.input("Secret walk")).at("/id").asString();
    String school = other.post("/api/schools", school("Secret school")).at("/id").asString();
    JsonNode week =
        other
            .post(
                "/api/weeks",
                Map.of(
                    "clientId",
                    client,
                    "gymId",
                    gym,
                    "aim",
                    Map.of("SOL", 1),
                    "times",
                    1,
                    "name",
                    "Secret week"))
            .body();
    Map<String, Object> calf = WeekApiTest.item("seated-calf-raise/usual");
    Map<String, Object> block = WeekApiTest.plan(week, List.of(List.of(calf)));
    block.put("blockWeeks", 4);
    week =
        other
            .send(
                "PUT",
                "/api/weeks/" + week.at("/id").asString(),
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
    String set = UUID.randomUUID().toString();
    assertThat(
            other
                .send("PUT", "/api/sessions/" + session + "/items/" + item + "/sets/" + set, done())
                .status())
        .isEqualTo(200);
    IDS.putAll(
        Map.of(
            "client",
            client,
            "gym",
            gym,
            "readingId",
            reading,
            "liftId",
            lift,
            "session",
            session,
            "itemId",
            item,
            "setId",
            set,
            "item",
            "leg-press",
            "exerciseId",
            variant[0]));
    IDS.put("sightingId", sighting);
    IDS.put(
        "series", other.get("/api/clients/" + client + "/record").at("/series/0/id").asString());
    IDS.put(
        "answer",
        other
            .post(
                "/api/clients/" + client + "/record/lessons/answers",
                Map.of("kind", "STALL", "subject", "Secret subject"))
            .at("/id")
            .asString());
    IDS.put("variant", variant[1]);
    IDS.put("school", school);
    IDS.put("exercise", exercise);
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

  private static String firstReading(String client) {
    for (JsonNode kind : other.get("/api/clients/" + client + "/measurements").at("/kinds")) {
      if (kind.at("/readings").size() > 0) {
        return kind.at("/readings/0/id").asString();
      }
    }
    return "";
  }

  private static Map<String, Object> lift() {
    return Map.of(
        "candidateId", "back-squat/high-bar", "loadKg", 60, "repetitions", 5, "on", "2026-11-01");
  }

  private static Map<String, Object> school(String label) {
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

  private static Map<String, Object> done() {
    return Map.of("loadKg", 40, "repetitions", 12, "reserve", 1);
  }

  /** All that the other coach has. */
  private static String everything() {
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

  /** Bodies with which an endpoint would do something to the other coach's data. */
  private static List<Object> bodies(String endpoint) {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Stolen");
    intake.put("version", 0);
    Map<String, Integer> aim = Map.of("SOL", 1);
    Map<String, Object> theirClient =
        Map.of("clientId", IDS.get("client"), "gymId", ownGym, "aim", aim);
    Map<String, Object> theirGym =
        Map.of("clientId", ownClient, "gymId", IDS.get("gym"), "aim", aim);
    List<Map<String, Object>> pulls = List.of(Map.of("at", 0.2, "forceN", 400, "loadKg", 0));
    return switch (endpoint) {
      case "PUT /api/clients/{id}" -> List.of(intake);
      case "POST /api/clients/{clientId}/measurements" ->
          List.of(Map.of("kind", "MASS", "value", 70, "on", "2026-11-01"));
      case "POST /api/clients/{clientId}/lifts" -> List.of(lift());
      case "POST /api/clients/{clientId}/technique/read" ->
          List.of(PictureApiTest.picture(PictureApiTest.marks(14, 80, 45)));
      case "POST /api/clients/{clientId}/technique/front" -> List.of(PictureApiTest.front(0));
      case "POST /api/clients/{clientId}/technique/film" -> List.of(PictureApiTest.film());
      case "POST /api/clients/{clientId}/technique" ->
          List.of(
              Map.of(
                  "picture",
                  PictureApiTest.picture(PictureApiTest.marks(14, 80, 45)),
                  "on",
                  "2026-11-01"));
      case "PUT /api/gyms/{id}" ->
          List.of(Map.of("version", 0, "name", "Stolen", "equipment", List.of()));
      case "PUT /api/gyms/{gymId}/machines/{item}" ->
          List.of(Map.of("version", 0, "measured", Map.of("railAngle", 40)));
      case "PUT /api/gyms/{gymId}/machines" -> List.of(Map.of("version", 0, "plates", List.of()));
      case "POST /api/gyms/{gymId}/machines/{item}/fit",
          "PUT /api/gyms/{gymId}/machines/{item}/pulls" ->
          List.of(Map.of("version", 0, "pulls", pulls));
      case "POST /api/orders",
          "POST /api/orders/schools",
          "POST /api/orders/measuring",
          "POST /api/orders/machines",
          "POST /api/sessions" ->
          List.of(theirClient, theirGym);
      case "POST /api/orders/with-machine" ->
          List.of(
              Map.of("brief", theirClient, "item", "leg-press", "measured", Map.of()),
              Map.of("brief", theirGym, "item", "leg-press", "measured", Map.of()));
      case "POST /api/bench" ->
          List.of(
              Map.of(
                  "sides",
                  List.of(Map.of("clientId", IDS.get("client"), "candidateId", "leg-press/high"))),
              Map.of(
                  "sides",
                  List.of(
                      Map.of(
                          "clientId",
                          ownClient,
                          "gymId",
                          IDS.get("gym"),
                          "candidateId",
                          "leg-press/high"))));
      case "POST /api/bench/best", "POST /api/bench/steps" ->
          List.of(
              Map.of(
                  "side",
                  Map.of("clientId", IDS.get("client"), "candidateId", "leg-press/high"),
                  "aim",
                  Map.of("VL", 1)),
              Map.of(
                  "side",
                  Map.of(
                      "clientId",
                      ownClient,
                      "gymId",
                      IDS.get("gym"),
                      "candidateId",
                      "leg-press/high"),
                  "aim",
                  Map.of("VL", 1)));
      case "POST /api/comparisons" ->
          List.of(
              Map.of(
                  "clientId",
                  IDS.get("client"),
                  "members",
                  List.of(
                      Map.of("candidateId", "leg-press/high"),
                      Map.of("candidateId", "leg-press/low"))),
              Map.of(
                  "clientId",
                  ownClient,
                  "gymId",
                  IDS.get("gym"),
                  "members",
                  List.of(
                      Map.of("candidateId", "leg-press/high"),
                      Map.of("candidateId", "leg-press/low"))));
      case "POST /api/starts" ->
          List.of(
              Map.of(
                  "clientId",
                  IDS.get("client"),
                  "candidateId",
                  "leg-press/low",
                  "way",
                  "HEELS_STAY_DOWN"),
              Map.of(
                  "clientId",
                  ownClient,
                  "gymId",
                  IDS.get("gym"),
                  "candidateId",
                  "leg-press/low",
                  "way",
                  "HEELS_STAY_DOWN"));
      case "POST /api/variants" ->
          List.of(
              Map.of(
                  "exerciseId",
                  "back-squat",
                  "name",
                  "Stolen size",
                  "setup",
                  Map.of(),
                  "clientId",
                  IDS.get("client")));
      case "POST /api/weeks" -> List.of(theirClient, theirGym);
      case "POST /api/weeks/imports" -> {
        String file = RunningApp.text(other, "/api/weeks/" + IDS.get("week") + "/plan.json");
        yield List.of(
            Map.of("clientId", IDS.get("client"), "gymId", ownGym, "text", file),
            Map.of("clientId", ownClient, "gymId", IDS.get("gym"), "text", file));
      }
      case "PUT /api/weeks/{id}" ->
          List.of(
              Map.of(
                  "version",
                  1,
                  "what",
                  "stolen",
                  "plan",
                  WeekApiTest.plan(other.get("/api/weeks/" + IDS.get("week")).body(), List.of())));
      case "POST /api/weeks/{id}/undo", "POST /api/weeks/{id}/redo" ->
          List.of(Map.of("version", 1));
      case "POST /api/weeks/{id}/arrange" -> List.of(Map.of("version", 1, "day", 0));
      case "POST /api/weeks/{id}/compose" ->
          List.of(Map.of("version", 1, "run", UUID.randomUUID(), "seconds", 1));
      case "POST /api/weeks/{id}/start" -> List.of(Map.of("day", 0));
      case "POST /api/weeks/{id}/restore", "POST /api/gyms/{id}/restore" -> List.of("");
      case "POST /api/weeks/{id}/shares" -> List.of(Map.of());
      case "POST /api/sessions/{id}/items" ->
          List.of(Map.of("candidateId", "seated-calf-raise/usual"));
      case "PUT /api/sessions/{id}/items/{itemId}/setup" ->
          List.of(Map.of("setup", Map.of("stretch", 10)));
      case "PUT /api/sessions/{id}/items/{itemId}/sets/{setId}" -> List.of(done());
      case "POST /api/clients/{clientId}/imports", "POST /api/clients/{clientId}/imports/preview" ->
          List.of(
              Map.of(
                  "gymId", ownGym, "text", "date,exercise,reps\n2026-10-24,Seated calf raise,8\n"));
      case "POST /api/clients/{clientId}/record/lessons/answers" ->
          List.of(Map.of("kind", "STALL", "subject", "leg-press/high"));
      case "PUT /api/clients/{clientId}/record/learns" -> List.of(Map.of("on", false));
      case "PUT /api/schools/{id}" -> List.of(school("Stolen"));
      case "PUT /api/exercises/{exerciseId}" -> {
        Map<String, Object> stolen = OwnExerciseApiTest.input("Stolen walk");
        stolen.put("version", 0);
        yield List.of(stolen);
      }
      case "POST /api/sessions/{id}/finish",
          "POST /api/sessions/{id}/reopen",
          "POST /api/sessions/{id}/restore",
          "PUT /api/exercises/{exerciseId}/back",
          "PUT /api/variants/{exerciseId}/{variant}" ->
          List.of("");
      default -> {
        if (!endpoint.startsWith("GET ") && !endpoint.startsWith("DELETE ")) {
          throw new IllegalStateException("say here how to try " + endpoint);
        }
        yield new ArrayList<>(java.util.Collections.singletonList(null));
      }
    };
  }

  private static String address(String path) {
    String kind =
        path.startsWith("/api/clients")
            ? "client"
            : path.startsWith("/api/gyms")
                ? "gym"
                : path.startsWith("/api/schools")
                    ? "school"
                    : path.startsWith("/api/weeks") ? "week" : "session";
    String item = kind.equals("week") ? IDS.get("weekItem") : IDS.get("itemId");
    String filled =
        path.replace("{sessionId}", IDS.get("session"))
            .replace("{seriesId}", IDS.get("series"))
            .replace("{answerId}", IDS.get("answer"))
            .replace("{itemId}", item)
            .replace("{run}", UUID.randomUUID().toString())
            .replace("{step}", "1")
            .replace("{token}", IDS.get("token"))
            .replace("{id}", IDS.get(kind))
            .replace("{clientId}", IDS.get("client"))
            .replace("{gymId}", IDS.get("gym"));
    if (path.startsWith("/api/exercises")) {
      filled = filled.replace("{exerciseId}", IDS.get("exercise"));
    }
    for (String name :
        List.of(
            "readingId",
            "liftId",
            "sightingId",
            "itemId",
            "setId",
            "item",
            "exerciseId",
            "variant")) {
      filled = filled.replace("{" + name + "}", IDS.get(name));
    }
    if (filled.contains("{")) {
      throw new IllegalStateException("say here what stands for " + filled);
    }
    if (path.endsWith("/sheet.pdf")) {
      return filled + "?day=0";
    }
    if (path.endsWith("/missed")) {
      return filled + "?lastDone=1&weeksMissed=1";
    }
    return path.equals("/api/clients/{id}") ? filled + "?name=Secret%20Client" : filled;
  }

  static Stream<String> endpoints() {
    List<String> all = new ArrayList<>();
    get("/v3/api-docs")
        .at("/paths")
        .properties()
        .forEach(
            path ->
                path.getValue()
                    .propertyNames()
                    .forEach(
                        method ->
                            all.add(
                                method.toUpperCase(java.util.Locale.ROOT) + " " + path.getKey())));
    assertThat(all).hasSizeGreaterThan(30);
    return all.stream()
        .filter(
            exercise ->
                !WITHOUT_DATA.contains(exercise)
                    && !LISTS.contains(exercise)
                    && !exercise.contains("/api/gadget-links"));
  }

  @ParameterizedTest
  @MethodSource("endpoints")
  void everyEndpointAnswersAsIfItDidNotExist(String endpoint) {
    String method = endpoint.substring(0, endpoint.indexOf(' '));
    String path = endpoint.substring(endpoint.indexOf(' ') + 1);
    for (Object body : bodies(endpoint)) {
      Answer answer = send(method, address(path), body);
      assertThat(answer.status()).as("%s with %s", endpoint, body).isEqualTo(404);
      assertThat(answer.body().toString()).doesNotContain("Secret");
    }
  }

  @Test
  void listsShowOnlyOwnRowsAndLastTimeIsOwn() {
    assertThat(
            get("/api/starts?candidateId=" + IDS.get("exerciseId") + "/" + IDS.get("variant"))
                .status())
        .as("starts of another's variant")
        .isEqualTo(404);
    assertThat(get("/api/clients").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/gyms").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/account/file").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/catalogue").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/search?text=secret").body().toString()).doesNotContain("Secret");
    assertThat(other.get("/api/search?text=secret").body().toString()).contains("Secret walk");
    assertThat(
            post(
                    "/api/bench",
                    Map.of(
                        "sides",
                        List.of(
                            Map.of(
                                "clientId",
                                ownClient,
                                "candidateId",
                                IDS.get("exerciseId") + "/" + IDS.get("variant")))))
                .status())
        .isEqualTo(404);
    assertThat(get("/api/sessions").body().toString()).doesNotContain(IDS.get("session"));
    assertThat(get("/api/weeks").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/weeks?clientId=" + IDS.get("client")).body().size()).isZero();
    assertThat(get("/api/sessions?clientId=" + IDS.get("client")).body().size()).isZero();
    // a gym of another's is no gym for what is brought in
    String file =
        "{\"format\":\"istmo-archive\",\"version\":1,\"gyms\":[{\"name\":\"G\",\"equipment\":[]}],\"clients\":[]}";
    assertThat(
            post("/api/archives", Map.of("text", file, "gyms", Map.of("G", IDS.get("gym"))))
                .status())
        .isEqualTo(422);
    // another coach's reading and lift are not reached through an own client
    assertThat(
            RunningApp.delete("/api/clients/" + ownClient + "/measurements/" + IDS.get("readingId"))
                .status())
        .isEqualTo(404);
    assertThat(
            RunningApp.delete("/api/clients/" + ownClient + "/lifts/" + IDS.get("liftId")).status())
        .isEqualTo(404);
    assertThat(
            RunningApp.delete("/api/clients/" + ownClient + "/technique/" + IDS.get("sightingId"))
                .status())
        .isEqualTo(404);
    String session =
        post(
                "/api/sessions",
                Map.of("clientId", ownClient, "gymId", ownGym, "aim", Map.of("SOL", 1)))
            .at("/id")
            .asString();
    Answer pinned =
        post(
            "/api/sessions/" + session + "/items",
            Map.of("candidateId", "seated-calf-raise/usual"));
    assertThat(pinned.at("/items/0").has("lastTime")).isFalse();
    // a set id that another coach used is not found again, and cannot be taken over
    Answer taken =
        put(
            "/api/sessions/"
                + session
                + "/items/"
                + pinned.at("/items/0/id").asString()
                + "/sets/"
                + IDS.get("setId"),
            Map.of("loadKg", 1, "repetitions", 1, "reserve", 0));
    assertThat(taken.status()).isEqualTo(409);
    assertThat(taken.body().toString()).doesNotContain("loadKg");
  }
}
