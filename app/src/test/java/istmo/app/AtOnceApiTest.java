package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import istmo.core.equipment.Equipment;
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
  private static final int LONG_SEARCH_S = 40;
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

  /** A week that no search has proved the best after some seconds. */
  private static String largeWeek(Visitor coach, String name) {
    Map<String, Object> input = ClientAndGymApiTest.intake(name);
    input.put("pain", List.of());
    String someone = coach.post("/api/clients", input).at("/id").asString();
    List<String> everything = Equipment.ids(Equipment.everything());
    String hall =
        coach.post("/api/gyms", Map.of("name", name, "equipment", everything)).at("/id").asString();
    Map<String, Object> wish = WeekApiTest.wish(someone, hall);
    wish.put("aim", Map.of("VL", 2, "BFL", 2, "GMAXM", 2, "GASM", 2, "SOL", 2));
    wish.put("times", 4);
    return coach.post("/api/weeks", wish).at("/id").asString();
  }

  private static Answer compose(Visitor coach, String week, UUID run) {
    return coach.post(
        "/api/weeks/" + week + "/compose",
        Map.of("version", 0, "run", run, "seconds", LONG_SEARCH_S));
  }

  @Test
  void aSearchHoldsItsCoachAndItsIdUntilItIsStopped() throws Exception {
    Visitor one = RunningApp.owner();
    Visitor other = RunningApp.anotherCoach("At once, another");
    String week = largeWeek(one, "Searching " + UUID.randomUUID());
    String othersWeek = largeWeek(other, "Searching too");
    UUID run = UUID.randomUUID();
    String search = "/api/weeks/" + week + "/compose/" + run;
    ExecutorService device = Executors.newSingleThreadExecutor();
    try {
      Future<Answer> first = device.submit(() -> compose(one, week, run));
      while (one.get(search).status() != 200 && !first.isDone()) {
        Thread.sleep(20);
      }
      Answer second = compose(one, week, UUID.randomUUID());
      assertThat(second.status()).isEqualTo(409);
      assertThat(second.at("/detail").asString()).contains("A search of yours is running");
      Answer taken = compose(other, othersWeek, run);
      assertThat(taken.status()).isEqualTo(409);
      assertThat(taken.at("/detail").asString()).contains("a search of that id already");
      assertThat(one.send("DELETE", search, null).status()).isEqualTo(204);
      assertThat(first.get().status()).isEqualTo(200);
      assertThat(first.get().at("/search/seconds").asDouble()).isLessThan(LONG_SEARCH_S);
    } finally {
      device.shutdownNow();
    }
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
