package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Motor;
import java.util.List;
import java.util.Optional;

/** A valve between three ports. */
public record ThreeWayValve(List<Stop> stops, Optional<Motor> motor, Optional<Design> design)
    implements Valve {
  public ThreeWayValve {
    stops = List.copyOf(stops);
  }

  /** Makes a valve of which nobody said what shuts it. */
  public ThreeWayValve(List<Stop> stops, Optional<Motor> motor) {
    this(stops, motor, Optional.empty());
  }

  @Override
  public InLine inLine() {
    return InLine.SELECTS;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.A, PortId.B, PortId.C);
  }

  @Override
  public String figure() {
    return "valve";
  }

  @Override
  public boolean meets() {
    return true;
  }

  @Override
  public Valve with(List<Stop> stops, Optional<Motor> motor, Optional<Design> design) {
    return new ThreeWayValve(stops, motor, design);
  }
}
