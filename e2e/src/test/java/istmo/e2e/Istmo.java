package istmo.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * The real application with demo data on a free port, over the database that ./istmo test started,
 * and Debian's Chromium; once for all browser tests.
 */
public final class Istmo implements BeforeAllCallback, AutoCloseable {
  private static final Path REPO =
      Path.of(System.getProperty("repo.dir")).toAbsolutePath().normalize();
  private static final Pattern STARTED = Pattern.compile("started on port (\\d+)");
  private static final String JAVA =
      Path.of(System.getProperty("java.home"), "bin", "java").toString();

  /** A busy machine takes its time; what never comes still fails, only later. */
  private static final int LONGEST_WAIT_MS = 60_000;

  private static boolean unpacked;
  private static Istmo running;

  private Process app;
  private Playwright playwright;
  private Browser browser;
  private String address;
  private int port;
  private String schema;
  private boolean demo;
  private String database;
  private String host = "127.0.0.1";
  private Map<String, String> tls = Map.of();

  @Override
  public void beforeAll(ExtensionContext context) throws Exception {
    if (running == null) {
      running = this;
      start();
      Runtime.getRuntime().addShutdownHook(new Thread(this::close));
    }
  }

  static Browser browser() {
    return running.browser;
  }

  static String address() {
    return running.address;
  }

  static Path output(String file) {
    return REPO.resolve("e2e/target").resolve(file);
  }

  /**
   * An application of its own without demo data, over another schema; its address is the answer.
   * Ends with the tests.
   */
  static String withoutDemo(String schema) throws Exception {
    Istmo another = new Istmo();
    another.launch(false, schema, "");
    Runtime.getRuntime().addShutdownHook(new Thread(another::close));
    return another.address;
  }

  /**
   * An application of its own with demo data, which may be killed and started again. What it says
   * is stored is on the disk, as it is for a user's own data.
   */
  static Istmo toBeKilled(String schema) throws Exception {
    Istmo another = new Istmo();
    another.launch(true, schema, "&options=-c%20synchronous_commit=on");
    Runtime.getRuntime().addShutdownHook(new Thread(another::close));
    return another;
  }

  /**
   * An application without demo data at another address, over HTTPS with what {@code more} says.
   */
  static Istmo served(String schema, String at, Map<String, String> more) throws Exception {
    Istmo another = new Istmo();
    another.tls = more;
    another.host = at;
    another.launch(false, schema, "");
    Runtime.getRuntime().addShutdownHook(new Thread(another::close));
    return another;
  }

  String home() {
    return address;
  }

  /** Ends it at once, whatever it is at. */
  void kill() throws InterruptedException {
    app.destroyForcibly();
    app.waitFor(20, TimeUnit.SECONDS);
  }

  /** Starts it again at the same address, which nobody else has had time to take. */
  void startAgain() throws Exception {
    run();
  }

  /** Ends the database at once and starts it again, as after a crash of the machine's server. */
  static void crashDatabase() throws Exception {
    Process process =
        new ProcessBuilder(REPO.resolve("scripts/pg.sh").toString(), "crash")
            .redirectErrorStream(true)
            .redirectOutput(output("pg-crash.log").toFile())
            .start();
    if (!process.waitFor(90, TimeUnit.SECONDS) || process.exitValue() != 0) {
      throw new IllegalStateException(
          "the database did not come back, see e2e/target/pg-crash.log");
    }
  }

  private void start() throws Exception {
    launch(true, "browser", "");
    openBrowser();
  }

  private void launch(boolean withDemo, String inSchema, String more) throws Exception {
    String url = System.getenv("DB_URL");
    if (url == null) {
      throw new IllegalStateException(
          "DB_URL is not set: browser tests run under ./istmo test, which starts a throw-away"
              + " database");
    }
    demo = withDemo;
    schema = inSchema;
    database = url + "?currentSchema=" + schema + more;
    run();
    address = (tls.isEmpty() ? "http://" : "https://") + host + ":" + port;
  }

  private void run() throws Exception {
    Path program = program();
    ProcessBuilder builder =
        new ProcessBuilder(
            JAVA, "-XX:SharedArchiveFile=" + archiveOf(program), "-jar", program.toString());
    builder.environment().putAll(environment());
    builder.environment().putAll(tls);
    Path log = output(schema + ".log");
    builder.redirectErrorStream(true).redirectOutput(log.toFile());
    app = builder.start();
    await(() -> portIn(log).isPresent());
    port = portIn(log).orElseThrow();
    if (tls.isEmpty()) { // over HTTPS nobody here knows its certificate
      await(this::ready);
    }
  }

  /** A schema of its own, so that other tests' rows are not in sight. */
  private Map<String, String> environment() {
    return Map.of(
        "PORT",
        "" + port,
        "ISTMO_DEMO",
        "" + demo,
        "DB_URL",
        database,
        "SPRING_FLYWAY_DEFAULT_SCHEMA",
        schema);
  }

  /**
   * The application's jar, unpacked, with an archive of the classes that its start loads: the tests
   * start it many times, and so each start takes about half as long.
   */
  private Path program() throws Exception {
    Path folder = output("program");
    Path jar = folder.resolve("istmo.jar");
    if (!unpacked) {
      String packed = REPO.resolve("app/target/istmo.jar").toString();
      succeeds(
          new ProcessBuilder(
              JAVA,
              "-Djarmode=tools",
              "-jar",
              packed,
              "extract",
              "--force",
              "--destination",
              folder.toString()));
      ProcessBuilder training =
          new ProcessBuilder(
              JAVA,
              "-XX:ArchiveClassesAtExit=" + archiveOf(jar),
              "-Dspring.context.exit=onRefresh",
              "-jar",
              jar.toString());
      training.environment().putAll(environment());
      succeeds(training);
      unpacked = true;
    }
    return jar;
  }

  private static Path archiveOf(Path jar) {
    return jar.resolveSibling("istmo.jsa");
  }

  private static void succeeds(ProcessBuilder command) throws Exception {
    Path log = output("program.log");
    Process process = command.redirectErrorStream(true).redirectOutput(log.toFile()).start();
    if (!process.waitFor(180, TimeUnit.SECONDS) || process.exitValue() != 0) {
      throw new IllegalStateException("the application could not be unpacked, see " + log);
    }
  }

  private interface Condition {
    boolean holds() throws IOException, InterruptedException;
  }

  private void await(Condition condition) throws IOException, InterruptedException {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(180);
    while (!condition.holds()) {
      if (!app.isAlive() || System.nanoTime() > end) {
        throw new IllegalStateException(
            "the application did not start, see e2e/target/" + schema + ".log");
      }
      Thread.sleep(200);
    }
  }

  /** Whether it answers and its demo data are there. */
  private boolean ready() throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(
                        URI.create("http://" + host + ":" + port + "/actuator/health/readiness"))
                    .build(),
                HttpResponse.BodyHandlers.discarding())
            .statusCode()
        == 200;
  }

  /**
   * The port that the application says it listens at. It is started with port 0, so that the system
   * gives it a free one and nobody can take it in between.
   */
  private static Optional<Integer> portIn(Path log) throws IOException {
    Matcher said = STARTED.matcher(Files.readString(log));
    return said.find() ? Optional.of(Integer.valueOf(said.group(1))) : Optional.empty();
  }

  private void openBrowser() {
    PlaywrightAssertions.setDefaultAssertionTimeout(LONGEST_WAIT_MS);
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(
                        Path.of(System.getenv().getOrDefault("CHROMIUM", "/usr/bin/chromium")))
                    .setHeadless(true)
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-dev-shm-usage",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));
  }

  @Override
  public void close() {
    if (playwright != null) {
      playwright.close();
    }
    if (app != null) {
      app.destroy();
      try {
        app.waitFor(20, TimeUnit.SECONDS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }
}
