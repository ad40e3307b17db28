package fernwort.core.build.joints;

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

  /** Returns all ends of a rig, line by line, each from its first end on. */
  public static List<JointEnds> of(Rig rig) {
    List<JointEnds> all = new ArrayList<>();
    for (Line line : rig.lines()) {
      all.add(of(rig, line, line.from()));
      all.add(of(rig, line, line.to()));
    }
    return all;
  }

  private static JointEnds of(Rig rig, Line line, PortRef at) {
    Part part = rig.part(at.part());
    var joint = rig.built().joint(at);
    return new JointEnds(
        line,
        at,
        joint
            .flatMap(j -> j.port())
            .orElseGet(() -> new Connection(usualPort(part, at.port(), line))),
        joint.flatMap(j -> j.line()).orElseGet(() -> new Connection(usualEnd(line))),
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

  /** Returns what the cut end of such a line is. */
  public static Form usualEnd(Line line) {
    return switch (line.material().cutEnd()) {
      case TUBE -> new Connection.TubeEnd(Sizes.tubeFor(line.bore()));
      case HOSE -> new Connection.HoseEnd(line.bore());
      case SPIGOT -> new Connection.Spigot(Plastic.PVC, Sizes.pipeFor(line.bore()));
    };
  }

  /** Returns what grips the cut end of such a line without anything between. */
  public static Form gripping(Line line) {
    return switch (usualEnd(line)) {
      case Connection.TubeEnd t -> new Connection.TubeSocket(t.outside(), false);
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
  public static Form usualPort(Part part, String port, Line line) {
    double bore = line.bore();
    return switch (part.kind().end(port)) {
      case BULKHEAD ->
          new Connection.Bulkhead(
              Standard.BSP_PARALLEL,
              Sizes.threadFor(Standard.BSP_PARALLEL, part.kind().bore(port).orElse(bore)));
      case THREAD -> thread(Math.max(bore, APPLIANCE), Gender.MALE);
      case TAP_THREAD -> thread(APPLIANCE, Gender.MALE);
      case FEMALE_THREAD -> thread(bore, Gender.FEMALE);
      case GRIPS_LINE -> gripping(line);
      case OPEN -> new Connection.Open();
    };
  }

  private static Form thread(double bore, Gender gender) {
    return new Connection.Thread(
        Standard.BSP_PARALLEL, Sizes.threadFor(Standard.BSP_PARALLEL, bore), gender);
  }
}
