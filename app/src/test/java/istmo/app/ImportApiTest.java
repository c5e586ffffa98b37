package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.core.equipment.Equipment;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningApp.class)
class ImportApiTest {
  private static String gym;

  @BeforeAll
  static void aGym() {
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Import " + UUID.randomUUID(),
                    "equipment",
                    Equipment.ids(Equipment.everything())))
            .at("/id")
            .asString();
  }

  private static String client() {
    Map<String, Object> input = intake("Import " + UUID.randomUUID());
    input.put("pain", List.of());
    return post("/api/clients", input).at("/id").asString();
  }

  private static Answer bring(String client, String text, Map<String, Object> more) {
    Map<String, Object> body = new HashMap<>(more);
    body.putAll(Map.of("gymId", gym, "text", text));
    return post("/api/clients/" + client + "/imports", body);
  }

  @Test
  void namesAreFoundOrAskedForAndAllComesInOnce() {
    String client = client();
    String text =
        "\uFEFFDatum;Übung;Gewicht;Wdh;RIR\n"
            + "24.10.2026;Seated leg curl;40,5;12;2\n"
            + "24.10.2026;Seated leg curl;40,5;12;2\n"
            + "31.10.2026;My own thing;20;15;1\n";
    Answer preview = post("/api/clients/" + client + "/imports/preview", Map.of("text", text));
    assertThat(preview.at("/separator").asString()).isEqualTo(";");
    assertThat(preview.at("/sets").asInt()).isEqualTo(3);
    assertThat(preview.at("/from").asString()).isEqualTo("2026-10-24");
    assertThat(preview.at("/exercises"))
        .anySatisfy(
            node ->
                assertThat(node.path("candidateId").asString()).isEqualTo("seated-leg-curl/usual"));
    assertThat(preview.at("/ready").asBoolean()).isFalse();
    assertThat(bring(client, text, Map.of()).fault("exercises.My own thing"))
        .contains("say which exercise it is");
    assertThat(get("/api/clients/" + client + "/record").at("/series"))
        .as("nothing of it")
        .isEmpty();
    Map<String, Object> said = Map.of("exercises", Map.of("My own thing", "leg-extension/upright"));
    Answer in = bring(client, text, said);
    assertThat(in.status()).as("%s", in.body()).isEqualTo(200);
    assertThat(in.at("/sets").asInt()).isEqualTo(3);
    assertThat(in.at("/sessions").asInt()).isEqualTo(2);
    Answer again = bring(client, text, said);
    assertThat(again.at("/sets").asInt()).as("the same file again").isZero();
    assertThat(again.at("/already").asInt()).isEqualTo(3);
    Answer record = get("/api/clients/" + client + "/record");
    assertThat(record.at("/series")).hasSize(2);
    String series =
        record.at("/series").get(0).path("candidateId").asString().startsWith("seated")
            ? record.at("/series/0/id").asString()
            : record.at("/series/1/id").asString();
    assertThat(
            get("/api/clients/" + client + "/record/series/" + series)
                .at("/outings/0/sets/0/loadKg")
                .asDouble())
        .isEqualTo(40.5);
    assertThat(get("/api/sessions?clientId=" + client).body())
        .allSatisfy(node -> assertThat(node.has("finishedAt")).isTrue());
  }

  @Test
  void oneBrokenRowKeepsAllOut() {
    String client = client();
    Answer answer =
        bring(
            client,
            "date,exercise,weight,reps\n"
                + "2026-10-24,Back squat,60,8\n"
                + "2026-10-24,Back squat,60,many\n",
            Map.of());
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.fault("line 3, reps")).contains("many");
    assertThat(get("/api/clients/" + client + "/record").at("/series")).isEmpty();
    assertThat(
            bring(
                    client,
                    "date,exercise,reps\n2026-10-24,Thing,8\n",
                    Map.of("exercises", Map.of("Thing", "no-such/thing")))
                .status())
        .isEqualTo(422);
    assertThat(
            bring(
                    client,
                    "date,exercise,reps\n2026-10-24,Thing,8\n",
                    Map.of("exercises", Map.of("Thing", "")))
                .at("/sets")
                .asInt())
        .as("left out")
        .isZero();
  }

  /** Ten years of somebody who trains a lot: it all comes in, and the record still answers. */
  @Test
  void aHundredThousandRows() {
    String client = client();
    String[] names = {
      "Back squat, high bar", "Seated leg curl", "Leg press, feet low", "Standing calf raise"
    };
    StringBuilder text = new StringBuilder("date,exercise,weight,reps,rir\n");
    for (int k = 0; k < 100_000; k++) {
      text.append(LocalDate.of(2016, 1, 4).plusDays(2L * (k / 60)))
          .append(",\"")
          .append(names[k / 15 % 4])
          .append("\",")
          .append(40 + k % 50)
          .append(',')
          .append(6 + k % 9)
          .append(',')
          .append(k % 4)
          .append('\n');
    }
    Answer in = bring(client, text.toString(), Map.of());
    assertThat(in.status()).as("%s", in.body()).isEqualTo(200);
    assertThat(in.at("/sets").asInt()).isEqualTo(100_000);
    Answer record = get("/api/clients/" + client + "/record");
    assertThat(record.at("/series")).hasSize(4);
    long sets = 0;
    for (var node : record.at("/series")) {
      sets += node.path("sets").asLong();
    }
    assertThat(sets).isEqualTo(100_000);
  }
}
