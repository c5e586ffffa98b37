package istmo.app;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Bytes;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What comes to the door in no shape that was meant is refused plainly, and nothing breaks. */
@ExtendWith(RunningApp.class)
class DoorApiTest {
  private static void isRefused(Answer answer, int status) {
    assertThat(answer.status()).as("%s", answer).isEqualTo(status);
    assertThat(answer.contentType()).contains("problem+json");
    assertThat(answer.at("/detail").asString()).isNotEmpty();
  }

  /** By its number a problem that somebody saw is found in the log. */
  @Test
  void aProblemTellsTheNumberOfItsRequest() {
    for (Answer answer :
        List.of(
            RunningApp.get("/api/nothing/here"),
            RunningApp.get("/api/clients/" + UUID.randomUUID()),
            RunningApp.post("/api/gyms", "{"),
            RunningApp.visitor().get("/api/clients"),
            RunningApp.get("/error"))) {
      assertThat(answer.headers().get("x-request-id"))
          .as("%s", answer)
          .containsExactly(answer.at("/requestId").asString());
    }
  }

  /** The figures of one day of requests, and nobody's name or number among them. */
  @Test
  void figuresTellHowBusyItIsAndNothingOfAnybody() {
    RunningApp.get("/api/clients/" + UUID.randomUUID());
    Bytes figures = RunningApp.visitor().bytes("/actuator/prometheus");
    String text = new String(figures.content(), StandardCharsets.UTF_8);
    assertThat(text)
        .contains(
            "istmo_searches_running",
            "istmo_turns_waiting",
            "istmo_orders_kept_bodies",
            "istmo_backup_age_seconds",
            "hikaricp_connections")
        .containsPattern("http_server_requests_seconds_count\\{.*uri=\"/api/clients/\\{id\\}\"");
    assertThat(text).doesNotContainPattern("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}");
    isRefused(RunningApp.get("/actuator/env"), 404);
  }

  /** A session's cookie that holds a zero byte cannot even be looked for in the database. */
  @ParameterizedTest
  @ValueSource(strings = {"AAAA", "bm8gc2Vzc2lvbg==", "%%%", ""})
  void aCookieOfNoShapeIsNoSession(String cookie) {
    isRefused(
        RunningApp.visitor().send("GET", "/api/clients", null, "Cookie", "istmo=" + cookie), 401);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/api/claims?school=%ED%A0%80",
        "/api/search",
        "/api/clients/%25zz/record",
        "/api/shared/%00",
        "/api/gyms/a%2Fb/machines"
      })
  void anAddressThatIsNoTextIsToldAsAProblem(String path) {
    isRefused(RunningApp.get(path), 400);
  }

  @ParameterizedTest
  @ValueSource(strings = {"/sbom-java.json", "/sbom-web.json"})
  void whatItIsBuiltWithIsListed(String path) {
    Answer list = RunningApp.visitor().get(path);
    assertThat(list.status()).isEqualTo(200);
    assertThat(list.at("/bomFormat").asString()).isEqualTo("CycloneDX");
    assertThat(list.at("/components").size()).isGreaterThan(20);
  }

  @Test
  void whatIsNotThereIsToldAsAProblem() {
    isRefused(RunningApp.get("/api/nothing/here"), 404);
    isRefused(RunningApp.get("/error"), 404);
  }

  @Test
  void aGapInAListNamesTheList() {
    Answer answer =
        RunningApp.put(
            "/api/gyms/" + UUID.randomUUID() + "/machines/leg-press/pulls",
            Map.of("version", 0, "pulls", Collections.singletonList(null)));
    isRefused(answer, 400);
    assertThat(answer.fault("pulls[0]")).isEqualTo("is empty");
  }

  @Test
  void aNumberIsNoWordOfAList() {
    Answer answer =
        RunningApp.post(
            "/api/clients", Map.of("name", "Ada", "sex", 0, "statureCm", 170, "massKg", 70));
    isRefused(answer, 400);
    assertThat(answer.fault("sex")).isNotNull();
  }

  @ParameterizedTest
  @ValueSource(strings = {"a\\u0000b", "half \\ud800 of a character"})
  void textThatCannotBeKeptIsRefused(String name) {
    Answer answer = RunningApp.post("/api/gyms", "{\"name\":\"" + name + "\",\"equipment\":[]}");
    isRefused(answer, 400);
    assertThat(answer.fault("name")).contains("character that cannot be kept");
  }

  /** A body of 5 MB is refused before it is read; a file may be longer. */
  @Test
  void whatIsTooLongIsNotRead() {
    String long5 = "{\"name\":\"" + "x".repeat(5 << 20) + "\"}";
    isRefused(RunningApp.post("/api/gyms", long5), 413);
    assertThat(RunningApp.post("/api/archives/preview", long5).status()).isNotEqualTo(413);
  }

  /** A body without its length is refused before it is read; a gadget's lines come like that. */
  @Test
  void onlyAGadgetStreams() {
    assertThat(RunningApp.owner().streams("/api/gyms", "application/json", "{}")).isEqualTo(411);
    String code =
        RunningApp.post("/api/gadget-links", Map.of("kind", "FORCE")).at("/code").asString();
    assertThat(
            RunningApp.owner()
                .streams("/api/gadget-links/" + code + "/lines", "application/x-ndjson", "{}\n"))
        .isNotEqualTo(411)
        .isLessThan(500);
  }

  /** What tells nothing of anybody is not sent twice; what does is not kept by a browser. */
  @Test
  void whatIsTheSameIsNotSentTwice() {
    Answer first = RunningApp.get("/api/catalogue");
    String tag = first.headers().get("etag").get(0);
    assertThat(first.headers().get("cache-control")).containsExactly("no-cache, private");
    Answer again = RunningApp.owner().send("GET", "/api/catalogue", null, "If-None-Match", tag);
    assertThat(again.status()).isEqualTo(304);
    assertThat(RunningApp.owner().send("GET", "/api/catalogue", null, "If-None-Match", "W/\"x\""))
        .satisfies(other -> assertThat(other.status()).isEqualTo(200))
        .satisfies(other -> assertThat(other.body()).isEqualTo(first.body()));
    Answer clients = RunningApp.get("/api/clients");
    assertThat(clients.headers()).doesNotContainKey("etag");
    assertThat(clients.headers().get("cache-control").get(0)).contains("no-store");
    assertThat(RunningApp.visitor().send("GET", "/api/catalogue", null, "If-None-Match", tag))
        .satisfies(stranger -> assertThat(stranger.status()).isEqualTo(401));
  }

  /** The time for unknown keys grows with their number, not with its square. */
  @Test
  void manyUnknownKeysAreAllNamed() {
    List<String> keys = new ArrayList<>();
    for (int k = 0; k < 20_000; k++) {
      keys.add("\"k" + k + "\":1");
    }
    Answer answer =
        RunningApp.visitor()
            .post(
                "/api/analyses",
                "{\"family\":\"squat\",\"body\":{\"statureM\":1.8,\"massKg\":80,\"sex\":\"MALE\"},"
                    + "\"setup\":{"
                    + String.join(",", keys)
                    + "}}");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.at("/faults").size()).isEqualTo(20_000);
  }
}
