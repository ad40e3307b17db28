package fernwort.core.describe;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Motor;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Regulator;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import java.util.List;
import java.util.Optional;

/** Ordinary fittings with plausible plate figures, in the units that stand on plates. */
public final class Fittings {

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  private static final double BAR = 1e5;

  /** Cautious limits for a plastic tank of unknown make (Pa). */
  private static final double TANK_PRESSURE = 5_000;

  private static final double TANK_VACUUM = -2_000;

  /** Loss of a line's fittings where nobody has counted them: an elbow and its ends. */
  public static final double USUAL_LOSS = 1.2;

  private Fittings() {}

  /** Returns what a line of some bore (m) is usually made of. */
  public static Line.Material material(double bore) {
    return bore >= 0.025
        ? Line.Material.RIGID_PVC
        : bore >= 0.015 ? Line.Material.PVC_HOSE : Line.Material.PEX;
  }

  /**
   * Returns a two-way ball valve whose lever lies along its pipe when open.
   *
   * @param openAngle how its handle stands when open (degrees)
   */
  public static Kind twoWay(double openAngle) {
    return twoWay(openAngle, Says.ACROSS_THE_PIPE.text(), Says.ALONG_THE_PIPE.text());
  }

  public static Kind twoWay(double openAngle, String shut, String open) {
    return new TwoWayValve(
        List.of(
            new Stop(PositionId.of("shut"), shut, openAngle + 90, List.of()),
            new Stop(PositionId.of("open"), open, openAngle, List.of(List.of(PortId.A, PortId.B)))),
        Optional.empty());
  }

  /**
   * Returns a two-way valve with a motor.
   *
   * @param unpowered "open" or "shut" for one that falls back, "" for one that stays
   * @param openAngle how its pointer stands when open (degrees)
   * @param seconds from stop to stop (s)
   */
  public static Kind motorised(double openAngle, PositionId unpowered, double seconds) {
    return new TwoWayValve(
        List.of(
            new Stop(
                PositionId.of("shut"), Says.MARK_ACROSS_THE_PIPE.text(), openAngle + 90, List.of()),
            new Stop(
                PositionId.of("open"),
                Says.MARK_ALONG_THE_PIPE.text(),
                openAngle,
                List.of(List.of(PortId.A, PortId.B)))),
        Optional.of(new Motor(Optional.of(unpowered).filter(u -> !u.isEmpty()), seconds)));
  }

  /**
   * A position of a selector: its id, its words, where the lever points, the ports it joins to a.
   *
   * @param angle how the handle stands (degrees)
   */
  public record Choice(PositionId id, String words, double angle, PortId joins) {}

  /** Returns a three-way valve; a choice that joins nothing is shut. */
  public static Kind selector(Choice... choices) {
    return new ThreeWayValve(
        List.of(choices).stream()
            .map(c ->
                new Stop(
                    c.id(),
                    c.words(),
                    c.angle(),
                    c.joins().isEmpty() ? List.of() : List.of(List.of(PortId.A, c.joins()))))
            .toList(),
        Optional.empty());
  }

  public static Kind inlet(double bar) {
    return new HoseInlet(bar * BAR, -0.5, Optional.of(HoseInlet.TAP));
  }

  public static Kind regulator(double bar) {
    return new Regulator(bar * BAR);
  }

  public static Kind check() {
    return new CheckValve(2_000);
  }

  /** Returns a filter housing with a usual cartridge of a grade; estimates for each. */
  public static Kind filter(Filter.Grade grade) {
    return switch (grade) {
      case SEDIMENT -> filter(grade, 15, 0.25);
      case CARBON -> filter(grade, 12, 0.35);
      case PURIFIER -> filter(grade, 4, 0.6);
    };
  }

  public static Kind filter(Filter.Grade grade, double litresPerMinute, double bar) {
    return new Filter(grade, litresPerMinute * LITRES_PER_MINUTE, bar * BAR);
  }

  public static Kind pressurePump(double litresPerMinute, double cutOut) {
    return new Pump(
        Pump.Duty.SUPPLY,
        Pump.Type.DIAPHRAGM,
        (cutOut + 0.5) * BAR,
        litresPerMinute * LITRES_PER_MINUTE,
        (cutOut - 0.7) * BAR,
        cutOut * BAR,
        1.8);
  }

  /**
   * Returns a pump that moves water from one tank to another.
   *
   * @param litresPerMinute what it gives against nothing (L/min)
   * @param bar pressure at which it gives nothing (bar)
   */
  public static Kind transferPump(double litresPerMinute, double bar) {
    return centrifugal(Pump.Duty.TRANSFER, litresPerMinute, bar);
  }

  public static Kind circulationPump(double litresPerMinute, double bar) {
    return centrifugal(Pump.Duty.CIRCULATION, litresPerMinute, bar);
  }

  /**
   * Returns a pump that adds to the pressure of another in the same line.
   *
   * @param litresPerMinute what it gives against nothing (L/min)
   * @param bar pressure at which it gives nothing (bar)
   */
  public static Kind boosterPump(double litresPerMinute, double bar) {
    return centrifugal(Pump.Duty.SUPPLY, litresPerMinute, bar);
  }

  /** Returns a small pump that hangs in a barrel beside the vehicle. */
  public static Kind barrelPump() {
    return new Pump(
        Pump.Duty.TRANSFER,
        Pump.Type.SUBMERSIBLE,
        0.8 * BAR,
        12 * LITRES_PER_MINUTE,
        0,
        0.8 * BAR,
        0);
  }

  private static Kind centrifugal(Pump.Duty duty, double litresPerMinute, double bar) {
    return new Pump(
        duty,
        Pump.Type.CENTRIFUGAL,
        bar * BAR,
        litresPerMinute * LITRES_PER_MINUTE,
        0,
        bar * BAR,
        0);
  }

  public static Kind footPump(double litresPerMinute, double lift) {
    return new Pump(
        Pump.Duty.SUPPLY,
        Pump.Type.FOOT,
        0.6 * BAR,
        litresPerMinute * LITRES_PER_MINUTE,
        0,
        0.6 * BAR,
        lift);
  }

  public static Kind fixture(Fixture.Type type, boolean drinking, double litresPerMinute) {
    return new Fixture(type, drinking, litresPerMinute * LITRES_PER_MINUTE, 2 * BAR);
  }

  public static Kind tank(
      Contents contents, Shape shape, double wall, Gauge gauge, TankPort... ports) {
    return new Tank(contents, shape, wall, List.of(ports), gauge, TANK_PRESSURE, TANK_VACUUM);
  }

  public static TankPort port(PortId id, TankPort.Use use, double x, double y, double z) {
    return new TankPort(id, use, new Point(x, y, z));
  }

  public static Gauge sender(int steps, double x, double y) {
    return new Gauge(Gauge.GaugeKind.SENDER, steps, x, y);
  }

  public static Gauge stick(double x, double y) {
    return new Gauge(Gauge.GaugeKind.STICK, 0, x, y);
  }

  public static Kind end(OpenEnd.Role role) {
    return new OpenEnd(role);
  }
}
