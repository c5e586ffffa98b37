package istmo.load;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One coach who makes ready what the day needs; signed in by the cookies that are kept. */
final class Caller {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** After this a device gives up on an answer and asks again. */
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private final String address;
  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

  Caller(String address) {
    this.address = address;
    get("/api/account");
  }

  /** One who is signed in already: with the cookies, as a browser sends them. */
  Caller(String address, String signedIn) {
    this.address = address;
    URI here = URI.create(address);
    for (String pair : signedIn.split("; ")) {
      HttpCookie cookie =
          new HttpCookie(
              pair.substring(0, pair.indexOf('=')), pair.substring(pair.indexOf('=') + 1));
      cookie.setPath("/");
      cookie.setVersion(0);
      cookies.getCookieStore().add(here, cookie);
    }
  }

  JsonNode get(String path) {
    return send("GET", path, null);
  }

  JsonNode post(String path, Object body) {
    return send("POST", path, body);
  }

  private JsonNode send(String method, String path, @Nullable Object body) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(address + path))
            .timeout(PATIENCE)
            .header("content-type", "application/json")
            .header("X-XSRF-TOKEN", token())
            .method(
                method,
                body == null
                    ? BodyPublishers.noBody()
                    : BodyPublishers.ofString(JSON.writeValueAsString(body)))
            .build();
    try {
      var answer = http.send(request, BodyHandlers.ofString());
      if (answer.statusCode() >= 400) {
        throw new IllegalStateException(method + " " + path + ": " + answer.body());
      }
      return JSON.readTree(answer.body().isEmpty() ? "null" : answer.body());
    } catch (IOException e) {
      throw new IllegalStateException(path, e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(path, e);
    }
  }

  private Map<String, String> kept() {
    return cookies.getCookieStore().getCookies().stream()
        .collect(Collectors.toMap(HttpCookie::getName, HttpCookie::getValue, (a, b) -> b));
  }

  /** The page's token, without which nothing is changed. */
  String token() {
    return kept().getOrDefault("XSRF-TOKEN", "");
  }

  /** All cookies as a browser sends them. */
  String cookie() {
    return kept().entrySet().stream()
        .map(cookie -> cookie.getKey() + "=" + cookie.getValue())
        .collect(Collectors.joining("; "));
  }
}
