package fernwort.app.mqtt;

import com.hivemq.client.mqtt.MqttClientSslConfig;
import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.lifecycle.MqttClientDisconnectedContext;
import com.hivemq.client.mqtt.mqtt5.Mqtt5AsyncClient;
import com.hivemq.client.mqtt.mqtt5.Mqtt5Client;
import com.hivemq.client.mqtt.mqtt5.Mqtt5ClientBuilder;
import com.hivemq.client.mqtt.mqtt5.message.publish.Mqtt5Publish;
import com.hivemq.client.mqtt.mqtt5.message.subscribe.suback.Mqtt5SubAck;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import javax.net.ssl.TrustManagerFactory;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A connection by MQTT 5. */
public final class HiveLink implements Link {

  private static final Logger LOG = LoggerFactory.getLogger(HiveLink.class);

  /** A broker that was gone is looked for again after so long (s); own choice. */
  private static final long FIRST_PAUSE = 1;

  /** At the latest after so long (s); own choice. */
  private static final long LONGEST_PAUSE = 60;

  /** A silent connection is tried so often (s); own choice. */
  private static final int KEEP_ALIVE = 15;

  /** The broker sends no longer messages (bytes); own choice. */
  private static final int LONGEST_MESSAGE = 256 * 1024;

  private final Mqtt5AsyncClient client;
  private final Access access;
  private final Set<String> topics = new HashSet<>();
  private volatile boolean closed;

  /** A message that the broker keeps under a topic when a connection breaks. */
  public record Will(String topic, String payload) {}

  /**
   * Who may connect, and what is trusted.
   *
   * @param user empty for nobody
   * @param password empty for none
   * @param clientId what this copy is called at the broker
   * @param will what the broker says when this copy is gone
   * @param trusted who vouches for the broker; null for those that the machine knows
   */
  public record Access(
      String user,
      String password,
      String clientId,
      Will will,
      @Nullable TrustManagerFactory trusted) {}

  /** Prepares it; {@link #open} begins. */
  public HiveLink(BrokerAddress address, Access access, Listener listener) {
    this.access = access;
    Mqtt5ClientBuilder builder =
        Mqtt5Client.builder()
            .identifier(access.clientId())
            .serverHost(address.host())
            .serverPort(address.port())
            .executorConfig()
            .nettyThreads(1)
            .applyExecutorConfig()
            .automaticReconnect()
            .initialDelay(FIRST_PAUSE, TimeUnit.SECONDS)
            .maxDelay(LONGEST_PAUSE, TimeUnit.SECONDS)
            .applyAutomaticReconnect()
            .addConnectedListener(context -> {
              resubscribe();
              listener.connected();
            })
            .addDisconnectedListener(context -> listener.disconnected(why(context)));
    if (address.secure()) {
      var tls = MqttClientSslConfig.builder();
      if (access.trusted() != null) {
        tls.trustManagerFactory(access.trusted());
      }
      builder = builder.sslConfig(tls.build());
    }
    client = builder.buildAsync();
    client.publishes(
        MqttGlobalPublishFilter.ALL,
        (Mqtt5Publish message) ->
            listener.message(
                message.getTopic().toString(), message.getPayloadAsBytes(), message.isRetain()));
  }

  private static String why(MqttClientDisconnectedContext context) {
    Throwable at = context.getCause();
    while (at.getCause() != null) {
      at = at.getCause();
    }
    String said = at.getMessage();
    return said == null ? at.getClass().getSimpleName() : said;
  }

  @Override
  public void open() {
    var connect =
        client
            .connectWith()
            .cleanStart(true)
            .willPublish()
            .topic(access.will().topic())
            .payload(access.will().payload().getBytes(StandardCharsets.UTF_8))
            .qos(MqttQos.AT_LEAST_ONCE)
            .retain(true)
            .applyWillPublish()
            .keepAlive(KEEP_ALIVE)
            .restrictions()
            .maximumPacketSize(LONGEST_MESSAGE)
            .applyRestrictions();
    if (!access.user().isEmpty()) {
      connect =
          connect
              .simpleAuth()
              .username(access.user())
              .password(access.password().getBytes(StandardCharsets.UTF_8))
              .applySimpleAuth();
    }
    connect
        .send()
        .whenComplete((done, failed) -> {
          if (failed != null && !closed) {
            LOG.debug("the broker does not answer", failed);
          }
        });
  }

  private void resubscribe() {
    Set<String> all;
    synchronized (topics) {
      all = new HashSet<>(topics);
    }
    all.forEach(this::ask);
  }

  @Override
  public CompletableFuture<Void> subscribe(Set<String> more) {
    List<CompletableFuture<Mqtt5SubAck>> asked = new ArrayList<>();
    for (String topic : more) {
      boolean added;
      synchronized (topics) {
        added = topics.add(topic);
      }
      if (added && client.getState().isConnected()) {
        asked.add(ask(topic));
      }
    }
    return CompletableFuture.allOf(asked.toArray(CompletableFuture[]::new));
  }

  private CompletableFuture<Mqtt5SubAck> ask(String topic) {
    return client.subscribeWith().topicFilter(topic).qos(MqttQos.AT_LEAST_ONCE).send();
  }

  @Override
  public void unsubscribe(Set<String> fewer) {
    for (String topic : fewer) {
      boolean removed;
      synchronized (topics) {
        removed = topics.remove(topic);
      }
      if (removed && client.getState().isConnected()) {
        client.unsubscribeWith().topicFilter(topic).send();
      }
    }
  }

  @Override
  public void publish(String topic, String payload, boolean kept) {
    if (client.getState().isConnected()) {
      client
          .publishWith()
          .topic(topic)
          .payload(payload.getBytes(StandardCharsets.UTF_8))
          .qos(MqttQos.AT_LEAST_ONCE)
          .retain(kept)
          .send();
    }
  }

  @Override
  public void close() {
    closed = true;
    client.disconnect();
  }
}
