package fernwort.core.describe;

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
              "A handle that opens and closes one line, with the short pipe through it.",
              Fittings.twoWay(0),
              0.02),
          new NewPart(
              "selector",
              "Three-way valve",
              "One handle, three ends: what it joins in each position is asked next.",
              selector(),
              0.03),
          new NewPart(
              "motor-valve",
              "Motor valve",
              "A valve that a motor turns, with its switch.",
              Fittings.motorised(0, "", 6),
              0.02),
          new NewPart(
              "check",
              "Check valve",
              "A short fitting with an arrow: water goes one way.",
              Fittings.check(),
              0.01),
          new NewPart(
              "relief",
              "Relief valve",
              "A spring that lets water out above its pressure, with its tube on the outlet.",
              new CheckValve(3.5e5),
              0.01),
          new NewPart("tee", "Tee", "Three ends joined, no handle.", new Tee(), 0),
          new NewPart(
              "manifold",
              "Manifold",
              "A bar with one end in and several out.",
              new Manifold(4),
              0.08),
          new NewPart(
              "tank",
              "Fresh tank",
              "A tank for drinking water with its openings; what is screwed into them is a part of its own.",
              tank(Contents.FRESH),
              0),
          new NewPart(
              "gray-tank",
              "Gray tank",
              "A tank for waste water with its openings; its valve and outlet are parts of their own.",
              tank(Contents.GRAY),
              0),
          new NewPart(
              "pump",
              "Pump",
              "The pump with its head and its pressure switch.",
              Fittings.pressurePump(10, 2.8),
              0.1),
          new NewPart(
              "foot-pump",
              "Foot pump",
              "A pump that a foot works.",
              Fittings.footPump(4, 1.2),
              0.05),
          new NewPart(
              "loop-pump",
              "Circulation pump",
              "A small pump that circulates hot water.",
              Fittings.circulationPump(6, 0.15),
              0.06),
          new NewPart(
              "macerator",
              "Macerator",
              "A pump that cuts up and pushes out waste.",
              new Macerator(5e-4, 6e4),
              0.3),
          new NewPart(
              "strainer",
              "Strainer",
              "A screen before a pump, with its bowl.",
              new Strainer(),
              0.04),
          new NewPart(
              "sediment",
              "Sediment filter",
              "Housing and cartridge against grit.",
              Fittings.filter(Filter.Grade.SEDIMENT),
              0.6),
          new NewPart(
              "carbon",
              "Carbon filter",
              "Housing and cartridge against taste and chlorine.",
              Fittings.filter(Filter.Grade.CARBON),
              0.6),
          new NewPart(
              "purifier",
              "Purifier",
              "Housing and cartridge that make unsafe water fit to drink.",
              Fittings.filter(Filter.Grade.PURIFIER),
              0.5),
          new NewPart(
              "regulator",
              "Regulator",
              "A fitting that limits the pressure after it.",
              Fittings.regulator(2.8),
              0.02),
          new NewPart(
              "accumulator",
              "Accumulator",
              "A small vessel with air on one side, also called surge tank: the pump runs less often.",
              new Accumulator(2.1e5),
              0.7),
          new NewPart(
              "heater",
              "Heater",
              "The heater with its store and its relief valve; its bypass is a part of its own.",
              new Heater(Heater.Type.STORAGE, true, 0.02),
              10),
          new NewPart(
              "inlet",
              "Hose inlet",
              "Where a hose is screwed on, with its cap.",
              Fittings.inlet(4),
              0),
          new NewPart(
              "filler",
              "Tank filler",
              "A filler with its cap, into which water is poured.",
              new GravityFiller(),
              0),
          new NewPart(
              "tap", "Tap", "A tap with cold water only.", fixture(Fixture.Type.TAP, true, 5), 0),
          new NewPart(
              "mixer",
              "Mixer tap",
              "A tap with cold and hot water.",
              fixture(Fixture.Type.MIXER, true, 5),
              0),
          new NewPart(
              "shower",
              "Shower",
              "A shower with its mixer.",
              fixture(Fixture.Type.SHOWER, false, 7),
              0),
          new NewPart(
              "toilet",
              "Toilet",
              "A toilet that is flushed, with its valve; its bowl keeps what it takes.",
              fixture(Fixture.Type.TOILET, false, 5),
              0),
          new NewPart(
              "rinse",
              "Outside shower",
              "A tap or shower outside, also called hose point.",
              fixture(Fixture.Type.HOSE_POINT, false, 8),
              0),
          new NewPart(
              "trap",
              "Drain trap",
              "The bend or bottle that holds water against smell.",
              new DrainTrap(),
              0.12),
          new NewPart(
              "tray",
              "Leak tray",
              "A tray under a tank or pump, with a contact that tells when water is in it.",
              new LeakTray(0.005, true),
              0),
          new NewPart(
              "vent", "Vent end", "The open end of a vent.", Fittings.end(OpenEnd.Role.VENT), 0),
          new NewPart(
              "overflow",
              "Overflow tail",
              "The open end by which a full tank runs over.",
              Fittings.end(OpenEnd.Role.OVERFLOW),
              0),
          new NewPart(
              "drain",
              "Drain tail",
              "An open end under the vehicle.",
              Fittings.end(OpenEnd.Role.DRAIN),
              0),
          new NewPart(
              "dump",
              "Dump outlet",
              "An outlet with its cap, for the dump hose.",
              Fittings.end(OpenEnd.Role.DUMP),
              0),
          new NewPart(
              "air-valve",
              "Air valve",
              "A small valve that lets air in and no water out.",
              new AirAdmittanceValve(),
              0),
          new NewPart(
              "cap", "Drain cap", "A cap that a hand takes off, to drain.", new Plug(true), 0),
          new NewPart("plug", "Plug", "A plug that needs a tool.", new Plug(false), 0),
          new NewPart(
              "jug",
              "Jug",
              "A jug, can or bladder that is carried to the rig.",
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
        .orElseThrow(() -> new Refusal("“" + id + "” cannot be added; pick one of the list"));
  }

  /** Returns what is usually hung on a free port. */
  public static NewPart usualAt(Part host, String port) {
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
        new Fittings.Choice("shut", "points up", 90, ""),
        new Fittings.Choice("one", "points right", 0, "b"),
        new Fittings.Choice("other", "points left", 180, "c"));
  }

  private static Kind tank(Contents contents) {
    return new Tank(
        contents,
        new Shape.Box(0.8, 0.4, 0.25),
        0.005,
        List.of(
            new TankPort("fill", TankPort.Use.FILL, new Point(0.05, 0.34, 0.22)),
            new TankPort("feed", TankPort.Use.FEED, new Point(0.05, 0.05, 0.02)),
            new TankPort("vent", TankPort.Use.VENT, new Point(0.74, 0.34, 0.235)),
            new TankPort("drain", TankPort.Use.DRAIN, new Point(0.74, 0.05, 0.004))),
        new Gauge(Gauge.GaugeKind.STICK, 0, 0.4, 0.2),
        5_000,
        -2_000);
  }
}
