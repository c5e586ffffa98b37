package istmo.app.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Answers of filters, which no controller and no handler of errors writes. */
@Component
public final class Problems {
  private final JsonMapper json;

  Problems(JsonMapper json) {
    this.json = json;
  }

  /** Answers with a problem of this status, in these words. */
  public void answer(HttpServletResponse response, HttpStatus status, String detail)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response
        .getOutputStream()
        .write(
            json.writeValueAsBytes(
                RequestIds.marked(ProblemDetail.forStatusAndDetail(status, detail))));
  }
}
