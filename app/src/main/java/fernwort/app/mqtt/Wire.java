package fernwort.app.mqtt;

import com.hivemq.client.mqtt.MqttClientBuilder;
import com.hivemq.client.mqtt.MqttClientSslConfig;
import com.hivemq.client.mqtt.lifecycle.MqttClientConnectedListener;
import com.hivemq.client.mqtt.lifecycle.MqttClientDisconnectedListener;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;

/** One client of one version of MQTT, which comes back by itself. */
interface Wire {

  /** A broker that was gone is looked for again after so long (s); own choice. */
  long FIRST_PAUSE = 1;

  /** At the latest after so long (s); own choice. */
  long LONGEST_PAUSE = 60;

  /** A silent connection is tried so often (s); own choice. */
  int KEEP_ALIVE = 15;

  /** A command that was not passed on within so long (s) is let go; own choice. */
  long HOLDS = 2;

  /** Nobody ever asks for this: to want it no longer changes nothing, and has to be answered. */
  String NOTHING = "fernwort/nothing";

  /** What a client is told of its own connection. */
  record Ears(
      MqttClientConnectedListener connected,
      MqttClientDisconnectedListener disconnected,
      Link.Listener messages) {}

  /** Begins to connect; never waits. */
  CompletableFuture<?> connect();

  /** Tells whether it is connected. */
  boolean isConnected();

  /** Tells whether what went wrong means that the broker does not speak this version. */
  boolean isRefused(Throwable cause);

  /** Asks for messages of a topic; done when the broker agreed. */
  CompletableFuture<?> subscribe(String topic);

  /** Wants no messages of a topic any more. */
  void unsubscribe(String topic);

  /** Sends a message. */
  void publish(String topic, byte[] payload, boolean kept);

  /** Sends a message that holds for a moment only: who is not there then never gets it. */
  void command(String topic, byte[] payload);

  /** Asks for something that changes nothing; done when the broker answers. */
  CompletableFuture<?> knock();

  /** Ends it. */
  void disconnect();

  /** Returns what both versions are told alike. */
  static MqttClientBuilder of(BrokerAddress address, HiveLink.Access access, Ears ears) {
    MqttClientBuilder builder =
        com.hivemq.client.mqtt.MqttClient.builder()
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
            .addConnectedListener(ears.connected())
            .addDisconnectedListener(ears.disconnected());
    if (!address.secure()) {
      return builder;
    }
    var tls = MqttClientSslConfig.builder();
    if (access.trusted() != null) {
      tls.trustManagerFactory(access.trusted());
    }
    return builder.sslConfig(tls.build());
  }
}
