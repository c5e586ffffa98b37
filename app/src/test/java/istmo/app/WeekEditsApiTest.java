package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Weeks that are changed, taken out and put back. */
class WeekEditsApiTest extends WeekApi {
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
}
