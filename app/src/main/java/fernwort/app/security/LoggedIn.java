package fernwort.app.security;

import jakarta.servlet.http.HttpSession;
import jakarta.servlet.http.HttpSessionEvent;
import jakarta.servlet.http.HttpSessionListener;
import java.time.Duration;
import java.util.Comparator;
import java.util.Date;
import java.util.List;
import org.springframework.security.core.session.SessionInformation;
import org.springframework.security.core.session.SessionRegistry;
import org.springframework.security.core.session.SessionRegistryImpl;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Component;

/**
 * Who is logged in: a session for each device that gave the passphrase. There are so many and no
 * more, the oldest give way; and any of them can end all others, such as that of a lost phone.
 */
@Component
final class LoggedIn implements HttpSessionListener {

  /** So many devices are logged in at once. */
  static final int MOST = 20;

  /** Who was only asked for the passphrase is forgotten soon. */
  private static final Duration ASKED = Duration.ofMinutes(3);

  private static final Duration KNOWN = Duration.ofMinutes(30);

  private final SessionRegistryImpl registry = new SessionRegistryImpl();

  /**
   * A device that is logged in.
   *
   * @param who the name that was given with the passphrase
   * @param used when it was last used
   * @param here whether it is the one that asks
   */
  public record Device(String who, Date used, boolean here) {}

  SessionRegistry registry() {
    return registry;
  }

  @Override
  public void sessionCreated(HttpSessionEvent event) {
    event.getSession().setMaxInactiveInterval((int) ASKED.toSeconds());
  }

  @Override
  public void sessionDestroyed(HttpSessionEvent event) {
    registry.removeSessionInformation(event.getSession().getId());
  }

  /** The passphrase was given: the session lasts, and the longest unused of too many end. */
  void welcome(HttpSession session) {
    session.setMaxInactiveInterval((int) KNOWN.toSeconds());
    List<SessionInformation> all = all();
    all.stream().limit(Math.max(0, all.size() - MOST)).forEach(SessionInformation::expireNow);
  }

  /** Returns the devices that are logged in, the one used last first. */
  List<Device> devices(String session) {
    return all().reversed().stream()
        .map(s ->
            new Device(
                name(s.getPrincipal()), s.getLastRequest(), s.getSessionId().equals(session)))
        .toList();
  }

  /** Ends all sessions but one. */
  void endAllOthers(String session) {
    all().stream()
        .filter(s -> !s.getSessionId().equals(session))
        .forEach(SessionInformation::expireNow);
  }

  private List<SessionInformation> all() {
    return registry.getAllPrincipals().stream()
        .flatMap(who -> registry.getAllSessions(who, false).stream())
        .sorted(Comparator.comparing(SessionInformation::getLastRequest))
        .toList();
  }

  private static String name(Object principal) {
    return principal instanceof UserDetails known ? known.getUsername() : String.valueOf(principal);
  }
}
