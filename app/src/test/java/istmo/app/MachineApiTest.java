package istmo.app;

import static istmo.app.ClientAndGymApiTest.intake;
import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.measuring.Pull;
import istmo.core.measuring.StandIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What is known of a gym's machines, and what it does. */
@ExtendWith(RunningApp.class)
class MachineApiTest {
  private String gym;

  @BeforeEach
  void aGym() {
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Machines " + UUID.randomUUID(),
                    "equipment",
                    Equipment.ids(Equipment.everything())))
            .at("/id")
            .asString();
  }

  private static JsonNode detail(JsonNode machines, String item, String detail) {
    for (JsonNode node : machines.path("machines")) {
      if (node.path("item").asString().equals(item)) {
        for (JsonNode jsonNode : node.path("details")) {
          if (jsonNode.path("id").asString().equals(detail)) {
            return jsonNode;
          }
        }
      }
    }
    throw new AssertionError("no " + detail + " of " + item);
  }

  private int version() {
    return get("/api/gyms/" + gym).at("/version").asInt();
  }

  /** Pulls on the invented machine, so that its truth is known. */
  private static List<Map<String, Object>> pulls() {
    List<Map<String, Object>> list = new ArrayList<>();
    for (double at : new double[] {10, 40, 70, 100}) {
      for (Pull.Direction direction :
          new Pull.Direction[] {Pull.Direction.UP, Pull.Direction.DOWN}) {
        list.add(
            Map.of(
                "at",
                at,
                "forceN",
                StandIn.forceN(
                    Equipment.LEG_EXTENSION,
                    GymEquipment.generic(Set.of()),
                    new Pull(at, 0, 0.38, 40, direction)),
                "leverM",
                0.38,
                "loadKg",
                40,
                "direction",
                direction.name()));
      }
    }
    return list;
  }

  /** Set-up page and comparison end at the heaviest weights of the place, as the order does. */
  @Test
  void theHeaviestDumbbellsOfThePlaceBoundEveryScreen() {
    put(
        "/api/gyms/" + gym + "/machines/dumbbells",
        Map.of("version", version(), "measured", Map.of("most", 50)));
    Map<String, Object> input = intake("Light dumbbells " + UUID.randomUUID());
    input.put("pain", List.of());
    String client = post("/api/clients", input).at("/id").asString();
    Map<String, Object> here =
        Map.of("clientId", client, "gymId", gym, "candidateId", "romanian-deadlift/dumbbells");
    Map<String, Object> anywhere =
        Map.of("clientId", client, "candidateId", "romanian-deadlift/dumbbells");
    Answer bench = post("/api/bench", Map.of("sides", List.of(here, anywhere)));
    assertThat(bench.at("/sides/0/changes").toString())
        .contains("nothing heavier than 50\u00a0kg here");
    assertThat(bench.at("/sides/1/changes").toString()).doesNotContain("heavier than 50\u00a0kg");
    Answer comparison =
        post(
            "/api/comparisons",
            Map.of(
                "clientId",
                client,
                "gymId",
                gym,
                "members",
                List.of(
                    Map.of("candidateId", "romanian-deadlift/dumbbells"),
                    Map.of("candidateId", "romanian-deadlift/usual"))));
    assertThat(comparison.at("/members/0/changes").toString()).contains("heavier than 50\u00a0kg");
    assertThat(comparison.at("/repetitions/0").asDouble()).isBetween(11.0, 20.0);
    assertThat(comparison.at("/repetitions/1").asDouble()).isBetween(9.5, 10.5);
  }

  @Test
  void aMeasuredValueIsMarkedUsedAndGoesBackToGeneric() {
    String machines = "/api/gyms/" + gym + "/machines";
    assertThat(detail(get(machines).body(), "leg-press", "railAngle").path("measured").asBoolean())
        .isFalse();
    Answer known =
        put(
            machines + "/leg-press",
            Map.of("version", version(), "measured", Map.of("railAngle", 38, "stop", 0.8)));
    assertThat(detail(known.body(), "leg-press", "railAngle").path("measured").asBoolean())
        .isTrue();
    assertThat(detail(known.body(), "leg-press", "railAngle").path("value").asDouble())
        .isEqualTo(38);
    Map<String, Object> input = intake("On this machine " + UUID.randomUUID());
    input.put("pain", List.of());
    String client = post("/api/clients", input).at("/id").asString();
    Answer bench =
        post(
            "/api/bench",
            Map.of(
                "sides",
                List.of(
                    Map.of("clientId", client, "gymId", gym, "candidateId", "leg-press/high"),
                    Map.of("clientId", client, "candidateId", "leg-press/high"))));
    assertThat(bench.at("/sides/0/setup/railAngle").asDouble()).isEqualTo(38);
    assertThat(bench.at("/sides/0/changes").toString()).contains("machine's stop");
    assertThat(bench.at("/sides/0/measured").toString())
        .contains("railAngle", "stop")
        .doesNotContain("sledMass");
    assertThat(bench.at("/sides/1/setup/railAngle").asDouble())
        .as("without a gym it is generic")
        .isEqualTo(45);
    String session =
        post("/api/sessions", Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 1)))
            .at("/id")
            .asString();
    assertThat(
            post("/api/sessions/" + session + "/items", Map.of("candidateId", "leg-press/high"))
                .at("/items/0/setup/railAngle")
                .asDouble())
        .isEqualTo(38);
    assertThat(
            put(machines + "/leg-press", Map.of("version", version() - 1, "measured", Map.of()))
                .status())
        .as("a stale change")
        .isEqualTo(409);
    Answer bad =
        put(
            machines + "/leg-press",
            Map.of("version", version(), "measured", Map.of("railAngle", 400, "colour", 3)));
    assertThat(bad.fault("measured.leg-press.railAngle")).contains("0 to 90 deg");
    assertThat(bad.fault("measured.leg-press.colour")).contains("railAngle");
    Answer generic =
        put(machines + "/leg-press", Map.of("version", version(), "measured", Map.of()));
    assertThat(detail(generic.body(), "leg-press", "railAngle").path("measured").asBoolean())
        .isFalse();
  }

  @Test
  void thePlatesOwnedAreKept() {
    String machines = "/api/gyms/" + gym + "/machines";
    Answer kept =
        put(
            machines,
            Map.of(
                "version",
                version(),
                "plates",
                List.of(Map.of("kg", 20, "pairs", 4), Map.of("kg", 1.25, "pairs", 1))));
    assertThat(kept.at("/plates/0/kg").asDouble()).isEqualTo(1.25);
    assertThat(get(machines).at("/plates").size()).isEqualTo(2);
    put(machines + "/leg-press", Map.of("version", version(), "measured", Map.of("railAngle", 40)));
    assertThat(get(machines).at("/plates").size()).as("other changes leave them").isEqualTo(2);
    assertThat(
            put(
                    machines,
                    Map.of(
                        "version",
                        version(),
                        "plates",
                        List.of(Map.of("kg", 20, "pairs", 1), Map.of("kg", 20, "pairs", 2))))
                .fault("plates"))
        .contains("once");
    assertThat(
            put(
                    machines,
                    Map.of("version", version(), "plates", List.of(Map.of("kg", -5, "pairs", 1))))
                .fault("plates"))
        .contains("0.1 to 100 kg");
  }

  @Test
  void pullsBecomeACurveThatIsKeptWithThem() {
    String machine = "/api/gyms/" + gym + "/machines/leg-extension";
    Answer fit = post(machine + "/fit", Map.of("pulls", pulls()));
    assertThat(fit.at("/values/friction").asDouble()).isCloseTo(0.07, within(1e-6));
    assertThat(fit.at("/values/curve60").asDouble() * fit.at("/values/pulley").asDouble())
        .isCloseTo(StandIn.cam(60), within(0.01 * StandIn.cam(60)));
    assertThat(fit.at("/genericError").asDouble()).isGreaterThan(fit.at("/repeatError").asDouble());
    assertThat(
            detail(get("/api/gyms/" + gym + "/machines").body(), "leg-extension", "pulley")
                .path("measured")
                .asBoolean())
        .as("not kept yet")
        .isFalse();
    Answer kept = put(machine + "/pulls", Map.of("version", version(), "pulls", pulls()));
    assertThat(
            detail(kept.body().path("machines"), "leg-extension", "curve120")
                .path("measured")
                .asBoolean())
        .isTrue();
    Answer gone = put(machine + "/pulls", Map.of("version", version(), "pulls", List.of()));
    assertThat(
            detail(gone.body().path("machines"), "leg-extension", "curve120")
                .path("measured")
                .asBoolean())
        .isFalse();
    assertThat(
            post(machine + "/fit", Map.of("pulls", List.of(Map.of("at", 10))))
                .fault("pulls.0.forceN"))
        .isEqualTo("is needed");
    assertThat(post(machine + "/fit", Map.of("pulls", pulls().subList(0, 2))).fault("pulls"))
        .contains("at least 3 lever angles");
  }

  /** A fitted value that is changed by hand takes the pulls away, since they say something else. */
  @Test
  void aFittedValueChangedByHandForgetsItsPulls() {
    String machine = "/api/gyms/" + gym + "/machines/leg-extension";
    put(machine + "/pulls", Map.of("version", version(), "pulls", pulls()));
    Answer answer = put(machine, Map.of("version", version(), "measured", Map.of("pulley", 0.3)));
    for (JsonNode node : answer.at("/machines")) {
      if (node.path("item").asString().equals("leg-extension")) {
        assertThat(node.path("pulls").size()).isZero();
      }
    }
  }

  @Test
  void theOrderSaysWhatIsWorthMeasuringAndWhatAFitWouldDo() {
    Map<String, Object> input = intake("Worth " + UUID.randomUUID());
    input.put("pain", List.of());
    String client = post("/api/clients", input).at("/id").asString();
    Map<String, Object> brief =
        Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 2, "BFL", 2));
    Answer worth = post("/api/orders/machines", brief);
    assertThat(worth.status()).isEqualTo(200);
    assertThat(worth.at("/0/sentence").asString()).contains("change their place");
    Answer none =
        post(
            "/api/orders/with-machine",
            Map.of("brief", brief, "item", "leg-extension", "measured", Map.of("curve60", 1.0)));
    assertThat(none.at("/moved").asInt()).isZero();
    Answer much =
        post(
            "/api/orders/with-machine",
            Map.of(
                "brief",
                brief,
                "item",
                "leg-extension",
                "measured",
                Map.of(
                    "curve0",
                    3.0,
                    "curve30",
                    2.5,
                    "curve60",
                    1.0,
                    "curve90",
                    0.3,
                    "curve120",
                    0.2)));
    assertThat(much.at("/moved").asInt()).isPositive();
    assertThat(much.at("/moves/0/words").asString()).isNotEmpty();
    assertThat(post("/api/orders/with-machine", Map.of("brief", brief)).fault("item"))
        .isEqualTo("is needed");
  }
}
