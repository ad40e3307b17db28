package fernwort.core.review;

import fernwort.core.describe.RigEdit;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Outlets at the very bottom, where sediment lies, or so high that they strand much. */
final class OutletCheck implements LayoutCheck {

  /** Sediment settles about so thick between cleanings; an estimate (m). */
  private static final double SEDIMENT = 0.008;

  private static final double SHARE_WORTH_SAYING = 0.12;

  /** What strands less than this share of what is worth saying is well within; own choice. */
  private static final double WELL_WITHIN = 0.9;

  /** Nobody drills anew for less (m); own choice. */
  private static final double WORTH_A_HOLE = 0.005;

  /** Two heights are one within so much (m). */
  private static final double SAME = 1e-9;

  /** A height that clears sediment and strands little (m). */
  private static final double GOOD = 0.02;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.network().tanks()) {
      if (part.kind().holds(Contents.FRESH)) {
        for (TankPort port : plan.network().joined(part).tankPorts()) {
          if (port.use() == TankPort.Use.FEED) {
            look(plan, part, port, found);
          }
        }
      }
    }
  }

  private static void look(Plumbed plan, Part part, TankPort port, List<Finding> found) {
    TankRoom room = plan.network().room(part.id());
    double floor = room.lowest(Slope.LEVEL);
    double above = port.at().z() - floor;
    double kept = room.kept(Slope.LEVEL).stream().mapToDouble(TankRoom.Kept::volume).sum();
    double stranded = room.volumeBelow(port.at(), Slope.LEVEL) - kept;
    double better = better(room, floor, kept);
    if (above < SEDIMENT - SAME) {
      found.add(
          new Finding(
              Finding.Code.OUTLET_LOW,
              Finding.Risk.BOTHER,
              Says.ITS_OUTLET_LIES_ABOVE_THE_FLOOR.with(part.label(), Amount.length(above)),
              Says.IT_DRAWS_IN_WHATEVER_HAS_SETTLED.with(),
              Says.FILTERS_CLOG_EARLY_GRIT_REACHES.with(),
              Says.RAISE_IT_TO_ABOUT_OR_STRAIN.with(Amount.length(better)),
              List.of(part.id()),
              Optional.of(move(part, port, floor + better))));
    } else if (stranded > SHARE_WORTH_SAYING * room.capacity() && above > better + WORTH_A_HOLE) {
      found.add(
          new Finding(
              Finding.Code.OUTLET_HIGH,
              Finding.Risk.LOSS,
              Says.ITS_OUTLET_LIES_ABOVE_THE_FLOOR.with(part.label(), Amount.length(above)),
              Says.WATER_BELOW_THE_OUTLET.with(),
              Says.OF_THE_TANK_IS_STRANDED_ON_LEVEL.with(
                  Amount.volume(stranded), Amount.share(stranded / room.capacity())),
              Says.LOWER_IT_TO_ABOUT_ABOVE.with(Amount.length(better)),
              List.of(part.id()),
              Optional.of(move(part, port, floor + better))));
    }
  }

  /**
   * A height over the floor that clears sediment and, in a shallow tank too, strands little (m).
   */
  private static double better(TankRoom room, double floor, double kept) {
    double strands = room.level(kept + SHARE_WORTH_SAYING * room.capacity(), Slope.LEVEL) - floor;
    return Math.clamp(WELL_WITHIN * strands, SEDIMENT, GOOD);
  }

  private static UnaryOperator<Rig> move(Part part, TankPort port, double z) {
    return rig -> RigEdit.of(rig).change(part.id(), p -> movePort(p, port.id(), z));
  }

  /** Returns a tank with one of its ports at another height over its inside corner (m). */
  static Part movePort(Part part, PortId port, double z) {
    if (!(part.kind() instanceof Tank tank)) {
      return part;
    }
    return part.with(
        tank.withPorts(
            tank.tankPorts().stream()
                .map(p -> p.id().equals(port) ? p.movedTo(new Point(p.at().x(), p.at().y(), z)) : p)
                .toList()));
  }
}
