package fernwort.app.web;

import fernwort.app.live.AlarmBar;
import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.store.disk.FolderWatch;
import fernwort.app.units.Units;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.ResponseCookie;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.thymeleaf.context.LazyContextVariable;

/** Who is looking and how they like it, from cookies; added to every page. */
@ControllerAdvice
public class Visitor {

  static final String NAME_COOKIE = "fernwort-name";
  static final String THEME_COOKIE = "fernwort-theme";
  static final String UNITS_COOKIE = "fernwort-units";
  static final Set<String> THEMES = Set.of("auto", "light", "dark", "sun");
  private static final int LONGEST_NAME = 40;

  private final FolderWatch watch;
  private final Descriptions rigs;
  private final AlarmBar alarms;
  private final LiveDesk live;
  private final boolean open;

  Visitor(
      FolderWatch watch,
      Descriptions rigs,
      AlarmBar alarms,
      LiveDesk live,
      @Value("${fernwort.open}") boolean open) {
    this.alarms = alarms;
    this.live = live;
    this.watch = watch;
    this.rigs = rigs;
    this.open = open;
  }

  /** Returns what keeps changes from being kept, in a sentence; empty for nothing. */
  @ModelAttribute("trouble")
  public String trouble() {
    return watch.trouble().orElse("");
  }

  /** Tells whether sensors or motors are bound to the rig that a page is about. */
  @ModelAttribute("isLive")
  public boolean isLive(@PathVariable(name = "id", required = false) @Nullable String rig) {
    return rig != null && live.isLive(rig);
  }

  /** Returns the alarms that ask now, of every rig. */
  @ModelAttribute("alarms")
  public List<AlarmBar.Row> alarms() {
    return alarms.all();
  }

  /** Tells whether a passphrase was asked for, so that one can log out. */
  @ModelAttribute("known")
  public boolean known(HttpServletRequest request) {
    return !open && request.getUserPrincipal() != null;
  }

  /** Returns the name that journal lines are signed with. */
  @ModelAttribute("who")
  public String who(HttpServletRequest request) {
    String name = cookie(request, NAME_COOKIE).strip();
    if (name.isEmpty()) {
      return "you";
    }
    String plain = name.replaceAll("\\p{Cntrl}", " ");
    return plain.length() > LONGEST_NAME ? plain.substring(0, LONGEST_NAME) : plain;
  }

  /** The name of the rig that a page is about, looked up where a page shows it. */
  @ModelAttribute("rigName")
  public LazyContextVariable<String> rigName(
      @PathVariable(name = "id", required = false) @Nullable String rig) {
    return new LazyContextVariable<>() {
      @Override
      protected String loadValue() {
        return rig == null ? "" : rigs.open(rig).rig().name();
      }
    };
  }

  /** The names on board, which stay as they were typed; looked up where a page needs them. */
  @ModelAttribute("typedNames")
  public LazyContextVariable<List<String>> typedNames(
      @PathVariable(name = "id", required = false) @Nullable String rig) {
    return new LazyContextVariable<>() {
      @Override
      protected List<String> loadValue() {
        return rig == null ? List.of() : names(rigs.open(rig).rig());
      }
    };
  }

  private static List<String> names(Rig rig) {
    return Stream.of(
            Stream.of(rig.name()),
            rig.places().stream().flatMap(p -> Stream.of(p.label(), p.reach())),
            rig.parts().stream().map(Part::label),
            rig.parts().stream()
                .filter(p -> p.kind().is(Purpose.TURNS))
                .flatMap(p -> p.kind().positions().stream())
                .map(Position::words),
            rig.lines().stream().map(Line::label))
        .flatMap(names -> names)
        .distinct()
        .toList();
  }

  /** Returns the chosen theme. */
  @ModelAttribute("theme")
  public String theme(HttpServletRequest request) {
    String theme = cookie(request, THEME_COOKIE);
    return THEMES.contains(theme) ? theme : "auto";
  }

  /** Returns the units this person reads and writes. */
  @ModelAttribute("units")
  public Units units(HttpServletRequest request) {
    return Units.of(cookie(request, UNITS_COOKIE));
  }

  /** Tells whether somebody has chosen units on this device. */
  public static boolean hasChosenUnits(HttpServletRequest request) {
    return !cookie(request, UNITS_COOKIE).isEmpty();
  }

  /** Returns the token that every change must carry. */
  @ModelAttribute("csrf")
  public String csrf(HttpServletRequest request) {
    return request.getAttribute(org.springframework.security.web.csrf.CsrfToken.class.getName())
            instanceof org.springframework.security.web.csrf.CsrfToken token
        ? token.getToken()
        : "";
  }

  /** Returns a cookie that keeps a person's units. */
  public static ResponseCookie keeping(Units units, HttpServletRequest request) {
    return keeping(UNITS_COOKIE, URLEncoder.encode(units.signs(), StandardCharsets.UTF_8), request);
  }

  static ResponseCookie keeping(String cookie, String value, HttpServletRequest request) {
    return ResponseCookie.from(cookie, value)
        .path("/")
        .maxAge(Duration.ofDays(365))
        .httpOnly(true)
        .secure(request.isSecure())
        .sameSite("Strict")
        .build();
  }

  private static String cookie(HttpServletRequest request, String name) {
    Cookie[] cookies = request.getCookies();
    if (cookies == null) {
      return "";
    }
    for (Cookie cookie : cookies) {
      if (cookie.getName().equals(name)) {
        try {
          return URLDecoder.decode(cookie.getValue(), StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
          return "";
        }
      }
    }
    return "";
  }
}
