package istmo.app;

import static istmo.app.RunningApp.PASSWORD;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.app.RunningApp.Answer;
import istmo.app.RunningApp.Visitor;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;

/** Signing in, and everything that goes with it. */
@ExtendWith(RunningApp.class)
class AccountApiTest {
  private static Answer signIn(Visitor visitor, String name, String password) {
    return visitor.post("/api/account/sign-in", Map.of("signInName", name, "password", password));
  }

  /** Moves the last failure in time, so that no wait depends on how fast the machine is. */
  private static void lastFailureMoves(String counted, String by) {
    RunningApp.bean(JdbcTemplate.class)
        .update(
            "update sign_in_failure set last_at = last_at + cast(? as interval) where sign_in_name"
                + " like ?",
            by,
            counted + "%");
  }

  @Test
  void whoIsNotSignedInSeesNothingAndMayTryTheModel() {
    Visitor visitor = RunningApp.visitor();
    for (String path :
        new String[] {
          "/api/clients", "/api/gyms", "/api/sessions", "/api/catalogue", "/api/account/sessions"
        }) {
      Answer answer = visitor.get(path);
      assertThat(answer.status()).as(path).isEqualTo(401);
      assertThat(answer.contentType()).contains("problem+json");
      assertThat(answer.at("/detail").asString()).contains("Sign in first");
    }
    assertThat(
            visitor
                .post(
                    "/api/analyses",
                    Map.of(
                        "body",
                        Map.of("statureM", 1.8, "massKg", 80, "sex", "MALE"),
                        "family",
                        "squat"))
                .status())
        .isEqualTo(200);
    assertThat(visitor.get("/api/account").at("/signedIn").asBoolean()).isFalse();
    assertThat(visitor.post("/api/account/demo", "").status()).as("this is no demo").isEqualTo(404);
  }

  @Test
  void signInOutAndInAgain() {
    RunningApp.anotherCoach("back.again");
    Visitor visitor = RunningApp.visitor();
    assertThat(signIn(visitor, "back.again", "a wrong password").status()).isEqualTo(401);
    Answer in = signIn(visitor, " Back.Again ", PASSWORD);
    assertThat(in.status()).isEqualTo(200);
    assertThat(in.at("/name").asString()).isEqualTo("Coach back.again");
    assertThat(visitor.get("/api/clients").status()).isEqualTo(200);
    assertThat(visitor.post("/api/account/sign-out", "").status()).isEqualTo(204);
    assertThat(visitor.get("/api/clients").status()).isEqualTo(401);
  }

  /**
   * A session id from before signing in is worth nothing afterwards, and the cookie is closed to
   * scripts and other sites.
   */
  @Test
  void theSessionGetsANewIdAndItsCookieIsClosed() {
    RunningApp.anotherCoach("fixed");
    Visitor visitor = RunningApp.visitor();
    Answer in = signIn(visitor, "fixed", PASSWORD);
    String cookie =
        in.headers().get("set-cookie").stream()
            .filter(candidate -> candidate.startsWith("istmo="))
            .reduce((first, second) -> second)
            .orElseThrow();
    assertThat(cookie).contains("HttpOnly").contains("SameSite=Strict");
    String before = visitor.cookie("istmo").orElseThrow();
    signIn(visitor, "fixed", PASSWORD);
    assertThat(visitor.cookie("istmo").orElseThrow()).isNotEqualTo(before);
  }

  @Test
  void aChangeWithoutThePagesTokenIsRefused() {
    Answer answer =
        RunningApp.send(
            "POST",
            "/api/gyms",
            Map.of("name", "Forged", "equipment", java.util.List.of()),
            "X-XSRF-TOKEN",
            "forged");
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.contentType()).contains("problem+json");
  }

  /**
   * Five tries are free; then the name has to wait, with the right password too, and a name that
   * does not exist is told the same.
   */
  @Test
  void failuresInARowMakeANameWait() {
    RunningApp.anotherCoach("slow.down");
    for (String name : new String[] {"slow.down", "nobody.at.all"}) {
      Visitor visitor = RunningApp.visitor();
      for (int k = 0; k < 5; k++) {
        assertThat(signIn(visitor, name, "a wrong password").status()).isEqualTo(401);
      }
      lastFailureMoves(name, "1 minute");
      Answer wait = signIn(visitor, name, PASSWORD);
      assertThat(wait.status()).isEqualTo(429);
      assertThat(wait.headers().get("retry-after")).isNotEmpty();
      assertThat(wait.at("/detail").asString()).contains("Wait");
    }
    lastFailureMoves("slow.down", "-63 seconds");
    assertThat(signIn(RunningApp.visitor(), "slow.down", PASSWORD).status()).isEqualTo(200);
    assertThat(
            RunningApp.bean(JdbcTemplate.class)
                .queryForObject(
                    "select count(*) from sign_in_failure where sign_in_name like 'slow.down%'",
                    Integer.class))
        .as("forgotten after success")
        .isZero();
  }

  /** Whoever guesses from elsewhere makes nobody wait but themselves. */
  @Test
  void nobodyKeepsACoachOutFromElsewhere() {
    RunningApp.anotherCoach("kept.out");
    RunningApp.bean(JdbcTemplate.class)
        .update("insert into sign_in_failure values ('kept.out 10.0.0.9', 1000, now())");
    assertThat(signIn(RunningApp.visitor(), "kept.out", PASSWORD).status()).isEqualTo(200);
  }

  @Test
  void theOldPasswordIsNotGuessedWithoutAWait() {
    Visitor visitor = RunningApp.anotherCoach("guess.the.old");
    Map<String, String> wrong =
        Map.of("oldPassword", "not this one", "newPassword", "another long password");
    for (int k = 0; k < 5; k++) {
      assertThat(visitor.send("PUT", "/api/account/password", wrong).status()).isEqualTo(422);
    }
    lastFailureMoves("change ", "1 minute");
    assertThat(visitor.send("PUT", "/api/account/password", wrong).status()).isEqualTo(429);
  }

  @ParameterizedTest
  @ValueSource(strings = {"          ", "1234567890", "abcdefghijkl", "9876543210", "aaaaaaabbbbb"})
  void whatEverybodyGuessesIsNoPassword(String easy) {
    Visitor visitor = RunningApp.anotherCoach("easy " + easy.hashCode());
    assertThat(
            visitor
                .send(
                    "PUT",
                    "/api/account/password",
                    Map.of("oldPassword", PASSWORD, "newPassword", easy))
                .fault("newPassword"))
        .contains("too easy to guess");
  }

  /** One name however it is typed. */
  @Test
  void blanksAndCapitalsMakeNoOtherName() {
    RunningApp.anotherCoach("two words");
    assertThat(signIn(RunningApp.visitor(), "  Two   WORDS ", PASSWORD).status()).isEqualTo(200);
    Answer twice =
        RunningApp.post(
            "/api/account/coaches",
            Map.of("name", "Again", "signInName", "TWO  words", "password", PASSWORD));
    assertThat(twice.fault("signInName")).isEqualTo("is in use");
  }

  @Test
  void aPasswordIsChangedAndSignsOutElsewhere() {
    Visitor here = RunningApp.anotherCoach("two.places");
    Visitor there = RunningApp.visitor();
    signIn(there, "two.places", PASSWORD);
    Answer both = here.get("/api/account/sessions");
    assertThat(both.body().size()).isEqualTo(2);
    assertThat(both.body().toString()).doesNotContain(here.cookie("istmo").orElseThrow());
    assertThat(
            here.send(
                    "PUT",
                    "/api/account/password",
                    Map.of("oldPassword", "not this one", "newPassword", "short"))
                .fault("oldPassword"))
        .isEqualTo("is not right");
    assertThat(
            here.send(
                    "PUT",
                    "/api/account/password",
                    Map.of("oldPassword", PASSWORD, "newPassword", "short"))
                .fault("newPassword"))
        .contains("at least 10");
    assertThat(
            here.send(
                    "PUT",
                    "/api/account/password",
                    Map.of("oldPassword", PASSWORD, "newPassword", "another long password"))
                .status())
        .isEqualTo(204);
    assertThat(there.get("/api/clients").status()).isEqualTo(401);
    assertThat(here.get("/api/clients").status()).isEqualTo(200);
    assertThat(signIn(RunningApp.visitor(), "two.places", PASSWORD).status()).isEqualTo(401);
    assertThat(signIn(RunningApp.visitor(), "two.places", "another long password").status())
        .isEqualTo(200);
  }

  @Test
  void aSessionIsEndedFromAnother() {
    Visitor here = RunningApp.anotherCoach("lost.phone");
    Visitor phone = RunningApp.visitor();
    signIn(phone, "lost.phone", PASSWORD);
    String other =
        here.get("/api/account/sessions").body().findParents("id").stream()
            .filter(node -> !node.get("current").asBoolean())
            .findFirst()
            .orElseThrow()
            .get("id")
            .asString();
    assertThat(RunningApp.delete("/api/account/sessions/" + other).status())
        .as("not by another coach")
        .isEqualTo(404);
    assertThat(here.send("DELETE", "/api/account/sessions/" + other, null).status()).isEqualTo(204);
    assertThat(phone.get("/api/clients").status()).isEqualTo(401);
    assertThat(here.get("/api/account/sessions").body().size()).isEqualTo(1);
  }

  @Test
  void theFirstAccountIsMadeOnce() {
    Answer again =
        RunningApp.visitor()
            .post(
                "/api/account/first",
                Map.of("name", "Intruder", "signInName", "intruder", "password", PASSWORD));
    assertThat(again.status()).isEqualTo(409);
    Answer strange =
        RunningApp.visitor()
            .post(
                "/api/account/coaches",
                Map.of("name", "Intruder", "signInName", "intruder", "password", PASSWORD));
    assertThat(strange.status()).isEqualTo(401);
  }

  @ParameterizedTest
  @CsvSource({
    "ab, a long enough password, signInName",
    "owner, a long enough password, signInName",
    "fine.name, too short, password"
  })
  void anAccountThatCannotBeIsNamed(String signInName, String password, String field) {
    Answer answer =
        RunningApp.post(
            "/api/account/coaches",
            Map.of("name", "New", "signInName", signInName, "password", password));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.fault(field)).isNotNull();
  }

  @Test
  void passwordsAreNotKept() {
    String hash =
        RunningApp.bean(JdbcTemplate.class)
            .queryForObject(
                "select password_hash from coach where sign_in_name = 'owner'", String.class);
    assertThat(hash).startsWith("$2a$12$").doesNotContain(PASSWORD);
  }
}
