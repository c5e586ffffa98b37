package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Another coach's clients, gyms and sessions are as if they did not exist. Goes through every
 * endpoint of the API description: one that is new and not said here how to try fails the test.
 */
class CoachIsolationTest extends CoachIsolation {
  /** Bodies with which an endpoint would do something to the other coach's data. */
  private static List<Object> bodies(String endpoint) {
    List<Object> found =
        Stream.of(
                ofClientsAndGyms(endpoint),
                ofOrders(endpoint),
                ofWeeks(endpoint),
                ofSessionsAndOwnThings(endpoint))
            .flatMap(List::stream)
            .toList();
    if (!found.isEmpty()) {
      return found;
    }
    if (!endpoint.startsWith("GET ") && !endpoint.startsWith("DELETE ")) {
      throw new IllegalStateException("say here how to try " + endpoint);
    }
    return new ArrayList<>(Collections.singletonList(null));
  }

  /** Of clients, their bodies and gyms. */
  private static List<Object> ofClientsAndGyms(String endpoint) {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Stolen");
    intake.put("version", 0);
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
      default -> List.of();
    };
  }

  /** Of orders, set-ups and comparisons. */
  private static List<Object> ofOrders(String endpoint) {
    Map<String, Object> press = Map.of("candidateId", "leg-press/high");
    Map<String, Object> vasti = Map.of("VL", 1);
    List<Map<String, Object>> briefs = theirs(Map.of("aim", Map.of("SOL", 1)));
    return switch (endpoint) {
      case "POST /api/orders",
          "POST /api/orders/schools",
          "POST /api/orders/measuring",
          "POST /api/orders/machines",
          "POST /api/sessions" ->
          List.copyOf(briefs);
      case "POST /api/orders/with-machine" ->
          each(briefs, brief -> Map.of("brief", brief, "item", "leg-press", "measured", Map.of()));
      case "POST /api/bench" -> each(theirs(press), side -> Map.of("sides", List.of(side)));
      case "POST /api/bench/best", "POST /api/bench/steps" ->
          each(theirs(press), side -> Map.of("side", side, "aim", vasti));
      case "POST /api/comparisons" ->
          List.copyOf(
              theirs(Map.of("members", List.of(press, Map.of("candidateId", "leg-press/low")))));
      case "POST /api/starts" ->
          List.copyOf(theirs(Map.of("candidateId", "leg-press/low", "way", "HEELS_STAY_DOWN")));
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
      default -> List.of();
    };
  }

  /** The same for the other coach's client, and for one's own in the other coach's gym. */
  private static List<Map<String, Object>> theirs(Map<String, Object> more) {
    Map<String, Object> theirClient = new HashMap<>(more);
    theirClient.putAll(Map.of("clientId", IDS.get("client"), "gymId", ownGym));
    Map<String, Object> theirGym = new HashMap<>(more);
    theirGym.putAll(Map.of("clientId", ownClient, "gymId", IDS.get("gym")));
    return List.of(theirClient, theirGym);
  }

  private static List<Object> each(
      List<Map<String, Object>> all, Function<Map<String, Object>, Object> body) {
    return all.stream().map(body).toList();
  }

  /** Of weeks. */
  private static List<Object> ofWeeks(String endpoint) {
    return switch (endpoint) {
      case "POST /api/weeks" -> List.copyOf(theirs(Map.of("aim", Map.of("SOL", 1))));
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
      default -> List.of();
    };
  }

  /** Of sessions, records and what a coach made. */
  private static List<Object> ofSessionsAndOwnThings(String endpoint) {
    return switch (endpoint) {
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
      default -> List.of();
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
  void listsShowOnlyOwnRows() {
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
  }

  @Test
  void whatIsAnothersIsNotReachedThroughOnesOwn() {
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
  }

  @Test
  void lastTimeIsOnesOwn() {
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
