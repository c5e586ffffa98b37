package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import istmo.app.RunningApp.Answer;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Planned weeks over HTTP: begun, composed, changed, undone, swapped, as blocks. */
class WeekApiTest extends WeekApi {
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
}
