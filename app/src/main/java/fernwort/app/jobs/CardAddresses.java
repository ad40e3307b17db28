package fernwort.app.jobs;

import fernwort.app.store.SettingStore;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** The address in the links of cards: one that others reach this copy under, as its owner says. */
@Component
class CardAddresses {

  private static final String SETTING = "card-address";

  private final SettingStore settings;

  CardAddresses(SettingStore settings) {
    this.settings = settings;
  }

  /** Returns the address that was chosen, or the one under which this page was asked for. */
  String chosen(HttpServletRequest request) {
    return settings.get(SETTING).orElseGet(() -> here(request));
  }

  private static String here(HttpServletRequest request) {
    return ServletUriComponentsBuilder.fromContextPath(request).build().toUriString();
  }

  /** Returns addresses of this machine that others may reach. */
  List<String> offered(HttpServletRequest request) {
    String scheme = request.getScheme();
    int port = request.getServerPort();
    try {
      return Stream.concat(
              Stream.of(here(request)),
              NetworkInterface.networkInterfaces()
                  .flatMap(NetworkInterface::inetAddresses)
                  .filter(a -> a instanceof Inet4Address && !a.isLoopbackAddress())
                  .map(InetAddress::getHostAddress)
                  .map(a -> String.format(Locale.ROOT, "%s://%s:%d", scheme, a, port)))
          .distinct()
          .toList();
    } catch (SocketException e) {
      return List.of(here(request));
    }
  }

  /** Tells whether the chosen address leads others nowhere. */
  boolean isOfThisMachineOnly(HttpServletRequest request) {
    String host = String.valueOf(URI.create(chosen(request)).getHost());
    return host.equals("localhost") || host.startsWith("127.") || host.equals("[::1]");
  }

  /**
   * Chooses an address; an empty one leaves it to the page's own.
   *
   * @throws Refusal when it is none
   */
  void choose(String typed) {
    String address = typed.strip().replaceAll("/+$", "");
    if (!address.isEmpty() && !isAddress(address)) {
      throw new Refusal(
          "The address “%s” is none; type one such as http://192.168.1.20:8080"
              .formatted(address.length() > 60 ? address.substring(0, 60) + "…" : address));
    }
    settings.set(SETTING, address);
  }

  private static boolean isAddress(String text) {
    try {
      URI uri = new URI(text);
      return ("http".equals(uri.getScheme()) || "https".equals(uri.getScheme()))
          && uri.getHost() != null
          && uri.getUserInfo() == null
          && (uri.getPath() == null || uri.getPath().isEmpty())
          && uri.getQuery() == null
          && uri.getFragment() == null;
    } catch (java.net.URISyntaxException e) {
      return false;
    }
  }
}
