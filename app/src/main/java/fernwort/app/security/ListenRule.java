package fernwort.app.security;

import fernwort.app.Refusal;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Refuses to listen beyond this machine before a passphrase is set. Looked at before anything
 * listens.
 */
public final class ListenRule
    implements ApplicationContextInitializer<ConfigurableApplicationContext> {

  @Override
  public void initialize(ConfigurableApplicationContext context) {
    String address = context.getEnvironment().getProperty("server.address", "127.0.0.1");
    String url = context.getEnvironment().getProperty("spring.datasource.url", "");
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
