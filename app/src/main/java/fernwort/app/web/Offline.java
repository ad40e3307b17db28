package fernwort.app.web;

import java.util.List;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/**
 * What makes a phone keep Fernwort: the worker that holds pages for where there is no network,
 * under the one address from which it may speak for all, and the card by which it is installed.
 */
@Controller
class Offline {

  /** What is shown where there is neither a network nor the page. */
  @GetMapping("/offline")
  String nothingKept() {
    return "offline";
  }

  @GetMapping("/sw.js")
  ResponseEntity<Resource> worker() {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.noCache())
        .contentType(MediaType.parseMediaType("text/javascript;charset=UTF-8"))
        .body(new ClassPathResource("static/js/worker.js"));
  }

  @ResponseBody
  @GetMapping(path = "/manifest.webmanifest", produces = "application/manifest+json")
  Map<String, Object> manifest() {
    return Map.of(
        "name",
        "Fernwort",
        "short_name",
        "Fernwort",
        "start_url",
        "/",
        "display",
        "standalone",
        "background_color",
        "#f6f2ea",
        "theme_color",
        "#27614a",
        "icons",
        List.of(Map.of("src", "/icon.svg", "sizes", "any", "type", "image/svg+xml")));
  }
}
