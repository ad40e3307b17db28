package fernwort.core.hydraulics;

import static fernwort.core.Reference.number;

import fernwort.core.describe.Fittings;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Rigs of a few parts, for the cases whose answers were worked out independently. */
public final class CaseRigs {

  private CaseRigs() {}

  /** Starts a rig in one place. */
  public static RigBuilder rig() {
    return RigBuilder.named("Case")
        .vehicle(
            new Vehicle(
                Vehicle.Body.VAN,
                -1,
                4,
                2,
                0.6,
                2.6,
                0.2,
                List.of(new Axle("rear", 0, 2000, 1200)),
                Optional.empty()))
        .place("box", "Box", "reach in", 0, 0, 1);
  }

  /** A tank half a metre square and tall: a centimetre is two and a half litres. */
  public static Kind tank() {
    return tank(0.25);
  }

  /** A tank half a metre tall of some plan area (m²), with ports low, at 0.2 m and at 0.48 m. */
  public static Kind tank(double area) {
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(area / 0.5, 0.5, 0.5),
        0,
        Fittings.stick(0.1, 0.1),
        Fittings.port(PortId.of("low"), TankPort.Use.FEED, 0.1, 0.1, 0),
        Fittings.port(PortId.of("high"), TankPort.Use.VENT, 0.1, 0.1, 0.2),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
  }

  /** Adds an open vent to a tank that is called like its id. */
  public static RigBuilder vented(RigBuilder rig, PartId tank, double height) {
    return rig.part(tank + "-air", "Air", 0.1, 0.1, height + 0.6, Fittings.end(OpenEnd.Role.VENT))
        .line(
            tank + "-vent",
            "Vent",
            tank + ".vent > " + tank + "-air.in",
            19,
            0.3,
            Line.Material.PVC_HOSE,
            1);
  }

  /** Returns a rig with one line of the figures of a case. */
  public static Rig withPipe(Rig rig, LineId id, JsonNode c) {
    List<Line> lines =
        rig.lines().stream()
            .map(l ->
                l.id().equals(id)
                    ? new Line(
                        l.id(),
                        l.label(),
                        l.from(),
                        l.to(),
                        number(c, "bore_m"),
                        number(c, "length_m"),
                        l.material(),
                        number(c, "k_sum"),
                        l.profile())
                    : l)
            .toList();
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), rig.parts(), lines);
  }
}
