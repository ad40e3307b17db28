package fernwort.core.live;

import fernwort.core.demo.DemoRig;
import fernwort.core.hazard.Hazards;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.live.Signal.Drive;
import fernwort.core.live.Signal.Source;
import fernwort.core.live.Signal.Subject;
import fernwort.core.live.SignalKind.Where;
import fernwort.core.network.Network;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A demo rig with sensors, and a clock that moves when it is told to. */
final class LiveBench {

  static final PartId TANK = PartId.of("fore");
  static final PartId VALVE = PartId.of("frost-motor");

  final DemoRig demo = DemoRig.called("tern");
  final Network network = Network.of(demo.rig());
  private final List<Signal> signals = new ArrayList<>();
  private Optional<LiveRig> live = Optional.empty();
  Now now = new Now(Instant.parse("2026-05-01T08:00:00Z"), 1000);
  State state = demo.state();

  LiveBench with(String name, SignalKind kind, Where where, String id) {
    return with(name, kind, where, id, Signal.As.VOLUME, 0.001, "");
  }

  LiveBench with(
      String name,
      SignalKind kind,
      Where where,
      String id,
      Signal.As as,
      double scale,
      String pointer) {
    boolean scaled = kind == SignalKind.LEVEL;
    signals.add(
        new Signal(
            name,
            kind,
            new Subject(where, id.isEmpty() ? PlaceId.NONE : demo.rig().element(id)),
            as,
            kind == SignalKind.SWITCH ? Optional.of(0.3) : Optional.empty(),
            "",
            new Source("van/" + name, pointer, scaled ? scale : 1, 0),
            Optional.empty()));
    return this;
  }

  /** A sensor of the air at a place, with the marks at which it calls (°C). */
  LiveBench withMarks(String name, PlaceId place, double above, double below) {
    signals.add(
        new Signal(
            name,
            SignalKind.TEMPERATURE,
            new Subject(Where.PLACE, place),
            Signal.As.VOLUME,
            Optional.empty(),
            "",
            new Source("van/" + name, "", 1, 0),
            Optional.empty(),
            new Signal.Marks(Optional.of(above), Optional.of(below))));
    return this;
  }

  LiveBench withMotor(String name, PartId part) {
    signals.add(
        new Signal(
            name,
            SignalKind.POSITION,
            new Subject(Where.PART, part),
            Signal.As.VOLUME,
            Optional.empty(),
            "",
            new Source("van/" + name, "", 1, 0),
            Optional.of(
                new Drive(
                    "van/" + name + "/set",
                    Map.of(PositionId.of("open"), "OPEN", PositionId.of("shut"), "CLOSE"),
                    PositionId.NONE))));
    return this;
  }

  LiveRig live() {
    if (live.isEmpty()) {
      live = Optional.of(LiveRig.of(network, Hazards.of(network), signals));
    }
    return live.get();
  }

  double capacity() {
    return network.room(TANK).capacity();
  }

  /** Lets so many seconds go by. */
  void later(double seconds) {
    now = now.plus(seconds);
  }

  Optional<Value> say(String name, String message) {
    return live().take(name, message, false, Slope.LEVEL, now);
  }

  /** Says the same once a second. */
  void keepSaying(String name, String message, int seconds) {
    for (int i = 0; i < seconds; i++) {
      say(name, message);
      later(1);
    }
  }

  LiveRig.Told told(String name) {
    return live().told(name, now).orElseThrow();
  }

  double amount(String name) {
    return ((Value.Amount) told(name).value().orElseThrow()).amount();
  }

  List<AlarmCode> causes() {
    return live().causes(state, now).stream().map(AlarmCause::code).toList();
  }
}
