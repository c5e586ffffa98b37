package istmo.app;

import static istmo.app.RunningApp.delete;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningApp.class)
class ClientFileTest {
  private static int rows(String table, String client) throws Exception {
    try (Connection c = RunningApp.bean(DataSource.class).getConnection();
        PreparedStatement s = c.prepareStatement("select count(*) from " + table + " where " + (table.equals("client") ? "id" : "client_id") + " = ?")) {
      s.setObject(1, UUID.fromString(client));
      try (ResultSet r = s.executeQuery()) {
        r.next();
        return r.getInt(1);
      }
    }
  }

  @Test
  void theFileHoldsEverythingAndErasingLeavesNothing() throws Exception {
    String name = "File " + UUID.randomUUID();
    Map<String, Object> intake = ClientAndGymApiTest.intake(name);
    intake.put("cautions", List.of(Map.of("caution", "LAY_OFF")));
    intake.put("profile", Map.of("trainingAge", "YEARS", "daysAWeek", 3, "notes", "bar hurts the hip bones", "likes", List.of("seated-calf-raise")));
    String client = post("/api/clients", intake).at("/id").asString();
    String gym = post("/api/gyms", Map.of("name", "File gym " + UUID.randomUUID(), "equipment", List.of("seated-calf"))).at("/id").asString();
    post("/api/clients/" + client + "/measurements", Map.of("kind", "THIGH", "side", "LEFT", "value", 0.43, "on", "2026-11-02"));
    post("/api/clients/" + client + "/lifts", Map.of("candidateId", "back-squat/high-bar", "loadKg", 70, "repetitions", 5, "reserve", 1, "on", "2026-11-03"));
    for (double load : new double[] {40, 45}) {
      String session = post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("SOL", 2))).at("/id").asString();
      String item = post("/api/sessions/" + session + "/items", Map.of("candidateId", "seated-calf-raise/usual")).at("/items/0/id").asString();
      put("/api/sessions/" + session + "/items/" + item + "/sets/" + UUID.randomUUID(), Map.of("loadKg", load, "repetitions", 15, "reserve", 1));
    }

    String floor = post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("SOL", 2))).at("/id").asString();
    String item = FloorApiTest.pin(floor, "seated-calf-raise/usual");
    Map<String, Object> set = FloorApiTest.set(floor, item, UUID.randomUUID().toString(), 1, 0, 12);
    set.putAll(Map.of("felt", List.of("SOL"), "pain", Map.of("joint", "ANKLE", "level", 2), "range", "SHORT", "number", 1));
    FloorApiTest.send("phone", List.of(Map.of("set", set), Map.of("mark", Map.of("clientId", client, "gymId", gym, "candidateId", "seated-calf-raise/usual", "words", "Pad 3", "at", java.time.Instant.now().toString()))));
    post("/api/clients/" + client + "/record/lessons/answers", Map.of("kind", "STALL", "subject", "seated-calf-raise/usual"));

    Answer file = get("/api/clients/" + client + "/file");
    assertThat(file.status()).isEqualTo(200);
    assertThat(file.at("/format").asString()).isEqualTo("istmo-client");
    assertThat(file.at("/version").asInt()).isEqualTo(4);
    assertThat(file.at("/name").asString()).isEqualTo(name);
    assertThat(file.at("/cautions/0/caution").asString()).isEqualTo("LAY_OFF");
    assertThat(file.at("/measurements/0/value").asDouble()).isEqualTo(0.43);
    assertThat(file.at("/pain/0/joint").asString()).isEqualTo("KNEE");
    assertThat(file.at("/profile/notes").asString()).isEqualTo("bar hurts the hip bones");
    assertThat(file.at("/profile/likes/0").asString()).isEqualTo("seated-calf-raise");
    assertThat(file.at("/lifts/0/loadKg").asDouble()).isEqualTo(70);
    assertThat(file.at("/sessions").size()).isEqualTo(3);
    assertThat(file.at("/sessions/2/items/0/sets/0/pain/level").asInt()).isEqualTo(2);
    assertThat(file.at("/sessions/2/items/0/sets/0/felt/0").asString()).isEqualTo("SOL");
    assertThat(file.at("/marks/0/words").asString()).isEqualTo("Pad 3");
    assertThat(file.at("/answers/0/kind").asString()).isEqualTo("STALL");
    assertThat(file.at("/learns").asBoolean()).isTrue();
    assertThat(file.at("/sessions/0/items/0/sets/0/loadKg").asDouble()).as("oldest first").isEqualTo(40);
    assertThat(file.at("/sessions/1/aim/SOL").asInt()).isEqualTo(2);

    assertThat(delete("/api/clients/" + client + "?name=Somebody").fault("name")).contains("nothing was erased");
    assertThat(get("/api/clients/" + client).status()).isEqualTo(200);
    assertThat(delete("/api/clients/" + client + "?name=" + name.replace(" ", "%20")).status()).isEqualTo(204);
    assertThat(get("/api/clients/" + client).status()).isEqualTo(404);
    for (String table : List.of("client", "measurement", "known_lift", "training_session", "performed_set", "week_plan", "series", "machine_mark", "lesson_answer")) {
      assertThat(rows(table, client)).as(table).isZero();
    }
  }
}
