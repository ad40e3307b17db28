package fernwort.app.web;

import fernwort.app.Version;
import fernwort.app.store.disk.FolderWatch;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Whether this copy is well, for a program that watches it; it says nothing else. */
@RestController
class Health {

  private final FolderWatch watch;

  Health(FolderWatch watch) {
    this.watch = watch;
  }

  @GetMapping(path = "/health", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<Map<String, String>> health() {
    return watch
        .trouble()
        .map(trouble ->
            ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .body(Map.of("status", "trouble", "trouble", trouble, "version", Version.NUMBER)))
        .orElseGet(() -> ResponseEntity.ok(Map.of("status", "ok", "version", Version.NUMBER)));
  }
}
