package fernwort.app.web;

import fernwort.app.units.Units;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The look of the pages, the units on them, and the name for the journal. */
@Controller
class PreferencesController {

  @PostMapping("/theme")
  ResponseEntity<Void> theme(@RequestParam String theme, HttpServletRequest request) {
    return back(Visitor.THEME_COOKIE, Visitor.THEMES.contains(theme) ? theme : "auto", request);
  }

  @PostMapping("/units")
  ResponseEntity<Void> units(
      @RequestParam List<String> unit,
      @RequestParam(defaultValue = "") String currency,
      HttpServletRequest request) {
    String signs = Units.of(String.join(",", unit)).paidIn(currency).signs();
    return back(Visitor.UNITS_COOKIE, URLEncoder.encode(signs, StandardCharsets.UTF_8), request);
  }

  @PostMapping("/name")
  ResponseEntity<Void> name(@RequestParam String name, HttpServletRequest request) {
    String clean = name.replaceAll("\\p{Cntrl}", " ").strip();
    String kept = clean.length() > 40 ? clean.substring(0, 40) : clean;
    return back(Visitor.NAME_COOKIE, URLEncoder.encode(kept, StandardCharsets.UTF_8), request);
  }

  private static ResponseEntity<Void> back(
      String cookie, String value, HttpServletRequest request) {
    ResponseCookie kept = Visitor.keeping(cookie, value, request);
    return ResponseEntity.status(HttpStatus.SEE_OTHER)
        .header(HttpHeaders.SET_COOKIE, kept.toString())
        .location(origin(request))
        .build();
  }

  /** Back to the page it came from, but never to another site. */
  private static URI origin(HttpServletRequest request) {
    String referer = request.getHeader(HttpHeaders.REFERER);
    try {
      String path = referer == null ? "/" : URI.create(referer).getPath();
      return path == null || !path.startsWith("/") || path.startsWith("//")
          ? URI.create("/")
          : URI.create(path);
    } catch (IllegalArgumentException e) {
      return URI.create("/");
    }
  }
}
