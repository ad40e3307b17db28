package fernwort.core.build.mount;

import fernwort.core.build.joints.JointEnds;
import fernwort.core.describe.TankResize;
import fernwort.core.id.PartId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Made;
import fernwort.core.kind.Connection.Seal;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.rig.Built;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.TankSupport;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a rig is put together by somebody who did it well: described ends at tanks, pumps, inlets and
 * heaters, and supports that hold each tank.
 */
public final class UsualBuild {

  /** How far in the outer trays stand (share of the length); own choice. */
  private static final double TRAY_IN = 0.15;

  /** How far in the supports of a shelf stand (share of the length); own choice. */
  private static final double SHELF_IN = 0.2;

  /** A bolt M8 of 8.8 in good steel, a tenth of what breaks it, in thin sheet with a plate (N). */
  public static final double PULL = 2000;

  /** The same across it (N). */
  public static final double SHEAR = 1500;

  private static final double TRAY = 0.2;
  private static final int MOST_BOLTS = 8;

  private UsualBuild() {}

  /** Returns the rig so put together; what was described of it stays. */
  public static Rig on(Rig rig) {
    List<Joint> joints = new ArrayList<>(rig.built().joints());
    for (JointEnds ends : JointEnds.of(rig)) {
      Part part = rig.part(ends.at().part());
      boolean known = rig.built().joint(ends.at()).isPresent();
      if (!known && isDescribed(part)) {
        joints.add(
            new Joint(
                ends.at(),
                Optional.of(
                    new Connection(
                        ends.port().form(), Optional.of(Made.PLASTIC), seal(ends.port().form()))),
                Optional.empty()));
      }
    }
    List<TankSupport> supports = new ArrayList<>(rig.built().supports());
    rig.tanks()
        .filter(t -> rig.built().supports(t.id()).isEmpty())
        .forEach(t -> supports.addAll(supports(rig, t)));
    return rig.with(new Built(joints, supports));
  }

  private static boolean isDescribed(Part part) {
    return part.kind().is(Purpose.HOLDS)
        || part.kind().is(Purpose.PUMPS)
        || part.kind().is(Purpose.INLET)
        || part.kind().is(Purpose.HEATS);
  }

  private static Optional<Seal> seal(Connection.Form form) {
    return form instanceof Connection.Open
        ? Optional.empty()
        : Optional.of(form instanceof Connection.Bulkhead ? Seal.O_RING : Seal.FLAT_WASHER);
  }

  /** Inside on a shelf, under the floor in trays; as many bolts as hold. */
  private static List<TankSupport> supports(Rig rig, Part tank) {
    Tank kind = (Tank) tank.kind();
    double length = TankResize.length(kind);
    boolean under = tank.height() < rig.vehicle().floor();
    TankSupport.Type type = under ? TankSupport.Type.BOX : TankSupport.Type.SHELF;
    double[] along =
        under
            ? new double[] {TRAY_IN * length, length / 2, (1 - TRAY_IN) * length}
            : new double[] {SHELF_IN * length, (1 - SHELF_IN) * length};
    double mass = 1060 * length * TankResize.width(kind) * TankResize.height(kind);
    for (int bolts = 2; bolts < MOST_BOLTS; bolts++) {
      List<TankSupport> supports = supports(tank.id(), type, along, bolts);
      Hanging hung =
          Hanging.of(
              mass,
              length / 2,
              TankResize.height(kind) / 2,
              TankResize.height(kind),
              TankResize.width(kind),
              supports,
              Hanging.Moving.USUAL);
      if (hung.loads().stream().allMatch(Hanging.Load::holds)) {
        return supports;
      }
    }
    return supports(tank.id(), type, along, MOST_BOLTS);
  }

  private static List<TankSupport> supports(
      PartId tank, TankSupport.Type type, double[] along, int bolts) {
    List<TankSupport> supports = new ArrayList<>();
    for (double at : along) {
      supports.add(new TankSupport(tank, type, at, TRAY, bolts, PULL, SHEAR));
    }
    return supports;
  }
}
