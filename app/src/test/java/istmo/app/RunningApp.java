package istmo.app;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application on a free port and a schema of its own in the database that ./istmo test started; once for all tests, spoken to over HTTP. */
public final class RunningApp implements BeforeAllCallback {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static ConfigurableApplicationContext context;
  private static String address;

  /** An answer: status, JSON body (missing node when empty), content type. */
  public record Answer(int status, JsonNode body, String contentType) {
    public JsonNode at(String pointer) {
      return body.at(pointer);
    }

    /** The message for one field among the faults of a problem, or null. */
    public String fault(String field) {
      for (JsonNode f : body.path("faults")) {
        if (f.path("field").asString().equals(field)) {
          return f.path("message").asString();
        }
      }
      return null;
    }
  }

  @Override
  public void beforeAll(ExtensionContext extensionContext) {
    if (context != null) {
      return;
    }
    String url = System.getenv("DB_URL");
    if (url == null) {
      throw new IllegalStateException("DB_URL is not set: tests of the application run under ./istmo test, which starts a throw-away database");
    }
    SpringApplication application = new SpringApplication(IstmoApplication.class);
    application.setDefaultProperties(Map.of("logging.level.root", "WARN"));
    context =
        application.run("--server.port=0", "--spring.datasource.url=" + url + "?currentSchema=app_test", "--spring.flyway.default-schema=app_test", "--istmo.demo=false");
    address = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
    Runtime.getRuntime().addShutdownHook(new Thread(context::close));
  }

  public static <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  public static Answer get(String path) {
    return send("GET", path, null);
  }

  public static Answer post(String path, Object body) {
    return send("POST", path, body);
  }

  public static Answer put(String path, Object body) {
    return send("PUT", path, body);
  }

  public static Answer delete(String path) {
    return send("DELETE", path, null);
  }

  /** @param body an object to write as JSON, or a String that is sent as it is */
  public static Answer send(String method, String path, Object body, String... headers) {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path)).header("content-type", "application/json");
    if (headers.length > 0) {
      request.headers(headers);
    }
    String text = body == null ? "" : body instanceof String s ? s : JSON.writeValueAsString(body);
    request.method(method, body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(text));
    try {
      HttpResponse<String> r = HTTP.send(request.build(), HttpResponse.BodyHandlers.ofString());
      String type = r.headers().firstValue("content-type").orElse("");
      return new Answer(r.statusCode(), type.contains("json") ? JSON.readTree(r.body()) : JSON.missingNode(), type);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
