package istmo.app;

import static istmo.app.RunningApp.get;
import static istmo.app.RunningApp.owner;
import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import istmo.app.RunningApp.Answer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A plan as a file and back. */
@ExtendWith(RunningApp.class)
class PlanFileApiTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
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

  private static Answer brought(String text) {
    return post("/api/weeks/imports", Map.of("clientId", client, "gymId", gym, "text", text));
  }

  @Test
  void jsonAndCsvComeBackWithoutLoss() throws Exception {
    for (String file : List.of("/plan.json", "/plan.csv")) {
      String text = RunningApp.text(owner(), paper.path(file));
      Answer back = brought(text);
      assertThat(back.status()).as(back.body().toString()).isEqualTo(201);
      assertThat(back.body().at("/plan")).as(file).isEqualTo(week.at("/plan"));
      assertThat(back.body().at("/brief")).as(file).isEqualTo(week.at("/brief"));
      assertThat(back.at("/id").asString()).isNotEqualTo(week.at("/id").asString());
      String again = RunningApp.text(owner(), "/api/weeks/" + back.at("/id").asString() + file);
      assertThat(again).isEqualTo(text);
    }
  }

  /** Files of before drops could be said lack their columns, and mean what they meant. */
  @Test
  void aFileWithoutTheColumnsOfDropsIsRead() throws Exception {
    String text = RunningApp.text(owner(), paper.path("/plan.csv"));
    String older =
        text.lines()
            .map(
                line ->
                    line.replaceFirst(",side_rest_s.*$", "")
                        .replaceFirst("(,DROP|,STRAIGHT),.*$", "$1"))
            .collect(Collectors.joining("\n"));
    Answer back = brought(older);
    assertThat(back.status()).as(back.body().toString()).isEqualTo(201);
    assertThat(back.body().at("/plan").findValues("drops"))
        .containsExactly(
            JSON.readTree("{\"number\":2,\"less\":0.2,\"everySet\":false,\"easier\":\"\"}"));
    assertThat(back.body().at("/plan").findValues("sideRestS"))
        .allSatisfy(node -> assertThat(node.asInt()).isEqualTo(10));
  }

  @Test
  void dropsInTheWrongPlaceAreRefusedByName() {
    Map<String, Object> strung =
        PaperPlan.strung(WeekApiTest.item("seated-leg-curl/usual").get("prescription"));
    strung.put("scheme", "LADDER");
    Answer answer =
        post("/api/weeks/prescriptions", Map.of("scheme", "DROP", "prescription", strung));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body().toString())
        .contains("\"drops\"")
        .contains("belong to sets with drops");
  }

  @Test
  void theJsonFollowsItsSchema() throws Exception {
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(
                Files.readString(
                    Path.of(System.getProperty("repo.dir"), "docs", "plan.schema.json")));
    JsonNode file = JSON.readTree(RunningApp.bytes(paper.path("/plan.json")).content());
    assertThat(schema.validate(file)).isEmpty();
    ((ObjectNode) file.at("/plan/days/0")).put("weekday", 9);
    assertThat(schema.validate(file)).as("and tells what does not").isNotEmpty();
  }

  @Test
  void aFileWithFaultsBringsNothingInAndNamesThem() {
    int before = get("/api/weeks").body().size();
    String csv = RunningApp.text(owner(), paper.path("/plan.csv"));
    Answer bad = brought(csv.replace(",STRAIGHT", ",CROOKED").replace(",120,", ",soon,"));
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.fault("line 2, rest_s")).contains("\"soon\" cannot be read");
    assertThat(bad.fault("line 4, scheme")).contains("CROOKED");
    assertThat(brought("a,b\n1,2\n").fault("text")).contains("lacks the columns");
    assertThat(brought("{\"format\":\"other\",\"version\":1,\"brief\":{},\"plan\":{}}").status())
        .isEqualTo(422);
    assertThat(
            brought(
                    "{\"format\":\"istmo-plan\",\"version\":1,\"brief\":{\"aim\":{\"VL\":1}},\"plan\":{\"name\":\"x\"}}")
                .fault("days"))
        .isEqualTo("is needed");
    assertThat(brought("{ nonsense").fault("text")).contains("cannot be read as a plan");
    assertThat(get("/api/weeks").body().size()).isEqualTo(before);
  }

  @Test
  void aByteOrderMarkDoesNoHarm() {
    String csv = RunningApp.text(owner(), paper.path("/plan.csv"));
    assertThat(brought("\uFEFF" + csv).status()).isEqualTo(201);
  }
}
