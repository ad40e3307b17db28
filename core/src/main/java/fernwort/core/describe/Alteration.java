package fernwort.core.describe;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.rig.Built;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.TankSupport;
import fernwort.core.rig.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * One step of describing a rig, which can be undone: it is made on a rig, and says what it does. A
 * step that cannot be made says why, as {@link RigEdit} does.
 */
public sealed interface Alteration {

  /** Returns the rig after it; the one given stays as it was. */
  Rig on(Rig rig);

  /**
   * Returns what it does in a few words, for the list of steps.
   *
   * @param rig the rig before it
   */
  String words(Rig rig);

  /** The rig gets another name. */
  record Renamed(String name) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).rename(name);
    }

    @Override
    public String words(Rig rig) {
      return Says.RENAMED_TO.filled(name);
    }
  }

  /** The vehicle is another. */
  record VehicleChanged(Vehicle vehicle) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).vehicle(vehicle);
    }

    @Override
    public String words(Rig rig) {
      return Says.CHANGED_THE_VEHICLE.text();
    }
  }

  /** A place is added, or stands in place of the one with its id. */
  record PlaceAdded(Place place) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).place(place);
    }

    @Override
    public String words(Rig rig) {
      boolean known = rig.places().stream().anyMatch(p -> p.id().equals(place.id()));
      return (known ? Says.CHANGED_PLACE.text() : Says.ADDED_PLACE.text()) + place.label();
    }
  }

  /** What an end and its port offer each other is described. */
  record Joined(Joint joint) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      List<Joint> joints = new ArrayList<>(rig.built().joints());
      joints.removeIf(j -> j.at().equals(joint.at()));
      if (joint.port().isPresent() || joint.line().isPresent()) {
        joints.add(joint);
      }
      return rig.with(new Built(joints, rig.built().supports()));
    }

    @Override
    public String words(Rig rig) {
      return Says.DESCRIBED_THE_JOINT_AT.filled(rig.part(joint.at().part()).label());
    }
  }

  /** A tank stands on other supports. */
  record Supported(PartId tank, List<TankSupport> supports) implements Alteration {
    public Supported {
      supports = List.copyOf(supports);
    }

    @Override
    public Rig on(Rig rig) {
      List<TankSupport> all = new ArrayList<>(rig.built().supports());
      all.removeIf(s -> s.tank().equals(tank));
      all.addAll(supports);
      return rig.with(new Built(rig.built().joints(), all));
    }

    @Override
    public String words(Rig rig) {
      return Says.CHANGED_WHAT_CARRIES.filled(rig.part(tank).label());
    }
  }

  /** What nobody measures is fitted to timed jugs: losses of fittings, free flow of pumps. */
  record Fitted(UnaryOperator<Rig> fit) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return fit.apply(rig);
    }

    @Override
    public String words(Rig rig) {
      return Says.FITTED_LOSSES_AND_PUMPS_TO_TIMED.text();
    }
  }

  /** A part is added, joined to nothing yet. */
  record PartAdded(Part part) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).add(part);
    }

    @Override
    public String words(Rig rig) {
      return "Added " + part.label();
    }
  }

  /** A part stands in place of the one with its id; lines to ports it has no more go with it. */
  record PartChanged(Part part) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).replace(part);
    }

    /** Returns the lines that lead to ports which the part does not have any more. */
    public List<Line> losing(Rig rig) {
      return rig.lines().stream()
          .filter(l -> RigEdit.loses(part, l.from()) || RigEdit.loses(part, l.to()))
          .toList();
    }

    @Override
    public String words(Rig rig) {
      List<Line> lost = losing(rig);
      String label = rig.part(part.id()).label();
      return lost.isEmpty()
          ? "Changed " + label
          : Says.CHANGED_REMOVED.filled(
              label, String.join(", ", lost.stream().map(Line::label).toList()));
    }
  }

  /** A part is taken out. */
  record PartTakenOut(PartId part) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).remove(part);
    }

    @Override
    public String words(Rig rig) {
      return "Removed " + rig.part(part).label();
    }
  }

  /**
   * A part is put into a line.
   *
   * @param line id of the line
   * @param part the part
   * @param in its port towards the line's first end
   * @param out its port towards the line's second end
   */
  record PartPutIn(LineId line, Part part, PortId in, PortId out) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).insert(line, part, in, out);
    }

    @Override
    public String words(Rig rig) {
      return Says.PUT_INTO.filled(part.label(), RigEdit.of(rig).line(line).label());
    }
  }

  /**
   * A part is hung on a branch off a line.
   *
   * @param line id of the line
   * @param part the part
   * @param port its port
   * @param length length of the branch (m)
   */
  record PartTeedOff(LineId line, Part part, PortId port, double length) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).teeOff(line, part, port, length);
    }

    @Override
    public String words(Rig rig) {
      return Says.TEED_OFF.filled(part.label(), RigEdit.of(rig).line(line).label());
    }
  }

  /**
   * A part is hung on a free port.
   *
   * @param to the port
   * @param part the part
   * @param port its own port there
   * @param bore bore of the line between them (m)
   * @param length its length (m)
   */
  record PartHungOn(PortRef to, Part part, PortId port, double bore, double length)
      implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).addAt(part, port, to, bore, length);
    }

    @Override
    public String words(Rig rig) {
      return Says.CONNECTED_TO.filled(part.label(), rig.part(to.part()).label());
    }
  }

  /** Two ports are joined by a line. */
  record PortsJoined(Line line) implements Alteration {

    /**
     * Returns a line between two free ports of a rig, with the losses that are usual.
     *
     * @param bore inside diameter (m)
     * @param length length (m)
     */
    public static PortsJoined of(Rig rig, PortRef from, PortRef to, double bore, double length) {
      return new PortsJoined(
          new Line(
              RigEdit.of(rig).freeLine(from.part() + "-" + to.part()),
              RigEdit.shortened(
                  rig.part(from.part()).label() + " to " + rig.part(to.part()).label()),
              from,
              to,
              bore,
              length,
              Fittings.material(bore),
              Fittings.USUAL_LOSS,
              List.of()));
    }

    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).connect(line);
    }

    @Override
    public String words(Rig rig) {
      return "Joined " + line.label();
    }
  }

  /** A line stands in place of the one with its id. */
  record LineChanged(Line line) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).changeLine(line.id(), l -> line);
    }

    @Override
    public String words(Rig rig) {
      return Says.CHANGED_LINE.filled(RigEdit.of(rig).line(line.id()).label());
    }
  }

  /** A line is taken off; its parts stay. */
  record LineTakenOff(LineId line) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return RigEdit.of(rig).disconnect(line);
    }

    @Override
    public String words(Rig rig) {
      return "Removed " + RigEdit.of(rig).line(line).label();
    }
  }

  /**
   * What was answered about the rig changes what it describes; what was drawn since stays.
   *
   * @param before what the answers made before
   * @param made what they make now
   * @param page the page of questions that was answered
   */
  record Answered(Rig before, Rig made, String page) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return ThreeWay.joined(before, made, rig);
    }

    @Override
    public String words(Rig rig) {
      return "Answered: " + page;
    }
  }

  /**
   * What a look at the layout found is mended.
   *
   * @param finding what was found
   * @param fix how
   */
  record Mended(String finding, UnaryOperator<Rig> fix) implements Alteration {
    @Override
    public Rig on(Rig rig) {
      return fix.apply(rig);
    }

    @Override
    public String words(Rig rig) {
      return "Mended: " + finding;
    }
  }
}
