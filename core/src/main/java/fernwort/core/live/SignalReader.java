package fernwort.core.live;

import fernwort.core.format.PointedText;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Tank;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.tank.Reading;
import fernwort.core.tank.TankRoom;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads the messages of one signal. What is no value of its kind is nothing: a sensor that babbles
 * changes nothing.
 */
final class SignalReader {

  /** No sensor says more in one message (characters); own choice. */
  static final int LONGEST = 65_536;

  /** No number is written longer (characters); own choice. */
  private static final int LONGEST_NUMBER = 40;

  /** A word for a contact is no longer (characters); own choice. */
  private static final int LONGEST_WORD = 32;

  /** A sensor may tell a little more than a tank holds (share of it); own choice. */
  private static final double OVER = 0.1;

  private static final Set<String> ON =
      Set.of("true", "1", "on", "yes", "wet", "leak", "running", "high");
  private static final Set<String> OFF =
      Set.of("false", "0", "off", "no", "dry", "ok", "stopped", "low");

  private final Network network;
  private final Signal signal;

  SignalReader(Network network, Signal signal) {
    this.network = network;
    this.signal = signal;
  }

  /**
   * Reads a message.
   *
   * @param slope how the vehicle is parked
   * @return its value; nothing where it is none of this kind
   */
  Optional<Value> read(String message, Slope slope) {
    if (message.length() > LONGEST) {
      return Optional.empty();
    }
    return text(message)
        .flatMap(text ->
            switch (signal.kind().form()) {
              case AMOUNT -> amount(text, slope);
              case CONTACT -> contact(text).map(Value.Contact::new);
              case STOP -> stop(text);
            });
  }

  private Optional<String> text(String message) {
    if (signal.source().pointer().isEmpty()) {
      return Optional.of(message.trim()).filter(t -> !t.isEmpty());
    }
    return PointedText.in(message, signal.source().pointer());
  }

  private Optional<Value> amount(String text, Slope slope) {
    if (text.length() > LONGEST_NUMBER) {
      return Optional.empty();
    }
    double number;
    try {
      number = new BigDecimal(text).doubleValue();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
    double scaled = number * signal.source().scale() + signal.source().offset();
    if (!Double.isFinite(scaled)) {
      return Optional.empty();
    }
    return signal.kind() == SignalKind.LEVEL
        ? level(scaled, slope).map(Value.Amount::new)
        : Optional.<Value>of(new Value.Amount(scaled))
            .filter(v -> signal.kind().isPlausible(scaled));
  }

  private Optional<Double> level(double told, Slope slope) {
    PartId tank = signal.on().id().part();
    TankRoom room = network.room(tank);
    double capacity = room.capacity();
    return switch (signal.as()) {
      case VOLUME -> within(told, capacity);
      case SHARE -> within(told * capacity, capacity);
      case HEIGHT -> {
        double depth = room.highest(Slope.LEVEL);
        yield told < 0 || told > depth * (1 + OVER)
            ? Optional.empty()
            : read(tank, new Reading.Stick(Math.min(told, depth)), slope);
      }
      case RAW ->
          told == Math.rint(told)
              ? read(tank, new Reading.Steps((int) told), slope)
              : Optional.empty();
    };
  }

  private static Optional<Double> within(double volume, double capacity) {
    return volume < 0 || volume > capacity * (1 + OVER)
        ? Optional.empty()
        : Optional.of(Math.min(volume, capacity));
  }

  private Optional<Double> read(PartId tank, Reading reading, Slope slope) {
    try {
      Tank kind = (Tank) network.rig().part(tank).kind();
      return Optional.of(reading.volume(kind, network.room(tank), slope));
    } catch (Refusal e) {
      // The tank cannot show that: the sensor is at fault, not the person.
      return Optional.empty();
    }
  }

  private Optional<Boolean> contact(String text) {
    String word = text.toLowerCase(Locale.ROOT);
    if (word.length() > LONGEST_WORD) {
      return Optional.empty();
    }
    String wet = signal.wet().toLowerCase(Locale.ROOT);
    if (!wet.isEmpty()) {
      if (word.equals(wet)) {
        return Optional.of(true);
      }
      boolean usual = ON.contains(wet) || OFF.contains(wet);
      boolean opposite = usual ? ON.contains(word) || OFF.contains(word) : true;
      return opposite ? Optional.of(false) : Optional.empty();
    }
    if (ON.contains(word)) {
      return Optional.of(true);
    }
    return OFF.contains(word) ? Optional.of(false) : Optional.empty();
  }

  private Optional<Value> stop(String text) {
    return signal
        .drive()
        .flatMap(d ->
            d.payloads().entrySet().stream()
                .filter(e -> e.getValue().equals(text))
                .map(Map.Entry::getKey)
                .findFirst())
        .or(() ->
            network.rig().part(signal.on().id().part()).kind().positions().stream()
                .map(p -> p.id())
                .filter(PositionId.of(text)::equals)
                .findFirst())
        .map(Value.Stop::new);
  }
}
