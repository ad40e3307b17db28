package fernwort.app.mqtt;

import java.util.Set;
import java.util.concurrent.CompletableFuture;

/** A connection to a broker, which comes back by itself. */
public interface Link extends AutoCloseable {

  /** What is told of a connection. */
  interface Listener {

    /** It is there (again). */
    void connected();

    /**
     * It is gone, or did not come about.
     *
     * @param why in words of whoever refused it
     */
    void disconnected(String why);

    /**
     * A message came.
     *
     * @param kept whether the broker kept it for those who come later
     */
    void message(String topic, byte[] payload, boolean kept);
  }

  /** Begins to connect, and goes on until it is closed; never waits. */
  void open();

  /**
   * Asks for messages of these topics as well; topics that were asked for before stay.
   *
   * @return done when the broker sends them, or at once where there is no connection
   */
  CompletableFuture<Void> subscribe(Set<String> topics);

  /** Wants no messages of these topics any more. */
  void unsubscribe(Set<String> topics);

  /**
   * Sends a message; nothing happens where there is no connection.
   *
   * @param kept whether the broker keeps it for those who come later
   */
  void publish(String topic, String payload, boolean kept);

  /**
   * Tells something to move, now or never: nothing is sent where the broker does not answer, and
   * nothing is kept for a box that is away. Waits for the broker's answer, a second at most.
   *
   * @return whether it was sent
   */
  boolean command(String topic, String payload);

  /** Ends it; never waits long. */
  @Override
  void close();
}
