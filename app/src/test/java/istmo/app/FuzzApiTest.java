package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * The whole interface from its own description: requests that nearly fit, with values that nobody
 * means. None may break the server, and every refusal says so as a problem; what is refused for its
 * input names a field. The numbers are drawn from a fixed seed.
 */
@ExtendWith(RunningApp.class)
class FuzzApiTest {
  private static final long SEED = 20261130;
  private static final int TRIES = 14;

  /** These end the test's own session, wait for a stream, or take the whole body as a file. */
  private static final List<String> LEFT_OUT =
      List.of("/account/", "/events", "/live", "/gadget-links/{code}");

  private static final List<Object> NOT_MEANT =
      List.of(
          0,
          -1,
          1e308,
          -1e308,
          12345678901234567890.0,
          "",
          "x".repeat(5000),
          "<script>",
          "2026-02-30",
          "+999999999-01-01",
          "9999-12-31",
          "0000-01-01",
          "-999999999-01-01T00:00:00Z",
          "NaN",
          List.of(),
          Map.of(),
          Map.of("a", 1),
          true,
          "00000000-0000-0000-0000-000000000000",
          "=1+1",
          List.of(List.of(List.of())));

  private static JsonNode api;
  private static final List<String> OWN_IDS = new ArrayList<>();
  private final Random random = new Random(SEED);

  @BeforeAll
  static void readTheDescriptionAndHaveSomething() {
    api = RunningApp.get("/v3/api-docs").body();
    OWN_IDS.add(
        RunningApp.post("/api/gyms", Map.of("name", "Fuzz", "equipment", List.of("barbell")))
            .at("/id")
            .asString());
  }

  private record Operation(String method, String path, JsonNode said) {}

  private static Stream<Operation> operations() {
    return api.path("paths").properties().stream()
        .flatMap(
            entry ->
                entry.getValue().properties().stream()
                    .map(
                        o -> new Operation(o.getKey().toUpperCase(), entry.getKey(), o.getValue())))
        .filter(operation -> LEFT_OUT.stream().noneMatch(operation.path()::contains));
  }

  @Test
  void nothingBreaksAndEveryRefusalIsPlain() {
    List<String> faults = new ArrayList<>();
    int asked = 0;
    for (Operation operation : operations().toList()) {
      for (int k = 0; k < TRIES; k++) {
        String address = address(operation);
        Object body = body(operation);
        Answer answer = RunningApp.send(operation.method(), address, body);
        asked++;
        if (answer.status() >= 500
            || (answer.status() >= 400 && !answer.contentType().contains("problem+json"))
            || (List.of(400, 422).contains(answer.status()) && !names(answer))) {
          faults.add(
              operation.method() + " " + address + " " + brief(body) + " -> " + brief(answer));
        }
      }
    }
    assertThat(asked).isGreaterThan(1000);
    assertThat(faults).isEmpty();
  }

  /** A refusal before any reading, by the firewall, has only the address to name. */
  private static boolean names(Answer answer) {
    return answer.at("/faults").size() > 0 || answer.at("/detail").asString().contains("address");
  }

  private String address(Operation operation) {
    String path = operation.path();
    List<String> query = new ArrayList<>();
    for (JsonNode node : operation.said().path("parameters")) {
      Object value = value(node.path("schema"), 0);
      String text =
          URLEncoder.encode(String.valueOf(value), StandardCharsets.UTF_8).replace("+", "%20");
      String name = node.path("name").asString();
      if (node.path("in").asString().equals("path")) {
        path = path.replace("{" + name + "}", text.isEmpty() ? "x" : text);
      } else if (random.nextDouble() < 0.85) {
        query.add(name + "=" + text);
      }
    }
    return path + (query.isEmpty() ? "" : "?" + String.join("&", query));
  }

  private @Nullable Object body(Operation operation) {
    JsonNode content = operation.said().path("requestBody").path("content");
    return content.isMissingNode() || content.isEmpty()
        ? null
        : value(content.properties().iterator().next().getValue().path("schema"), 0);
  }

  private @Nullable Object value(JsonNode given, int depth) {
    JsonNode schema =
        given.has("$ref") ? api.at(given.path("$ref").asString().substring(1)) : given;
    if (random.nextDouble() < 0.03) {
      return null;
    }
    if (random.nextDouble() < 0.1) {
      return any(NOT_MEANT);
    }
    if (schema.has("enum")) {
      return any(schema.path("enum").valueStream().map(JsonNode::asString).toList());
    }
    return switch (schema.path("type").asString()) {
      case "object" -> object(schema, depth);
      case "array" -> {
        List<Object> list = new ArrayList<>();
        for (int k = random.nextInt(3); k > 0 && depth < 6; k--) {
          list.add(value(schema.path("items"), depth + 1));
        }
        yield list;
      }
      case "integer" -> any(List.of(0, 1, 2, 3, 10, -1, Integer.MAX_VALUE, Long.MAX_VALUE));
      case "number" -> any(List.of(0.0, 0.5, 1.0, 10.0, 70.0, 1.75, -3.0, 1e9, 1e-9));
      case "boolean" -> random.nextBoolean();
      default -> text(schema.path("format").asString());
    };
  }

  private Object text(String format) {
    return switch (format) {
      case "uuid" -> any(OWN_IDS);
      case "date" -> any(List.of("2026-11-30", "1999-01-01"));
      case "date-time" -> any(List.of("2026-11-30T10:00:00Z", "1999-01-01T00:00:00Z"));
      default -> any(List.of("Ada", "leg-press/low", "VL", "kg", "x", "barbell"));
    };
  }

  private Map<String, Object> object(JsonNode schema, int depth) {
    Map<String, Object> object = new LinkedHashMap<>();
    if (depth > 6) {
      return object;
    }
    schema
        .path("properties")
        .properties()
        .forEach(
            entry -> {
              if (random.nextDouble() < 0.85) {
                object.put(entry.getKey(), value(entry.getValue(), depth + 1));
              }
            });
    JsonNode others = schema.path("additionalProperties");
    if (others.isObject()) {
      object.put((String) any(List.of("VL", "GMAXM", "depth", "stance", "")), value(others, depth));
    }
    return object;
  }

  private Object any(List<?> list) {
    return list.get(random.nextInt(list.size()));
  }

  private static String brief(@Nullable Object value) {
    String text = String.valueOf(value);
    return text.substring(0, Math.min(400, text.length()));
  }
}
