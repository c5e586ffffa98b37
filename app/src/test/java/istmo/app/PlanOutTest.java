package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.post;
import static istmo.app.RunningApp.put;
import static istmo.app.RunningApp.send;
import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Bytes;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
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
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A plan out on paper, in a calendar, as a file and back, behind a link, and on the floor. */
@ExtendWith(RunningApp.class)
class PlanOutTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static String client;
  private static String gym;
  private static JsonNode week;

  @BeforeAll
  static void aPlan() {
    Map<String, Object> intake = ClientAndGymApiTest.intake("Łucja Ødegård");
    intake.put(
        "pain",
        List.of(
            Map.of("joint", "KNEE", "movements", List.of("DEEP_KNEE"), "approach", "LESS_LOAD")));
    client = post("/api/clients", intake).at("/id").asString();
    gym =
        post(
                "/api/gyms",
                Map.of(
                    "name",
                    "Paper Gym",
                    "equipment",
                    List.of("leg-press", "seated-curl", "seated-calf", "barbell", "rack", "bench")))
            .at("/id")
            .asString();
    JsonNode begun =
        post(
                "/api/weeks",
                Map.of(
                    "clientId",
                    client,
                    "gymId",
                    gym,
                    "aim",
                    Map.of("VL", 3, "BFL", 2),
                    "keepOut",
                    List.of("ERECTORS"),
                    "times",
                    2,
                    "minutes",
                    60,
                    "name",
                    "Winter, \"first\" half; more"))
            .body();
    Map<String, Object> curl = WeekApiTest.item("seated-leg-curl/usual");
    curl.put("id", "pin-2");
    Map<String, Object> calf = WeekApiTest.item("seated-calf-raise/usual");
    calf.put("id", "pin-3");
    Map<String, Object> plan =
        WeekApiTest.plan(
            begun, List.of(List.of(WeekApiTest.item("leg-press/high"), curl), List.of(calf)));
    plan.putAll(
        Map.of(
            "blockWeeks",
            5,
            "startsOn",
            "2026-11-30",
            "targets",
            Map.of("VL", 7.5),
            "pairing",
            "TWO_PLACES"));
    Answer a =
        put(
            "/api/weeks/" + begun.at("/id").asString(),
            Map.of("version", begun.at("/version").asInt(), "what", "for paper", "plan", plan));
    assertThat(a.status()).as(a.body().toString()).isEqualTo(200);
    week = a.body();
  }

  private static String path(String rest) {
    return "/api/weeks/" + week.at("/id").asString() + rest;
  }

  @Test
  void theSheetIsOnePageWithEverythingOnIt() throws Exception {
    Bytes pdf = RunningApp.bytes(path("/sheet.pdf?day=0"));
    assertThat(pdf.contentType()).startsWith("application/pdf");
    try (PDDocument d = Loader.loadPDF(pdf.content())) {
      assertThat(d.getNumberOfPages()).isEqualTo(1);
      String text = new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
      assertThat(text)
          .contains(
              "Winter, \"first\" half; more, Monday",
              "For Łucja Ødegård at Paper Gym",
              "bring up outer quad (sweep), outer hamstring; keep out lower back",
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
    Answer a =
        put(
            "/api/weeks/" + begun.at("/id").asString(),
            Map.of(
                "version",
                begun.at("/version").asInt(),
                "what",
                "long",
                "plan",
                WeekApiTest.plan(begun, many)));
    assertThat(a.status()).as(a.body().toString()).isEqualTo(200);
    try (PDDocument d =
        Loader.loadPDF(
            RunningApp.bytes("/api/weeks/" + begun.at("/id").asString() + "/sheet.pdf?day=0")
                .content())) {
      assertThat(d.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(d)).contains("11. Hip thrust");
    }
  }

  @Test
  void poundsAreRefusedOnlyByAnotherName() {
    assertThat(RunningApp.bytes(path("/sheet.pdf?day=0&unit=lb")).status()).isEqualTo(200);
    assertThat(get(path("/sheet.pdf?day=0&unit=stone")).fault("unit")).isEqualTo("is kg or lb");
    assertThat(get(path("/sheet.pdf?day=7")).status()).isEqualTo(404);
    assertThat(get(path("/sheet.pdf?day=0&step=9")).status()).isEqualTo(404);
  }

  @Test
  void theCalendarIsReadByALibrary() throws Exception {
    String text =
        new String(RunningApp.bytes(path("/calendar.ics")).content(), StandardCharsets.UTF_8);
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
    assertThat(events).extracting(e -> e.getUid().orElseThrow().getValue()).doesNotHaveDuplicates();
  }

  @Test
  void jsonAndCsvComeBackWithoutLoss() throws Exception {
    for (String file : List.of("/plan.json", "/plan.csv")) {
      String text = new String(RunningApp.bytes(path(file)).content(), StandardCharsets.UTF_8);
      Answer back =
          post("/api/weeks/imports", Map.of("clientId", client, "gymId", gym, "text", text));
      assertThat(back.status()).as(back.body().toString()).isEqualTo(201);
      assertThat(back.body().at("/plan")).as(file).isEqualTo(week.at("/plan"));
      assertThat(back.body().at("/brief")).as(file).isEqualTo(week.at("/brief"));
      assertThat(back.at("/id").asString()).isNotEqualTo(week.at("/id").asString());
      String again =
          new String(
              RunningApp.bytes("/api/weeks/" + back.at("/id").asString() + file).content(),
              StandardCharsets.UTF_8);
      assertThat(again).isEqualTo(text);
    }
  }

  @Test
  void theJsonFollowsItsSchema() throws Exception {
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(
                Files.readString(
                    Path.of(System.getProperty("repo.dir"), "docs", "plan.schema.json")));
    JsonNode file = JSON.readTree(RunningApp.bytes(path("/plan.json")).content());
    assertThat(schema.validate(file)).isEmpty();
    ((ObjectNode) file.at("/plan/days/0")).put("weekday", 9);
    assertThat(schema.validate(file)).as("and tells what does not").isNotEmpty();
  }

  @Test
  void aFileWithFaultsBringsNothingInAndNamesThem() {
    int before = get("/api/weeks").body().size();
    String csv = new String(RunningApp.bytes(path("/plan.csv")).content(), StandardCharsets.UTF_8);
    Answer bad =
        post(
            "/api/weeks/imports",
            Map.of(
                "clientId",
                client,
                "gymId",
                gym,
                "text",
                csv.replace(",STRAIGHT", ",CROOKED").replace(",120,", ",soon,")));
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.fault("line 2, rest_s")).contains("\"soon\" cannot be read");
    assertThat(bad.fault("line 4, scheme")).contains("CROOKED");
    assertThat(
            post(
                    "/api/weeks/imports",
                    Map.of("clientId", client, "gymId", gym, "text", "a,b\n1,2\n"))
                .fault("text"))
        .contains("lacks the columns");
    assertThat(
            post(
                    "/api/weeks/imports",
                    Map.of(
                        "clientId",
                        client,
                        "gymId",
                        gym,
                        "text",
                        "{\"format\":\"other\",\"version\":1,\"brief\":{},\"plan\":{}}"))
                .status())
        .isEqualTo(422);
    assertThat(
            post(
                    "/api/weeks/imports",
                    Map.of(
                        "clientId",
                        client,
                        "gymId",
                        gym,
                        "text",
                        "{\"format\":\"istmo-plan\",\"version\":1,\"brief\":{\"aim\":{\"VL\":1}},\"plan\":{\"name\":\"x\"}}"))
                .fault("days"))
        .isEqualTo("is needed");
    assertThat(
            post(
                    "/api/weeks/imports",
                    Map.of("clientId", client, "gymId", gym, "text", "{ nonsense"))
                .fault("text"))
        .contains("cannot be read as a plan");
    assertThat(get("/api/weeks").body().size()).isEqualTo(before);
  }

  @Test
  void aByteOrderMarkDoesNoHarm() {
    String csv = new String(RunningApp.bytes(path("/plan.csv")).content(), StandardCharsets.UTF_8);
    assertThat(
            post(
                    "/api/weeks/imports",
                    Map.of("clientId", client, "gymId", gym, "text", "\uFEFF" + csv))
                .status())
        .isEqualTo(201);
  }

  @Test
  void aLinkIsReadByAnybodyUntilItIsRevoked() {
    String link = post(path("/shares"), Map.of()).at("/path").asString();
    String token = link.substring("/shared/".length());
    assertThat(token).hasSizeGreaterThan(40);
    Answer seen = RunningApp.visitor().get("/api/shared/" + token);
    assertThat(seen.status()).isEqualTo(200);
    assertThat(seen.at("/days/0/bouts/0/0/name").asString()).isEqualTo("Leg press, feet high");
    assertThat(seen.body().toString())
        .doesNotContain("Łucja", "KNEE", "sore", "statements", "remarks", "refusal");
    assertThat(get(path("/shares")).at("/out").size()).isPositive();
    assertThat(RunningApp.visitor().get("/api/shared/" + token + "x").status()).isEqualTo(404);
    assertThat(RunningApp.visitor().get(path("")).status())
        .as("the plan itself is its coach's")
        .isEqualTo(401);
    assertThat(send("DELETE", path("/shares"), null).status()).isEqualTo(204);
    assertThat(RunningApp.visitor().get("/api/shared/" + token).status()).isEqualTo(404);
    assertThat(get(path("/shares")).at("/out").size()).isZero();
  }

  @Test
  void aSessionBeginsWithWhatTheDayAsks() {
    Answer started = post(path("/start"), Map.of("day", 0));
    assertThat(started.status()).as(started.body().toString()).isEqualTo(201);
    Answer session = get("/api/sessions/" + started.at("/sessionId").asString());
    assertThat(session.at("/items").size()).isEqualTo(3);
    assertThat(session.at("/items/0/name").asString()).isEqualTo("Leg press, feet high");
    assertThat(session.at("/items/0/prescribed/0").asString())
        .isEqualTo("3 × 8–12, 2 in reserve, tempo 2-0-1-0, rest 120 s");
    assertThat(post(path("/start"), Map.of("day", 1)).fault("day")).contains("nothing in it");
    Map<String, Object> eased = new LinkedHashMap<>(Map.of("day", 0, "step", 5));
    Answer easier = get("/api/sessions/" + post(path("/start"), eased).at("/sessionId").asString());
    assertThat(easier.at("/items/0/prescribed/0").asString()).startsWith("2 × 8–12, 4 in reserve");
  }

  @Test
  void whatWasDoneLastMakesTheLoad() {
    Answer session =
        get("/api/sessions/" + post(path("/start"), Map.of("day", 0)).at("/sessionId").asString());
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
    Answer now = get(path(""));
    assertThat(now.at("/days/0/bouts/0/items/0/load/basis").asString())
        .startsWith("from 100 kg for 10, 2 in reserve, on ");
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
