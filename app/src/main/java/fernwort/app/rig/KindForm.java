package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.kind.Accumulator;
import fernwort.core.kind.AirAdmittanceValve;
import fernwort.core.kind.CheckValve;
import fernwort.core.kind.DrainTrap;
import fernwort.core.kind.Driven;
import fernwort.core.kind.DryRun;
import fernwort.core.kind.Filter;
import fernwort.core.kind.Fixture;
import fernwort.core.kind.GravityFiller;
import fernwort.core.kind.Heater;
import fernwort.core.kind.HoseInlet;
import fernwort.core.kind.Kind;
import fernwort.core.kind.LeakTray;
import fernwort.core.kind.Macerator;
import fernwort.core.kind.Manifold;
import fernwort.core.kind.OpenEnd;
import fernwort.core.kind.Plug;
import fernwort.core.kind.PortableContainer;
import fernwort.core.kind.Pump;
import fernwort.core.kind.Regulator;
import fernwort.core.kind.Strainer;
import fernwort.core.kind.Tank;
import fernwort.core.kind.Tee;
import fernwort.core.kind.ThreeWayValve;
import fernwort.core.kind.TwoWayValve;
import fernwort.core.kind.Valve;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What a form asks for each kind of part, and the kind that its answers make. */
final class KindForm {

  private static final String PLATE = "On its plate. Default: an ordinary one of its kind.";

  /** A pressure pump stops at its cut-out; what it could do beyond is rarely on its plate (Pa). */
  private static final double OVER_CUT_OUT = 5e4;

  /** One name for one thing: a hose point outside is what else is called outside rinse. */
  private static final List<Field.Option> FIXTURES =
      Arrays.stream(Fixture.Type.values())
          .map(t ->
              new Field.Option(
                  Values.key(t), t == Fixture.Type.HOSE_POINT ? "outside rinse" : Values.key(t)))
          .toList();

  private final Units units;

  private final HandleForm handle;

  KindForm(Units units) {
    this(units, UnaryOperator.identity());
  }

  /**
   * Makes the form.
   *
   * @param ports what the ports of the part are called
   */
  KindForm(Units units, UnaryOperator<String> ports) {
    this.units = units;
    handle = new HandleForm(ports);
  }

  // --- asking ----------------------------------------------------------------------------------

  List<Field> fields(Kind kind) {
    return switch (kind) {
      case HoseInlet k ->
          List.of(
              amount(
                  "mains",
                  "Mains pressure",
                  Measure.PRESSURE,
                  k.mainsPressure(),
                  "Measured at a tap with nothing running; 0 when it only draws. Default 4 bar."),
              amount(
                  "outside",
                  "Surface of outside water over the ground",
                  Measure.LENGTH,
                  k.outsideHeight(),
                  "Below the ground is negative."),
              maybe(
                  "tap",
                  "Tap and hose give into a bucket",
                  Measure.FLOW,
                  k.tapFlow(),
                  "Time a bucket at the end of your hose; default 18 L/min, an estimate."),
              Field.tick(
                  "fit",
                  "Outside water is fit to drink",
                  k.drinksOutside(),
                  "A bladder or barrel filled at a drinking tap is; a stream is not."));
      case Tank k -> new TankForm(units).fields(k);
      case Valve k -> handle.fields(k);
      case CheckValve k ->
          List.of(
              amount(
                  "cracking",
                  "Pressure it takes to open",
                  Measure.PRESSURE,
                  k.crackingPressure(),
                  "Default 0.02 bar. One that opens above 1 bar only is a relief valve."));
      case Regulator k ->
          List.of(amount("set", "Set pressure", Measure.PRESSURE, k.setPressure(), PLATE));
      case Filter k ->
          List.of(
              choice("grade", "Takes out", k.grade(), Filter.Grade.class),
              amount("flow", "Rated flow", Measure.FLOW, k.ratedFlow(), PLATE),
              amount(
                  "loss",
                  "Pressure lost at that flow, clean",
                  Measure.PRESSURE,
                  k.ratedLoss(),
                  "Data sheet; default 0.35 bar."),
              maybe(
                  "doubling",
                  "Its loss has doubled after",
                  Measure.VOLUME,
                  k.doubling(),
                  "What passes until the flow drops; empty if nobody knows."));
      case Pump k ->
          List.of(
              choice("duty", "There for", k.duty(), Pump.Duty.class),
              choice("works", "Works as", k.works(), Pump.Type.class),
              amount(
                  "shutoff",
                  "Pressure at no flow",
                  Measure.PRESSURE,
                  k.shutOffPressure(),
                  "Plate, as max. pressure or head. Empty: half a bar over its cut-out."),
              amount("flow", "Flow with nothing against it", Measure.FLOW, k.freeFlow(), PLATE),
              amount("cutin", "Switch cuts in at", Measure.PRESSURE, k.cutIn(), PLATE),
              amount("cutout", "Switch cuts out at", Measure.PRESSURE, k.cutOut(), PLATE),
              amount("priming", "Lifts water dry by", Measure.LENGTH, k.selfPriming(), PLATE),
              dryRun(k.dryRun(), k));
      case Accumulator k ->
          List.of(
              amount(
                  "precharge",
                  "Air pressure without water",
                  Measure.PRESSURE,
                  k.precharge(),
                  "Tyre gauge, pump off and a tap open."));
      case Heater k ->
          List.of(
              choice("works", "Heats", k.works(), Heater.Type.class),
              Field.tick("relief", "Has its own pressure relief valve", k.relief(), ""),
              amount("drain", "Drain above its bottom", Measure.LENGTH, k.drainHeight(), ""),
              Field.number(
                  "power",
                  "Puts into the water",
                  k.heating().map(h -> String.format(Locale.ROOT, "%.0f", h.power())).orElse(""),
                  "W",
                  "Plate; empty if it says nothing. With it a rehearsal knows when water is hot."),
              amount(
                  "thermostat",
                  "Thermostat stands at",
                  Measure.TEMPERATURE,
                  k.heating().map(Heater.Heating::thermostat).orElse(Heater.THERMOSTAT),
                  "Default 60 °C: cooler water breeds legionella, hotter scalds."));
      case Manifold k ->
          List.of(Field.number("outlets", "Outlets", Integer.toString(k.outlets()), "", ""));
      case Fixture k ->
          List.of(
              Field.choice("use", "Is a", Values.key(k.use()), FIXTURES),
              Field.tick("drinking", "People drink or cook from it", k.drinking(), ""),
              amount(
                  "flow",
                  "Rated flow",
                  Measure.FLOW,
                  k.ratedFlow(),
                  "A jug and a watch at full pressure."),
              amount("pressure", "at", Measure.PRESSURE, k.ratedPressure(), "Default 2 bar."),
              maybe(
                  "restrictor",
                  "Restrictor lets through at most",
                  Measure.FLOW,
                  k.restrictor(),
                  "Printed on the aerator or shower head; empty for none."));
      case PortableContainer k ->
          List.of(
              amount("capacity", "Holds", Measure.VOLUME, k.capacity(), ""),
              Field.tick("drinkable", "Its water is fit to drink", k.drinkable(), ""));
      case Macerator k ->
          List.of(
              amount("flow", "Flow with nothing against it", Measure.FLOW, k.freeFlow(), PLATE),
              amount(
                  "shutoff", "Pressure at no flow", Measure.PRESSURE, k.shutOffPressure(), PLATE),
              dryRun(k.dryRun(), k));
      case OpenEnd k -> List.of(choice("role", "Is a", k.role(), OpenEnd.Role.class));
      case Plug k ->
          List.of(Field.tick("removable", "A cap that a hand takes off", k.removable(), ""));
      case GravityFiller k -> List.of();
      case AirAdmittanceValve k -> List.of();
      case Strainer k -> List.of();
      case Tee k -> List.of();
      case DrainTrap k -> List.of();
      case LeakTray k ->
          List.of(
              amount("holds", "It holds", Measure.VOLUME, k.holds(), ""),
              Field.tick(
                  "contact",
                  "A contact tells when water stands in it",
                  k.contact(),
                  "Test it with a wet finger twice a year."));
    };
  }

  private Field amount(String name, String label, Measure measure, double si, String hint) {
    return Field.exact(
        name, label, units.number(measure, si), si, units.unit(measure).sign(), hint);
  }

  /** An amount that may be left out. */
  private Field maybe(
      String name, String label, Measure measure, Optional<Double> si, String hint) {
    return si.map(x -> amount(name, label, measure, x, hint))
        .orElseGet(() -> Field.number(name, label, "", units.unit(measure).sign(), hint));
  }

  private static Field choice(String name, String label, Enum<?> now, Class<? extends Enum<?>> of) {
    return Field.choice(name, label, Values.key(now), Values.options(of));
  }

  // --- reading ---------------------------------------------------------------------------------

  Kind read(Kind old, Values v) {
    return switch (old) {
      case HoseInlet k ->
          new HoseInlet(
              v.amount("mains", "Mains pressure", Measure.PRESSURE, 0, 8e5),
              v.amount("outside", "Surface of outside water", Measure.LENGTH),
              v.optional("tap", "Tap and hose give", Measure.FLOW, 2e-5, 2e-3),
              v.tick("fit") ? Optional.of(true) : Optional.empty());
      case Tank k -> new TankForm(units).read(k, v);
      case TwoWayValve k ->
          new TwoWayValve(handle.stops(k, v), HandleForm.motor(k, v), HandleForm.design(v));
      case ThreeWayValve k ->
          new ThreeWayValve(handle.stops(k, v), HandleForm.motor(k, v), HandleForm.design(v));
      case CheckValve k ->
          new CheckValve(v.amount("cracking", "Opening pressure", Measure.PRESSURE, 0, 1e6));
      case Regulator k ->
          new Regulator(v.amount("set", "Set pressure", Measure.PRESSURE, 5e4, 6e5));
      case Filter k ->
          new Filter(
              v.choice("grade", "What it takes out", Filter.Grade.class),
              v.amount("flow", "Rated flow", Measure.FLOW, 1e-5, 2e-3),
              v.amount("loss", "Pressure lost", Measure.PRESSURE, 1e3, 3e5),
              v.optional("doubling", "Litres until its loss doubles", Measure.VOLUME, 0.05, 100));
      case Pump k ->
          new Pump(
              v.choice("duty", "What it is there for", Pump.Duty.class),
              v.choice("works", "How it works", Pump.Type.class),
              v.optional("shutoff", "Pressure at no flow", Measure.PRESSURE, 5e3, 8e5)
                  .orElseGet(() ->
                      OVER_CUT_OUT + v.amount("cutout", "Cut-out pressure", Measure.PRESSURE)),
              v.amount("flow", "Free flow", Measure.FLOW, 1e-5, 2e-2),
              v.amount("cutin", "Cut-in pressure", Measure.PRESSURE, 0, 6e5),
              v.amount("cutout", "Cut-out pressure", Measure.PRESSURE, 0, 8e5),
              v.amount("priming", "Dry lift", Measure.LENGTH, 0, 8),
              dryRun(v));
      case Accumulator k ->
          new Accumulator(v.amount("precharge", "Air pressure", Measure.PRESSURE, 2e4, 6e5));
      case Heater k ->
          new Heater(
              v.choice("works", "How it heats", Heater.Type.class),
              v.tick("relief"),
              v.amount("drain", "Drain above its bottom", Measure.LENGTH, 0, 0.6),
              heating(v));
      case Manifold k -> new Manifold((int) v.plain("outlets", "Outlets"));
      case Fixture k ->
          new Fixture(
              v.choice("use", "What it is", Fixture.Type.class),
              v.tick("drinking"),
              v.amount("flow", "Rated flow", Measure.FLOW, 5e-6, 5e-3),
              v.amount("pressure", "Rated pressure", Measure.PRESSURE, 2e4, 6e5),
              v.optional("restrictor", "Restricted flow", Measure.FLOW, 5e-6, 5e-3));
      case PortableContainer k ->
          new PortableContainer(
              v.amount("capacity", "What it holds", Measure.VOLUME, 1e-3, 0.3),
              v.tick("drinkable"));
      case Macerator k ->
          new Macerator(
              v.amount("flow", "Free flow", Measure.FLOW, 5e-5, 5e-3),
              v.amount("shutoff", "Pressure at no flow", Measure.PRESSURE, 5e3, 8e5),
              dryRun(v));
      case OpenEnd k -> new OpenEnd(v.choice("role", "What it is", OpenEnd.Role.class));
      case Plug k -> new Plug(v.tick("removable"));
      case GravityFiller k -> k;
      case AirAdmittanceValve k -> k;
      case Strainer k -> k;
      case Tee k -> k;
      case DrainTrap k -> k;
      case LeakTray k ->
          new LeakTray(
              v.amount("holds", "What it holds", Measure.VOLUME, 0.0001, 1), v.tick("contact"));
    };
  }

  private static Field dryRun(Optional<Double> seconds, Driven driven) {
    double usual = DryRun.of(driven);
    return Field.number(
        "dry",
        "May run dry for",
        seconds.map(s -> Long.toString(Math.round(s))).orElse(""),
        "s",
        Double.isInfinite(usual)
            ? "Worked by hand: it does no harm."
            : "In its papers. Left empty: "
                + Math.round(usual)
                + " s, our own cautious choice for its kind.");
  }

  private static Optional<Double> dryRun(Values v) {
    return v.text("dry").isEmpty() ? Optional.empty() : Optional.of(v.plain("dry", "Dry run"));
  }

  private static Optional<Heater.Heating> heating(Values v) {
    return v.text("power").isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Heater.Heating(
                v.plain("power", "Power"),
                v.amount("thermostat", "Thermostat", Measure.TEMPERATURE)));
  }
}
