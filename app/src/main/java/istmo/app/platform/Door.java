package istmo.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Stands before the sessions: refuses bodies that are too long before they are read, takes in
 * nothing new on a full disk, and says plainly that the database is away when already the session
 * cannot be looked up.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
final class Door extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(Door.class);

  /** Bytes of a request; a whole archive or a table of sets may be longer. */
  private static final long LONGEST = 4L << 20;

  private static final long LONGEST_FILE = 128L << 20;

  private final Problems problems;
  private final DiskRoom disk;

  Door(Problems problems, DiskRoom disk) {
    this.problems = problems;
    this.disk = disk;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getRequestURI();
    if (request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null && !streams(path)) {
      problems.answer(
          response, HttpStatus.LENGTH_REQUIRED, "Say how long the body is (Content-Length).");
      return;
    }
    long longest = bringsAFile(path) ? LONGEST_FILE : LONGEST;
    if (request.getContentLengthLong() > longest) {
      problems.answer(
          response,
          HttpStatus.CONTENT_TOO_LARGE,
          "The body may have at most " + (longest >> 20) + " MB. Nothing was read.");
      return;
    }
    if (disk.refuses(request.getMethod(), path)) {
      problems.answer(response, HttpStatus.INSUFFICIENT_STORAGE, DiskRoom.WORDS);
      return;
    }
    try {
      chain.doFilter(request, response);
    } catch (ServletException | RuntimeException e) {
      if (response.isCommitted() || !DatabaseAway.says(e)) {
        throw e;
      }
      LOG.warn("the database does not answer", e);
      problems.answer(response, HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.WORDS);
    }
  }

  /** A gadget sends its lines as it measures, and is bounded by itself (GadgetApiTest). */
  private static boolean streams(String path) {
    return path.startsWith("/api/gadget-links/");
  }

  private static boolean bringsAFile(String path) {
    return path.contains("/imports") || path.startsWith("/api/archives");
  }
}
