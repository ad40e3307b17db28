package fernwort.app.mqtt;

import fernwort.core.say.Refusal;
import java.net.URI;
import java.net.URISyntaxException;

/**
 * Where a broker is.
 *
 * @param host its name or number
 * @param port where it listens
 * @param secure whether it speaks TLS
 * @param own whether it is the one inside Fernwort
 */
public record BrokerAddress(String host, int port, boolean secure, boolean own) {

  /** What stands in the place of an address for the broker inside Fernwort. */
  public static final String OWN = "own";

  private static final String LOOPBACK = "127.0.0.1";
  private static final int PLAIN = 1883;
  private static final int SECURE = 8883;
  private static final int LONGEST = 300;

  /**
   * Reads an address such as mqtt://192.168.1.20 or mqtts://house:8883; own, or own:18830, is the
   * broker inside Fernwort.
   *
   * @throws Refusal in one sentence, when it is none
   */
  public static BrokerAddress of(String url) {
    String text = url.strip();
    boolean own = text.equals(OWN) || text.startsWith(OWN + ":");
    return own ? read(text.replaceFirst(OWN, "mqtt://" + LOOPBACK), true) : read(text, false);
  }

  private static BrokerAddress read(String url, boolean own) {
    try {
      URI uri = new URI(url);
      boolean secure = "mqtts".equals(uri.getScheme());
      boolean known = secure || "mqtt".equals(uri.getScheme());
      boolean more =
          uri.getUserInfo() != null
              || uri.getQuery() != null
              || uri.getPath() != null && uri.getPath().length() > 1;
      if (!known || uri.getHost() == null || more || url.length() > LONGEST) {
        throw new Refusal(Says.AN_ADDRESS_IS.with(clip(url)));
      }
      int port = uri.getPort() < 0 ? secure ? SECURE : PLAIN : uri.getPort();
      if (port < 1 || port > 65_535) {
        throw new Refusal(Says.AN_ADDRESS_IS.with(clip(url)));
      }
      return new BrokerAddress(uri.getHost(), port, secure, own);
    } catch (URISyntaxException e) {
      throw new Refusal(Says.AN_ADDRESS_IS.with(clip(url)));
    }
  }

  /** Passwords are typed into addresses now and then: nothing of them is said again. */
  private static String clip(String url) {
    String said = url.contains("@") ? "…" + url.substring(url.lastIndexOf('@') + 1) : url;
    return said.length() > 60 ? said.substring(0, 60) + "…" : said;
  }

  /** Returns it as it is written. */
  public String url() {
    return own ? OWN + ":" + port : (secure ? "mqtts://" : "mqtt://") + host + ":" + port;
  }
}
