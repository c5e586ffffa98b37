package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The same change from many devices at once: one is stored, the others hear that it was. */
@ExtendWith(RunningApp.class)
class AtOnceApiTest {
  private static final int DEVICES = 12;
  private static String client;
  private static String gym;

  @BeforeAll
  static void aClientAndAGym() {
    Map<String, Object> input = ClientAndGymApiTest.intake("At once " + UUID.randomUUID());
    input.put("pain", List.of());
    client = post("/api/clients", input).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of("name", "At once " + UUID.randomUUID(), "equipment", List.of("leg-press")))
            .at("/id")
            .asString();
  }

  /** Statuses of the same message from so many devices. */
  private static List<Integer> atOnce(Callable<Answer> message) throws Exception {
    ExecutorService devices = Executors.newFixedThreadPool(DEVICES);
    try {
      List<Callable<Answer>> all = IntStream.range(0, DEVICES).mapToObj(k -> message).toList();
      return devices.invokeAll(all).stream().map(AtOnceApiTest::status).toList();
    } finally {
      devices.shutdownNow();
    }
  }

  private static int status(Future<Answer> answer) {
    try {
      return answer.get().status();
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** A coach has one search at a time; a run's id belongs to the search that took it first. */
  @Test
  void oneSearchOfACoachRuns() throws Exception {
    String week =
        post(
                "/api/weeks",
                Map.of(
                    "clientId",
                    client,
                    "gymId",
                    gym,
                    "aim",
                    Map.of("VL", 3),
                    "times",
                    2,
                    "minutes",
                    50))
            .at("/id")
            .asString();
    List<Integer> statuses =
        atOnce(
            () ->
                post(
                    "/api/weeks/" + week + "/compose",
                    Map.of("version", 0, "run", UUID.randomUUID(), "seconds", 2)));
    assertThat(statuses).containsOnly(200, 409).containsOnlyOnce(200);
  }

  @Test
  void oneSaveOfAClientIsStored() throws Exception {
    Map<String, Object> input =
        new HashMap<>(ClientAndGymApiTest.intake("At once " + UUID.randomUUID()));
    input.put("pain", List.of());
    input.put("version", get("/api/clients/" + client).at("/version").asInt());
    List<Integer> statuses = atOnce(() -> put("/api/clients/" + client, input));
    assertThat(statuses).containsOnly(200, 409).containsOnlyOnce(200);
  }

  @Test
  void oneMeasuredMachineIsStored() throws Exception {
    Map<String, Object> input =
        Map.of(
            "version",
            get("/api/gyms/" + gym).at("/version").asInt(),
            "measured",
            Map.of("railAngle", 40));
    List<Integer> statuses = atOnce(() -> put("/api/gyms/" + gym + "/machines/leg-press", input));
    assertThat(statuses).containsOnly(200, 409).containsOnlyOnce(200);
  }

  @Test
  void oneUndoOfAPlanIsDone() throws Exception {
    Answer plan =
        post(
            "/api/weeks",
            Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 2), "times", 1));
    String path = "/api/weeks/" + plan.at("/id").asString();
    Answer changed =
        put(
            path,
            Map.of(
                "version",
                plan.at("/version").asInt(),
                "what",
                "renamed",
                "plan",
                Map.of(
                    "name",
                    "Renamed",
                    "days",
                    plan.at("/plan/days"),
                    "pairing",
                    plan.at("/plan/pairing"),
                    "varied",
                    true,
                    "hold",
                    true,
                    "targets",
                    Map.of())));
    assertThat(changed.status()).as("%s", changed.body()).isEqualTo(200);
    Map<String, Object> version = Map.of("version", changed.at("/version").asInt());
    List<Integer> statuses = atOnce(() -> post(path + "/undo", version));
    assertThat(statuses).containsOnly(200, 409).containsOnlyOnce(200);
  }

  @Test
  void whetherTheRecordCountsIsSetWithoutAFault() throws Exception {
    List<Integer> statuses =
        atOnce(() -> put("/api/clients/" + client + "/record/learns", Map.of("on", false)));
    assertThat(statuses).isSubsetOf(200, 409).contains(200);
  }
}
