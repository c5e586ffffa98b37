package istmo.app.accounts.web;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.stereotype.Component;

/**
 * The cookie of a session. What is not the shape of a session's id is no session; it does not reach
 * the database, which could not even look for some of it.
 */
@Component
class SessionCookie extends DefaultCookieSerializer {
  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

  SessionCookie(
      @Value("${server.servlet.session.cookie.name}") String name,
      @Value("${server.servlet.session.cookie.max-age}") Duration kept) {
    setCookieName(name);
    setCookiePath("/");
    setCookieMaxAge((int) kept.toSeconds());
    setUseHttpOnlyCookie(true);
    setSameSite("Strict");
  }

  @Override
  public List<String> readCookieValues(HttpServletRequest request) {
    return super.readCookieValues(request).stream().filter(id -> ID.matcher(id).matches()).toList();
  }
}
