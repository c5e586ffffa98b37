package istmo.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.ShallowEtagHeaderFilter;

/**
 * What holds nobody's data and seldom changes may be kept by the browser and asked for again with
 * its tag: an answer that is the same is not sent twice. Everything else is not kept anywhere.
 */
@Component
class SameAnswerFilter extends ShallowEtagHeaderFilter {
  private static final Set<String> KEPT =
      Set.of("/api/catalogue", "/api/claims", "/api/studies", "/api/schools");

  SameAnswerFilter() {
    setWriteWeakETag(true); // an answer that is packed has other bytes and says the same
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getMethod().equals("GET") || !KEPT.contains(request.getRequestURI());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    response.setHeader(
        HttpHeaders.CACHE_CONTROL, CacheControl.noCache().cachePrivate().getHeaderValue());
    super.doFilterInternal(request, response, chain);
  }
}
