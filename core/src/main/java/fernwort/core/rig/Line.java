package fernwort.core.rig;

import fernwort.core.kind.ProfilePoint;
import java.util.List;
import java.util.Optional;

/**
 * A hose or pipe between two ports.
 *
 * @param id unique name within the rig
 * @param label what its tag says
 * @param from one end
 * @param to the other end
 * @param bore inner diameter (m)
 * @param length length along the run (m)
 * @param material wall material, which sets the roughness
 * @param minorLoss sum of the loss coefficients of elbows and fittings (1)
 * @param profile heights along the run where it rises above or sags below its ends
 * @param insulation thickness of the insulation round it (m), if it has any
 */
public record Line(
    String id,
    String label,
    PortRef from,
    PortRef to,
    double bore,
    double length,
    Material material,
    double minorLoss,
    List<ProfilePoint> profile,
    Optional<Double> insulation) {

  /** Makes a line without insulation. */
  public Line(
      String id,
      String label,
      PortRef from,
      PortRef to,
      double bore,
      double length,
      Material material,
      double minorLoss,
      List<ProfilePoint> profile) {
    this(id, label, from, to, bore, length, material, minorLoss, profile, Optional.empty());
  }

  /**
   * What a line is made of, with what such lines bear at 20 °C where their print says nothing else
   * (our estimate, the lower of usual ratings), and whether ice may stretch them.
   */
  public enum Material {
    PEX(6e5, true),
    POLYETHYLENE(6e5, true),
    PVC_HOSE(3e5, true),
    SILICONE_HOSE(1.5e5, true),
    RIGID_PVC(6e5, false),
    COPPER(10e5, false),
    STAINLESS(10e5, false);

    private final double bears;
    private final boolean stretches;

    Material(double bears, boolean stretches) {
      this.bears = bears;
      this.stretches = stretches;
    }

    /** Returns the gauge pressure that such a line bears (Pa). */
    public double bears() {
      return bears;
    }

    /** Tells whether it stretches when a pocket in it freezes, and seldom splits. */
    public boolean stretches() {
      return stretches;
    }
  }

  public Line {
    profile = List.copyOf(profile);
  }

  /** Returns this line with another course. */
  public Line along(List<ProfilePoint> changed) {
    return new Line(id, label, from, to, bore, length, material, minorLoss, changed, insulation);
  }

  /** Returns this line with another bore (m). */
  public Line ofBore(double changed) {
    return new Line(id, label, from, to, changed, length, material, minorLoss, profile, insulation);
  }

  /** Returns this line with another sum of loss coefficients. */
  public Line losing(double changed) {
    return new Line(id, label, from, to, bore, length, material, changed, profile, insulation);
  }

  /** Returns this line so many times as long, its rises and sags along with it. */
  public Line stretched(double times) {
    List<ProfilePoint> course =
        profile.stream().map(p -> new ProfilePoint(p.along() * times, p.height())).toList();
    return new Line(
        id, label, from, to, bore, length * times, material, minorLoss, course, insulation);
  }

  /** Returns the same line told from its other end. */
  public Line turned() {
    List<ProfilePoint> back =
        profile.reversed().stream()
            .map(p -> new ProfilePoint(length - p.along(), p.height()))
            .toList();
    return new Line(id, label, to, from, bore, length, material, minorLoss, back, insulation);
  }

  /** Returns the water this line holds when full (m³). */
  public double volume() {
    return Math.PI / 4 * bore * bore * length;
  }

  /** Returns the end that is not the given one. */
  public PortRef other(PortRef end) {
    return end.equals(from) ? to : from;
  }
}
