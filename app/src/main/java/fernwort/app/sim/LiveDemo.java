package fernwort.app.sim;

import fernwort.app.live.LiveDesk;
import fernwort.app.live.SignalText;
import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.core.kind.Position;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.Part;
import fernwort.core.sim.Sensor;
import fernwort.core.sim.SimulatedRig;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Makes one demo rig live: the broker inside Fernwort, and a simulated rig that speaks to it. */
@Component
@ConditionalOnProperty(name = "fernwort.live-demo", havingValue = "true")
class LiveDemo implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(LiveDemo.class);

  /** The rig that is live. */
  private static final String RIG = "tern";

  /** So many times faster than life; own choice. */
  private static final double SPEED = 10;

  private static final double LITRE = 1e-3;
  private static final double LITRE_A_MINUTE = 1e-3 / 60;

  private final LiveDesk live;
  private final Descriptions rigs;
  private final States states;
  private @Nullable SimulatedDevice device;

  LiveDemo(LiveDesk live, Descriptions rigs, States states) {
    this.live = live;
    this.rigs = rigs;
    this.states = states;
  }

  @EventListener(ApplicationReadyEvent.class)
  void ready() {
    Thread.ofPlatform().daemon().name("live-demo").start(this::begin);
  }

  private void begin() {
    try {
      OpenRig rig = rigs.open(RIG);
      boolean own = live.connection().url().startsWith(BrokerAddress.OWN);
      if (!own && !live.connection().url().isEmpty()) {
        return;
      }
      // A free port each time: the demo gets in nobody's way.
      BrokerAddress broker = BrokerAddress.of(BrokerAddress.OWN + ":" + freePort());
      live.connect(broker.url(), null, null, null);
      SimulatedRig simulated = new SimulatedRig(rig.rig(), states.of(rig).state(), new Random());
      SimulatedDevice made = new SimulatedDevice(RIG, simulated, broker, "", "", SPEED);
      device = made;
      made.start();
      Map<String, ?> bound =
          live.signals(RIG).stream().collect(Collectors.toMap(s -> s.name(), s -> s));
      simulated.sensors().stream()
          .filter(s -> !bound.containsKey(s.name()))
          .forEach(s -> live.bind(RIG, s.name(), bound(rig, s)));
    } catch (RuntimeException e) {
      LOG.warn("the demo is not live", e);
    }
  }

  private static int freePort() {
    try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return free.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** How a sensor of a simulated rig is bound. */
  static SignalText bound(OpenRig rig, Sensor sensor) {
    String topic = SimulatedDevice.topic(RIG, sensor);
    String on = sensor.on().id().value();
    return switch (sensor.on().where()) {
      case PART -> text(sensor, topic, on, null, null, null, command(rig, sensor, topic));
      case LINE -> text(sensor, topic, null, null, on, null, null);
      case TRAY -> text(sensor, topic, null, null, null, on, null);
      case PLACE -> text(sensor, topic, null, on, null, null, null);
      case OUTSIDE, VEHICLE -> text(sensor, topic, null, "outside", null, null, null);
    };
  }

  private static SignalText text(
      Sensor sensor,
      String topic,
      @Nullable String part,
      @Nullable String place,
      @Nullable String line,
      @Nullable String tray,
      SignalText.@Nullable Command command) {
    return new SignalText(
        sensor.kind().written(),
        part,
        place,
        line,
        tray,
        null,
        null,
        null,
        topic,
        null,
        scale(sensor.kind()),
        null,
        command,
        null,
        null);
  }

  private static @Nullable Double scale(SignalKind kind) {
    return switch (kind) {
      case LEVEL -> LITRE;
      case FLOW -> LITRE_A_MINUTE;
      default -> null;
    };
  }

  private static SignalText.@Nullable Command command(OpenRig rig, Sensor sensor, String topic) {
    if (!sensor.canMove()) {
      return null;
    }
    Part part = rig.rig().part(sensor.on().id().part());
    return new SignalText.Command(
        topic + "/set",
        part.kind().positions().stream()
            .collect(Collectors.toMap(p -> p.id(), p -> p.id().value())),
        // As the simulated boards do it.
        sensor.kind() == SignalKind.PUMP ? Position.OFF.id().value() : null);
  }

  @Override
  public void close() {
    if (device != null) {
      device.close();
    }
  }
}
