package istmo.app.platform;

import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.NotPossible;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/**
 * Every error as problem+json; faults of the input name their field and what is allowed, under
 * "faults".
 */
@RestControllerAdvice
class ProblemHandler extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

  @ExceptionHandler
  ProblemDetail invalid(InvalidInput e) {
    return problem(HttpStatus.UNPROCESSABLE_CONTENT, "Check the marked fields.", e.faults());
  }

  @ExceptionHandler
  ProblemDetail notPossible(NotPossible e) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "Check the marked fields.",
        List.of(new InvalidInput.Fault(e.field(), Words.of(e.why()))));
  }

  @ExceptionHandler
  ProblemDetail notFound(NotFound e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail conflict(Conflict e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
  }

  @ExceptionHandler
  ProblemDetail busy(Busy e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
  }

  /** Two changes at the same moment: the database let one through. */
  @ExceptionHandler
  ProblemDetail clash(DataIntegrityViolationException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONFLICT,
        "This clashes with what is there already. Load again; nothing was overwritten.");
  }

  /** Two saves of one thing at the same moment: the first one stands. */
  @ExceptionHandler
  ProblemDetail overtaken(ConcurrencyFailureException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONFLICT,
        "It was saved elsewhere at this moment. Load again; nothing was overwritten.");
  }

  @ExceptionHandler
  ProblemDetail badPath(MethodArgumentTypeMismatchException e) {
    return problem(
        HttpStatus.BAD_REQUEST,
        "The address is not right.",
        List.of(
            new InvalidInput.Fault(
                e.getName(), "\"" + brief(e.getValue()) + "\" is not of the right kind")));
  }

  /** A part of the address with a broken per cent sign, or with bytes that are no text. */
  @ExceptionHandler
  ProblemDetail badQuery(InvalidParameterException e) {
    return problem(
        HttpStatus.BAD_REQUEST,
        "The address is not right.",
        List.of(new InvalidInput.Fault("query", "holds something that is no text")));
  }

  @Override
  protected ResponseEntity<Object> handleMissingServletRequestParameter(
      MissingServletRequestParameterException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return ResponseEntity.badRequest()
        .body(
            problem(
                HttpStatus.BAD_REQUEST,
                "The address is not right.",
                List.of(new InvalidInput.Fault(e.getParameterName(), "is needed"))));
  }

  private static String brief(@Nullable Object value) {
    String text = String.valueOf(value);
    return text.length() > 60 ? text.substring(0, 60) + "…" : text;
  }

  @ExceptionHandler
  ProblemDetail unexpected(Exception e) {
    if (DatabaseAway.says(e)) {
      LOG.warn("the database does not answer", e);
      return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.WORDS);
    }
    LOG.error("unexpected", e);
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Something went wrong here; nothing was changed. The details are in the server's log.");
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
      if (cause instanceof InvalidInput invalid) {
        return ResponseEntity.unprocessableContent().body(invalid(invalid));
      }
    }
    if (e.getCause() instanceof JacksonException j) {
      String field =
          j.getPath().stream()
              .map(
                  reference ->
                      reference.getPropertyName() == null
                          ? "[" + reference.getIndex() + "]"
                          : "." + reference.getPropertyName())
              .collect(Collectors.joining())
              .replaceFirst("^\\.", "");
      faults.add(new InvalidInput.Fault(field.isEmpty() ? "body" : field, explain(j)));
    }
    if (faults.isEmpty()) {
      faults.add(new InvalidInput.Fault("body", "is needed, as JSON"));
    }
    return ResponseEntity.badRequest()
        .body(problem(HttpStatus.BAD_REQUEST, "The JSON cannot be read.", faults));
  }

  private static String explain(JacksonException e) {
    if (e instanceof UnrecognizedPropertyException u) {
      return "is not known here; known are " + u.getKnownPropertyIds();
    }
    if (e instanceof InvalidFormatException f
        && f.getTargetType() != null
        && f.getTargetType().isEnum()) {
      return "\""
          + f.getValue()
          + "\" must be one of "
          + List.of(f.getTargetType().getEnumConstants());
    }
    if (e instanceof InvalidNullException) {
      return "is empty";
    }
    return e.getOriginalMessage();
  }

  private static ProblemDetail problem(
      HttpStatus status, String detail, List<InvalidInput.Fault> faults) {
    ProblemDetail problemDetail = ProblemDetail.forStatusAndDetail(status, detail);
    problemDetail.setProperty("faults", faults);
    return problemDetail;
  }
}
