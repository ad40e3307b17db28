package fernwort.app.mqtt;

import com.hivemq.client.mqtt.lifecycle.MqttClientDisconnectedContext;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.net.ssl.TrustManagerFactory;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A connection by MQTT 5, or by 3.1.1 where the broker speaks nothing newer. */
public final class HiveLink implements Link {

  private static final Logger LOG = LoggerFactory.getLogger(HiveLink.class);

  /** The pause before the other version is tried grows no longer after so many times. */
  private static final int MOST_DOUBLINGS = 6;

  /** A broker that is there answers within so long (ms); own choice. */
  private static final long KNOCK = 1000;

  /** One that did not is not asked again for so long (ns): who asks waits each time; own choice. */
  private static final long SILENCE = TimeUnit.SECONDS.toNanos(2);

  private final BrokerAddress address;
  private final Access access;
  private final Listener listener;
  private final Set<String> topics = new HashSet<>();

  /** A thread of its own: the pool that all share may be at work on pages for half a minute. */
  private final ScheduledExecutorService changing =
      new ScheduledThreadPoolExecutor(
          1,
          Thread.ofPlatform().daemon().name("broker-version").factory(),
          new ThreadPoolExecutor.DiscardPolicy());

  private volatile Wire wire;
  private volatile boolean closed;
  private volatile boolean everConnected;
  private volatile int changes;
  private volatile long silent = System.nanoTime() - SILENCE;

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
    this.address = address;
    this.access = access;
    this.listener = listener;
    wire = new Wire5(address, access, ears());
  }

  private Wire.Ears ears() {
    return new Wire.Ears(context -> connected(), this::disconnected, listener);
  }

  private void connected() {
    everConnected = true;
    resubscribe();
    listener.connected();
  }

  /** A broker that does not speak this version is asked in the other one. */
  private void disconnected(MqttClientDisconnectedContext context) {
    listener.disconnected(why(context));
    if (!everConnected && !closed && wire.isRefused(context.getCause())) {
      context.getReconnector().reconnect(false);
      long pause =
          Math.min(Wire.LONGEST_PAUSE, Wire.FIRST_PAUSE << Math.min(changes / 2, MOST_DOUBLINGS));
      // The first time at once: an older broker is nothing unusual.
      long wait = changes == 0 ? 0 : pause;
      changes++;
      changing.schedule(this::change, wait, TimeUnit.SECONDS);
    }
  }

  private void change() {
    if (closed) {
      return;
    }
    wire =
        wire instanceof Wire5
            ? new Wire3(address, access, ears())
            : new Wire5(address, access, ears());
    open();
    if (closed) {
      wire.disconnect();
    }
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
    wire.connect()
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
    all.forEach(wire::subscribe);
  }

  @Override
  public CompletableFuture<Void> subscribe(Set<String> more) {
    List<CompletableFuture<?>> asked = new ArrayList<>();
    for (String topic : more) {
      boolean added;
      synchronized (topics) {
        added = topics.add(topic);
      }
      if (added && wire.isConnected()) {
        asked.add(wire.subscribe(topic));
      }
    }
    return CompletableFuture.allOf(asked.toArray(CompletableFuture[]::new));
  }

  @Override
  public void unsubscribe(Set<String> fewer) {
    for (String topic : fewer) {
      boolean removed;
      synchronized (topics) {
        removed = topics.remove(topic);
      }
      if (removed && wire.isConnected()) {
        wire.unsubscribe(topic);
      }
    }
  }

  @Override
  public void publish(String topic, String payload, boolean kept) {
    if (wire.isConnected()) {
      wire.publish(topic, payload.getBytes(StandardCharsets.UTF_8), kept);
    }
  }

  @Override
  public boolean command(String topic, String payload) {
    Wire now = wire;
    if (!now.isConnected() || !answers(now)) {
      return false;
    }
    now.command(topic, payload.getBytes(StandardCharsets.UTF_8));
    return true;
  }

  /**
   * Tells whether the broker answers. Of a cable that is out nothing else tells for half a minute,
   * and what is sent meanwhile arrives when it is in again.
   */
  private boolean answers(Wire now) {
    if (System.nanoTime() - silent < SILENCE) {
      return false;
    }
    try {
      now.knock().get(KNOCK, TimeUnit.MILLISECONDS);
      return now.isConnected();
    } catch (TimeoutException e) {
      silent = System.nanoTime();
      return false;
    } catch (ExecutionException e) {
      LOG.debug("the broker does not answer", e);
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  @Override
  public void close() {
    closed = true;
    changing.shutdownNow();
    wire.disconnect();
  }
}
