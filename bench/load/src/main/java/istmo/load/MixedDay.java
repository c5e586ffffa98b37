package istmo.load;

import static io.gatling.javaapi.core.CoreDsl.StringBody;
import static io.gatling.javaapi.core.CoreDsl.constantUsersPerSec;
import static io.gatling.javaapi.core.CoreDsl.details;
import static io.gatling.javaapi.core.CoreDsl.exec;
import static io.gatling.javaapi.core.CoreDsl.global;
import static io.gatling.javaapi.core.CoreDsl.jsonPath;
import static io.gatling.javaapi.core.CoreDsl.listFeeder;
import static io.gatling.javaapi.core.CoreDsl.nothingFor;
import static io.gatling.javaapi.core.CoreDsl.percent;
import static io.gatling.javaapi.core.CoreDsl.rampUsersPerSec;
import static io.gatling.javaapi.core.CoreDsl.randomSwitch;
import static io.gatling.javaapi.core.CoreDsl.scenario;
import static io.gatling.javaapi.http.HttpDsl.http;
import static io.gatling.javaapi.http.HttpDsl.status;

import io.gatling.javaapi.core.Assertion;
import io.gatling.javaapi.core.ChainBuilder;
import io.gatling.javaapi.core.FeederBuilder;
import io.gatling.javaapi.core.PopulationBuilder;
import io.gatling.javaapi.core.ScenarioBuilder;
import io.gatling.javaapi.core.Session;
import io.gatling.javaapi.core.Simulation;
import io.gatling.javaapi.http.HttpRequestActionBuilder;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import tools.jackson.databind.json.JsonMapper;

/**
 * So many requests a second of what coaches do in a day, whether or not the earlier ones were
 * answered: sets from the floor most of all, then sessions, records, orders that are kept, lists;
 * and, where asked for, orders of clients whom nobody has seen before.
 */
public final class MixedDay extends Simulation {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String ADDRESS = System.getProperty("address", "http://127.0.0.1:8080");

  /** The first seconds of a fresh Java are nobody's day; they are asked, and not judged. */
  private static final String WARMING = "warming: ";

  private static final Duration WARM = Duration.ofSeconds(30);
  private static final String NEW_ORDER = "order of a new client";
  private static final List<String> KINDS =
      List.of(
          "floor message",
          "session",
          "record",
          "weeks of a record",
          "clients",
          "client",
          "today",
          "kept order",
          "floor's pack",
          "account");

  /** A coach stands beside the client and waits for these. */
  private static final Set<String> IN_A_HURRY = Set.of("floor message", "record");

  private final double perSecond = number("perSecond", 60);
  private final double newClientsPerSecond = number("newClientsPerSecond", 0);
  private final Duration lasts = Duration.ofSeconds((long) number("seconds", 60));

  public MixedDay() {
    List<Map<String, Object>> entries =
        new Studio(ADDRESS)
            .open(
                (int) number("coaches", 40), (int) number("clients", 5), (int) number("sets", 240));
    FeederBuilder<Object> someone = listFeeder(entries).random();
    ScenarioBuilder warming = scenario("warming").feed(someone).exec(mixed(WARMING));
    ScenarioBuilder day = scenario("day").feed(someone).exec(mixed(""));
    ScenarioBuilder newcomers =
        scenario("new clients")
            .feed(someone)
            .exec(newClient())
            .exitHereIfFailed()
            .exec(order(NEW_ORDER));
    List<PopulationBuilder> populations = new ArrayList<>();
    populations.add(
        warming.injectOpen(
            rampUsersPerSec(10).to(perSecond).during(WARM.dividedBy(2)),
            constantUsersPerSec(perSecond).during(WARM.dividedBy(2))));
    populations.add(
        day.injectOpen(
            nothingFor(WARM), constantUsersPerSec(perSecond).during(lasts).randomized()));
    if (newClientsPerSecond > 0) {
      populations.add(
          newcomers.injectOpen(
              nothingFor(WARM), constantUsersPerSec(newClientsPerSecond).during(lasts)));
    }
    setUp(populations)
        .assertions(wanted())
        .protocols(http.baseUrl(ADDRESS).shareConnections().disableCaching());
  }

  private static double number(String name, double usual) {
    return Double.parseDouble(System.getProperty(name, String.valueOf(usual)));
  }

  /** What is wanted of each kind of request; what it was is told beside it. */
  private List<Assertion> wanted() {
    List<Assertion> all = new ArrayList<>();
    all.add(global().failedRequests().count().is(0L));
    for (String name : KINDS) {
      all.add(details(name).responseTime().percentile(50).lt(100));
      all.add(
          details(name).responseTime().percentile(99).lt(IN_A_HURRY.contains(name) ? 100 : 500));
    }
    if (newClientsPerSecond > 0) {
      all.add(details(NEW_ORDER).responseTime().percentile(50).lt(2000));
    }
    return all;
  }

  /**
   * @param told what stands before the names of requests
   */
  private static ChainBuilder mixed(String told) {
    return randomSwitch()
        .on(
            percent(35).then(logsASet(told)),
            percent(12).then(exec(get(told + "session", "/api/sessions/#{session}"))),
            percent(12).then(exec(get(told + "record", "/api/clients/#{client}/record"))),
            percent(5)
                .then(exec(get(told + "weeks of a record", "/api/clients/#{client}/record/weeks"))),
            percent(10).then(exec(get(told + "clients", "/api/clients"))),
            percent(8).then(exec(get(told + "client", "/api/clients/#{client}"))),
            percent(6).then(exec(get(told + "today", "/api/today"))),
            percent(6).then(order(told + "kept order")),
            percent(2).then(exec(get(told + "floor's pack", "/api/floor/#{session}"))),
            percent(4).then(exec(get(told + "account", "/api/account"))));
  }

  private static HttpRequestActionBuilder get(String name, String path) {
    return http(name).get(path).header("Cookie", "#{cookie}").check(status().is(200));
  }

  private static HttpRequestActionBuilder post(
      String name, String path, Function<Session, Object> body) {
    return http(name)
        .post(path)
        .header("Cookie", "#{cookie}")
        .header("X-XSRF-TOKEN", "#{token}")
        .header("Content-Type", "application/json")
        .body(StringBody(session -> JSON.writeValueAsString(body.apply(session))));
  }

  private static String text(Session session, String name) {
    String value = session.getString(name);
    return value == null ? "" : value;
  }

  private static ChainBuilder logsASet(String told) {
    return exec(
        post(
                told + "floor message",
                "/api/floor/changes",
                session ->
                    Studio.message(
                        List.of(
                            Studio.set(
                                text(session, "session"), text(session, "item"), Instant.now()))))
            .check(status().is(200)));
  }

  private static ChainBuilder order(String name) {
    return exec(
        post(
                name,
                "/api/orders",
                session -> Studio.brief(text(session, "client"), text(session, "gym")))
            .check(status().is(200)));
  }

  private static ChainBuilder newClient() {
    Random chance = new Random();
    return exec(
        post(
                "new client",
                "/api/clients",
                session -> Studio.intake("New " + UUID.randomUUID(), chance))
            .check(status().is(201))
            .check(jsonPath("$.id").saveAs("client")));
  }
}
