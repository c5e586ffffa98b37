package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Bytes;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A plan out on paper, in a calendar, behind a link, and on the floor. */
@ExtendWith(RunningApp.class)
class PlanOutTest {
  private static String client;
  private static String gym;
  private static JsonNode week;
  private static PaperPlan paper;

  @BeforeAll
  static void aPlan() {
    paper = PaperPlan.made();
    client = paper.client();
    gym = paper.gym();
    week = paper.week();
  }

  @Test
  void theSheetIsOnePageWithEverythingOnIt() throws Exception {
    Bytes pdf = RunningApp.bytes(paper.path("/sheet.pdf?day=0"));
    assertThat(pdf.contentType()).startsWith("application/pdf");
    try (PDDocument document = Loader.loadPDF(pdf.content())) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
      assertThat(text)
          .contains(
              "Winter, \"first\" half; more, Monday",
              "For Łucja Ødegård at Paper Gym",
              "target outer quad (sweep), outer hamstring; avoid lower back",
              "1. Leg press, feet high",
              "2. Seated leg curl",
              "3. Seated calf raise",
              "3 × 8–12, 2 in reserve, tempo 2-0-1-0, rest 120 s",
              "In turn, 3 rounds",
              "Set up:",
              "Stop:",
              "licensed clinician");
      assertThat(text.toLowerCase()).as("no health notes").doesNotContain("sore", "knee:");
    }
  }

  @Test
  void aLongSessionStillFitsOnOnePage() throws Exception {
    JsonNode begun =
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
                    1,
                    "minutes",
                    200))
            .body();
    List<List<Map<String, Object>>> many = new ArrayList<>();
    String[] ids = {
      "leg-press/high",
      "leg-press/low",
      "leg-press/wide",
      "leg-press/one-leg",
      "seated-leg-curl/usual",
      "seated-calf-raise/usual",
      "seated-calf-raise/one-leg",
      "press-calf-raise/usual",
      "romanian-deadlift/usual",
      "hip-thrust/usual",
      "hip-thrust/feet-far"
    };
    for (String id : ids) {
      Map<String, Object> item = WeekApiTest.item(id);
      item.put("id", "long-" + many.size());
      many.add(List.of(item));
    }
    Answer answer =
        put(
            "/api/weeks/" + begun.at("/id").asString(),
            Map.of(
                "version",
                begun.at("/version").asInt(),
                "what",
                "long",
                "plan",
                WeekApiTest.plan(begun, many)));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
    try (PDDocument document =
        Loader.loadPDF(
            RunningApp.bytes("/api/weeks/" + begun.at("/id").asString() + "/sheet.pdf?day=0")
                .content())) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(document)).contains("11. Hip thrust");
    }
  }

  @Test
  void aSheetInPoundsAndInchesHasNothingElse() throws Exception {
    Bytes american = RunningApp.bytes(paper.path("/sheet.pdf?day=0&unit=lb&length=in"));
    assertThat(american.status()).isEqualTo(200);
    try (PDDocument document = Loader.loadPDF(american.content())) {
      assertThat(new PDFTextStripper().getText(document))
          .containsPattern("feet up the plate \\d+(\\.\\d)?[\\s\u00a0]in")
          .doesNotContainPattern("\\d[\\s\u00a0](cm|kg)\\b");
    }
    assertThat(get(paper.path("/sheet.pdf?day=0&length=ell")).fault("length")).contains("cm or in");
    assertThat(get(paper.path("/sheet.pdf?day=0&unit=stone")).fault("unit"))
        .isEqualTo("is kg or lb");
    assertThat(get(paper.path("/sheet.pdf?day=7")).status()).isEqualTo(404);
    assertThat(get(paper.path("/sheet.pdf?day=0&step=9")).status()).isEqualTo(404);
  }

  @Test
  void theCalendarIsReadByALibrary() throws Exception {
    String text =
        new String(RunningApp.bytes(paper.path("/calendar.ics")).content(), StandardCharsets.UTF_8);
    assertThat(text.split("\r\n"))
        .as("RFC 5545, 3.1: no line is longer than 75 octets")
        .hasSizeGreaterThan(50)
        .allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
    Calendar calendar = new CalendarBuilder().build(new StringReader(text));
    calendar.validate(true);
    List<VEvent> events = calendar.getComponents("VEVENT");
    assertThat(events).as("two sessions in each of five weeks").hasSize(10);
    assertThat(events.get(0).getDateTimeStart().getValue()).isEqualTo("20261130");
    assertThat(events.get(1).getDateTimeStart().getValue()).as("Thursday").isEqualTo("20261203");
    assertThat(events.get(8).getSummary().getValue())
        .isEqualTo("Legs, week 5, easier, then retest, session 1 of 2");
    assertThat(events.get(0).getDescription().getValue())
        .contains("Leg press, feet high: 3 × 8–12")
        .doesNotContain("knee");
    assertThat(events)
        .extracting(event -> event.getUid().orElseThrow().getValue())
        .doesNotHaveDuplicates();
  }

  @Test
  void aLinkIsReadByAnybodyUntilItIsRevoked() {
    String link = post(paper.path("/shares"), Map.of()).at("/path").asString();
    String token = link.substring("/shared/".length());
    assertThat(token).hasSizeGreaterThan(40);
    Answer seen = RunningApp.visitor().get("/api/shared/" + token);
    assertThat(seen.status()).isEqualTo(200);
    assertThat(seen.at("/days/0/bouts/0/0/name").asString()).isEqualTo("Leg press, feet high");
    assertThat(seen.body().toString())
        .doesNotContain("Łucja", "KNEE", "sore", "statements", "remarks", "refusal");
    assertThat(get(paper.path("/shares")).at("/out").size()).isPositive();
    assertThat(RunningApp.visitor().get("/api/shared/" + token + "x").status()).isEqualTo(404);
    assertThat(RunningApp.visitor().get(paper.path("")).status())
        .as("the plan itself is its coach's")
        .isEqualTo(401);
    assertThat(send("DELETE", paper.path("/shares"), null).status()).isEqualTo(204);
    assertThat(RunningApp.visitor().get("/api/shared/" + token).status()).isEqualTo(404);
    assertThat(get(paper.path("/shares")).at("/out").size()).isZero();
  }

  @Test
  void aSessionBeginsWithWhatTheDayAsks() {
    Answer started = post(paper.path("/start"), Map.of("day", 0));
    assertThat(started.status()).as(started.body().toString()).isEqualTo(201);
    Answer session = get("/api/sessions/" + started.at("/sessionId").asString());
    assertThat(session.at("/items").size()).isEqualTo(3);
    assertThat(session.at("/items/0/name").asString()).isEqualTo("Leg press, feet high");
    assertThat(session.at("/items/0/prescribed/0").asString())
        .isEqualTo("3 × 8–12, 2 in reserve, tempo 2-0-1-0, rest 120 s");
    assertThat(post(paper.path("/start"), Map.of("day", 1)).fault("day")).contains("nothing in it");
    Map<String, Object> eased = new LinkedHashMap<>(Map.of("day", 0, "step", 5));
    Answer easier =
        get("/api/sessions/" + post(paper.path("/start"), eased).at("/sessionId").asString());
    assertThat(easier.at("/items/0/prescribed/0").asString()).startsWith("2 × 8–12, 4 in reserve");
  }

  /** A double tap sends the same message twice, the second while the first is under way. */
  @Test
  void theSameMessageAgainBeginsNothingMore() {
    UUID session = UUID.randomUUID();
    Map<String, Object> message = Map.of("day", 0, "session", session.toString());
    List<Answer> answers =
        IntStream.range(0, 6)
            .parallel()
            .mapToObj(k -> post(paper.path("/start"), message))
            .toList();
    assertThat(answers).allSatisfy(answer -> assertThat(answer.status()).isEqualTo(201));
    assertThat(answers)
        .extracting(answer -> answer.at("/sessionId").asString())
        .containsOnly(session.toString());
    assertThat(get("/api/sessions/" + session).at("/items").size()).isEqualTo(3);
  }

  @Test
  void whatWasDoneLastMakesTheLoad() {
    Answer session =
        get(
            "/api/sessions/"
                + post(paper.path("/start"), Map.of("day", 0)).at("/sessionId").asString());
    String item = session.at("/items/0/id").asString();
    assertThat(
            send(
                    "PUT",
                    "/api/sessions/"
                        + session.at("/id").asString()
                        + "/items/"
                        + item
                        + "/sets/"
                        + UUID.randomUUID(),
                    Map.of("loadKg", 100, "repetitions", 10, "reserve", 2))
                .status())
        .isEqualTo(200);
    Answer now = get(paper.path(""));
    assertThat(now.at("/days/0/bouts/0/items/0/load/basis").asString())
        .startsWith("from 100\u00a0kg for 10, 2 in reserve, on ");
    assertThat(now.at("/days/0/bouts/0/items/0/load/sets/0/load/kg").asDouble())
        .isBetween(95.0, 100.0);
  }

  @Test
  void aClientsFileHoldsThePlansAndErasingTakesThemAlong() {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Leaves Soon");
    intake.put("pain", List.of());
    String leaving = post("/api/clients", intake).at("/id").asString();
    String plan =
        post("/api/weeks", Map.of("clientId", leaving, "gymId", gym, "aim", Map.of("VL", 3)))
            .at("/id")
            .asString();
    String token =
        post("/api/weeks/" + plan + "/shares", Map.of())
            .at("/path")
            .asString()
            .substring("/shared/".length());
    assertThat(
            get("/api/clients/" + leaving + "/file").at("/clients/0/weeks/0/brief/aim/VL").asInt())
        .isEqualTo(3);
    assertThat(send("DELETE", "/api/clients/" + leaving + "?name=Leaves%20Soon", null).status())
        .isEqualTo(204);
    assertThat(get("/api/weeks/" + plan).status()).isEqualTo(404);
    assertThat(RunningApp.visitor().get("/api/shared/" + token).status()).isEqualTo(404);
  }
}
