package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import istmo.core.measuring.Gauge;
import istmo.core.measuring.StandIn;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Lines of a gadget into a link, as any gadget would send them: without an account, with the code. */
@ExtendWith(RunningApp.class)
class GadgetApiTest {
  private static String open(String kind) {
    return "/api/gadget-links/" + post("/api/gadget-links", Map.of("kind", kind)).at("/code").asString();
  }

  private static Answer lines(String link, String text) {
    return RunningApp.visitor().send("POST", link + "/lines", text, "content-type", "application/x-ndjson");
  }

  @Test
  void aStandInsReadingSettlesAfterADropout() {
    String link = open("FORCE");
    StandIn scale = new StandIn(Gauge.FORCE, 420, 1);
    StringBuilder text = new StringBuilder();
    for (long t = 0; t <= 8000; t += StandIn.EVERY_MS) {
      if (t < 300 || t > 2500) {
        text.append(String.format(Locale.ROOT, "{\"kind\":\"force\",\"unit\":\"kgf\",\"value\":%.4f,\"t\":%d}\n", scale.reading(t) / 9.80665, t));
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
    Answer a =
        lines(
            link,
            "{\"unit\":\"deg\",\"value\":44.8,\"t\":0}\n"
                + "not json\n"
                + "{\"unit\":\"stone\",\"value\":1,\"t\":100}\n"
                + "{\"kind\":\"force\",\"unit\":\"N\",\"value\":1,\"t\":200}\n"
                + "{\"unit\":\"deg\",\"t\":300}\n"
                + "x".repeat(5000)
                + "\n{\"unit\":\"deg\",\"value\":45,\"t\":400}");
    assertThat(a.at("/taken").asInt()).isEqualTo(2);
    assertThat(a.at("/refused").size()).isEqualTo(5);
    assertThat(a.at("/refused/1/fault").asString()).contains("\"stone\" is not a unit of angle").contains("deg");
    assertThat(a.at("/refused/2/fault").asString()).contains("waits for angle");
    assertThat(a.at("/refused/4/fault").asString()).contains("longer than 500");
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
    assertThat(post(link + "/stand-in", Map.of("at", 1)).status()).as("stand-ins are the demo's").isEqualTo(404);
    assertThat(lines("/api/gadget-links/unknown", "{\"unit\":\"m\",\"value\":1,\"t\":0}").status()).isEqualTo(404);
    assertThat(RunningApp.delete(link).status()).isEqualTo(204);
    assertThat(get(link).status()).isEqualTo(404);
    assertThat(post("/api/gadget-links", Map.of()).fault("kind")).contains("FORCE");
  }

  @Test
  void aGadgetThatWasStartedAnewGoesOn() {
    String link = open("ANGLE");
    lines(link, "{\"unit\":\"deg\",\"value\":10,\"t\":0}\n{\"unit\":\"deg\",\"value\":10,\"t\":9000}\n");
    Answer again = lines(link, "{\"unit\":\"deg\",\"value\":20,\"t\":0}\n");
    assertThat(again.at("/taken").asInt()).isEqualTo(1);
    assertThat(get(link).at("/last").asDouble()).isEqualTo(20);
  }
}
