package fernwort.app.compute;

import fernwort.core.effort.Effort;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** A time limit around every request, and a queue before those that compute much. */
@Component
class ComputingLimit extends OncePerRequestFilter {

  /** Some seconds on an ordinary machine; a slow one that has just started needs its time. */
  static final Duration LIMIT = Duration.ofSeconds(12);

  /**
   * What can take long; ticks, turns and readings never wait for these. Who asks for the list of
   * jobs only waits for a thread that computes, and keeps nobody from computing meanwhile.
   */
  private static final Pattern HEAVY =
      Pattern.compile(
          "/rigs/([^/]+)/(?:jobs/(?!list$).+|slips|sizing.*|workbench.*|build.*|empty|cold.*|compare|rehearse/answers|flows|fault.*|practise.*|drills.*)");

  /** Pages and their pieces; files and what is told as it happens go by. */
  private static final Pattern PAGE = Pattern.compile("/rigs/[^.]*(?<!/stream|/jobs/list)");

  private final Turnstile turnstile;

  ComputingLimit(Turnstile turnstile) {
    this.turnstile = turnstile;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Matcher heavy = HEAVY.matcher(request.getRequestURI());
    try {
      if (heavy.find()) {
        turnstile.let(heavy.group(1), () -> within(request, response, chain));
      } else if (request.getMethod().equals("GET")
          && PAGE.matcher(request.getRequestURI()).matches()) {
        turnstile.page(() -> within(request, response, chain));
      } else {
        within(request, response, chain);
      }
    } catch (TooBusy busy) {
      // No page has begun: what stands at /error says it, to programs and to people.
      response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE, busy.getMessage());
    } catch (ServletException | IOException | RuntimeException e) {
      throw e;
    } catch (Exception e) {
      throw new ServletException(e);
    }
  }

  private static Void within(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws Exception {
    return Effort.of(LIMIT)
        .spend(() -> {
          chain.doFilter(request, response);
          return null;
        });
  }
}
