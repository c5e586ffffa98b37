package istmo.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.MDC;
import org.springframework.core.MethodParameter;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;

/**
 * Gives every request a number of its own. It stands in each line of the log that the request
 * causes, in the header of its answer, and in every problem that is told, so that what a coach saw
 * is found in the log. A number that a caller brings is not taken over.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
final class RequestIds extends OncePerRequestFilter {
  static final String HEADER = "X-Request-Id";

  /** Its name in the log's context and in a problem. */
  static final String NAME = "requestId";

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    // the same one where an error is told after the filters have ended
    String id =
        request.getAttribute(NAME) instanceof String given ? given : UUID.randomUUID().toString();
    request.setAttribute(NAME, id);
    MDC.put(NAME, id);
    response.setHeader(HEADER, id);
    try {
      chain.doFilter(request, response);
    } finally {
      MDC.remove(NAME);
    }
  }

  @Override
  protected boolean shouldNotFilterErrorDispatch() {
    return false;
  }

  /** The problem with the number of the request that is being answered. */
  static ProblemDetail marked(ProblemDetail problem) {
    String id = MDC.get(NAME);
    if (id != null) {
      problem.setProperty(NAME, id);
    }
    return problem;
  }

  /** Marks the problems that controllers and handlers of errors answer with. */
  @RestControllerAdvice
  static final class InProblems implements ResponseBodyAdvice<Object> {
    @Override
    public boolean supports(
        MethodParameter returned, Class<? extends HttpMessageConverter<?>> converter) {
      return true;
    }

    @Override
    public @Nullable Object beforeBodyWrite(
        @Nullable Object body,
        MethodParameter returned,
        MediaType type,
        Class<? extends HttpMessageConverter<?>> converter,
        ServerHttpRequest request,
        ServerHttpResponse response) {
      return body instanceof ProblemDetail problem ? marked(problem) : body;
    }
  }
}
