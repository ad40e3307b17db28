package fernwort.app.mqtt;

import java.nio.charset.StandardCharsets;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;

/** What a link has told. */
final class Heard implements Link.Listener {
  final CountDownLatch connected = new CountDownLatch(1);
  final Queue<String> messages = new ConcurrentLinkedQueue<>();

  @Override
  public void connected() {
    connected.countDown();
  }

  @Override
  public void disconnected(String why) {}

  @Override
  public void message(String topic, byte[] payload, boolean kept) {
    messages.add(topic + " " + new String(payload, StandardCharsets.UTF_8));
  }
}
