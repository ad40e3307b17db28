package fernwort.app.security;

import fernwort.app.Refusal;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;

/**
 * Refuses to listen beyond this machine before a passphrase is set. Looked at before anything
 * listens.
 */
public final class ListenRule {

  private ListenRule() {}

  /**
   * Looks whether this copy may listen on an address.
   *
   * @param address the address to listen on
   * @param url address of the database that would hold the passphrase
   * @throws Refusal when it may not, with what to do first
   */
  public static void check(String address, String url) {
    if (!isLoopback(address) && !hasPassphrase(url)) {
      throw new Refusal(
          "To listen on %s, set a passphrase first: ./fernwort passphrase (with the same --data)."
              .formatted(address));
    }
  }

  private static boolean isLoopback(String address) {
    try {
      return InetAddress.getByName(address).isLoopbackAddress();
    } catch (UnknownHostException e) {
      throw new Refusal("--listen needs an address of this machine, not \"" + address + "\".");
    }
  }

  private static boolean hasPassphrase(String url) {
    try (Connection connection = DriverManager.getConnection(url, "sa", "");
        Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery("select hash from passphrase where id = 1")) {
      return found.next();
    } catch (SQLException e) {
      return false; // A new data folder has no such table yet.
    }
  }
}
