package istmo.load;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** Coaches with clients, gyms and half a year of records, made over the interface itself. */
final class Studio {
  private static final String PASSWORD = "a long enough password";
  private static final int SETS_AT_A_TIME = 80;
  private static final List<String> EXERCISES =
      List.of(
          "leg-press/low",
          "back-squat/high-bar",
          "romanian-deadlift/usual",
          "leg-extension/upright");

  private final String address;
  private final Random chance = new Random(1);

  Studio(String address) {
    this.address = address;
  }

  /**
   * What the day asks with: one entry for each client.
   *
   * @param coaches how many; the first is the owner
   * @param clients of each coach
   * @param sets written down for each client before the day
   */
  List<Map<String, Object>> open(int coaches, int clients, int sets) {
    List<Map<String, Object>> all = new ArrayList<>();
    Caller owner = new Caller(address);
    owner.post("/api/account/first", coach(0));
    for (int c = 0; c < coaches; c++) {
      Caller caller = owner;
      if (c > 0) {
        owner.post("/api/account/coaches", coach(c));
        caller = new Caller(address);
        caller.post(
            "/api/account/sign-in", Map.of("signInName", "coach" + c, "password", PASSWORD));
      }
      String gym = gym(caller);
      for (int k = 0; k < clients; k++) {
        all.add(client(caller, gym, sets, c + "." + k));
      }
    }
    return all;
  }

  private static Map<String, Object> coach(int c) {
    return Map.of("name", "Coach " + c, "signInName", "coach" + c, "password", PASSWORD);
  }

  private static String gym(Caller coach) {
    List<String> equipment = new ArrayList<>();
    coach
        .get("/api/catalogue")
        .path("equipment")
        .forEach(i -> equipment.add(i.path("id").asString()));
    return coach
        .post("/api/gyms", Map.of("name", "Hall", "equipment", equipment))
        .path("id")
        .asString();
  }

  private Map<String, Object> client(Caller coach, String gym, int sets, String name) {
    String client = coach.post("/api/clients", intake("Client " + name)).path("id").asString();
    JsonNode session = coach.post("/api/sessions", brief(client, gym));
    String sessionId = session.path("id").asString();
    List<String> items = new ArrayList<>();
    for (String exercise : EXERCISES) {
      JsonNode pinned =
          coach.post("/api/sessions/" + sessionId + "/items", Map.of("candidateId", exercise));
      items.add(pinned.path("items").get(items.size()).path("id").asString());
    }
    for (int done = 0; done < sets; done += SETS_AT_A_TIME) {
      List<Map<String, Object>> changes = new ArrayList<>();
      for (int k = done; k < Math.min(sets, done + SETS_AT_A_TIME); k++) {
        Instant at = Instant.now().minus(Duration.ofHours(18L * (sets - k)));
        changes.add(set(sessionId, items.get(k % items.size()), at));
      }
      coach.post("/api/floor/changes", message(changes));
    }
    // so that the day begins with what a coach has had open before
    coach.post("/api/orders", brief(client, gym));
    coach.get("/api/floor/" + sessionId);
    coach.get("/api/clients/" + client + "/record/weeks");
    return Map.of(
        "cookie",
        coach.cookie(),
        "token",
        coach.token(),
        "client",
        client,
        "gym",
        gym,
        "session",
        sessionId,
        "item",
        items.get(0));
  }

  private Map<String, Object> intake(String name) {
    return intake(name, chance);
  }

  /** Somebody whom nobody has seen before, to the millimetre. */
  static Map<String, Object> intake(String name, Random chance) {
    return Map.of(
        "name",
        name,
        "statureM",
        Math.round(1000 * (1.55 + 0.4 * chance.nextDouble())) / 1000.0,
        "massKg",
        Math.round(10 * (55 + 45 * chance.nextDouble())) / 10.0,
        "sex",
        chance.nextBoolean() ? "FEMALE" : "MALE",
        "thigh",
        "USUAL",
        "ankle",
        "USUAL",
        "pain",
        List.of());
  }

  static Map<String, Object> brief(String client, String gym) {
    return Map.of("clientId", client, "gymId", gym, "aim", Map.of("VL", 3, "GMAXM", 1));
  }

  static Map<String, Object> message(List<Map<String, Object>> changes) {
    return Map.of("device", "load", "sentAt", Instant.now().toString(), "changes", changes);
  }

  static Map<String, Object> set(String session, String item, Instant at) {
    return Map.of(
        "set",
        Map.of(
            "sessionId", session,
            "itemId", item,
            "setId", UUID.randomUUID().toString(),
            "revision", 1,
            "base", 0,
            "loadKg", 60,
            "repetitions", 8,
            "reserve", 2,
            "performedAt", at.toString()));
  }
}
