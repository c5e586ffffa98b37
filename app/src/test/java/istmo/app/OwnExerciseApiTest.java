package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Exercises by word: planned, logged and followed, the catalogue's and a coach's own. */
@ExtendWith(RunningApp.class)
class OwnExerciseApiTest {
  private static final String SWING = "kettlebell-swing/by-word";
  private static String client;
  private static String gym;

  static Map<String, Object> input(String name) {
    return new HashMap<>(
        Map.of(
            "name",
            name,
            "said",
            new HashMap<>(
                Map.of(
                    "does",
                    List.of("KNEE_EXTENSION", "HIP_EXTENSION"),
                    "mainly",
                    List.of("VL", "VM"),
                    "partly",
                    List.of("GMAXM"),
                    "knee",
                    "DEEP",
                    "back",
                    "NONE",
                    "repetitions",
                    "10-20",
                    "cues",
                    List.of("Stay low.")))));
  }

  @BeforeAll
  static void aLine() {
    client = newClient(Map.of());
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "By word " + UUID.randomUUID(),
                    "equipment",
                    List.of("kettlebell", "leg-press", "seated-curl", "dumbbells")))
            .at("/id")
            .asString();
  }

  private static String newClient(Map<String, Object> more) {
    Map<String, Object> intake = ClientAndGymApiTest.intake("By word " + UUID.randomUUID());
    intake.put("pain", List.of());
    intake.putAll(more);
    return post("/api/clients", intake).at("/id").asString();
  }

  private static String session(String who) {
    return post("/api/sessions", Map.of("clientId", who, "gymId", gym, "aim", Map.of("VL", 2)))
        .at("/id")
        .asString();
  }

  private static Answer pin(String session, String candidate) {
    return post("/api/sessions/" + session + "/items", Map.of("candidateId", candidate));
  }

  private static JsonNode listed(String id) {
    return StreamSupport.stream(get("/api/catalogue").at("/byWord").spliterator(), false)
        .filter(node -> node.path("id").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static JsonNode plannedWeek(String candidate) {
    JsonNode week =
        post(
                "/api/weeks",
                Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 2), "times", 1))
            .body();
    Map<String, Object> plan =
        WeekApiTest.plan(week, List.of(List.of(WeekApiTest.item(candidate))));
    Answer planned =
        put(
            "/api/weeks/" + week.at("/id").asString(),
            Map.of("version", 0, "what", "added", "plan", plan));
    assertThat(planned.status()).as("%s", planned.body()).isEqualTo(200);
    return planned.body();
  }

  @Test
  void anOwnExerciseCountsInAWeekByItsWord() {
    String name = "Duck walk " + UUID.randomUUID();
    Answer kept = post("/api/exercises", input(name));
    assertThat(kept.status()).isEqualTo(201);
    assertThat(kept.at("/own").asBoolean()).isTrue();
    String candidate = kept.at("/candidateId").asString();
    JsonNode planned = plannedWeek(candidate);
    String weekId = planned.at("/id").asString();
    assertThat(get("/api/weeks/" + weekId + "/offers").body())
        .anySatisfy(
            node -> {
              assertThat(node.path("candidateId").asString()).isEqualTo(candidate);
              assertThat(node.path("byWord").asBoolean()).isTrue();
            });
    JsonNode item = planned.at("/days/0/bouts/0/items/0");
    assertThat(item.path("name").asString()).isEqualTo(name);
    assertThat(item.path("byWord").asBoolean()).isTrue();
    double counted = planned.at("/days/0/effective/VL").asDouble();
    assertThat(counted).isPositive();
    assertThat(planned.at("/days/0/effective/GMAXM").asDouble())
        .as("half of what it trains mainly")
        .isCloseTo(counted / 2, within(0.01));
    delete("/api/exercises/" + kept.at("/id").asString());
    JsonNode left = get("/api/weeks/" + weekId).at("/days/0/bouts/0/items/0");
    assertThat(left.path("name").asString()).as("a plan keeps its name").isEqualTo(name);
    assertThat(left.path("refusal").asString()).contains(name).contains("taken it out");
  }

  @Test
  void whatIsComputedNowIsInNoListAndIsStillLoggedByItsName() {
    assertThat(get("/api/catalogue").at("/byWord").toString())
        .doesNotContain("dumbbell-thrust/by-word");
    Answer pinned = pin(session(client), "dumbbell-thrust/by-word");
    assertThat(pinned.status()).as("a device may hold it from before").isEqualTo(201);
    assertThat(pinned.body().toString()).contains("Hip thrust with a dumbbell");
  }

  @Test
  void anOwnExerciseGoesFromThePlanOverTheFloorIntoTheRecord() {
    String name = "Bear crawl " + UUID.randomUUID();
    JsonNode planned =
        plannedWeek(post("/api/exercises", input(name)).at("/candidateId").asString());
    Answer begun = post("/api/weeks/" + planned.at("/id").asString() + "/start", Map.of("day", 0));
    assertThat(begun.status()).as("%s", begun.body()).isEqualTo(201);
    String session = begun.at("/sessionId").asString();
    Answer open = get("/api/sessions/" + session);
    assertThat(open.at("/items/0/cues/0").asString()).isEqualTo("Stay low.");
    Answer floor = get("/api/floor/" + session);
    assertThat(floor.at("/items/0/exercise/name").asString()).isEqualTo(name);
    assertThat(floor.at("/items/0/exercise/refusal").asString()).isEmpty();
    assertThat(floor.at("/items/0/exercise/steps")).isNotEmpty();
    String itemId = open.at("/items/0/id").asString();
    put(
        "/api/sessions/" + session + "/items/" + itemId + "/sets/" + UUID.randomUUID(),
        Map.of("loadKg", 0, "repetitions", 18, "reserve", 1));
    post("/api/sessions/" + session + "/finish", null);
    JsonNode line =
        StreamSupport.stream(
                get("/api/clients/" + client + "/record").at("/series").spliterator(), false)
            .filter(node -> node.path("name").asString().equals(name))
            .findFirst()
            .orElseThrow();
    Answer series = get("/api/clients/" + client + "/record/series/" + line.path("id").asString());
    assertThat(series.at("/next").isMissingNode()).as("what comes next is said").isFalse();
    assertThat(get("/api/clients/" + client + "/record/weeks?count=2").at("/unknown"))
        .as("counted, not unknown")
        .isEmpty();
  }

  @Test
  void whatIsSaidOfItCanChangeAndWhatWasDoneKeepsItsName() {
    String name = "Goose step " + UUID.randomUUID();
    Answer kept = post("/api/exercises", input(name));
    String id = kept.at("/id").asString();
    String candidate = kept.at("/candidateId").asString();
    String session = session(newClient(Map.of()));
    pin(session, candidate);
    assertThat(get("/api/search?text=goose+step").body().toString()).contains(candidate);
    Map<String, Object> renamed = input(name + " with a band");
    renamed.put("version", kept.at("/version").asInt());
    assertThat(put("/api/exercises/" + id, renamed).status()).isEqualTo(200);
    assertThat(put("/api/exercises/" + id, renamed).status())
        .as("an older version overwrites nothing")
        .isEqualTo(409);
    assertThat(delete("/api/exercises/" + id).status()).isEqualTo(204);
    assertThat(listed(id).path("retired").asBoolean()).isTrue();
    assertThat(get("/api/search?text=goose+step").body().toString()).doesNotContain(candidate);
    assertThat(get("/api/sessions/" + session).at("/items/0/name").asString())
        .isEqualTo(name + " with a band");
    assertThat(put("/api/exercises/" + id + "/back", null).status()).isEqualTo(204);
    assertThat(listed(id).path("retired").asBoolean()).isFalse();
  }

  @Test
  void whatTheCatalogueKnowsByWordIsPinnedAndNeverOrdered() {
    String session = session(client);
    Answer pinned = pin(session, SWING);
    assertThat(pinned.status()).as("%s", pinned.body()).isEqualTo(201);
    assertThat(pinned.at("/items/0/byWord").asBoolean()).isTrue();
    assertThat(pinned.at("/items/0/setup")).isEmpty();
    assertThat(pin(session, SWING).status()).as("twice in one session").isEqualTo(409);
    assertThat(
            post(
                    "/api/sessions/" + session(client) + "/items",
                    Map.of("candidateId", SWING, "setup", Map.of("lean", 10)))
                .fault("setup"))
        .contains("no set-up");
    Answer order =
        post("/api/orders", Map.of("clientId", client, "gymId", gym, "aim", Map.of("GMAXM", 3)));
    assertThat(RunningApp.allEntries(order))
        .noneMatch(node -> node.path("candidateId").asString().equals(SWING));
    assertThat(
            post(
                    "/api/bench",
                    Map.of("sides", List.of(Map.of("clientId", client, "candidateId", SWING))))
                .fault("candidate"))
        .contains("by word");
  }

  @Test
  void cautionsKeepItOut() {
    String sore =
        newClient(Map.of("pain", List.of(Map.of("joint", "LOWER_BACK", "approach", "LEAVE_OUT"))));
    Answer refused = pin(session(sore), SWING);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body().toString()).contains("left out").contains("Sore lower back");
  }

  @Test
  void everyFaultIsNamed() {
    Answer empty = post("/api/exercises", Map.of("name", "Nothing said", "said", Map.of()));
    assertThat(empty.status()).isEqualTo(422);
    assertThat(empty.fault("mainly")).contains("at least one region");
    assertThat(empty.fault("does")).contains("at least one");
    Map<String, Object> odd = input("Odd " + UUID.randomUUID());
    Map<String, Object> said =
        new HashMap<>(
            Map.of(
                "does", List.of("KNEE_FLEXION"),
                "mainly", List.of("XX"),
                "needs", List.of("no-such"),
                "repetitions", "200-1",
                "setUpMinutes", 99));
    odd.put("said", said);
    Answer wrong = post("/api/exercises", odd);
    assertThat(wrong.fault("mainly")).contains("XX");
    assertThat(wrong.fault("repetitions")).contains("1 to 60");
    assertThat(wrong.fault("setUpMinutes")).contains("0 to 15");
    assertThat(wrong.body().toString()).contains("no-such");
    assertThat(post("/api/exercises", input("BACK SQUAT")).status())
        .as("a name of the catalogue")
        .isEqualTo(409);
    assertThat(post("/api/exercises", input(" ")).fault("name")).contains("1 to 120");
    assertThat(delete("/api/exercises/kettlebell-swing").status()).isEqualTo(404);
    assertThat(delete("/api/exercises/own-nothing").status()).isEqualTo(404);
  }

  @Test
  void theFileTakesItAlongAndBringsItIn() {
    String name = "Crab step " + UUID.randomUUID();
    String candidate = post("/api/exercises", input(name)).at("/candidateId").asString();
    String who = newClient(Map.of());
    String session = session(who);
    String item = pin(session, candidate).at("/items/0/id").asString();
    put(
        "/api/sessions/" + session + "/items/" + item + "/sets/" + UUID.randomUUID(),
        Map.of("loadKg", 5, "repetitions", 12, "reserve", 2));
    String file = get("/api/clients/" + who + "/file").body().toString();
    assertThat(file).contains(name);
    RunningApp.Visitor other = RunningApp.anotherCoach("by-word");
    Answer in = other.post("/api/archives", Map.of("text", file));
    assertThat(in.status()).as("%s", in.body()).isEqualTo(201);
    String there = in.at("/clients").properties().iterator().next().getValue().asString();
    assertThat(other.get("/api/clients/" + there + "/record").at("/series").toString())
        .contains(name);
    assertThat(other.get("/api/catalogue").at("/byWord").toString()).contains(name);
    String lacking = file.replaceAll("\"exercises\":\\[.*?\\],\"schools\"", "\"schools\"");
    assertThat(other.post("/api/archives/preview", Map.of("text", lacking)).body().toString())
        .contains("not among this file's exercises");
  }

  @Test
  void aTableOfEarlierSetsMayNameIt() {
    String who = newClient(Map.of());
    Answer in =
        post(
            "/api/clients/" + who + "/imports",
            Map.of("gymId", gym, "text", "date,exercise,weight,reps\n2026-10-24,KB swing,16,20\n"));
    assertThat(in.status()).as("%s", in.body()).isEqualTo(200);
    assertThat(get("/api/clients/" + who + "/record").at("/series/0/name").asString())
        .isEqualTo("Kettlebell swing");
  }

  @Test
  void searchFindsByAnyNameAndKnowsItsLimits() {
    Answer hits = get("/api/search?text=bulgarian");
    assertThat(hits.at("/0/kind").asString()).isEqualTo("EXERCISE");
    assertThat(hits.at("/0/id").asString()).startsWith("rear-raised-split-squat/");
    String who = "Zuleika " + UUID.randomUUID();
    Map<String, Object> intake = ClientAndGymApiTest.intake(who);
    post("/api/clients", intake);
    assertThat(get("/api/search?text=zuleika").at("/0/kind").asString()).isEqualTo("CLIENT");
    assertThat(get("/api/search?text=" + "x".repeat(101)).fault("text")).contains("100");
    assertThat(get("/api/search?text=").body()).isEmpty();
    assertThat(get("/api/search").status()).isEqualTo(400);
  }
}
