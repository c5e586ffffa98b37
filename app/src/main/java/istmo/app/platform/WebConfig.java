package istmo.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the screens from the jar and keeps other sites out. */
@Configuration
class WebConfig implements WebMvcConfigurer {
  private static final String HOME = "classpath:/META-INF/resources/";

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations(HOME + "assets/")
        .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).cachePublic().immutable());
    registry
        .addResourceHandler("/**")
        .addResourceLocations(HOME)
        .setCacheControl(CacheControl.noCache())
        .resourceChain(false)
        .addResolver(new ScreenResolver());
  }

  /**
   * A path without a dot in its last part is a screen's address: it gets index.html. Paths of the
   * server stay what they are.
   */
  static final class ScreenResolver extends PathResourceResolver {
    @Override
    protected @Nullable Resource getResource(String path, Resource location) throws IOException {
      Resource found = path.isEmpty() ? null : super.getResource(path, location);
      if (found != null) {
        return found;
      }
      boolean server =
          path.startsWith("api/") || path.startsWith("actuator/") || path.startsWith("v3/");
      boolean file = path.substring(path.lastIndexOf('/') + 1).contains(".");
      return server || file ? null : new ClassPathResource("META-INF/resources/index.html");
    }
  }

  /**
   * The application answers only to this machine's own names, and to those under which it was asked
   * to serve, so that a foreign page cannot reach client notes through a name of its own that
   * points here; and it tells browsers to load nothing from outside. Only the number of a request
   * stands before it.
   */
  @Component
  @Order(Ordered.HIGHEST_PRECEDENCE + 1)
  static final class OwnMachineOnly extends OncePerRequestFilter {
    private static final Set<String> OWN = Set.of("127.0.0.1", "localhost", "[::1]");

    /** Pictures and films that a coach looks at are blobs of the browser's own. */
    private static final String POLICY =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:;"
            + " media-src 'self' blob:; frame-ancestors 'none'; base-uri 'none';"
            + " form-action 'self'";

    /** The thread that follows marks through a film. */
    private static final String FOLLOWER = "/assets/follow.worker-";

    /**
     * OpenCV's own code makes functions from text. It runs in a thread that has no page, and that
     * may neither load nor send anything.
     */
    private static final String FOLLOWERS_POLICY =
        "default-src 'none'; script-src 'self' 'unsafe-eval'";

    private final Set<String> names = new HashSet<>(OWN);

    OwnMachineOnly(@Value("${istmo.names:}") List<String> served) {
      served.stream().map(String::strip).filter(name -> !name.isEmpty()).forEach(names::add);
    }

    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      String origin = request.getHeader("Origin");
      boolean foreign =
          origin != null && !origin.equals(request.getScheme() + "://" + request.getHeader("Host"));
      if (!names.contains(request.getServerName()) || foreign) {
        response.sendError(HttpServletResponse.SC_FORBIDDEN);
        return;
      }
      response.setHeader(
          "Content-Security-Policy",
          request.getRequestURI().startsWith(FOLLOWER) ? FOLLOWERS_POLICY : POLICY);
      response.setHeader("X-Content-Type-Options", "nosniff");
      response.setHeader("Referrer-Policy", "no-referrer");
      chain.doFilter(request, response);
    }
  }
}
