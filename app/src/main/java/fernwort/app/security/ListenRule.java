package fernwort.app.security;

import fernwort.core.say.Refusal;
import java.net.InetAddress;
import java.net.UnknownHostException;

/**
 * Refuses to listen beyond this machine before a passphrase is set, or in the clear where nobody
 * said that this is meant. Looked at before anything listens; what is listened on is the address
 * that was looked at, not its name.
 */
public final class ListenRule {

  private ListenRule() {}

  /**
   * An address that may be listened on.
   *
   * @param address the address in digits
   * @param shown the address as a browser takes it
   * @param loopback whether only this machine reaches it
   */
  public record Listen(String address, String shown, boolean loopback) {}

  /**
   * Looks whether this copy may listen on an address.
   *
   * @param wanted an address in digits, or "localhost"
   * @param hasPassphrase whether one was set
   * @param meant whether it speaks HTTPS, or plain HTTP was asked for by name
   * @throws Refusal when it may not, with what to do first
   */
  public static Listen check(String wanted, boolean hasPassphrase, boolean meant) {
    InetAddress address = address(wanted);
    boolean loopback = address.isLoopbackAddress();
    if (!loopback && !hasPassphrase) {
      throw new Refusal(Says.TO_LISTEN_ON_SET_A_PASSPHRASE.with(wanted));
    }
    if (!loopback && !meant) {
      throw new Refusal(Says.ON_WHOEVER_IS_ON_THE_NETWORK.with(wanted));
    }
    String digits = address.getHostAddress().replaceFirst("%.*", "");
    return new Listen(digits, digits.contains(":") ? "[" + digits + "]" : digits, loopback);
  }

  /** Only digits, and localhost by name: what other names lead to may change. */
  private static InetAddress address(String wanted) {
    String plain = wanted.strip().replaceAll("^\\[(.*)]$", "$1");
    boolean digits = plain.matches("[0-9]{1,3}(\\.[0-9]{1,3}){3}") || plain.contains(":");
    try {
      if (plain.equals("localhost")) {
        return InetAddress.getByAddress(new byte[] {127, 0, 0, 1});
      }
      if (digits) {
        return InetAddress.getByName(plain);
      }
    } catch (UnknownHostException e) {
      throw wrong(wanted);
    }
    throw wrong(wanted);
  }

  private static Refusal wrong(String wanted) {
    return new Refusal(Says.LISTEN_NEEDS_AN_ADDRESS.with(wanted));
  }
}
