package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.core.rig.DryRun;
import fernwort.core.rig.Kind;
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
      Arrays.stream(Kind.Fixture.Type.values())
          .map(t ->
              new Field.Option(
                  Values.key(t),
                  t == Kind.Fixture.Type.HOSE_POINT ? "outside rinse" : Values.key(t)))
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
      case Kind.HoseInlet k ->
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
      case Kind.Tank k -> new TankForm(units).fields(k);
      case Kind.Valve k -> handle.fields(k);
      case Kind.CheckValve k ->
          List.of(
              amount(
                  "cracking",
                  "Pressure it takes to open",
                  Measure.PRESSURE,
                  k.crackingPressure(),
                  "Default 0.02 bar. One that opens above 1 bar only is a relief valve."));
      case Kind.Regulator k ->
          List.of(amount("set", "Set pressure", Measure.PRESSURE, k.setPressure(), PLATE));
      case Kind.Filter k ->
          List.of(
              choice("grade", "Takes out", k.grade(), Kind.Filter.Grade.class),
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
      case Kind.Pump k ->
          List.of(
              choice("duty", "There for", k.duty(), Kind.Pump.Duty.class),
              choice("works", "Works as", k.works(), Kind.Pump.Type.class),
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
      case Kind.Accumulator k ->
          List.of(
              amount(
                  "precharge",
                  "Air pressure without water",
                  Measure.PRESSURE,
                  k.precharge(),
                  "Tyre gauge, pump off and a tap open."));
      case Kind.Heater k ->
          List.of(
              choice("works", "Heats", k.works(), Kind.Heater.Type.class),
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
                  k.heating().map(Kind.Heater.Heating::thermostat).orElse(Kind.Heater.THERMOSTAT),
                  "Default 60 °C: cooler water breeds legionella, hotter scalds."));
      case Kind.Manifold k ->
          List.of(Field.number("outlets", "Outlets", Integer.toString(k.outlets()), "", ""));
      case Kind.Fixture k ->
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
      case Kind.PortableContainer k ->
          List.of(
              amount("capacity", "Holds", Measure.VOLUME, k.capacity(), ""),
              Field.tick("drinkable", "Its water is fit to drink", k.drinkable(), ""));
      case Kind.Macerator k ->
          List.of(
              amount("flow", "Flow with nothing against it", Measure.FLOW, k.freeFlow(), PLATE),
              amount(
                  "shutoff", "Pressure at no flow", Measure.PRESSURE, k.shutOffPressure(), PLATE),
              dryRun(k.dryRun(), k));
      case Kind.OpenEnd k -> List.of(choice("role", "Is a", k.role(), Kind.OpenEnd.Role.class));
      case Kind.Plug k ->
          List.of(Field.tick("removable", "A cap that a hand takes off", k.removable(), ""));
      case Kind.GravityFiller k -> List.of();
      case Kind.AirAdmittanceValve k -> List.of();
      case Kind.Strainer k -> List.of();
      case Kind.Tee k -> List.of();
      case Kind.DrainTrap k -> List.of();
      case Kind.LeakTray k ->
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
      case Kind.HoseInlet k ->
          new Kind.HoseInlet(
              v.amount("mains", "Mains pressure", Measure.PRESSURE, 0, 8e5),
              v.amount("outside", "Surface of outside water", Measure.LENGTH),
              v.optional("tap", "Tap and hose give", Measure.FLOW, 2e-5, 2e-3),
              v.tick("fit") ? Optional.of(true) : Optional.empty());
      case Kind.Tank k -> new TankForm(units).read(k, v);
      case Kind.TwoWayValve k ->
          new Kind.TwoWayValve(handle.stops(k, v), HandleForm.motor(k, v), HandleForm.design(v));
      case Kind.ThreeWayValve k ->
          new Kind.ThreeWayValve(handle.stops(k, v), HandleForm.motor(k, v), HandleForm.design(v));
      case Kind.CheckValve k ->
          new Kind.CheckValve(v.amount("cracking", "Opening pressure", Measure.PRESSURE, 0, 1e6));
      case Kind.Regulator k ->
          new Kind.Regulator(v.amount("set", "Set pressure", Measure.PRESSURE, 5e4, 6e5));
      case Kind.Filter k ->
          new Kind.Filter(
              v.choice("grade", "What it takes out", Kind.Filter.Grade.class),
              v.amount("flow", "Rated flow", Measure.FLOW, 1e-5, 2e-3),
              v.amount("loss", "Pressure lost", Measure.PRESSURE, 1e3, 3e5),
              v.optional("doubling", "Litres until its loss doubles", Measure.VOLUME, 0.05, 100));
      case Kind.Pump k ->
          new Kind.Pump(
              v.choice("duty", "What it is there for", Kind.Pump.Duty.class),
              v.choice("works", "How it works", Kind.Pump.Type.class),
              v.optional("shutoff", "Pressure at no flow", Measure.PRESSURE, 5e3, 8e5)
                  .orElseGet(() ->
                      OVER_CUT_OUT + v.amount("cutout", "Cut-out pressure", Measure.PRESSURE)),
              v.amount("flow", "Free flow", Measure.FLOW, 1e-5, 2e-2),
              v.amount("cutin", "Cut-in pressure", Measure.PRESSURE, 0, 6e5),
              v.amount("cutout", "Cut-out pressure", Measure.PRESSURE, 0, 8e5),
              v.amount("priming", "Dry lift", Measure.LENGTH, 0, 8),
              dryRun(v));
      case Kind.Accumulator k ->
          new Kind.Accumulator(v.amount("precharge", "Air pressure", Measure.PRESSURE, 2e4, 6e5));
      case Kind.Heater k ->
          new Kind.Heater(
              v.choice("works", "How it heats", Kind.Heater.Type.class),
              v.tick("relief"),
              v.amount("drain", "Drain above its bottom", Measure.LENGTH, 0, 0.6),
              heating(v));
      case Kind.Manifold k -> new Kind.Manifold((int) v.plain("outlets", "Outlets"));
      case Kind.Fixture k ->
          new Kind.Fixture(
              v.choice("use", "What it is", Kind.Fixture.Type.class),
              v.tick("drinking"),
              v.amount("flow", "Rated flow", Measure.FLOW, 5e-6, 5e-3),
              v.amount("pressure", "Rated pressure", Measure.PRESSURE, 2e4, 6e5),
              v.optional("restrictor", "Restricted flow", Measure.FLOW, 5e-6, 5e-3));
      case Kind.PortableContainer k ->
          new Kind.PortableContainer(
              v.amount("capacity", "What it holds", Measure.VOLUME, 1e-3, 0.3),
              v.tick("drinkable"));
      case Kind.Macerator k ->
          new Kind.Macerator(
              v.amount("flow", "Free flow", Measure.FLOW, 5e-5, 5e-3),
              v.amount("shutoff", "Pressure at no flow", Measure.PRESSURE, 5e3, 8e5),
              dryRun(v));
      case Kind.OpenEnd k ->
          new Kind.OpenEnd(v.choice("role", "What it is", Kind.OpenEnd.Role.class));
      case Kind.Plug k -> new Kind.Plug(v.tick("removable"));
      case Kind.GravityFiller k -> k;
      case Kind.AirAdmittanceValve k -> k;
      case Kind.Strainer k -> k;
      case Kind.Tee k -> k;
      case Kind.DrainTrap k -> k;
      case Kind.LeakTray k ->
          new Kind.LeakTray(
              v.amount("holds", "What it holds", Measure.VOLUME, 0.0001, 1), v.tick("contact"));
    };
  }

  private static Field dryRun(Optional<Double> seconds, Kind.Driven driven) {
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

  private static Optional<Kind.Heater.Heating> heating(Values v) {
    return v.text("power").isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Kind.Heater.Heating(
                v.plain("power", "Power"),
                v.amount("thermostat", "Thermostat", Measure.TEMPERATURE)));
  }
}
