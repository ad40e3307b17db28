package fernwort.app.compute;

import fernwort.core.effort.Effort;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Callable;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** A time limit around every request, and a queue before all that may compute. */
@Component
class ComputingLimit extends OncePerRequestFilter {

  /** Some seconds on an ordinary machine; a slow one that has just started needs its time. */
  static final Duration LIMIT = Duration.ofSeconds(12);

  private final Turnstile turnstile;

  ComputingLimit(Turnstile turnstile) {
    this.turnstile = turnstile;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Lane lane = Lane.of(request.getRequestURI());
    Callable<Void> answer = () -> within(request, response, chain);
    try {
      switch (lane.way()) {
        case BY -> answer.call();
        case SOON -> turnstile.soon(answer);
        case LOOK -> turnstile.page(answer);
        case HEAVY -> turnstile.let(lane.rig(), answer);
      }
    } catch (TooBusy busy) {
      // No page has begun: what stands at /error says it, to programs and to people.
      response.setHeader(HttpHeaders.RETRY_AFTER, TooBusy.ASK_AGAIN);
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
