package fernwort.app.jobs;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The pocket copy for programs, whose errors are JSON. */
@RestController
class PocketApiController {

  private final PocketController pocket;

  PocketApiController(PocketController pocket) {
    this.pocket = pocket;
  }

  @GetMapping("/api/v1/rigs/{id}/pocket")
  @Operation(summary = "The pocket copy: one HTML file that a phone opens without a network")
  ResponseEntity<String> pocket(
      @PathVariable String id, HttpServletRequest request, HttpServletResponse response)
      throws ServletException, IOException {
    return pocket.metric(id, request, response);
  }
}
