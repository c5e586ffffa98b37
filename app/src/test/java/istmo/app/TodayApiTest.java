package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What waits: open sessions, planned ones, advice that nobody answered. */
@ExtendWith(RunningApp.class)
class TodayApiTest {
  private static Visitor coach;
  private static String gym;

  @BeforeAll
  static void aCoachWithAGym() {
    coach = RunningApp.anotherCoach("today");
    gym =
        coach
            .post(
                "/api/gyms",
                Map.of("name", "Hall", "equipment", List.of("seated-calf", "leg-press")))
            .at("/id")
            .asString();
  }

  private static String client(String name) {
    return client(coach, name);
  }

  private static String client(RunningApp.Visitor who, String name) {
    Map<String, Object> input = ClientAndGymApiTest.intake(name);
    input.put("pain", List.of());
    return who.post("/api/clients", input).at("/id").asString();
  }

  private static void logs(RunningApp.Visitor who, Map<String, Object> set) {
    who.post(
        "/api/floor/changes",
        Map.of(
            "device",
            "phone",
            "sentAt",
            Instant.now().toString(),
            "changes",
            List.of(Map.of("set", set))));
  }

  private static String begun(String client) {
    return coach
        .post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 1)))
        .at("/id")
        .asString();
  }

  private static List<JsonNode> of(String client, String list) {
    List<JsonNode> found = new ArrayList<>();
    coach
        .get("/api/today")
        .at(list)
        .forEach(
            node -> {
              if (node.at("/clientId").asString().equals(client)) {
                found.add(node);
              }
            });
    return found;
  }

  @Test
  void anOpenSessionWaitsUntilItIsFinished() {
    String client = client("Open");
    String session = begun(client);
    assertThat(of(client, "/open"))
        .singleElement()
        .satisfies(node -> assertThat(node.at("/gymName").asString()).isEqualTo("Hall"));
    coach.post("/api/sessions/" + session + "/finish", Map.of());
    assertThat(of(client, "/open")).isEmpty();
  }

  /** A session a day, so that one is always due; once it is begun the next day's waits. */
  @Test
  void aPlannedSessionIsDueUntilOneIsBegun() {
    String client = client("Planned");
    coach.post(
        "/api/weeks",
        Map.of(
            "clientId", client, "gymId", gym, "aim", Map.of("VL", 1), "times", 7, "minutes", 45));
    LocalDate today = LocalDate.now(ZoneOffset.UTC);
    assertThat(of(client, "/planned"))
        .singleElement()
        .satisfies(
            node -> {
              assertThat(node.at("/on").asString()).isEqualTo(today.toString());
              assertThat(node.at("/minutes").asInt()).isEqualTo(45);
              assertThat(node.at("/day").asInt()).isEqualTo(today.getDayOfWeek().getValue() - 1);
            });
    begun(client);
    assertThat(of(client, "/planned").get(0).at("/on").asString())
        .isEqualTo(today.plusDays(1).toString());
  }

  @Test
  void painThatComesBackWaitsUntilItIsAnswered() {
    String client = client("Sore");
    for (int week = 4; week >= 1; week--) {
      String session = begun(client);
      String item =
          coach
              .post("/api/sessions/" + session + "/items", Map.of("candidateId", "leg-press/low"))
              .at("/items/0/id")
              .asString();
      Map<String, Object> set =
          new HashMap<>(FloorApiTest.set(session, item, UUID.randomUUID().toString(), 1, 0, 10));
      set.put("performedAt", Instant.now().minus(7L * week, ChronoUnit.DAYS).toString());
      set.put("pain", Map.of("joint", "KNEE", "level", 5));
      logs(coach, set);
      coach.post("/api/sessions/" + session + "/finish", Map.of());
    }
    List<JsonNode> advice = of(client, "/advice");
    assertThat(advice)
        .extracting(node -> node.at("/kind").asString())
        .contains("PAINFUL")
        .doesNotContain("REGION_BEHIND");
    assertThat(advice.get(0).at("/figures").asString()).contains("5 of 10");
    coach.post(
        "/api/clients/" + client + "/record/lessons/answers",
        Map.of("kind", "PAINFUL", "subject", "leg-press/low"));
    assertThat(of(client, "/advice"))
        .extracting(node -> node.at("/kind").asString())
        .doesNotContain("PAINFUL");
  }

  /** Early on a Monday in Greenwich it is Sunday on an island in the west, and last week. */
  @Test
  void aSetCountsOnTheCoachsOwnDayAndInTheCoachsOwnWeek() {
    RunningApp.Visitor island = RunningApp.anotherCoach("island");
    String client = client(island, "West");
    String hall =
        island
            .post("/api/gyms", Map.of("name", "Hall", "equipment", List.of("leg-press")))
            .at("/id")
            .asString();
    String session =
        island
            .post(
                "/api/sessions", Map.of("clientId", client, "gymId", hall, "aim", Map.of("VL", 1)))
            .at("/id")
            .asString();
    String item =
        island
            .post("/api/sessions/" + session + "/items", Map.of("candidateId", "leg-press/low"))
            .at("/items/0/id")
            .asString();
    LocalDate monday =
        LocalDate.now(ZoneOffset.UTC)
            .minusDays(7)
            .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    Map<String, Object> set =
        new HashMap<>(FloorApiTest.set(session, item, UUID.randomUUID().toString(), 1, 0, 10));
    set.put("performedAt", monday.atTime(3, 0).toInstant(ZoneOffset.UTC).toString());
    logs(island, set);

    assertThat(dayAndWeek(island, client)).containsExactly(monday, monday);
    assertThat(zone(island, "Pacific/Honolulu").status()).isEqualTo(204);
    assertThat(island.get("/api/account").at("/timeZone").asString()).isEqualTo("Pacific/Honolulu");
    assertThat(dayAndWeek(island, client))
        .containsExactly(monday.minusDays(1), monday.minusWeeks(1));
    assertThat(RunningApp.text(island, "/api/clients/" + client + "/record.csv"))
        .contains(monday.minusDays(1) + ",17:00");
    assertThat(zone(island, "Nowhere").fault("timeZone")).contains("time zone");
    // a browser's old name of a zone, which a database need not know
    assertThat(zone(island, "Asia/Calcutta").status()).isEqualTo(204);
    assertThat(dayAndWeek(island, client)).containsExactly(monday, monday);
  }

  private static Answer zone(RunningApp.Visitor who, String name) {
    return who.send("PUT", "/api/account/time-zone", Map.of("timeZone", name));
  }

  /** The day of the one outing, and the Monday of the week that has its sets. */
  private static List<LocalDate> dayAndWeek(RunningApp.Visitor who, String client) {
    String record = "/api/clients/" + client + "/record";
    String series = who.get(record).at("/series/0/id").asString();
    List<LocalDate> found = new ArrayList<>();
    found.add(
        LocalDate.parse(who.get(record + "/series/" + series).at("/outings/0/on").asString()));
    for (JsonNode week : who.get(record + "/weeks?weeks=4").at("/weeks")) {
      if (week.at("/sets/VL").asDouble() > 0) {
        found.add(LocalDate.parse(week.at("/monday").asString()));
      }
    }
    return found;
  }

  /** Whoever has the first account sees to the machine; the others cannot. */
  @Test
  void onlyTheFirstCoachIsToldOfBackups() {
    assertThat(RunningApp.firstCoach().get("/api/today").at("/backup/late").asBoolean(true))
        .isFalse();
    assertThat(coach.get("/api/today").body().has("backup")).isFalse();
    JsonNode page = RunningApp.visitor().get("/actuator/health/nightly").body();
    assertThat(page.at("/components/backups/details/late").asBoolean(true)).isFalse();
  }

  /** An ended session goes on; an empty one is taken out and put back; a record stays. */
  @Test
  void sessionsAreReopenedAndEmptyOnesTakenOut() {
    String client = client("Again");
    String path = "/api/sessions/" + begun(client);
    assertThat(coach.send("DELETE", path, null).status()).isEqualTo(204);
    assertThat(of(client, "/open")).isEmpty();
    assertThat(coach.get("/api/sessions?clientId=" + client).body()).isEmpty();
    assertThat(coach.post(path + "/restore", Map.of()).status()).isEqualTo(200);
    assertThat(of(client, "/open"))
        .singleElement()
        .satisfies(node -> assertThat(node.at("/sets").asInt()).isZero());
    String item =
        coach
            .post(path + "/items", Map.of("candidateId", "leg-press/low"))
            .at("/items/0/id")
            .asString();
    coach.send(
        "PUT",
        path + "/items/" + item + "/sets/" + UUID.randomUUID(),
        Map.of("loadKg", 60, "repetitions", 8, "reserve", 2));
    assertThat(coach.send("DELETE", path, null).status()).isEqualTo(409);
    assertThat(of(client, "/open").get(0).at("/sets").asInt()).isEqualTo(1);
    assertThat(coach.post(path + "/finish", Map.of()).at("/finishedAt").asString()).isNotBlank();
    assertThat(coach.post(path + "/reopen", Map.of()).body().has("finishedAt")).isFalse();
  }
}
