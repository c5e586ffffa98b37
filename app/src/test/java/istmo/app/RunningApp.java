package istmo.app;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The real application on a free port and a schema of its own in the database that ./istmo test
 * started; once for all tests, spoken to over HTTP by a coach who is signed in. Every test class
 * has a coach of its own, so that no class sees what another has left.
 */
public final class RunningApp implements BeforeAllCallback {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Every account's password in these tests. */
  public static final String PASSWORD = "a long enough password";

  private static Visitor firstCoach;
  private static Visitor owner;
  private static ConfigurableApplicationContext context;
  private static String address;

  /** An answer: status, JSON body (missing node when empty), content type. */
  public record Answer(
      int status, JsonNode body, String contentType, Map<String, List<String>> headers) {
    /** A part of the answer, by its JSON pointer. */
    public JsonNode at(String pointer) {
      return body.at(pointer);
    }

    /** The message for one field among the faults of a problem, or null. */
    public String fault(String field) {
      for (JsonNode node : body.path("faults")) {
        if (node.path("field").asString().equals(field)) {
          return node.path("message").asString();
        }
      }
      return null;
    }
  }

  @Override
  public void beforeAll(ExtensionContext testClass) {
    if (context == null) {
      start();
    }
    owner = anotherCoach(testClass.getRequiredTestClass().getSimpleName());
  }

  private static void start() {
    String url = System.getenv("DB_URL");
    if (url == null) {
      throw new IllegalStateException(
          "DB_URL is not set: tests of the application run under ./istmo test, which starts a"
              + " throw-away database");
    }
    SpringApplication application = new SpringApplication(IstmoApplication.class);
    application.setDefaultProperties(Map.of("logging.level.root", "WARN"));
    context =
        application.run(
            "--server.port=0",
            "--spring.datasource.url=" + url + "?currentSchema=app_test",
            "--spring.flyway.default-schema=app_test",
            "--istmo.backups=" + temporaryFolder(),
            "--istmo.demo=false");
    address = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
    firstCoach = visitor();
    Answer first =
        firstCoach.post(
            "/api/account/first",
            Map.of("name", "Own coach", "signInName", "Owner", "password", PASSWORD));
    if (first.status() != 201) {
      throw new IllegalStateException("no first account: " + first);
    }
    Runtime.getRuntime().addShutdownHook(new Thread(context::close));
  }

  /** Empty: nothing has been backed up yet. */
  private static Path temporaryFolder() {
    try {
      Path folder = Files.createTempDirectory("istmo-backups");
      folder.toFile().deleteOnExit();
      return folder;
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** The coach of the first account. */
  public static Visitor firstCoach() {
    return firstCoach;
  }

  /** A part of the running application. */
  public static <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** An answer that is a file. */
  public record Bytes(int status, byte[] content, String contentType) {}

  /**
   * Somebody with a browser of their own: cookies are kept, and sent back as Istmo's own page does.
   */
  public static final class Visitor {
    private final CookieManager cookies = new CookieManager(null, CookiePolicy.ACCEPT_ALL);
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

    /**
     * @param body an object to write as JSON, or a String that is sent as it is
     */
    public Answer send(String method, String path, Object body, String... headers) {
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create(address + path))
              .header("content-type", "application/json");
      token().ifPresent(t -> request.header("X-XSRF-TOKEN", t));
      for (int k = 0; k < headers.length; k += 2) {
        request.setHeader(headers[k], headers[k + 1]);
      }
      String text =
          body == null ? "" : body instanceof String s ? s : JSON.writeValueAsString(body);
      request.method(
          method,
          body == null
              ? HttpRequest.BodyPublishers.noBody()
              : HttpRequest.BodyPublishers.ofString(text));
      try {
        HttpResponse<String> response =
            http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        String type = response.headers().firstValue("content-type").orElse("");
        return new Answer(
            response.statusCode(),
            type.contains("json") ? JSON.readTree(response.body()) : JSON.missingNode(),
            type,
            response.headers().map());
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }

    /** Asks as this visitor. */
    public Answer get(String path) {
      return send("GET", path, null);
    }

    /** The status of a body that comes piece by piece, without its length. */
    int streams(String path, String type, String text) {
      byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
      HttpRequest.Builder request =
          HttpRequest.newBuilder(URI.create(address + path))
              .header("content-type", type)
              .POST(
                  HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(bytes)));
      token().ifPresent(t -> request.header("X-XSRF-TOKEN", t));
      try {
        return http.send(request.build(), HttpResponse.BodyHandlers.discarding()).statusCode();
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }

    Bytes bytes(String path) {
      try {
        HttpResponse<byte[]> response =
            http.send(
                HttpRequest.newBuilder(URI.create(address + path)).build(),
                HttpResponse.BodyHandlers.ofByteArray());
        return new Bytes(
            response.statusCode(),
            response.body(),
            response.headers().firstValue("content-type").orElse(""));
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }

    /** Posts as this visitor. */
    public Answer post(String path, Object body) {
      return send("POST", path, body);
    }

    /** The cookie of that name, if there is one. */
    public Optional<String> cookie(String name) {
      return cookies.getCookieStore().getCookies().stream()
          .filter(cookie -> cookie.getName().equals(name))
          .map(HttpCookie::getValue)
          .findFirst();
    }

    private Optional<String> token() {
      return cookie("XSRF-TOKEN");
    }
  }

  /** Somebody who has loaded the page and is not signed in. */
  public static Visitor visitor() {
    Visitor visitor = new Visitor();
    visitor.get("/api/account");
    return visitor;
  }

  /** Another coach with an account of their own, signed in. */
  public static Visitor anotherCoach(String signInName) {
    Answer added =
        firstCoach.post(
            "/api/account/coaches",
            Map.of("name", "Coach " + signInName, "signInName", signInName, "password", PASSWORD));
    if (added.status() != 204) {
      throw new IllegalStateException("not added: " + added);
    }
    Visitor visitor = visitor();
    visitor.post("/api/account/sign-in", Map.of("signInName", signInName, "password", PASSWORD));
    return visitor;
  }

  /** The coach of the test class, whose requests are those without a visitor. */
  static Visitor owner() {
    return owner;
  }

  /** Asks as the coach of the test. */
  public static Answer get(String path) {
    return owner.get(path);
  }

  /** A file of text as somebody gets it. */
  static String text(Visitor who, String path) {
    return new String(who.bytes(path).content(), StandardCharsets.UTF_8);
  }

  /** A file as it is. */
  public static Bytes bytes(String path) {
    return owner.bytes(path);
  }

  /** Posts as the coach of the test. */
  public static Answer post(String path, Object body) {
    return owner.post(path, body);
  }

  /** Puts as the coach of the test. */
  public static Answer put(String path, Object body) {
    return owner.send("PUT", path, body);
  }

  /** Deletes as the coach of the test. */
  public static Answer delete(String path) {
    return owner.send("DELETE", path, null);
  }

  /**
   * @param body an object to write as JSON, or a String that is sent as it is
   */
  public static Answer send(String method, String path, Object body, String... headers) {
    return owner.send(method, path, body, headers);
  }

  /** Every candidate of an order as the API tells it: with a place or without, and variants. */
  public static List<JsonNode> allEntries(Answer order) {
    List<JsonNode> all = new ArrayList<>();
    for (String list : List.of("/entries", "/hardly")) {
      for (JsonNode entry : order.at(list)) {
        all.add(entry);
        entry.path("variants").forEach(all::add);
      }
    }
    return all;
  }
}
