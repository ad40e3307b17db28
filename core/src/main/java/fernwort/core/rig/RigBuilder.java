package fernwort.core.rig;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.ProfilePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Describes a rig step by step, in the units people measure with: metres for places, millimetres
 * for bores, litres for volumes. {@link #build} checks it.
 */
public final class RigBuilder {

  private final String name;
  private String note = "";
  private Optional<Vehicle> vehicle = Optional.empty();
  private final List<Place> places = new ArrayList<>();
  private final List<Part> parts = new ArrayList<>();
  private final List<Line> lines = new ArrayList<>();

  private RigBuilder(String name) {
    this.name = name;
  }

  /** Starts a rig with this name. */
  public static RigBuilder named(String name) {
    return new RigBuilder(name);
  }

  /** Adds what else is worth knowing. */
  public RigBuilder note(String text) {
    note = text;
    return this;
  }

  /** Sets the vehicle. */
  public RigBuilder vehicle(Vehicle value) {
    vehicle = Optional.of(value);
    return this;
  }

  /**
   * Adds a place; centre in metres.
   *
   * @param x ahead of the rear axle (m)
   * @param y to the left of the middle (m)
   * @param z above the ground (m)
   */
  public RigBuilder place(String id, String label, String reach, double x, double y, double z) {
    places.add(new Place(PlaceId.of(id), label, reach, x, y, z));
    return this;
  }

  /**
   * Adds a part to the place added last, at this place of the vehicle (m), its body dry.
   *
   * @param x ahead of the rear axle (m)
   * @param y to the left of the middle (m)
   * @param height above the ground (m)
   */
  public RigBuilder part(String id, String label, double x, double y, double height, Kind kind) {
    return part(id, label, x, y, height, 0, kind);
  }

  /**
   * Adds a part whose body holds some litres.
   *
   * @param x ahead of the rear axle (m)
   * @param y to the left of the middle (m)
   * @param height above the ground (m)
   * @param litres what its body holds (L)
   */
  public RigBuilder part(
      String id, String label, double x, double y, double height, double litres, Kind kind) {
    PlaceId place = places.isEmpty() ? PlaceId.NONE : places.getLast().id();
    parts.add(new Part(PartId.of(id), label, place, x, y, height, litres / 1000, kind));
    return this;
  }

  /**
   * Adds a line.
   *
   * @param ends both ends as {@code part.port > part.port}
   * @param bore bore (mm)
   * @param length length (m)
   * @param material wall
   * @param minorLoss sum of the loss coefficients of its fittings (1)
   * @param profile along, height, along, height … (m)
   */
  public RigBuilder line(
      String id,
      String label,
      String ends,
      double bore,
      double length,
      Line.Material material,
      double minorLoss,
      double... profile) {
    String[] both = ends.split(" > ");
    List<ProfilePoint> points = new ArrayList<>();
    for (int i = 0; i + 1 < profile.length; i += 2) {
      points.add(new ProfilePoint(profile[i], profile[i + 1]));
    }
    lines.add(
        new Line(
            LineId.of(id),
            label,
            port(both[0]),
            port(both[1]),
            bore / 1000,
            length,
            material,
            minorLoss,
            points));
    return this;
  }

  private static PortRef port(String text) {
    int dot = text.lastIndexOf('.');
    return new PortRef(PartId.of(text.substring(0, dot)), PortId.of(text.substring(dot + 1)));
  }

  /**
   * Returns the rig.
   *
   * @throws InvalidRigException with every fault, when it is no sound rig
   */
  public Rig build() {
    return new Rig(
        name,
        note,
        vehicle.orElseThrow(() ->
            new InvalidRigException(
                List.of(
                    new Problem(
                        Says.THE_RIG.text(),
                        Says.IT_HAS_NO_VEHICLE.text(),
                        Says.DESCRIBE_ONE.text())))),
        places,
        parts,
        lines);
  }
}
