package fernwort.app.live;

import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.mqtt.HouseBroker;
import fernwort.core.say.Refusal;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The broker inside Fernwort, while somebody wants it. It listens on this machine alone, unless
 * Fernwort itself is open to the network and the broker asks for a user and a password.
 */
@Component
class OwnBroker {

  private static final Logger LOG = LoggerFactory.getLogger(OwnBroker.class);
  private static final String LOOPBACK = "127.0.0.1";
  private static final String EVERYWHERE = "0.0.0.0";

  private final boolean alone;
  private @Nullable HouseBroker broker;
  private int wanted;

  OwnBroker(@Value("${fernwort.open:true}") boolean alone) {
    this.alone = alone;
  }

  /** Returns the address on which it would listen for such guests. */
  String listensOn(HouseBroker.Guest guest) {
    boolean named = !guest.user().isEmpty() && !guest.password().isEmpty();
    return alone || !named ? LOOPBACK : EVERYWHERE;
  }

  /**
   * Starts it in the background, in the place of the one before.
   *
   * @param failed told why, when it cannot
   */
  void start(BrokerAddress address, HouseBroker.Guest guest, Consumer<String> failed) {
    int turn = next();
    Thread.ofPlatform().daemon().name("broker").start(() -> begin(turn, address, guest, failed));
  }

  private synchronized int next() {
    return ++wanted;
  }

  private synchronized void begin(
      int turn, BrokerAddress address, HouseBroker.Guest guest, Consumer<String> failed) {
    if (turn != wanted) {
      return;
    }
    end();
    try {
      broker = HouseBroker.start(listensOn(guest), address.port(), guest);
      LOG.info("the own broker listens on {}:{}", listensOn(guest), address.port());
    } catch (Refusal refused) {
      LOG.warn("the own broker did not start", refused);
      failed.accept(refused.getMessage());
    }
  }

  /** Ends it, if it runs; waits for it. */
  synchronized void stop() {
    wanted++;
    end();
  }

  private void end() {
    if (broker != null) {
      broker.close();
      broker = null;
    }
  }
}
