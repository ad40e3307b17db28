package fernwort.app.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.springframework.web.filter.OncePerRequestFilter;

/** A page elsewhere must not reach this copy by giving its own name this machine's address. */
final class KnownHosts extends OncePerRequestFilter {

  private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

  private static final Pattern NUMBERS =
      Pattern.compile("[0-9.]+|\\[?[0-9a-fA-F:.%]*:[0-9a-fA-F:.%]*]?");

  /** Names that nobody can register: of the house's own network. */
  private static final List<String> OF_THE_HOUSE =
      List.of(".local", ".lan", ".home", ".home.arpa", ".internal", ".fritz.box");

  private final Predicate<String> known;

  private KnownHosts(Predicate<String> known) {
    this.known = known;
  }

  /** Lets in who asks for this machine itself, or for a name that the owner gave. */
  static KnownHosts thisMachine(List<String> given) {
    return new KnownHosts(name -> THIS_MACHINE.contains(name) || given.contains(name));
  }

  /**
   * Lets in who asks for an address in numbers, for a name of the house's network, or for one that
   * the owner gave.
   */
  static KnownHosts ofTheHouse(List<String> given) {
    return new KnownHosts(name ->
        THIS_MACHINE.contains(name)
            || NUMBERS.matcher(name).matches()
            || !name.contains(".")
            || OF_THE_HOUSE.stream().anyMatch(name::endsWith)
            || given.contains(name));
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (known.test(request.getServerName().toLowerCase(Locale.ROOT))) {
      chain.doFilter(request, response);
    } else {
      response.sendError(421);
    }
  }
}
