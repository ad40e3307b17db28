package fernwort.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A change comes from a page of this copy, or from a program that is no browser. A browser says
 * where the page is that sends it: another port of this machine is somebody else, though it is sent
 * the same cookies.
 */
final class OwnPagesOnly extends OncePerRequestFilter {

  private static final Set<String> CHANGES_NOTHING = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

  /** What the browser says of a page of ours, and of an address that somebody typed. */
  private static final Set<String> OURS = Set.of("same-origin", "none");

  private static final String FETCH_SITE = "Sec-Fetch-Site";

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!isChange(request) || isOurs(request)) {
      chain.doFilter(request, response);
    } else {
      AskForPassphrase.say(
          response, HttpStatus.FORBIDDEN, Says.THIS_CAME_FROM_A_PAGE_ELSEWHERE.text());
    }
  }

  /** Tells whether a request asks for more than to be shown something. */
  static boolean isChange(HttpServletRequest request) {
    return !CHANGES_NOTHING.contains(request.getMethod());
  }

  private static boolean isOurs(HttpServletRequest request) {
    @Nullable String site = request.getHeader(FETCH_SITE);
    @Nullable String origin = request.getHeader(HttpHeaders.ORIGIN);
    return (site == null || OURS.contains(site)) && (origin == null || origin.equals(own(request)));
  }

  /** The address of this copy as the browser has it: whatever name and port it was asked by. */
  private static String own(HttpServletRequest request) {
    @Nullable String host = request.getHeader(HttpHeaders.HOST);
    return request.getScheme() + "://" + host;
  }
}
