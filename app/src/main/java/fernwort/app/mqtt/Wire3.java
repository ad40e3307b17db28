package fernwort.app.mqtt;

import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.exceptions.ConnectionFailedException;
import com.hivemq.client.mqtt.mqtt3.Mqtt3AsyncClient;
import com.hivemq.client.mqtt.mqtt3.exceptions.Mqtt3ConnAckException;
import com.hivemq.client.mqtt.mqtt3.message.connect.connack.Mqtt3ConnAckReturnCode;
import com.hivemq.client.mqtt.mqtt3.message.publish.Mqtt3Publish;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CompletableFuture;

/** A client of MQTT 3.1.1, for brokers that know nothing newer. */
final class Wire3 implements Wire {

  private final Mqtt3AsyncClient client;
  private final HiveLink.Access access;

  Wire3(BrokerAddress address, HiveLink.Access access, Ears ears) {
    this.access = access;
    client = Wire.of(address, access, ears).useMqttVersion3().buildAsync();
    client.publishes(
        MqttGlobalPublishFilter.ALL,
        (Mqtt3Publish message) ->
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
            .cleanSession(true)
            .willPublish()
            .topic(access.will().topic())
            .payload(access.will().payload().getBytes(StandardCharsets.UTF_8))
            .qos(MqttQos.AT_LEAST_ONCE)
            .retain(true)
            .applyWillPublish()
            .keepAlive(KEEP_ALIVE);
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
    if (cause instanceof Mqtt3ConnAckException answer) {
      return answer.getMqttMessage().getReturnCode()
          == Mqtt3ConnAckReturnCode.UNSUPPORTED_PROTOCOL_VERSION;
    }
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
    client.publishWith().topic(topic).payload(payload).qos(MqttQos.AT_MOST_ONCE).send();
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
