package fernwort.app.security;

import java.util.Map;
import java.util.function.BiConsumer;

/** The headers that every answer carries, also those that no page makes. */
final class SafeHeaders {

  private static final Map<String, String> ALL =
      Map.of(
          "Content-Security-Policy",
          PagePolicy.OWN,
          "X-Content-Type-Options",
          "nosniff",
          "X-Frame-Options",
          "DENY",
          "Referrer-Policy",
          "same-origin",
          "Cross-Origin-Opener-Policy",
          "same-origin",
          "Cross-Origin-Resource-Policy",
          "same-origin",
          "Permissions-Policy",
          PagePolicy.PERMISSIONS);

  private SafeHeaders() {}

  static void put(BiConsumer<String, String> header) {
    ALL.forEach(header);
  }
}
