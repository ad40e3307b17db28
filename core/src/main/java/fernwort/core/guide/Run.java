package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Kind;
import fernwort.core.kind.line.Tee;
import fernwort.core.rig.PortRef;

/** A line as one lays it at one spot: from a port, through piece after piece, to another. */
final class Run {

  /** What a small valve or check valve holds (m³). */
  static final double VALVE = 2e-5;

  /** What the head of a small pump holds (m³). */
  static final double PUMP = 1e-4;

  /** What the housing of a filter holds (m³). */
  static final double FILTER = 5e-4;

  /** How long a motor takes from stop to stop (s). */
  static final double MOTOR = 5;

  private final Assembly rig;
  private final QuestionPage page;
  private final Spot spot;
  private final double bore;
  private PortRef at;

  /** Begins a line of a bore (m) at a port; what stands in it is asked for by a page. */
  Run(Assembly rig, QuestionPage page, Spot spot, double bore, PortRef from) {
    this.rig = rig;
    this.page = page;
    this.spot = spot;
    this.bore = bore;
    at = from;
  }

  /** Returns a valve that a hand turns, or a motor, which closes it without power. */
  static Kind valve(boolean motor) {
    return motor ? Fittings.motorised(0, PositionId.of("shut"), MOTOR) : Fittings.twoWay(0);
  }

  /** Leads it through a part (its body in m³), entered as water usually comes; returns its id. */
  PartId through(String label, double height, double body, Kind kind) {
    InOut ends = kind.through().orElseThrow();
    PartId id = rig.part(page, label, spot, height, body, kind);
    rig.join(at, rig.get(id).port(ends.in()), bore);
    at = rig.get(id).port(ends.out());
    return id;
  }

  /** Leads it through a valve that stands open while the pump draws; returns its id. */
  PartId openValve(String label, double height, Kind kind) {
    PartId id = through(label, height, VALVE, kind);
    rig.runsWith(id, PositionId.of("open"));
    return id;
  }

  /** Puts a tee into it and goes on; returns where the branch begins. */
  PortRef branch(String label, double height) {
    PartId tee = rig.part(page, label, spot, height, 0, new Tee());
    rig.join(at, rig.get(tee).port(PortId.A), bore);
    at = rig.get(tee).port(PortId.C);
    return rig.get(tee).port(PortId.B);
  }

  /** Ends it in a part by the first of its ports. */
  void endsIn(String label, double height, Kind kind) {
    PartId id = rig.part(page, label, spot, height, 0, kind);
    to(rig.get(id).port(kind.ports().getFirst()));
  }

  /** Ends it at a port. */
  void to(PortRef port) {
    rig.join(at, port, bore);
  }

  /** Returns where it has come to. */
  PortRef at() {
    return at;
  }
}
