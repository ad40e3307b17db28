package fernwort.app.api;

import fernwort.app.Missing;
import fernwort.app.compute.TooBusy;
import fernwort.app.store.StaleVersion;
import fernwort.app.store.StoreTrouble;
import fernwort.app.store.disk.FolderWatch;
import fernwort.app.web.Sentence;
import fernwort.core.effort.EffortExceededException;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Errors as JSON: a sentence, and for a rig file every fault with its fix. */
@RestControllerAdvice(annotations = RestController.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiProblems {

  private final FolderWatch watch;

  ApiProblems(FolderWatch watch) {
    this.watch = watch;
  }

  /** What went wrong. */
  record Failure(String sentence, List<Problem> problems) {}

  @ExceptionHandler
  ResponseEntity<Failure> invalid(InvalidRigException e) {
    return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
        .body(new Failure(Says.THE_FILE_WAS_NOT_IMPORTED.text(), e.problems()));
  }

  @ExceptionHandler
  ResponseEntity<Failure> missing(Missing e) {
    return answer(HttpStatus.NOT_FOUND, e.getMessage());
  }

  @ExceptionHandler
  ResponseEntity<Failure> refused(Refusal e) {
    return answer(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
  }

  @ExceptionHandler
  ResponseEntity<Failure> stale(StaleVersion e) {
    return answer(HttpStatus.CONFLICT, e.getMessage());
  }

  @ExceptionHandler
  ResponseEntity<Failure> wrong(IllegalArgumentException e, HttpServletRequest request) {
    return answer(HttpStatus.UNPROCESSABLE_CONTENT, Sentence.notUnderstood(request, e));
  }

  @ExceptionHandler
  ResponseEntity<Failure> tooLong(EffortExceededException e) {
    return answer(HttpStatus.SERVICE_UNAVAILABLE, Sentence.TOO_LONG);
  }

  @ExceptionHandler({StoreTrouble.class, TooBusy.class})
  ResponseEntity<Failure> notNow(RuntimeException e) {
    return answer(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
  }

  @ExceptionHandler({DataAccessException.class, TransactionException.class})
  ResponseEntity<Failure> database(RuntimeException e, HttpServletRequest request) {
    return Sentence.tooLong(e)
        .map(sentence -> answer(HttpStatus.UNPROCESSABLE_CONTENT, sentence))
        .orElseGet(
            () -> answer(HttpStatus.SERVICE_UNAVAILABLE, Sentence.database(watch, request, e)));
  }

  @ExceptionHandler
  ResponseEntity<Failure> unreadable(HttpMessageNotReadableException e) {
    for (Throwable at = e; at != null; at = at.getCause()) {
      if (at instanceof Refusal wrong) {
        return answer(HttpStatus.UNPROCESSABLE_CONTENT, wrong.getMessage());
      }
    }
    return answer(HttpStatus.BAD_REQUEST, body(e.getCause()));
  }

  /** Names the field of a body that cannot be read, as far as it is known. */
  private static String body(@Nullable Throwable cause) {
    if (cause instanceof DatabindException at && !at.getPath().isEmpty()) {
      String field =
          at.getPath().stream()
              .map(p ->
                  p.getPropertyName() == null
                      ? Integer.toString(p.getIndex())
                      : p.getPropertyName())
              .collect(Collectors.joining("."));
      return Says.THE_FIELD_IS_MISSING.filled(field);
    }
    if (cause instanceof JacksonException at && at.getLocation() != null) {
      return Says.THE_BODY_IS_NOT_JSON_AT_LINE.filled(
          at.getLocation().getLineNr(), at.getLocation().getColumnNr());
    }
    return Says.THE_BODY_IS_NOT_THE_JSON.text();
  }

  @ExceptionHandler({MissingServletRequestParameterException.class, TypeMismatchException.class})
  ResponseEntity<Failure> field(Exception e) {
    return answer(HttpStatus.UNPROCESSABLE_CONTENT, Sentence.field(e));
  }

  @ExceptionHandler
  ResponseEntity<Failure> type(HttpMediaTypeNotSupportedException e) {
    return answer(HttpStatus.UNSUPPORTED_MEDIA_TYPE, Says.SEND_JSON_WITH_CONTENT_TYPE.text());
  }

  @ExceptionHandler
  ResponseEntity<Failure> fault(RuntimeException e, HttpServletRequest request) {
    return answer(HttpStatus.INTERNAL_SERVER_ERROR, Sentence.fault(request, e));
  }

  private static ResponseEntity<Failure> answer(HttpStatus status, @Nullable String sentence) {
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
    if (status == HttpStatus.SERVICE_UNAVAILABLE) {
      answer.header(HttpHeaders.RETRY_AFTER, TooBusy.ASK_AGAIN);
    }
    return answer.body(new Failure(Sentence.ended(sentence), List.of()));
  }
}
