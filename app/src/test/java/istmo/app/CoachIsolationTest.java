package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Another coach's rows, written straight into the database, are as if they did not exist. */
@ExtendWith(RunningApp.class)
class CoachIsolationTest {
  private static final UUID COACH = UUID.randomUUID();
  private static final UUID CLIENT = UUID.randomUUID();
  private static final UUID GYM = UUID.randomUUID();
  private static final UUID SESSION = UUID.randomUUID();
  private static final UUID ITEM = UUID.randomUUID();
  private static final UUID SET = UUID.randomUUID();
  private static final UUID READING = UUID.randomUUID();
  private static String ownClient;
  private static String ownGym;

  @BeforeAll
  static void anotherCoachWithAWholeLine() throws Exception {
    try (Connection c = RunningApp.bean(DataSource.class).getConnection()) {
      run(c, "insert into coach values (?, 'Another coach', ?)", COACH, now());
      run(c, "insert into client values (?, ?, 0, 'Secret Client', 1.7, 70, 'MALE', 'USUAL', 'USUAL', '[]', ?)", CLIENT, COACH, now());
      run(c, "insert into gym values (?, ?, 0, 'Secret Gym', '[]', ?)", GYM, COACH, now());
      run(c, "insert into training_session values (?, ?, ?, ?, '{\"aim\":{},\"keepOut\":[],\"school\":\"stretch\"}', ?, null)", SESSION, COACH, CLIENT, GYM, now());
      run(c, "insert into session_item values (?, ?, ?, 1, 'seated-calf-raise/usual', '{\"stretch\":20,\"rise\":35}', ?)", ITEM, COACH, SESSION, now());
      run(c, "insert into measurement values (?, ?, ?, 'MASS', 'NONE', 70, '2026-11-01', ?)", READING, COACH, CLIENT, now());
      run(c, "insert into performed_set values (?, ?, ?, ?, 'seated-calf-raise/usual', 99, 9, 1, ?)", SET, COACH, CLIENT, ITEM, now());
    }
    ownClient = post("/api/clients", ClientAndGymApiTest.intake("Own " + UUID.randomUUID())).at("/id").asString();
    ownGym = post("/api/gyms", Map.of("name", "Own " + UUID.randomUUID(), "equipment", List.of("seated-calf"))).at("/id").asString();
  }

  private static Timestamp now() {
    return Timestamp.from(Instant.now());
  }

  private static void run(Connection c, String sql, Object... values) throws Exception {
    try (PreparedStatement s = c.prepareStatement(sql)) {
      for (int k = 0; k < values.length; k++) {
        s.setObject(k + 1, values[k]);
      }
      s.executeUpdate();
    }
  }

  static Stream<Answer> doors() {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Stolen");
    intake.put("version", 0);
    Map<String, Integer> aim = Map.of("SOL", 1);
    String session = "/api/sessions/" + SESSION;
    String set = session + "/items/" + ITEM + "/sets/" + SET;
    Map<String, Object> done = Map.of("loadKg", 1, "repetitions", 1, "reserve", 0);
    return Stream.of(
        get("/api/clients/" + CLIENT),
        put("/api/clients/" + CLIENT, intake),
        get("/api/clients/" + CLIENT + "/file"),
        delete("/api/clients/" + CLIENT + "?name=Secret%20Client"),
        get("/api/clients/" + CLIENT + "/measurements"),
        post("/api/clients/" + CLIENT + "/measurements", Map.of("kind", "MASS", "value", 70, "on", "2026-11-01")),
        delete("/api/clients/" + CLIENT + "/measurements/" + READING),
        delete("/api/clients/" + ownClient + "/measurements/" + READING),
        post("/api/orders/measuring", Map.of("clientId", CLIENT, "gymId", ownGym, "aim", aim)),
        get("/api/gyms/" + GYM),
        put("/api/gyms/" + GYM, Map.of("version", 0, "name", "Stolen", "equipment", List.of())),
        post("/api/orders", Map.of("clientId", CLIENT, "gymId", ownGym, "aim", aim)),
        post("/api/orders", Map.of("clientId", ownClient, "gymId", GYM, "aim", aim)),
        post("/api/bench", Map.of("sides", List.of(Map.of("clientId", CLIENT, "candidateId", "leg-press/high")))),
        post("/api/sessions", Map.of("clientId", CLIENT, "gymId", ownGym, "aim", aim)),
        post("/api/sessions", Map.of("clientId", ownClient, "gymId", GYM, "aim", aim)),
        get(session),
        post(session + "/items", Map.of("candidateId", "seated-calf-raise/usual")),
        put(session + "/items/" + ITEM + "/setup", Map.of("setup", Map.of("stretch", 10))),
        delete(session + "/items/" + ITEM),
        put(set, done),
        delete(set),
        post(session + "/finish", Map.of()));
  }

  @ParameterizedTest
  @MethodSource("doors")
  void everyDoorAnswersAsIfItDidNotExist(Answer answer) {
    assertThat(answer.status()).isEqualTo(404);
    assertThat(answer.body().toString()).doesNotContain("Secret");
  }

  @Test
  void listsShowOnlyOwnRowsAndLastTimeIsOwn() {
    assertThat(get("/api/clients").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/gyms").body().toString()).doesNotContain("Secret");
    assertThat(get("/api/sessions").body().toString()).doesNotContain(SESSION.toString());
    assertThat(get("/api/sessions?clientId=" + CLIENT).body().size()).isZero();
    String session = post("/api/sessions", Map.of("clientId", ownClient, "gymId", ownGym, "aim", Map.of("SOL", 1))).at("/id").asString();
    Answer pinned = post("/api/sessions/" + session + "/items", Map.of("candidateId", "seated-calf-raise/usual"));
    assertThat(pinned.at("/items/0").has("lastTime")).isFalse();
    // a set id that another coach used is not found again, and cannot be taken over
    Answer taken = put("/api/sessions/" + session + "/items/" + pinned.at("/items/0/id").asString() + "/sets/" + SET, Map.of("loadKg", 1, "repetitions", 1, "reserve", 0));
    assertThat(taken.status()).isEqualTo(409);
    assertThat(taken.body().toString()).doesNotContain("loadKg");
  }
}
