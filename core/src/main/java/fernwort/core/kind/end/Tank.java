package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Shop;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A tank.
 *
 * @param contents the water it is meant for
 * @param shape outside shape
 * @param wall wall thickness (m)
 * @param tankPorts its openings
 * @param gauge how its level is read
 * @param highestPressure the air pressure at which to warn; a cautious default unless known (Pa)
 * @param lowestPressure the vacuum at which to warn, as a negative number (Pa)
 */
public record Tank(
    Contents contents,
    Shape shape,
    double wall,
    List<TankPort> tankPorts,
    Gauge gauge,
    double highestPressure,
    double lowestPressure)
    implements Kind {

  private static final Purposes PURPOSES = Purposes.of(Purpose.SOURCE, Purpose.END, Purpose.HOLDS);

  public Tank {
    tankPorts = List.copyOf(tankPorts);
  }

  @Override
  public List<PossibleFault> faults() {
    return List.of(
        new PossibleFault(FaultKind.EMPTIER, 3),
        new PossibleFault(FaultKind.FULLER, 1.5),
        new PossibleFault(FaultKind.GAUGE_STUCK, 1));
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    return IntStream.range(0, tankPorts.size())
        .mapToObj(port -> new Mouth(port, Mouth.Onto.TANK))
        .toList();
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public PortFlow flow(PortId port) {
    return switch (port(port).use()) {
      case FILL, FLOAT -> PortFlow.IN;
      case FEED, DRAIN -> PortFlow.OUT;
      case VENT, GAUGE, LINK -> PortFlow.EITHER;
    };
  }

  @Override
  public Frost frost() {
    return Frost.NOTHING;
  }

  @Override
  public boolean forDrinking() {
    return contents == Contents.FRESH;
  }

  @Override
  public List<PortId> ports() {
    return tankPorts.stream().map(TankPort::id).toList();
  }

  /** Returns this tank in another shape. */
  public Tank shaped(Shape other) {
    return new Tank(contents, other, wall, tankPorts, gauge, highestPressure, lowestPressure);
  }

  /** Returns this tank with other openings. */
  public Tank withPorts(List<TankPort> ports) {
    return new Tank(contents, shape, wall, ports, gauge, highestPressure, lowestPressure);
  }

  /** Returns the port with this id. */
  public TankPort port(PortId id) {
    return tankPorts.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no tank port \"" + id + "\""));
  }

  @Override
  public Keeps keeps() {
    return Keeps.ALL;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.BULKHEAD;
  }

  @Override
  public boolean appliance() {
    return true;
  }

  @Override
  public List<String> takenOut() {
    return contents == Contents.GRAY ? List.of(KindWords.GLOVES.text()) : List.of();
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, KindWords.TANK.with(label), false);
  }

  @Override
  public List<Care> care(String label) {
    List<Care> care = new ArrayList<>();
    if (contents == Contents.FRESH) {
      care.add(Care.of(KindWords.SANITIZE.with(label), Care.HALF_A_YEAR));
    }
    if (gauge.showsSteps()) {
      care.add(Care.of(KindWords.CHECK_GAUGE.with(label), Care.HALF_A_YEAR).ofTheGauge());
    }
    return care;
  }

  @Override
  public Optional<Double> bore(PortId port) {
    return opening(port).flatMap(TankPort::bore);
  }

  @Override
  public String usuallyAt(PortId port) {
    boolean fresh = contents == Contents.FRESH;
    return switch (port(port).use()) {
      case VENT -> "vent";
      case FILL, FLOAT -> fresh ? "filler" : "trap";
      case DRAIN -> fresh ? "cap" : "valve";
      case FEED, GAUGE, LINK -> "valve";
    };
  }

  @Override
  public String figure() {
    return "tank";
  }

  @Override
  public Optional<Contents> contained() {
    return Optional.of(contents);
  }
}
