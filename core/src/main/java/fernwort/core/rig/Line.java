package fernwort.core.rig;

import fernwort.core.id.LineId;
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
    LineId id,
    String label,
    PortRef from,
    PortRef to,
    double bore,
    double length,
    Material material,
    double minorLoss,
    List<ProfilePoint> profile,
    Optional<Double> insulation) {

  /**
   * Makes a line without insulation.
   *
   * @param bore inside diameter (m)
   * @param length length (m)
   * @param minorLoss loss coefficient of bends and fittings, by the velocity head (1)
   */
  public Line(
      LineId id,
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

  /** Moody's (1944) roughness of drawn tubing, which extruded walls have too (m). */
  private static final double DRAWN = 1.5e-6;

  /** That of a commercial finish: stainless tube, silicone hose (m). */
  private static final double COMMERCIAL = 3e-6;

  /**
   * What a line is made of, with what such lines bear at 20 °C where their print says nothing else
   * (our estimate, the lower of usual ratings), and whether ice may stretch them.
   */
  public enum Material {
    PEX("PEX", 6e5, true, DRAWN, 0.0018, 0.40, CutEnd.TUBE),
    POLYETHYLENE("polyethylene", 6e5, true, DRAWN, 0.0018, 0.40, CutEnd.TUBE),
    PVC_HOSE(Says.PVC_HOSE.text(), 3e5, true, DRAWN, 0.003, 0.17, CutEnd.HOSE),
    SILICONE_HOSE(Says.SILICONE_HOSE.text(), 1.5e5, true, COMMERCIAL, 0.003, 0.20, CutEnd.HOSE),
    RIGID_PVC(Says.RIGID_PVC.text(), 6e5, false, DRAWN, 0.0025, 0.17, CutEnd.SPIGOT),
    COPPER("copper", 10e5, false, DRAWN, 0.001, 390, CutEnd.TUBE),
    STAINLESS("stainless", 10e5, false, COMMERCIAL, 0.001, 15, CutEnd.TUBE);

    private final String words;
    private final double bears;
    private final boolean stretches;
    private final double roughness;
    private final double wall;
    private final double conductivity;
    private final CutEnd cutEnd;

    Material(
        String words,
        double bears,
        boolean stretches,
        double roughness,
        double wall,
        double conductivity,
        CutEnd cutEnd) {
      this.words = words;
      this.bears = bears;
      this.stretches = stretches;
      this.roughness = roughness;
      this.wall = wall;
      this.conductivity = conductivity;
      this.cutEnd = cutEnd;
    }

    /** Returns what people call it. */
    public String words() {
      return words;
    }

    /** Returns the gauge pressure that such a line bears (Pa); usual ratings. */
    public double bears() {
      return bears;
    }

    /** Tells whether it stretches when a pocket in it freezes, and seldom splits. */
    public boolean stretches() {
      return stretches;
    }

    /** Returns the roughness of a new wall (m); Moody (1944). */
    public double roughness() {
      return roughness;
    }

    /** Returns how thick its wall usually is (m). */
    public double wall() {
      return wall;
    }

    /** Returns the conductivity of its wall (W/(m K)). */
    public double conductivity() {
      return conductivity;
    }

    /** Returns what it is where it is cut. */
    public CutEnd cutEnd() {
      return cutEnd;
    }

    /** Tells whether it comes in sticks and not in coils. */
    public boolean isRigid() {
      return !stretches;
    }
  }

  /** What the cut end of a line is to a fitting. */
  public enum CutEnd {
    TUBE,
    HOSE,
    SPIGOT
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

  /**
   * Returns this line with another sum of loss coefficients.
   *
   * @param changed another loss coefficient (1)
   */
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
