package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import istmo.app.RunningApp.Answer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Planned weeks over HTTP: begun, composed, changed, undone, swapped, as blocks. */
@ExtendWith(RunningApp.class)
class WeekApiTest {
  private static String client;
  private static String gym;

  @BeforeAll
  static void aClientAndAGym() {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Week Client");
    intake.put("pain", List.of());
    client = post("/api/clients", intake).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Week Gym",
                    "equipment",
                    List.of(
                        "leg-press",
                        "seated-curl",
                        "leg-extension",
                        "seated-calf",
                        "standing-calf",
                        "barbell",
                        "rack",
                        "bench",
                        "dumbbells",
                        "abduction-machine")))
            .at("/id")
            .asString();
  }

  private static Map<String, Object> wish() {
    return wish(client, gym);
  }

  static Map<String, Object> wish(String client, String gym) {
    Map<String, Object> w = new LinkedHashMap<>();
    w.put("clientId", client);
    w.put("gymId", gym);
    w.put("aim", Map.of("VL", 3, "BFL", 2));
    w.put("times", 2);
    w.put("minutes", 50);
    return w;
  }

  private static Answer begun() {
    Answer answer = post("/api/weeks", wish());
    assertThat(answer.status()).isEqualTo(201);
    return answer;
  }

  private static Answer composed() {
    Answer week = begun();
    Answer answer =
        post(
            "/api/weeks/" + week.at("/id").asString() + "/compose",
            Map.of(
                "version", week.at("/version").asInt(), "run", UUID.randomUUID(), "seconds", 1.5));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    return answer;
  }

  private static Answer changed(JsonNode week, String what, Object plan) {
    return put(
        "/api/weeks/" + week.at("/id").asString(),
        Map.of("version", week.at("/version").asInt(), "what", what, "plan", plan));
  }

  @Test
  void aWeekIsBegunComposedAndStandsInItsMinutes() {
    Answer answer = composed();
    JsonNode week = answer.body().at("/week");
    assertThat(week.at("/days").size()).isEqualTo(2);
    for (JsonNode day : week.at("/days")) {
      assertThat(day.at("/usedMinutes").asDouble()).isBetween(1.0, 50.0);
      double end = 0;
      for (JsonNode node : day.at("/segments")) {
        assertThat(node.at("/startS").asDouble())
            .as("segments follow one another")
            .isCloseTo(end, offset(0.01));
        end += node.at("/seconds").asDouble();
      }
      for (JsonNode bout : day.at("/bouts")) {
        assertThat(bout.at("/reason").asString()).isNotBlank();
        for (JsonNode item : bout.at("/items")) {
          assertThat(item.at("/load/basis").asString()).isNotBlank();
          assertThat(item.at("/prescription/sets").asInt()).isBetween(2, 4);
        }
      }
    }
    assertThat(week.at("/coverage/sets/VL").asDouble()).isGreaterThan(3);
    assertThat(answer.at("/search/bound").asLong())
        .isLessThanOrEqualTo(answer.at("/search/points").asLong());
    assertThat(week.at("/undo").asString()).isEqualTo("composed");
  }

  @Test
  void whatIsPinnedStaysAndEveryEditCanBeUndoneAndDoneAgain() {
    Answer week = begun();
    Map<String, Object> item = item("leg-press/high");
    Map<String, Object> plan = plan(week.body(), List.of(List.of(item)));
    Answer pinned = changed(week.body(), "Leg press pinned", plan);
    assertThat(pinned.status()).as(pinned.body().toString()).isEqualTo(200);
    assertThat(pinned.at("/days/0/bouts/0/items/0/name").asString())
        .isEqualTo("Leg press, feet high");
    String id = pinned.at("/id").asString();
    Answer composed =
        post(
            "/api/weeks/" + id + "/compose",
            Map.of(
                "version", pinned.at("/version").asInt(), "run", UUID.randomUUID(), "seconds", 1));
    assertThat(items(composed.body().at("/week"))).contains("pin-1");
    Answer undone =
        post("/api/weeks/" + id + "/undo", Map.of("version", composed.at("/week/version").asInt()));
    assertThat(items(undone.body())).containsExactly("pin-1");
    assertThat(undone.at("/undo").asString()).isEqualTo("Leg press pinned");
    assertThat(undone.at("/redo").asString()).isEqualTo("composed");
    Answer again =
        post("/api/weeks/" + id + "/redo", Map.of("version", undone.at("/version").asInt()));
    assertThat(items(again.body())).isEqualTo(items(composed.body().at("/week")));
    Answer undoneAgain =
        post("/api/weeks/" + id + "/undo", Map.of("version", again.at("/version").asInt()));
    Answer composedAnew =
        post(
            "/api/weeks/" + id + "/compose",
            Map.of(
                "version",
                undoneAgain.at("/version").asInt(),
                "run",
                UUID.randomUUID(),
                "seconds",
                1));
    assertThat(composedAnew.status()).as("composing in place of what was undone").isEqualTo(200);
    assertThat(composedAnew.body().at("/week").has("redo")).isFalse();
    again = new Answer(200, composedAnew.body().at("/week"), "", Map.of());
    Answer back =
        post(
            "/api/weeks/" + id + "/undo",
            Map.of(
                "version",
                post("/api/weeks/" + id + "/undo", Map.of("version", again.at("/version").asInt()))
                    .at("/version")
                    .asInt()));
    assertThat(items(back.body())).isEmpty();
    assertThat(
            post("/api/weeks/" + id + "/undo", Map.of("version", back.at("/version").asInt()))
                .status())
        .isEqualTo(409);
    assertThat(changed(back.body(), "renamed", plan(back.body(), List.of())).body().has("redo"))
        .as("a new edit ends what was undone")
        .isFalse();
  }

  @Test
  void anEditMadeElsewhereIsNotOverwritten() {
    Answer week = begun();
    assertThat(changed(week.body(), "first", plan(week.body(), List.of())).status()).isEqualTo(200);
    Answer late = changed(week.body(), "second", plan(week.body(), List.of()));
    assertThat(late.status()).isEqualTo(409);
    assertThat(late.at("/detail").asString()).contains("changed elsewhere");
  }

  @Test
  void badInputNamesItsPlaceAndNothingIsLost() {
    Answer week = begun();
    Map<String, Object> bad = item("leg-press/high");
    bad.put("prescription", prescription(40));
    Answer refused = changed(week.body(), "too many", plan(week.body(), List.of(List.of(bad))));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.fault("days[0].bouts[0][0].sets")).contains("1 to 10");
    Answer missing =
        changed(
            week.body(), "not here", plan(week.body(), List.of(List.of(item("hack-squat/usual")))));
    assertThat(missing.status()).isEqualTo(422);
    assertThat(missing.fault("candidateId")).contains("Not here: hack squat");
    assertThat(get("/api/weeks/" + week.at("/id").asString()).at("/version").asInt())
        .isEqualTo(week.at("/version").asInt());
    Map<String, Object> holes = plan(week.body(), null);
    holes.put("days", Arrays.asList(week.at("/plan/days/0"), null));
    assertThat(changed(week.body(), "holes", holes).fault("plan.days[1]")).isEqualTo("is empty");
    holes.put(
        "days",
        List.of(Map.of("weekday", 1, "minutes", 50, "bouts", Collections.singletonList(null))));
    assertThat(changed(week.body(), "holes", holes).fault("plan.days[0].bouts[0]"))
        .isEqualTo("is empty");
    Map<String, Object> noAim = wish();
    noAim.put("aim", Map.of());
    assertThat(post("/api/weeks", noAim).fault("aim")).contains("paint at least one region");
    Map<String, Object> often = wish();
    often.put("times", 9);
    assertThat(post("/api/weeks", often).fault("times")).isNotBlank();
  }

  @Test
  void theOrderOfASessionIsTheCoachsButIsRemarkedOn() {
    Answer week = begun();
    Map<String, Object> curl = item("seated-leg-curl/usual");
    curl.put("id", "pin-2");
    Answer odd =
        changed(
            week.body(),
            "curl first",
            plan(week.body(), List.of(List.of(curl), List.of(item("leg-press/high")))));
    assertThat(odd.at("/days/0/remarks/0").asString()).contains("Seated leg curl before Leg press");
    Answer arranged =
        post(
            "/api/weeks/" + odd.at("/id").asString() + "/arrange",
            Map.of("version", odd.at("/version").asInt(), "day", 0));
    assertThat(items(arranged.body())).containsExactly("pin-1", "pin-2");
    assertThat(arranged.at("/days/0/remarks").size()).isZero();
  }

  @Test
  void takingTurnsSavesTimeAndSaysWhatSpeaksAgainstIt() {
    Answer week = begun();
    Map<String, Object> curl = item("seated-leg-curl/usual");
    curl.put("id", "pin-2");
    Answer apart =
        changed(
            week.body(),
            "two",
            plan(week.body(), List.of(List.of(item("leg-press/high")), List.of(curl))));
    Answer inTurn =
        changed(
            apart.body(),
            "in turn",
            plan(apart.body(), List.of(List.of(item("leg-press/high"), curl))));
    assertThat(inTurn.at("/days/0/usedMinutes").asDouble())
        .isLessThan(apart.at("/days/0/usedMinutes").asDouble() - 2);
    assertThat(inTurn.at("/days/0/bouts/0/trouble/0").asString()).contains("two stations");
  }

  @Test
  void swapsLeaveOutWhatIsTakenOrHurts() {
    Answer week = begun();
    Answer one =
        changed(week.body(), "press", plan(week.body(), List.of(List.of(item("leg-press/high")))));
    String at = "/api/weeks/" + one.at("/id").asString() + "/items/pin-1/swaps";
    Answer all = get(at);
    assertThat(all.body().size()).isPositive();
    assertThat(all.at("/0/changes").size()).isPositive();
    assertThat(get(at + "?taken=barbell,rack").body().toString()).doesNotContain("back-squat");
    assertThat(get(at + "?hurting=KNEE").body().toString())
        .doesNotContain("split-squat")
        .doesNotContain("back-squat");
    assertThat(get("/api/weeks/" + one.at("/id").asString() + "/items/nobody/swaps").status())
        .isEqualTo(404);
    assertThat(get(at + "?taken=sofa").status()).isEqualTo(422);
  }

  @Test
  void pinnedBeyondTheTimeIsExplainedAndNothingChanges() {
    Map<String, Object> w = wish();
    w.put("minutes", 10);
    Answer week = post("/api/weeks", w);
    Answer one =
        changed(week.body(), "press", plan(week.body(), List.of(List.of(item("leg-press/high")))));
    Answer answer =
        post(
            "/api/weeks/" + one.at("/id").asString() + "/compose",
            Map.of("version", one.at("/version").asInt(), "run", UUID.randomUUID(), "seconds", 1));
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.at("/obstacles/0/words").asString())
        .contains("What is locked in session 1 takes");
    assertThat(answer.at("/week/version").asInt()).isEqualTo(one.at("/version").asInt());
    assertThat(answer.body().has("search")).isFalse();
  }

  @Test
  void aBlockRisesAndItsWeeksCanBeSeen() {
    Answer week = composed();
    Map<String, Object> plan = plan(week.body().at("/week"), null);
    plan.put("blockWeeks", 6);
    Answer block = changed(week.body().at("/week"), "six weeks", plan);
    assertThat(block.at("/block").size()).isEqualTo(6);
    assertThat(block.at("/block/5/kind").asString()).isEqualTo("RETEST");
    String id = block.at("/id").asString();
    int planned = block.at("/days/0/sets").asInt();
    assertThat(get("/api/weeks/" + id + "/steps/6").at("/days/0/sets").asInt()).isLessThan(planned);
    assertThat(get("/api/weeks/" + id + "/steps/5").at("/days/0/sets").asInt())
        .isGreaterThanOrEqualTo(planned);
    assertThat(get("/api/weeks/" + id + "/steps/7").status()).isEqualTo(404);
    assertThat(get("/api/weeks/" + id + "/missed?lastDone=3&weeksMissed=2").at("/goOnWith").asInt())
        .isEqualTo(3);
    plan.put("blockWeeks", 12);
    assertThat(changed(block.body(), "too long", plan).fault("blockWeeks")).contains("4 to 8");
  }

  @Test
  void aRemovedPlanIsGoneUntilItIsPutBack() {
    Answer week = begun();
    String at = "/api/weeks/" + week.at("/id").asString();
    String link =
        post(at + "/shares", Map.of()).at("/path").asString().replace("/shared/", "/api/shared/");
    assertThat(send("DELETE", at, null).status()).isEqualTo(204);
    assertThat(get(at).status()).isEqualTo(404);
    assertThat(get("/api/weeks").body().toString()).doesNotContain(week.at("/id").asString());
    assertThat(get(link).status()).as("its link ends too").isEqualTo(404);
    assertThat(post(at + "/restore", Map.of()).at("/plan/name").asString())
        .isEqualTo("Week for Week Client");
    assertThat(get("/api/weeks").body().toString()).contains(week.at("/id").asString());
  }

  @Test
  void aSchemeBringsItsRepetitions() {
    Answer answer =
        post(
            "/api/weeks/prescriptions",
            Map.of(
                "scheme",
                "ALWAYS_TEN",
                "prescription",
                item("leg-press/high").get("prescription")));
    assertThat(answer.at("/repetitionsLow").asInt()).isEqualTo(10);
    assertThat(answer.at("/scheme").asString()).isEqualTo("ALWAYS_TEN");
  }

  @Test
  void aStrangeSearchIsNotFound() {
    Answer week = begun();
    assertThat(
            get("/api/weeks/" + week.at("/id").asString() + "/compose/" + UUID.randomUUID())
                .status())
        .isEqualTo(404);
    assertThat(
            send(
                    "DELETE",
                    "/api/weeks/" + week.at("/id").asString() + "/compose/" + UUID.randomUUID(),
                    null)
                .status())
        .isEqualTo(404);
  }

  private static Map<String, Object> prescription(int sets) {
    return Map.of(
        "sets",
        sets,
        "repetitionsLow",
        8,
        "repetitionsHigh",
        12,
        "reserve",
        2,
        "tempo",
        Map.of("loweringS", 2, "lowS", 0, "liftingS", 1, "topS", 0),
        "restS",
        120,
        "scheme",
        "STRAIGHT");
  }

  static Map<String, Object> item(String candidate) {
    return new LinkedHashMap<>(
        Map.of(
            "id",
            "pin-1",
            "candidateId",
            candidate,
            "pinned",
            true,
            "prescription",
            prescription(3)));
  }

  /** The document of a week as it stands, with other bouts in its first session. */
  static Map<String, Object> plan(JsonNode week, List<List<Map<String, Object>>> firstDay) {
    Map<String, Object> plan = new LinkedHashMap<>();
    week.at("/plan").propertyStream().forEach(entry -> plan.put(entry.getKey(), entry.getValue()));
    if (firstDay != null) {
      List<Object> days = new ArrayList<>();
      for (JsonNode node : week.at("/plan/days")) {
        days.add(
            days.isEmpty()
                ? Map.of(
                    "weekday",
                    node.at("/weekday"),
                    "minutes",
                    node.at("/minutes"),
                    "oneStation",
                    false,
                    "bouts",
                    firstDay)
                : node);
      }
      plan.put("days", days);
    }
    return plan;
  }

  private static List<String> items(JsonNode week) {
    List<String> ids = new ArrayList<>();
    week.at("/days")
        .forEach(
            node ->
                node.at("/bouts")
                    .forEach(
                        jsonNode ->
                            jsonNode
                                .at("/items")
                                .forEach(item -> ids.add(item.at("/id").asString()))));
    return ids;
  }
}
