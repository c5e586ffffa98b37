package istmo.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** The real application with demo data on a free port, over the database that ./istmo test started, and Debian's Chromium; once for all browser tests. */
public final class Istmo implements BeforeAllCallback, AutoCloseable {
  private static final Path REPO = Path.of(System.getProperty("repo.dir")).toAbsolutePath().normalize();
  private static Istmo running;

  private Process app;
  private Playwright playwright;
  private Browser browser;
  private String address;

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

  /** An application of its own without demo data, over another schema; its address is the answer. Ends with the tests. */
  static String withoutDemo(String schema) throws Exception {
    Istmo another = new Istmo();
    another.launch(false, schema);
    Runtime.getRuntime().addShutdownHook(new Thread(another::close));
    return another.address;
  }

  private void start() throws Exception {
    launch(true, "browser");
    openBrowser();
  }

  private void launch(boolean demo, String schema) throws Exception {
    String url = System.getenv("DB_URL");
    if (url == null) {
      throw new IllegalStateException("DB_URL is not set: browser tests run under ./istmo test, which starts a throw-away database");
    }
    int port;
    try (ServerSocket s = new ServerSocket(0)) {
      port = s.getLocalPort();
    }
    address = "http://127.0.0.1:" + port;
    ProcessBuilder b = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-jar", REPO.resolve("app/target/istmo.jar").toString());
    // a schema of its own, so that other tests' rows are not in sight
    b.environment().putAll(Map.of("PORT", "" + port, "ISTMO_DEMO", "" + demo, "DB_URL", url + "?currentSchema=" + schema, "SPRING_FLYWAY_DEFAULT_SCHEMA", schema));
    b.redirectErrorStream(true).redirectOutput(output(schema + ".log").toFile());
    app = b.start();
    HttpClient http = HttpClient.newHttpClient();
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(180);
    while (true) {
      try {
        if (http.send(HttpRequest.newBuilder(URI.create(address + "/actuator/health")).build(), HttpResponse.BodyHandlers.ofString()).statusCode() == 200) {
          break;
        }
      } catch (IOException notYet) {
        if (!app.isAlive() || System.nanoTime() > end) {
          throw new IllegalStateException("the application did not start, see e2e/target/" + schema + ".log", notYet);
        }
      }
      Thread.sleep(200);
    }
  }

  private void openBrowser() {
    playwright = Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of(System.getenv().getOrDefault("CHROMIUM", "/usr/bin/chromium")))
                    .setHeadless(true)
                    .setArgs(List.of("--no-sandbox", "--disable-dev-shm-usage", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync")));
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
