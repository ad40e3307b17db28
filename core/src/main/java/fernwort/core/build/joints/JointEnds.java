package fernwort.core.build.joints;

import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/**
 * What meets where: each end of each line with the port it goes to, as described or as usual.
 *
 * @param line the line
 * @param at the port
 * @param port what the port offers
 * @param end what the end of the line offers
 * @param portUsual whether that of the port is only usual for its kind
 * @param endUsual whether that of the line is only usual for its material
 */
public record JointEnds(
    Line line, PortRef at, Connection port, Connection end, boolean portUsual, boolean endUsual) {

  /** Appliances have threads no smaller than this bore asks for (m). */
  private static final double APPLIANCE = 0.013;

  /** Returns all ends of a rig, line by line, each from its first end on, in metric sizes. */
  public static List<JointEnds> of(Rig rig) {
    return of(rig, Region.METRIC);
  }

  /**
   * Returns all ends of a rig, line by line, each from its first end on.
   *
   * @param region whose sizes are usual where nobody said what an end has
   */
  public static List<JointEnds> of(Rig rig, Region region) {
    List<JointEnds> all = new ArrayList<>();
    for (Line line : rig.lines()) {
      all.add(of(rig, line, line.from(), region));
      all.add(of(rig, line, line.to(), region));
    }
    return all;
  }

  private static JointEnds of(Rig rig, Line line, PortRef at, Region region) {
    Part part = rig.part(at.part());
    var joint = rig.built().joint(at);
    return new JointEnds(
        line,
        at,
        joint
            .flatMap(j -> j.port())
            .orElseGet(() -> new Connection(usualPort(part, at.port(), line, region))),
        joint.flatMap(j -> j.line()).orElseGet(() -> new Connection(usualEnd(line, region))),
        joint.flatMap(j -> j.port()).isEmpty(),
        joint.flatMap(j -> j.line()).isEmpty());
  }

  /**
   * Tells whether it is worth a look: nobody said what the port of an appliance has, and that
   * decides what to buy.
   *
   * @param rig the rig it is in
   */
  public boolean isAsked(Rig rig) {
    return portUsual && rig.part(at.part()).kind().appliance();
  }

  /** Waste pipe in inches is ABS from this bore on, and PVC below (m). */
  private static final double WASTE = 0.03;

  /** Returns what the cut end of such a line is. */
  public static Form usualEnd(Line line, Region region) {
    return switch (line.material().cutEnd()) {
      case TUBE -> new Connection.TubeEnd(Sizes.tubeFor(line.bore(), region));
      case HOSE -> new Connection.HoseEnd(Sizes.hoseFor(line.bore(), region));
      case SPIGOT ->
          new Connection.Spigot(
              region == Region.US && line.bore() > WASTE ? Plastic.ABS : Plastic.PVC,
              Sizes.pipeFor(line.bore(), region));
    };
  }

  /** Returns what grips the cut end of such a line without anything between. */
  public static Form gripping(Line line, Region region) {
    boolean crimped = region == Region.US && line.material() == Line.Material.PEX;
    return switch (usualEnd(line, region)) {
      case Connection.TubeEnd t -> new Connection.TubeSocket(t.outside(), crimped);
      case Connection.HoseEnd h -> new Connection.HoseTail(h.bore());
      case Connection.Spigot s -> new Connection.Socket(s.plastic(), s.nominal());
      case Connection.Thread _,
          Connection.Bulkhead _,
          Connection.HoseTail _,
          Connection.TubeSocket _,
          Connection.Socket _,
          Connection.Grommet _,
          Connection.Open _ ->
          new Connection.Open();
    };
  }

  /** Returns what such a port has on a line of this bore, unless somebody says otherwise. */
  public static Form usualPort(Part part, PortId port, Line line, Region region) {
    double bore = line.bore();
    return switch (part.kind().end(port)) {
      case BULKHEAD ->
          new Connection.Bulkhead(
              region.thread(),
              Sizes.threadFor(region.thread(), part.kind().bore(port).orElse(bore)));
      case THREAD -> thread(region.thread(), Math.max(bore, APPLIANCE), Gender.MALE);
      case TAP_THREAD -> thread(region.tapThread(), APPLIANCE, Gender.MALE);
      case FEMALE_THREAD -> thread(region.thread(), bore, Gender.FEMALE);
      case GRIPS_LINE -> gripping(line, region);
      case OPEN -> new Connection.Open();
    };
  }

  private static Form thread(Standard standard, double bore, Gender gender) {
    return new Connection.Thread(standard, Sizes.threadFor(standard, bore), gender);
  }
}
