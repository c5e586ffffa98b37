package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import istmo.core.measuring.Gauge;
import istmo.core.measuring.StandIn;
import istmo.core.mechanics.Tempo;
import istmo.core.watching.RepetitionFinder.Sample;
import istmo.core.watching.StandInMotion;
import istmo.core.watching.StandInMotion.Sensor;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Lines of a gadget into a link, as any gadget would send them: without an account, with the code.
 */
@ExtendWith(RunningApp.class)
class GadgetApiTest {
  private static String open(String kind) {
    return "/api/gadget-links/"
        + post("/api/gadget-links", Map.of("kind", kind)).at("/code").asString();
  }

  private static Answer lines(String link, String text) {
    return RunningApp.visitor()
        .send("POST", link + "/lines", text, "content-type", "application/x-ndjson");
  }

  @Test
  void aStandInsReadingSettlesAfterADropout() {
    String link = open("FORCE");
    StandIn scale = new StandIn(Gauge.FORCE, 420, 1);
    StringBuilder text = new StringBuilder();
    for (long t = 0; t <= 8000; t += StandIn.EVERY_MS) {
      if (t < 300 || t > 2500) {
        text.append(
            String.format(
                Locale.ROOT,
                "{\"kind\":\"force\",\"unit\":\"kgf\",\"value\":%.4f,\"t\":%d}\n",
                scale.reading(t) / 9.80665,
                t));
      }
    }
    Answer taken = lines(link, text.toString());
    assertThat(taken.status()).isEqualTo(200);
    assertThat(taken.at("/refused").size()).isZero();
    Answer state = get(link);
    assertThat(state.at("/stable/value").asDouble()).isCloseTo(420, within(1.5));
    assertThat(state.at("/dropouts").asInt()).isEqualTo(1);
    assertThat(state.at("/unit").asString()).isEqualTo("N");
  }

  @Test
  void badLinesAreToldAndDoNotStopTheOthers() {
    String link = open("ANGLE");
    Answer answer =
        lines(
            link,
            "{\"unit\":\"deg\",\"value\":44.8,\"t\":0}\n"
                + "not json\n"
                + "{\"unit\":\"stone\",\"value\":1,\"t\":100}\n"
                + "{\"kind\":\"force\",\"unit\":\"N\",\"value\":1,\"t\":200}\n"
                + "{\"unit\":\"deg\",\"t\":300}\n"
                + "x".repeat(5000)
                + "\n{\"unit\":\"deg\",\"value\":45,\"t\":400}");
    assertThat(answer.at("/taken").asInt()).isEqualTo(2);
    assertThat(answer.at("/refused").size()).isEqualTo(5);
    assertThat(answer.at("/refused/1/fault").asString())
        .contains("\"stone\" is not a unit of angle")
        .contains("deg");
    assertThat(answer.at("/refused/2/fault").asString()).contains("waits for angle");
    assertThat(answer.at("/refused/4/fault").asString()).contains("longer than 500");
    Answer state = get(link);
    assertThat(state.at("/last").asDouble()).isEqualTo(45);
    assertThat(state.body().has("stable")).isFalse();
    assertThat(state.at("/refused").asInt()).isEqualTo(5);
  }

  @Test
  void onlyWhoOpenedALinkReadsItAndAnUnknownCodeIsNotFound() {
    String link = open("LENGTH");
    Visitor other = RunningApp.anotherCoach("gadget.neighbour");
    assertThat(other.get(link).status()).isEqualTo(404);
    assertThat(other.send("DELETE", link, null).status()).isEqualTo(404);
    assertThat(other.post(link + "/stand-in", Map.of("at", 1)).status()).isEqualTo(404);
    assertThat(post(link + "/stand-in", Map.of("at", 1)).status())
        .as("stand-ins are the demo's")
        .isEqualTo(404);
    assertThat(lines("/api/gadget-links/unknown", "{\"unit\":\"m\",\"value\":1,\"t\":0}").status())
        .isEqualTo(404);
    assertThat(RunningApp.delete(link).status()).isEqualTo(204);
    assertThat(get(link).status()).isEqualTo(404);
    assertThat(post("/api/gadget-links", Map.of()).fault("kind")).contains("FORCE");
  }

  @Test
  void aGadgetThatWasStartedAnewGoesOn() {
    String link = open("ANGLE");
    lines(
        link,
        "{\"unit\":\"deg\",\"value\":10,\"t\":0}\n{\"unit\":\"deg\",\"value\":10,\"t\":9000}\n");
    Answer again = lines(link, "{\"unit\":\"deg\",\"value\":20,\"t\":0}\n");
    assertThat(again.at("/taken").asInt()).isEqualTo(1);
    assertThat(get(link).at("/last").asDouble()).isEqualTo(20);
  }

  /** Lines of an invented lifter's set, as a bar encoder or a tilt sensor would send them. */
  private static String set(List<Sample> samples, String unit, double perUnit) {
    StringBuilder text = new StringBuilder();
    samples.forEach(
        sample ->
            text.append(
                String.format(
                    Locale.ROOT,
                    "{\"unit\":\"%s\",\"value\":%.4f,\"t\":%d}\n",
                    unit,
                    sample.position() * perUnit,
                    Math.round(1000 * sample.timeS()) + 1)));
    return text.toString();
  }

  private static String watch(String kind) {
    return "/api/gadget-links/"
        + post("/api/gadget-links", Map.of("kind", kind, "watch", true)).at("/code").asString();
  }

  @Test
  void aSetIsWatchedAndComparedWithWhatWasAsked() {
    Tempo asked = new Tempo(3, 1, 1, 0);
    String link = watch("LENGTH");
    lines(
        link,
        set(
            StandInMotion.samples(
                StandInMotion.tiring(8, asked, 0.5),
                1.4,
                0.03,
                false,
                new Sensor(50, 0.002, 0.004, 0.001, 0.01),
                3),
            "cm",
            100));
    Answer answer = get(link + "/watched?loweringS=3&lowS=1");
    assertThat(answer.at("/repetitions")).hasSize(8);
    assertThat(answer.at("/repetitions/0/range").asDouble()).isCloseTo(0.5, within(0.02));
    assertThat(answer.at("/findings"))
        .extracting(node -> node.path("kind").asString())
        .containsExactly("SHORT_RANGE", "DROPPED_LOWERING", "MISSED_PAUSE");
    assertThat(answer.at("/rangeKept").asBoolean(true)).isFalse();
    assertThat(answer.at("/tempoKept").asBoolean(true)).isFalse();
    assertThat(answer.at("/trace").size())
        .as("the last twenty seconds, thinned")
        .isBetween(150, 260);
    assertThat(get(link + "/watched?scheme=LOW_PARTIALS").body().has("rangeKept"))
        .as("partial ones were asked")
        .isFalse();
    Answer free = get(link + "/watched");
    assertThat(free.body().has("tempoKept")).as("nothing was asked").isFalse();
    assertThat(free.at("/findings")).hasSize(1);
  }

  @Test
  void aGadgetThatFallsWhileTheLoadRisesIsTurned() {
    String link = watch("ANGLE");
    List<Sample> lifted =
        StandInMotion.samples(
            StandInMotion.tiring(5, new Tempo(2, 0, 1, 0), 80),
            90,
            4,
            false,
            new Sensor(50, 0.4, 0.004, 0, 0),
            4);
    lines(link, set(lifted, "deg", -1));
    Answer turned = get(link + "/watched?turned=true&loweringS=2");
    assertThat(turned.at("/repetitions")).hasSize(5);
    assertThat(turned.at("/findings"))
        .extracting(node -> node.path("kind").asString())
        .containsExactly("SHORT_RANGE", "DROPPED_LOWERING");
  }

  @Test
  void onlyALinkThatWatchesIsWatched() {
    assertThat(get(open("LENGTH") + "/watched").status()).isEqualTo(404);
    assertThat(post("/api/gadget-links", Map.of("kind", "FORCE", "watch", true)).fault("kind"))
        .contains("LENGTH or an ANGLE");
    String link = watch("ANGLE");
    assertThat(get(link + "/watched?loweringS=-1").fault("loweringS")).isNotBlank();
    assertThat(get(link + "/watched").at("/repetitions")).isEmpty();
    assertThat(post(link + "/stand-in-set", Map.of("repetitions", 5)).status())
        .as("stand-ins are the demo's")
        .isEqualTo(404);
    assertThat(RunningApp.anotherCoach("watching.neighbour").get(link + "/watched").status())
        .isEqualTo(404);
    lines(
        link,
        "{\"unit\":\"deg\",\"value\":10,\"t\":5}\n{\"unit\":\"deg\",\"value\":11,\"t\":25}\n");
    assertThat(get(link + "/watched").at("/trace")).hasSize(1);
    lines(link, "{\"unit\":\"deg\",\"value\":20,\"t\":0}\n");
    assertThat(get(link + "/watched").at("/trace/0/position").asDouble())
        .as("a gadget that was started anew begins anew")
        .isEqualTo(20);
  }
}
