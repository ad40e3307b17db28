package fernwort.app.web;

import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Faults of ours: each gets an id that the page shows and the log has, so that whoever reports one
 * and whoever looks for it speak of the same. The log says where, never what was typed.
 */
public final class ServerFaults {

  private static final Logger LOG = LoggerFactory.getLogger(ServerFaults.class);
  private static final SecureRandom RANDOM = new SecureRandom();
  private static final String SIGNS = "BCDFGHJKLMNPQRSTVWXZ23456789";
  private static final int LENGTH = 6;
  private static final int FRAMES = 14;

  private ServerFaults() {}

  /** Writes a fault to the log and returns its id. */
  public static String log(HttpServletRequest request, Throwable fault) {
    String id = id();
    Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
    LOG.error("fault {} at {} {}: {}", id, request.getMethod(), pattern, trace(fault));
    return id;
  }

  /** A line for who looks closely; nothing is wrong with us. */
  static void quiet(HttpServletRequest request, Throwable fault) {
    LOG.debug("{} {}: {}", request.getMethod(), request.getRequestURI(), fault.getClass());
  }

  private static String id() {
    StringBuilder id = new StringBuilder();
    for (int i = 0; i < LENGTH; i++) {
      id.append(SIGNS.charAt(RANDOM.nextInt(SIGNS.length())));
    }
    return id.toString();
  }

  /** Names and places of the exceptions; their messages may hold what people typed. */
  private static String trace(Throwable fault) {
    StringBuilder trace = new StringBuilder();
    for (Throwable at = fault; at != null; at = at.getCause()) {
      trace.append(at == fault ? "" : " caused by ").append(at.getClass().getName());
      StackTraceElement[] frames = at.getStackTrace();
      for (int i = 0; i < Math.min(FRAMES, frames.length); i++) {
        trace.append("\n    ").append(frames[i]);
      }
    }
    return trace.toString();
  }
}
