package istmo.app.platform;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is refused before a controller sees it is told as problem+json too, never as a page. */
@Hidden
@RestController
class ErrorPages implements ErrorController {
  /** The status that a filter or the firewall has given; somebody who asks for it finds nothing. */
  @RequestMapping("/error")
  ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
    HttpStatus status =
        request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
            ? HttpStatus.valueOf(code)
            : HttpStatus.NOT_FOUND;
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, words(status));
    return ResponseEntity.status(status)
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(problem);
  }

  static String words(HttpStatus status) {
    return switch (status) {
      case BAD_REQUEST -> "The address is not right.";
      case FORBIDDEN -> "This is not allowed from there.";
      case NOT_FOUND -> "There is nothing at this address.";
      case METHOD_NOT_ALLOWED -> "This address does not take that kind of request.";
      default ->
          status.is5xxServerError()
              ? "Something went wrong here; nothing was changed. The details are in the server's"
                  + " log."
              : status.getReasonPhrase() + ".";
    };
  }

  /** The server's own errors, of requests that reach no application. */
  public static final class PlainReport extends ErrorReportValve {
    @Override
    protected void report(Request request, Response response, @Nullable Throwable thrown) {
      if (response.getStatus() < 400
          || response.getContentWritten() > 0
          || !response.setErrorReported()) {
        return;
      }
      HttpStatus status = HttpStatus.valueOf(response.getStatus());
      response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
      byte[] body =
          """
          {"title":"%s","status":%d,"detail":"%s"}\
          """
              .formatted(status.getReasonPhrase(), status.value(), words(status))
              .getBytes(StandardCharsets.UTF_8);
      try {
        response.getOutputStream().write(body);
        response.finishResponse();
      } catch (IOException e) {
        container.getLogger().debug("the answer was not taken", e);
      }
    }
  }

  @Component
  static final class PlainReports
      implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    @Override
    public void customize(TomcatServletWebServerFactory factory) {
      factory.addContextCustomizers(
          context -> {
            if (context.getParent() instanceof StandardHost host) {
              host.setErrorReportValveClass(PlainReport.class.getName());
            }
          });
    }
  }
}
