package fernwort.app.mqtt;

import fernwort.core.say.Refusal;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Map;
import java.util.Set;
import org.apache.activemq.artemis.api.core.TransportConfiguration;
import org.apache.activemq.artemis.core.config.Configuration;
import org.apache.activemq.artemis.core.config.impl.ConfigurationImpl;
import org.apache.activemq.artemis.core.remoting.impl.netty.NettyAcceptorFactory;
import org.apache.activemq.artemis.core.security.CheckType;
import org.apache.activemq.artemis.core.security.Role;
import org.apache.activemq.artemis.core.server.embedded.EmbeddedActiveMQ;
import org.apache.activemq.artemis.core.settings.impl.AddressFullMessagePolicy;
import org.apache.activemq.artemis.core.settings.impl.AddressSettings;
import org.apache.activemq.artemis.spi.core.security.ActiveMQSecurityManager;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A broker inside Fernwort, for people who have none: MQTT 5 and 3.1.1, in memory. What boards left
 * with it to be kept is gone after a stop; they say it again when they connect.
 */
public final class HouseBroker implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(HouseBroker.class);

  /** Of one topic no more waits than this (bytes); more is let go; own choice. */
  private static final long MOST_OF_A_TOPIC = 2_000_000;

  /** In all no more waits than this (bytes); own choice. */
  private static final long MOST = 32_000_000;

  private static final int LONGEST_MESSAGE = 256 * 1024;

  private final EmbeddedActiveMQ server;

  /**
   * Who may connect.
   *
   * @param user empty for anybody
   */
  public record Guest(String user, String password) {

    /** Tells whether somebody may. */
    private boolean admits(String name, String word) {
      return user.isEmpty()
          || MessageDigest.isEqual(bytes(user), bytes(name))
              && MessageDigest.isEqual(bytes(password), bytes(word));
    }

    private static byte[] bytes(@org.jspecify.annotations.Nullable String text) {
      return (text == null ? "" : text).getBytes(StandardCharsets.UTF_8);
    }
  }

  private HouseBroker(EmbeddedActiveMQ server) {
    this.server = server;
  }

  /**
   * Starts a broker; takes some seconds.
   *
   * @param host where it listens
   * @throws Refusal when the port is taken
   */
  public static HouseBroker start(String host, int port, Guest guest) {
    try (ServerSocket free = new ServerSocket(port, 1, InetAddress.getByName(host))) {
      LOG.debug("port {} is free", free.getLocalPort());
    } catch (IOException e) {
      throw new Refusal(Says.IT_CANNOT_LISTEN.filled(port), e);
    }
    EmbeddedActiveMQ server = new EmbeddedActiveMQ();
    server.setConfiguration(configuration(host, port));
    server.setSecurityManager(doorman(guest));
    try {
      server.start();
    } catch (Exception e) {
      throw new Refusal(Says.IT_CANNOT_LISTEN.filled(port), e);
    }
    return new HouseBroker(server);
  }

  private static Configuration configuration(String host, int port) {
    ConfigurationImpl configuration = new ConfigurationImpl();
    configuration
        .setPersistenceEnabled(false)
        .setSecurityEnabled(true)
        .setJMXManagementEnabled(false)
        .setGlobalMaxSize(MOST);
    configuration.addAcceptorConfiguration(
        new TransportConfiguration(
            NettyAcceptorFactory.class.getName(),
            Map.of(
                "host",
                host,
                "port",
                port,
                "protocols",
                "MQTT",
                "useEpoll",
                false,
                "useKQueue",
                false,
                "nioRemotingThreads",
                2),
            "mqtt",
            Map.of("maximumPacketSize", LONGEST_MESSAGE)));
    configuration.addAddressSetting(
        "#",
        new AddressSettings()
            .setMaxSizeBytes(MOST_OF_A_TOPIC)
            .setAddressFullMessagePolicy(AddressFullMessagePolicy.DROP));
    return configuration;
  }

  private static ActiveMQSecurityManager doorman(Guest guest) {
    return new ActiveMQSecurityManager() {
      @Override
      public boolean validateUser(String user, String password) {
        return guest.admits(user, password);
      }

      @Override
      public boolean validateUserAndRole(
          String user, String password, Set<Role> roles, CheckType check) {
        return guest.admits(user, password);
      }
    };
  }

  @Override
  public void close() {
    try {
      server.stop();
    } catch (Exception e) {
      LOG.warn("the own broker did not stop well", e);
    }
  }
}
