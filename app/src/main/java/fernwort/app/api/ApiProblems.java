package fernwort.app.api;

import fernwort.app.Refusal;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Problem;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Errors as JSON: a sentence, and for a rig file every fault with its mend. */
@RestControllerAdvice(assignableTypes = ApiController.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiProblems {

  /** What went wrong. */
  record Failure(String sentence, List<Problem> problems) {}

  @ExceptionHandler
  ResponseEntity<Failure> invalid(InvalidRigException e) {
    return answer(
        HttpStatus.UNPROCESSABLE_CONTENT,
        new Failure("The file was not taken in; nothing was changed.", e.problems()));
  }

  @ExceptionHandler
  ResponseEntity<Failure> missing(Refusal e) {
    return answer(HttpStatus.NOT_FOUND, new Failure(String.valueOf(e.getMessage()), List.of()));
  }

  @ExceptionHandler
  ResponseEntity<Failure> wrong(IllegalArgumentException e) {
    return answer(HttpStatus.UNPROCESSABLE_CONTENT, new Failure(e.getMessage() + ".", List.of()));
  }

  @ExceptionHandler
  ResponseEntity<Failure> unreadable(HttpMessageNotReadableException e) {
    return answer(
        HttpStatus.BAD_REQUEST,
        new Failure("The body is not the JSON that the description asks for.", List.of()));
  }

  private static ResponseEntity<Failure> answer(HttpStatus status, Failure failure) {
    return ResponseEntity.status(status).body(failure);
  }
}
