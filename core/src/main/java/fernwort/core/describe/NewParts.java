package fernwort.core.describe;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.list.Kinds;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Ready parts that can be added, each as an ordinary one of its kind. */
public final class NewParts {

  private static final double LITRE_A_MINUTE = 1e-3 / 60;

  private static final List<NewPart> USUAL =
      List.of(
          new NewPart(
              "valve",
              "Valve",
              Says.A_HANDLE_THAT_OPENS_AND_CLOSES.text(),
              Fittings.twoWay(0),
              0.02),
          new NewPart(
              "selector",
              Says.THREE_WAY_VALVE.text(),
              Says.ONE_HANDLE_THREE_ENDS.text(),
              selector(),
              0.03),
          new NewPart(
              "motor-valve",
              Says.MOTOR_VALVE.text(),
              Says.A_VALVE_THAT_A_MOTOR_TURNS.text(),
              Fittings.motorised(0, PositionId.NONE, 6),
              0.02),
          new NewPart(
              "check",
              Says.CHECK_VALVE.text(),
              Says.A_SHORT_FITTING_WITH_AN_ARROW.text(),
              Fittings.check(),
              0.01),
          new NewPart(
              "relief",
              Says.RELIEF_VALVE.text(),
              Says.A_SPRING_THAT_LETS_WATER.text(),
              new CheckValve(3.5e5),
              0.01),
          new NewPart("tee", "Tee", Says.THREE_ENDS_JOINED_NO_HANDLE.text(), new Tee(), 0),
          new NewPart(
              "manifold", "Manifold", Says.A_BAR_WITH_ONE_END.text(), new Manifold(4), 0.08),
          new NewPart(
              "tank",
              Says.FRESH_TANK.text(),
              Says.A_TANK_FOR_DRINKING_WATER.text(),
              tank(Contents.FRESH),
              0),
          new NewPart(
              "gray-tank",
              Says.GRAY_TANK.text(),
              Says.A_TANK_FOR_WASTE_WATER.text(),
              tank(Contents.GRAY),
              0),
          new NewPart(
              "pump",
              "Pump",
              Says.THE_PUMP_WITH_ITS_HEAD.text(),
              Fittings.pressurePump(10, 2.8),
              0.1),
          new NewPart(
              "foot-pump",
              Says.FOOT_PUMP.text(),
              Says.A_PUMP_THAT_A_FOOT_WORKS.text(),
              Fittings.footPump(4, 1.2),
              0.05),
          new NewPart(
              "loop-pump",
              Says.CIRCULATION_PUMP.text(),
              Says.A_SMALL_PUMP_THAT_CIRCULATES_HOT.text(),
              Fittings.circulationPump(6, 0.15),
              0.06),
          new NewPart(
              "macerator",
              "Macerator",
              Says.A_PUMP_THAT_CUTS_UP_AND_PUSHES.text(),
              new Macerator(5e-4, 6e4),
              0.3),
          new NewPart(
              "strainer", "Strainer", Says.A_SCREEN_BEFORE_A_PUMP.text(), new Strainer(), 0.04),
          new NewPart(
              "sediment",
              Says.SEDIMENT_FILTER.text(),
              Says.HOUSING_AND_CARTRIDGE_AGAINST.text(),
              Fittings.filter(Filter.Grade.SEDIMENT),
              0.6),
          new NewPart(
              "carbon",
              Says.CARBON_FILTER.text(),
              Says.HOUSING_AND_CARTRIDGE_AGAINST_TASTE.text(),
              Fittings.filter(Filter.Grade.CARBON),
              0.6),
          new NewPart(
              "purifier",
              "Purifier",
              Says.HOUSING_AND_CARTRIDGE_THAT_MAKE.text(),
              Fittings.filter(Filter.Grade.PURIFIER),
              0.5),
          new NewPart(
              "regulator",
              "Regulator",
              Says.A_FITTING_THAT_LIMITS.text(),
              Fittings.regulator(2.8),
              0.02),
          new NewPart(
              "accumulator",
              "Accumulator",
              Says.A_SMALL_VESSEL_WITH_AIR.text(),
              new Accumulator(2.1e5),
              0.7),
          new NewPart(
              "heater",
              "Heater",
              Says.THE_HEATER_WITH_ITS_STORE.text(),
              new Heater(Heater.Type.STORAGE, true, 0.02),
              10),
          new NewPart(
              "inlet",
              Says.HOSE_INLET.text(),
              Says.WHERE_A_HOSE_IS_SCREWED.text(),
              Fittings.inlet(4),
              0),
          new NewPart(
              "filler",
              Says.TANK_FILLER.text(),
              Says.A_FILLER_WITH_ITS_CAP.text(),
              new GravityFiller(),
              0),
          new NewPart(
              "tap",
              "Tap",
              Says.A_TAP_WITH_COLD_WATER_ONLY.text(),
              fixture(Fixture.Type.TAP, true, 5),
              0),
          new NewPart(
              "mixer",
              Says.MIXER_TAP.text(),
              Says.A_TAP_WITH_COLD_AND_HOT_WATER.text(),
              fixture(Fixture.Type.MIXER, true, 5),
              0),
          new NewPart(
              "shower",
              "Shower",
              Says.A_SHOWER_WITH_ITS_MIXER.text(),
              fixture(Fixture.Type.SHOWER, false, 7),
              0),
          new NewPart(
              "toilet",
              "Toilet",
              Says.A_TOILET_THAT_IS_FLUSHED.text(),
              fixture(Fixture.Type.TOILET, false, 5),
              0),
          new NewPart(
              "rinse",
              Says.OUTSIDE_SHOWER.text(),
              Says.A_TAP_OR_SHOWER_OUTSIDE_ALSO.text(),
              fixture(Fixture.Type.HOSE_POINT, false, 8),
              0),
          new NewPart(
              "trap",
              Says.DRAIN_TRAP.text(),
              Says.THE_BEND_OR_BOTTLE_THAT_HOLDS.text(),
              new DrainTrap(),
              0.12),
          new NewPart(
              "tray",
              Says.LEAK_TRAY.text(),
              Says.A_TRAY_UNDER_A_TANK_OR_PUMP.text(),
              new LeakTray(0.005, true),
              0),
          new NewPart(
              "vent",
              Says.VENT_END.text(),
              Says.THE_OPEN_END_OF_A_VENT.text(),
              Fittings.end(OpenEnd.Role.VENT),
              0),
          new NewPart(
              "overflow",
              Says.OVERFLOW_TAIL.text(),
              Says.THE_OPEN_END_BY_WHICH_A_FULL.text(),
              Fittings.end(OpenEnd.Role.OVERFLOW),
              0),
          new NewPart(
              "drain",
              Says.DRAIN_TAIL.text(),
              Says.AN_OPEN_END_UNDER_THE_VEHICLE.text(),
              Fittings.end(OpenEnd.Role.DRAIN),
              0),
          new NewPart(
              "dump",
              Says.DUMP_OUTLET.text(),
              Says.AN_OUTLET_WITH_ITS_CAP.text(),
              Fittings.end(OpenEnd.Role.DUMP),
              0),
          new NewPart(
              "air-valve",
              Says.AIR_VALVE.text(),
              Says.A_SMALL_VALVE_THAT_LETS_AIR.text(),
              new AirAdmittanceValve(),
              0),
          new NewPart(
              "cap",
              Says.DRAIN_CAP.text(),
              Says.A_CAP_THAT_A_HAND_TAKES_OFF.text(),
              new Plug(true),
              0),
          new NewPart("plug", "Plug", Says.A_PLUG_THAT_NEEDS_A_TOOL.text(), new Plug(false), 0),
          new NewPart(
              "jug",
              "Jug",
              Says.A_JUG_CAN_OR_BLADDER.text(),
              new PortableContainer(0.02, true),
              0));

  private static final List<NewPart> ALL =
      Stream.concat(USUAL.stream(), Kinds.all().stream().flatMap(k -> k.offers().stream()))
          .toList();

  private NewParts() {}

  /** Returns everything that can be added. */
  public static List<NewPart> all() {
    return ALL;
  }

  /** Returns what a line leads to. */
  public static List<NewPart> joined() {
    return ALL.stream().filter(p -> !p.kind().ports().isEmpty()).toList();
  }

  /** Returns what stands in a line, having two ends. */
  public static List<NewPart> inLine() {
    return ALL.stream().filter(p -> p.through().isPresent()).toList();
  }

  /** Returns what stands at the end of a line, having one end, or openings of its own. */
  public static List<NewPart> atEnd() {
    return joined().stream().filter(p -> p.through().isEmpty()).toList();
  }

  /**
   * Returns the new part with this short name.
   *
   * @throws Refusal when there is none
   */
  public static NewPart of(String id) {
    return ALL.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refusal(Says.CANNOT_BE_ADDED_PICK.with(id)));
  }

  /** Returns what is usually hung on a free port. */
  public static NewPart usualAt(Part host, PortId port) {
    return of(host.kind().usuallyAt(port));
  }

  /** Returns the water that an ordinary body of a kind holds (m³), where it is known. */
  public static Optional<Double> body(Kind kind) {
    return ALL.stream()
        .filter(p -> p.kind().getClass().equals(kind.getClass()))
        .map(p -> p.bodyLitres() / 1000)
        .findFirst();
  }

  private static Kind fixture(Fixture.Type type, boolean drinking, double litresPerMinute) {
    return new Fixture(type, drinking, litresPerMinute * LITRE_A_MINUTE, 2e5);
  }

  private static Kind selector() {
    return Fittings.selector(
        new Fittings.Choice(PositionId.of("shut"), Says.POINTS_UP.text(), 90, PortId.NONE),
        new Fittings.Choice(PositionId.of("one"), Says.POINTS_RIGHT.text(), 0, PortId.B),
        new Fittings.Choice(PositionId.of("other"), Says.POINTS_LEFT.text(), 180, PortId.C));
  }

  private static Kind tank(Contents contents) {
    return new Tank(
        contents,
        new Shape.Box(0.8, 0.4, 0.25),
        0.005,
        List.of(
            new TankPort(PortId.of("fill"), TankPort.Use.FILL, new Point(0.05, 0.34, 0.22)),
            new TankPort(PortId.of("feed"), TankPort.Use.FEED, new Point(0.05, 0.05, 0.02)),
            new TankPort(PortId.of("vent"), TankPort.Use.VENT, new Point(0.74, 0.34, 0.235)),
            new TankPort(PortId.of("drain"), TankPort.Use.DRAIN, new Point(0.74, 0.05, 0.004))),
        new Gauge(Gauge.GaugeKind.STICK, 0, 0.4, 0.2),
        5_000,
        -2_000);
  }
}
