package istmo.app;

import static istmo.app.RunningApp.post;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import istmo.app.RunningApp.Answer;
import istmo.core.movement.Family;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.family.Families;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * POST /api/analyses, its JSON Schema and its documentation. Both files are written again with
 * -Dapi.write=true.
 */
@ExtendWith(RunningApp.class)
class AnalysisApiTest {
  private static final Path DOCS = Path.of(System.getProperty("repo.dir"), "docs");
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
  private static final Map<String, Object> BODY =
      Map.of("statureM", 1.78, "massKg", 80, "sex", "MALE");
  private static final Map<String, Object> LIFTER =
      Map.of("statureM", 1.78, "massKg", 80, "sex", "MALE", "strength", 1.5);
  private static final String BEGIN = "<!-- parameters: written by AnalysisApiTest -->";
  private static final String END = "<!-- end of parameters -->";

  static List<String> families() {
    return Families.all().stream().map(Family::id).toList();
  }

  @ParameterizedTest
  @MethodSource("families")
  void everyFamilyAnswersInBalanceAtTwentyOnePoints(String family) {
    Map<String, Object> setup =
        family.equals("press")
            ? Map.of("kneeDepth", 85)
            : family.equals("guided-squat") ? Map.of("depth", 80, "lean", 40) : Map.of();
    Answer answer = post("/api/analyses", Map.of("body", LIFTER, "family", family, "setup", setup));
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.at("/status").asString())
        .as(answer.at("/obstacle").toString())
        .isEqualTo("COMPUTED");
    assertThat(answer.at("/points").size()).isEqualTo(21);
    assertThat(answer.at("/worstResidualNm").asDouble()).isLessThan(0.01);
    if (answer.at("/workingKg").asDouble() > 0
        && answer.at("/workingKg").asDouble() < answer.at("/limitKg").asDouble()) {
      assertThat(answer.at("/set/repetitions").asDouble())
          .as("compared at ten repetitions to failure")
          .isCloseTo(10, within(0.02));
    }
    assertThat(answer.at("/set/capacityLeft").size()).isEqualTo(30);
    double shares = 0;
    for (JsonNode node : answer.at("/limiters")) {
      shares += node.path("share").asDouble();
    }
    assertThat(shares).isCloseTo(1, within(1e-9));
    assertThat(answer.at("/regionStimulus").size()).isEqualTo(25);
  }

  /**
   * What comes out balances by hand: sum of arm times force over the muscles, with the contacts, is
   * the moment supplied. Forces from the answer's own tensions, peak forces from the published
   * volumes.
   */
  @Test
  void theSquatsKneeMomentIsTheSumOfArmsTimesForces() {
    Answer answer =
        post(
            "/api/analyses", Map.of("body", BODY, "family", "squat", "setup", Map.of("depth", 90)));
    JsonNode bottom = answer.at("/points/20");
    double volumeFactor = 80 * 1.78 / (71.9 * 1.74);
    double lengthFactor = 1.78 / 1.74;
    double sum = bottom.at("/contactNm/KNEE_FLEXION").asDouble();
    for (istmo.core.anatomy.Muscle muscle : istmo.core.anatomy.Muscles.standard().all()) {
      double arm = bottom.at("/momentArmM/" + muscle.id() + "/KNEE_FLEXION").asDouble();
      double length = bottom.at("/fibreLength/" + muscle.id()).asDouble();
      double peak =
          24e4
              * muscle.volumeM3()
              * volumeFactor
              / (muscle.optimalFibreLengthM() * lengthFactor)
              * muscle.forceFactor();
      double cos =
          Math.sqrt(1 - Math.pow(Math.min(0.8, Math.sin(muscle.pennationRad()) / length), 2));
      sum +=
          arm
              * peak
              * cos
              * (bottom.at("/activeTension/" + muscle.id()).asDouble()
                  + bottom.at("/passiveTension/" + muscle.id()).asDouble());
    }
    assertThat(sum).isCloseTo(bottom.at("/suppliedNm/KNEE_FLEXION").asDouble(), within(0.01));
    assertThat(sum).as("extension is negative flexion").isNegative();
  }

  @Test
  void strongerQuadricepsOfTheWholeBodyLiftMoreAndALongerThighLeansMore() {
    Answer usual = post("/api/analyses", Map.of("body", BODY, "family", "leg-extension"));
    Answer strong =
        post(
            "/api/analyses",
            Map.of(
                "body",
                Map.of("statureM", 1.78, "massKg", 80, "sex", "MALE", "strength", 1.1),
                "family",
                "leg-extension"));
    // the leg's own weight does not grow with strength: a little away from 10 %
    assertThat(strong.at("/limitKg").asDouble() / usual.at("/limitKg").asDouble())
        .isBetween(1.09, 1.13);
  }

  @Test
  void anImpossiblePostureIsAnswerWithItsReasonNotANumber() {
    Answer answer =
        post(
            "/api/analyses",
            Map.of(
                "body",
                BODY,
                "family",
                "press",
                "setup",
                Map.of("footHeight", -0.1, "kneeDepth", 120)));
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.at("/status").asString()).isEqualTo("IMPOSSIBLE");
    assertThat(answer.at("/obstacle/reason").asString()).contains("ankle would have to bend");
    assertThat(answer.at("/obstacle/missing").asString()).contains("36°");
    assertThat(answer.body().has("limitKg")).isFalse();
  }

  @Test
  void faultsAreNamedByField() {
    assertThat(post("/api/analyses", Map.of("family", "squat")).fault("body"))
        .isEqualTo("is needed");
    assertThat(post("/api/analyses", Map.of("body", BODY, "family", "flying")).fault("family"))
        .contains("squat");
    assertThat(
            post(
                    "/api/analyses",
                    Map.of(
                        "body",
                        BODY,
                        "family",
                        "squat",
                        "loadRule",
                        Map.of("loadKg", 50, "shareOfLimit", 0.5)))
                .fault("loadRule"))
        .contains("one of shareOfLimit, loadKg and repetitions");
    assertThat(
            post(
                    "/api/analyses",
                    Map.of("body", BODY, "family", "squat", "loadRule", Map.of("loadKg", -50)))
                .fault("loadRule.loadKg"))
        .contains("0 to 2000 kg");
    assertThat(
            post(
                    "/api/analyses",
                    Map.of("body", BODY, "family", "squat", "setup", Map.of("bar", 0.5)))
                .fault("setup.bar"))
        .contains("choice");
    assertThat(
            post(
                    "/api/analyses",
                    Map.of(
                        "body",
                        Map.of("statureM", 1.78, "massKg", 80, "sex", "MALE", "thighM", 0.82),
                        "family",
                        "squat"))
                .fault("thighM"))
        .contains("0.25 to 0.65 m");
  }

  @Test
  void theSchemaIsFreshAndAcceptsWhatTheServerAccepts() throws Exception {
    Path file = DOCS.resolve("analyses.schema.json");
    ObjectNode schema = schema();
    if (Boolean.getBoolean("api.write")) {
      Files.writeString(file, JSON.writeValueAsString(schema) + "\n");
    }
    assertThat(JSON.readTree(Files.readString(file)))
        .isEqualTo(JSON.readTree(JSON.writeValueAsString(schema)));
    Schema validator =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(Files.readString(file));
    assertThat(
            validator.validate(
                JSON.valueToTree(
                    Map.of(
                        "body",
                        BODY,
                        "family",
                        "squat",
                        "setup",
                        Map.of("depth", 90),
                        "loadRule",
                        Map.of("shareOfLimit", 0.75)))))
        .isEmpty();
    assertThat(
            validator.validate(
                JSON.valueToTree(
                    Map.of("body", BODY, "family", "squat", "setup", Map.of("kneeDepth", 90)))))
        .as("a parameter of another family")
        .isNotEmpty();
    assertThat(
            validator.validate(
                JSON.valueToTree(
                    Map.of("body", BODY, "family", "press", "setup", Map.of("kneeDepth", 400)))))
        .isNotEmpty();
  }

  @Test
  void theParameterTableIsFresh() throws Exception {
    Path file = DOCS.resolve("api.md");
    StringBuilder table = new StringBuilder(BEGIN + "\n");
    for (Family family : Families.all()) {
      table
          .append("\n### ")
          .append(family.id())
          .append(
              "\n\n"
                  + "| name | meaning | unit | from | to | usual | who decides |\n"
                  + "|---|---|---|---|---|---|---|\n");
      for (SetupParameter parameter : family.parameters()) {
        String choices =
            parameter.choices().isEmpty()
                ? ""
                : " (" + String.join(", ", parameter.choices()) + ")";
        table.append(
            String.format(
                Locale.ROOT,
                "| `%s` | %s: %s%s | %s | %s | %s | %s | %s |%n",
                parameter.id(),
                parameter.label(),
                parameter.note(),
                choices,
                parameter.unit().isEmpty() ? "–" : parameter.unit(),
                number(parameter.allowed().min()),
                number(parameter.allowed().max()),
                number(parameter.usual()),
                parameter.kind().name().toLowerCase(Locale.ROOT)));
      }
    }
    table.append("\n").append(END);
    String page = Files.readString(file);
    int from = page.indexOf(BEGIN);
    int to = page.indexOf(END) + END.length();
    if (Boolean.getBoolean("api.write")) {
      Files.writeString(file, page.substring(0, from) + table + page.substring(to));
      return;
    }
    assertThat(page.substring(from, to)).isEqualTo(table.toString());
  }

  private static ObjectNode schema() {
    ObjectNode root = JSON.createObjectNode();
    root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    root.put("title", "Request of POST /api/analyses");
    root.put("type", "object").put("additionalProperties", false);
    ObjectNode properties = root.putObject("properties");
    ObjectNode body =
        properties.putObject("body").put("type", "object").put("additionalProperties", false);
    ObjectNode node = body.putObject("properties");
    range(node, "statureM", 1.3, 2.2);
    range(node, "massKg", 35, 220);
    node.putObject("sex").putArray("enum").add("FEMALE").add("MALE");
    range(node, "thighM", 0.25, 0.65);
    range(node, "shankM", 0.25, 0.65);
    range(node, "trunkM", 0.3, 0.75);
    range(node, "dorsiflexionLimitDeg", 5, 60);
    range(node, "hipFlexionLimitDeg", 70, 150);
    range(node, "kneeFlexionLimitDeg", 60, 160);
    range(node, "strength", 0.3, 4);
    range(node, "lumbarNm", 30, 1200);
    body.putArray("required").add("statureM").add("massKg").add("sex");
    ArrayNode ids = properties.putObject("family").putArray("enum");
    Families.all().forEach(family -> ids.add(family.id()));
    properties.putObject("setup").put("type", "object");
    ObjectNode rule =
        properties
            .putObject("loadRule")
            .put("type", "object")
            .put("additionalProperties", false)
            .put("maxProperties", 1);
    ObjectNode loadRule = rule.putObject("properties");
    range(loadRule, "shareOfLimit", 0.05, 1);
    range(loadRule, "loadKg", 0, 2000);
    ArrayNode schools = properties.putObject("school").putArray("enum");
    istmo.core.stimulus.School.all().forEach(school -> schools.add(school.id()));
    root.putArray("required").add("body").add("family");
    ArrayNode all = root.putArray("allOf");
    for (Family family : Families.all()) {
      ObjectNode branch = all.addObject();
      branch.putObject("if").putObject("properties").putObject("family").put("const", family.id());
      ObjectNode setup =
          branch
              .putObject("then")
              .putObject("properties")
              .putObject("setup")
              .put("additionalProperties", false);
      ObjectNode parameters = setup.putObject("properties");
      for (SetupParameter parameter : family.parameters()) {
        range(parameters, parameter.id(), parameter.allowed().min(), parameter.allowed().max())
            .put("default", parameter.usual())
            .put(
                "description",
                parameter.label() + (parameter.unit().isEmpty() ? "" : ", " + parameter.unit()));
      }
    }
    return root;
  }

  private static ObjectNode range(ObjectNode properties, String name, double min, double max) {
    return properties.putObject(name).put("type", "number").put("minimum", min).put("maximum", max);
  }

  private static String number(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }
}
