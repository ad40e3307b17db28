package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Motor;
import java.util.List;
import java.util.Optional;

/** A valve between two ports. */
public record TwoWayValve(List<Stop> stops, Optional<Motor> motor, Optional<Design> design)
    implements Valve {
  public TwoWayValve {
    stops = List.copyOf(stops);
  }

  /** Makes a valve of which nobody said what shuts it. */
  public TwoWayValve(List<Stop> stops, Optional<Motor> motor) {
    this(stops, motor, Optional.empty());
  }

  @Override
  public InLine inLine() {
    return InLine.PASSED;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.A, PortId.B);
  }

  /** Half way where a ball can be left so, else open. */
  @Override
  public Optional<PositionId> drained() {
    boolean own = stops.stream().anyMatch(s -> s.id().equals(HALF));
    return own || motor.isEmpty() && !service().isEmpty()
        ? Optional.of(HALF)
        : opened().map(Stop::id);
  }

  @Override
  public String figure() {
    return motor.isPresent() ? "motor" : "valve";
  }

  @Override
  public Valve with(List<Stop> stops, Optional<Motor> motor, Optional<Design> design) {
    return new TwoWayValve(stops, motor, design);
  }
}
