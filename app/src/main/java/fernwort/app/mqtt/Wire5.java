package fernwort.app.mqtt;

import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.exceptions.ConnectionFailedException;
import com.hivemq.client.mqtt.mqtt5.Mqtt5AsyncClient;
import com.hivemq.client.mqtt.mqtt5.exceptions.Mqtt5ConnAckException;
import com.hivemq.client.mqtt.mqtt5.message.connect.connack.Mqtt5ConnAckReasonCode;
import com.hivemq.client.mqtt.mqtt5.message.publish.Mqtt5Publish;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CompletableFuture;

/** A client of MQTT 5. */
final class Wire5 implements Wire {

  /** The broker sends no longer messages (bytes); own choice. */
  private static final int LONGEST_MESSAGE = 256 * 1024;

  private final Mqtt5AsyncClient client;
  private final HiveLink.Access access;

  Wire5(BrokerAddress address, HiveLink.Access access, Ears ears) {
    this.access = access;
    client = Wire.of(address, access, ears).useMqttVersion5().buildAsync();
    client.publishes(
        MqttGlobalPublishFilter.ALL,
        (Mqtt5Publish message) ->
            ears.messages()
                .message(
                    message.getTopic().toString(),
                    message.getPayloadAsBytes(),
                    message.isRetain()));
  }

  @Override
  public CompletableFuture<?> connect() {
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
    return connect.send();
  }

  @Override
  public boolean isConnected() {
    return client.getState().isConnected();
  }

  @Override
  public boolean isRefused(Throwable cause) {
    if (cause instanceof Mqtt5ConnAckException answer) {
      return answer.getMqttMessage().getReasonCode()
          == Mqtt5ConnAckReasonCode.UNSUPPORTED_PROTOCOL_VERSION;
    }
    // An older broker answers in a way that is no MQTT 5, or says nothing and hangs up.
    return !(cause instanceof ConnectionFailedException);
  }

  @Override
  public CompletableFuture<?> subscribe(String topic) {
    return client.subscribeWith().topicFilter(topic).qos(MqttQos.AT_LEAST_ONCE).send();
  }

  @Override
  public void unsubscribe(String topic) {
    client.unsubscribeWith().topicFilter(topic).send();
  }

  @Override
  public void publish(String topic, byte[] payload, boolean kept) {
    client
        .publishWith()
        .topic(topic)
        .payload(payload)
        .qos(MqttQos.AT_LEAST_ONCE)
        .retain(kept)
        .send();
  }

  @Override
  public void command(String topic, byte[] payload) {
    // At most once: neither this side nor the broker sends it again to whoever was away.
    client
        .publishWith()
        .topic(topic)
        .payload(payload)
        .qos(MqttQos.AT_MOST_ONCE)
        .messageExpiryInterval(HOLDS)
        .send();
  }

  @Override
  public CompletableFuture<?> knock() {
    return client.unsubscribeWith().topicFilter(NOTHING).send();
  }

  @Override
  public void disconnect() {
    client.disconnect();
  }
}
