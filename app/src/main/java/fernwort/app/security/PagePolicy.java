package fernwort.app.security;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;

/** What a page may load and run, in the words of its headers. */
public final class PagePolicy {

  static final String OWN =
      "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self';"
          + " connect-src 'self'; worker-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  static final String PERMISSIONS = "camera=(), microphone=(), geolocation=(), payment=(), usb=()";

  private static final String ALONE =
      "default-src 'none'; style-src 'sha256-%s'; script-src 'sha256-%s'; font-src data:;"
          + " img-src data:";

  private PagePolicy() {}

  /** Returns the policy of a page that is a file: its own styles and script, and no others. */
  public static String alone(String styles, String script) {
    return ALONE.formatted(sum(styles), sum(script));
  }

  private static String sum(String text) {
    try {
      byte[] sum =
          MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
      return Base64.getEncoder().encodeToString(sum);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has it", e);
    }
  }
}
