package istmo.load;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import tools.jackson.databind.JsonNode;

/**
 * Devices write sets down, correct them and take them out, as a telephone does: again and again
 * until it is answered. Meanwhile one blow after the other falls on the server. In the end what was
 * answered is compared with what is there.
 */
final class Chaos {
  private static final int COACHES = 2;
  private static final int CLIENTS = 3;

  /** Between two blows, s: everything has come back by then, and is used for a while. */
  private static final int LEAST_S = 60;

  private static final int MOST_S = 90;

  /** What the application and its database are asked to survive, as {@code chaos.sh} names it. */
  private static final List<String> BLOWS =
      List.of("application", "database", "both", "restarted", "connections", "stopped", "ended");

  private final String address;
  private final List<Device> devices = new ArrayList<>();
  private volatile boolean over;

  private Chaos(String address) {
    this.address = address;
  }

  /** Arguments: the address, minutes, the script that strikes, the starter's process id. */
  public static void main(String[] arguments) throws Exception {
    Chaos chaos = new Chaos(arguments[0]);
    chaos.begin();
    boolean held =
        chaos.strike(Integer.parseInt(arguments[1]), arguments[2], arguments[3]) & chaos.compare();
    System.exit(held ? 0 : 1);
  }

  private void begin() {
    for (Map<String, Object> client : new Studio(address).open(COACHES, CLIENTS, 0)) {
      Device device = new Device(client);
      devices.add(device);
      Thread thread = new Thread(device, "device");
      thread.setDaemon(true);
      thread.start();
    }
  }

  /** Whether a device was answered again within half a minute after every blow. */
  private boolean strike(int minutes, String script, String server) throws Exception {
    Random chance = new Random(1);
    Instant end = Instant.now().plus(Duration.ofMinutes(minutes));
    Map<String, List<Double>> back = new TreeMap<>();
    for (int k = 0; Instant.now().isBefore(end); k++) {
      Thread.sleep(1000L * (LEAST_S + chance.nextInt(MOST_S - LEAST_S)));
      String blow = BLOWS.get(k < BLOWS.size() ? k : chance.nextInt(BLOWS.size()));
      Instant struck = Instant.now();
      int code = new ProcessBuilder(script, "hit", blow, server).inheritIO().start().waitFor();
      if (code != 0) {
        throw new IllegalStateException("the blow failed: " + blow);
      }
      Instant fallen = blow.equals("stopped") ? Instant.now() : struck;
      double seconds = answeredAfter(fallen);
      back.computeIfAbsent(blow, key -> new ArrayList<>()).add(seconds);
      System.out.printf("%s %s: answered again after %.1f s%n", struck, blow, seconds);
    }
    over = true;
    back.forEach(
        (blow, seconds) ->
            System.out.printf(
                "%-12s %d times, back after %.1f s at most%n",
                blow, seconds.size(), seconds.stream().mapToDouble(s -> s).max().orElse(0)));
    return back.values().stream().flatMap(List::stream).allMatch(seconds -> seconds <= 30);
  }

  /** Seconds until every device has been answered to something that it asked after a moment. */
  private double answeredAfter(Instant moment) throws InterruptedException {
    while (devices.stream().anyMatch(device -> device.answeredTo.isBefore(moment))) {
      Thread.sleep(100);
      if (Duration.between(moment, Instant.now()).toMinutes() >= 5) {
        throw new IllegalStateException("nothing has come back for five minutes");
      }
    }
    return Duration.between(moment, Instant.now()).toMillis() / 1000.0;
  }

  /** Whether all that was answered is there once, as it was said last, in its order. */
  private boolean compare() throws InterruptedException {
    boolean alike = true;
    long sets = 0;
    for (Device device : devices) {
      device.ended();
      List<String> there = device.there();
      sets += device.kept.size();
      if (!there.equals(device.expected())) {
        alike = false;
        System.out.println("differs:\n  asked " + device.expected() + "\n  there " + there);
      }
    }
    System.out.printf(
        "%d sets of %d devices: %s%n",
        sets, devices.size(), alike ? "none lost, doubled or out of order" : "NOT as answered");
    return alike;
  }

  /** One telephone with one session. */
  private final class Device implements Runnable {
    private final Map<String, Object> client;
    private final Caller caller;

    /** What was answered: the id of a set to its repetitions, 0 once it is taken out. */
    private final Map<String, Integer> kept = new LinkedHashMap<>();

    private final Map<String, Integer> revisions = new LinkedHashMap<>();

    /** When each set was done: a correction is no other moment. */
    private final Map<String, String> doneAt = new LinkedHashMap<>();

    private volatile Instant answeredTo = Instant.EPOCH;
    private volatile boolean done;

    Device(Map<String, Object> client) {
      this.client = client;
      this.caller = new Caller(address, of("cookie"));
    }

    private String of(String name) {
      return Objects.requireNonNull(client.get(name)).toString();
    }

    @Override
    public void run() {
      try {
        writeDown();
      } catch (AssertionError e) {
        System.out.println(e.getMessage());
        System.exit(1);
      }
    }

    private void writeDown() {
      ThreadLocalRandom chance = ThreadLocalRandom.current();
      while (!over) {
        List<String> standing =
            kept.entrySet().stream()
                .filter(entry -> entry.getValue() > 0)
                .map(Map.Entry::getKey)
                .toList();
        boolean again = !standing.isEmpty() && chance.nextInt(4) == 0;
        String id =
            again ? standing.get(chance.nextInt(standing.size())) : UUID.randomUUID().toString();
        int repetitions = again && chance.nextInt(3) == 0 ? 0 : 1 + chance.nextInt(30);
        sendUntilAnswered(id, repetitions);
        pause(300);
      }
      done = true;
    }

    private void sendUntilAnswered(String id, int repetitions) {
      int before = revisions.getOrDefault(id, 0);
      Map<String, Object> set = new LinkedHashMap<>();
      set.put("sessionId", of("session"));
      set.put("itemId", of("item"));
      set.put("setId", id);
      set.put("revision", before + 1);
      set.put("base", before);
      set.put("removed", repetitions == 0);
      set.put("loadKg", 60);
      set.put("repetitions", Math.max(1, repetitions));
      set.put("reserve", 2);
      set.put("performedAt", doneAt.computeIfAbsent(id, key -> Instant.now().toString()));
      while (true) {
        Instant asked = Instant.now();
        try {
          JsonNode answer =
              caller.post("/api/floor/changes", Studio.message(List.of(Map.of("set", set))));
          String outcome = answer.path("results").path(0).path("outcome").asString();
          if (outcome.equals("AGAIN")) {
            continue;
          }
          if (!outcome.equals("STORED") && !outcome.equals("SAME")) {
            throw new AssertionError("not taken: " + answer);
          }
          kept.put(id, repetitions);
          revisions.put(id, before + 1);
          answeredTo = asked;
          return;
        } catch (IllegalStateException e) {
          pause(500);
        }
      }
    }

    void ended() throws InterruptedException {
      while (!done) {
        Thread.sleep(100);
      }
    }

    List<String> expected() {
      return kept.entrySet().stream()
          .filter(entry -> entry.getValue() > 0)
          .map(entry -> entry.getKey() + " " + entry.getValue())
          .toList();
    }

    /** Sets of the session in the server's order. */
    List<String> there() {
      List<String> there = new ArrayList<>();
      JsonNode session = caller.get("/api/sessions/" + of("session"));
      session
          .path("items")
          .forEach(
              item ->
                  item.path("sets")
                      .forEach(
                          set ->
                              there.add(
                                  set.path("id").asString()
                                      + " "
                                      + set.path("repetitions").asInt())));
      return there;
    }

    private void pause(long ms) {
      try {
        Thread.sleep(ms);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
  }
}
