package fernwort.core.review;

import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.tank.TankRoom;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Tanks of lobes that meet only higher up: a lobe without an opening keeps its water, and two that
 * each have one run out one by one unless a line joins them.
 */
final class LobeCheck implements LayoutCheck {

  private static final double SHARE_WORTH_SAYING = 0.02;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.network().tanks()) {
      TankRoom room = plan.network().room(part.id());
      for (TankRoom.Kept kept : room.kept(Slope.LEVEL)) {
        if (kept.volume() > SHARE_WORTH_SAYING * room.capacity()) {
          found.add(keeps(part, room, kept));
        }
      }
      apart(plan, part, room).ifPresent(found::add);
    }
  }

  private static Finding keeps(Part part, TankRoom room, TankRoom.Kept kept) {
    String lobe = where(kept.middle(), middle(room));
    return new Finding(
        Finding.Code.LOBE_KEEPS,
        Finding.Risk.LOSS,
        Says.ITS_LOBE_HAS_NO_OUTLET.with(part.label(), lobe),
        Says.WATER_GETS_OUT_OF_THAT_LOBE_ONLY.with(),
        Says.OF_THE_TANK_IS_NEVER_DRAWN_NOR.with(
            Amount.volume(kept.volume()), Amount.share(kept.volume() / room.capacity())),
        Says.FIT_AN_OUTLET_AT_THE_BOTTOM.with(lobe),
        List.of(part.id()),
        Optional.empty());
  }

  private static Point middle(TankRoom room) {
    return room.centroid(room.highest(Slope.LEVEL), Slope.LEVEL);
  }

  /** Names a lobe by the side of the tank it is on. */
  private static String where(Point lobe, Point middle) {
    double ahead = lobe.x() - middle.x();
    double left = lobe.y() - middle.y();
    if (Math.abs(ahead) >= Math.abs(left)) {
      return ahead > 0 ? "front" : "rear";
    }
    return left > 0 ? "left" : "right";
  }

  private static Optional<Finding> apart(Plumbed plan, Part part, TankRoom room) {
    List<TankPort> outlets = new ArrayList<>(plan.network().joined(part).tankPorts());
    outlets.removeIf(p -> p.use() != TankPort.Use.FEED && p.use() != TankPort.Use.DRAIN);
    for (TankPort one : outlets) {
      for (TankPort other : outlets) {
        if (one.use() == TankPort.Use.FEED
            && room.parted(one, other, Slope.LEVEL)
            && !reaches(plan, part, one)) {
          return Optional.of(apart(part, room, one, other));
        }
      }
    }
    return Optional.empty();
  }

  /** Tells whether water from an outlet comes to another of the same tank through lines alone. */
  private static boolean reaches(Plumbed plan, Part part, TankPort outlet) {
    return plan.free()
        .behind(part.id(), outlet.id(), LobeCheck::drives, p -> p.id().equals(part.id()))
        .isPresent();
  }

  private static boolean drives(Part part) {
    return part.kind().is(Purpose.PUMPS) || part.kind().is(Purpose.CUTS);
  }

  private static Finding apart(Part part, TankRoom room, TankPort one, TankPort other) {
    Point middle = middle(room);
    return new Finding(
        Finding.Code.LOBES_APART,
        Finding.Risk.LOSS,
        Says.NOTHING_JOINS_ITS_LOBES_BELOW.with(part.label()),
        Says.THE_OUTLET_LETS_OUT_THE_LOBE.with(
            one.id(), where(one.at(), middle), other.id(), where(other.at(), middle)),
        Says.THE_TAPS_RUN_DRY_WHILE.with(),
        Says.JOIN_THE_TWO_OUTLETS_BY_A_TEE.with(),
        List.of(part.id()),
        Optional.empty());
  }
}
