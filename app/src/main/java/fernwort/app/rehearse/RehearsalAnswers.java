package fernwort.app.rehearse;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Tap;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What people ask before they start: how long until, how much here, and what if I open this too.
 */
final class RehearsalAnswers {

  private static final double DAY = 86_400;
  private static final int MOST_ROWS = 6;
  private static final double FLOWS = 1e-7;

  /** An answer with its working. */
  record Row(String what, String figure, String working) {}

  private RehearsalAnswers() {}

  /** Returns what each open tap gives, as a range where the losses of fittings are guesses. */
  static List<Row> flows(OpenRig rig, Simulation from, Units units) {
    Hydraulics hydraulics = rig.hydraulics();
    State now = from.moment().state();
    Flows expected = hydraulics.solve(now);
    Flows more = hydraulics.withFittings(Hydraulics.SMOOTHER).solve(now);
    Flows less = hydraulics.withFittings(Hydraulics.ROUGHER).solve(now);
    List<Row> rows = new ArrayList<>();
    expected
        .fixtures()
        .forEach((id, q) -> {
          String pressure =
              expected
                  .pressure(id, PortId.COLD)
                  .map(p -> units.show(Measure.PRESSURE, p))
                  .orElse(Says.ITS_PRESSURE.text());
          String low = units.show(Measure.FLOW, less.fixture(id));
          String high = units.show(Measure.FLOW, more.fixture(id));
          String figure = units.show(Measure.FLOW, q);
          rows.add(
              low.equals(high)
                  ? new Row(
                      rig.rig().part(id).label(),
                      figure,
                      Says.AT_THE_RANGE_ALLOWS_FOR_FITTINGS.filled(pressure))
                  : new Row(
                      rig.rig().part(id).label(),
                      "%s (%s to %s)".formatted(figure, low, high),
                      Says.AT_THE_RANGE_IS_FOR_FITTINGS.filled(pressure)));
        });
    return rows;
  }

  /**
   * Returns when tanks will be full and empty if everything stays as it is, as a range where the
   * losses of fittings are guesses.
   */
  static List<Row> until(OpenRig rig, Simulation from, Units units) {
    List<Row> rows = new ArrayList<>();
    State before = from.moment().state();
    Map<PartId, Double> gains = from.moment().gains();
    Hydraulics hydraulics = rig.hydraulics();
    List<Event> expected = serious(from.copy());
    List<Event> sooner = serious(from.with(hydraulics.withFittings(Hydraulics.SMOOTHER)));
    List<Event> later = serious(from.with(hydraulics.withFittings(Hydraulics.ROUGHER)));
    for (Event h : expected) {
      String range = range(h, from, sooner, later);
      rows.add(
          new Row(
              HappeningWords.of(rig.rig(), h),
              "in " + HappeningWords.time(h.at() - from.time()) + range,
              working(h, before, gains, units)
                  + (range.isEmpty() ? "" : Says.THE_RANGE_IS_FOR_FITTINGS.text())));
    }
    return rows;
  }

  private static List<Event> serious(Simulation run) {
    List<Event> found = new ArrayList<>();
    double until = run.time() + DAY;
    while (run.time() < until - 1 && found.size() < MOST_ROWS) {
      run.runToNext(until).stream().filter(HappeningWords::isSerious).forEach(found::add);
    }
    return found;
  }

  /** The times of the same happening with smoother and rougher fittings, where they differ. */
  private static String range(Event h, Simulation from, List<Event> sooner, List<Event> later) {
    Optional<String> first = same(h, sooner).map(s -> HappeningWords.time(s.at() - from.time()));
    Optional<String> last = same(h, later).map(s -> HappeningWords.time(s.at() - from.time()));
    return first.isPresent() && last.isPresent() && !first.equals(last)
        ? " (%s to %s)".formatted(first.get(), last.get())
        : "";
  }

  private static Optional<Event> same(Event h, List<Event> in) {
    return in.stream()
        .filter(o -> o.kind() == h.kind() && o.subject().equals(h.subject()))
        .findFirst();
  }

  private static String working(Event h, State before, Map<PartId, Double> gains, Units units) {
    boolean tank = h.kind() == Event.Kind.FULL || h.kind() == Event.Kind.DRY;
    if (!tank) {
      return Says.FROM_THE_SAME_RUN.text();
    }
    return Says.FROM_AT_TO_BEGIN_WITH_THE_FLOW.filled(
        units.show(Measure.VOLUME, before.volume(h.subject().part())),
        units.show(Measure.FLOW, Math.abs(gains.getOrDefault(h.subject(), 0.0))));
  }

  /** Returns what each shut tap would give, and what that would leave the open ones. */
  static List<Row> alsoOpen(OpenRig rig, Simulation from, Units units) {
    Hydraulics hydraulics = rig.hydraulics();
    State now = from.moment().state();
    Flows as = hydraulics.solve(now);
    List<Row> rows = new ArrayList<>();
    for (Part part : rig.rig().parts()) {
      if (part.kind() instanceof Tap tap && now.setting().of(part.id()).equals(part.rest().id())) {
        PositionId open = tap.cold().id();
        Flows then = hydraulics.solve(now.with(part.id(), open));
        List<String> others = new ArrayList<>();
        as.fixtures()
            .forEach((id, q) -> {
              if (q > FLOWS) {
                others.add(
                    Says.THEN_INSTEAD_OF.filled(
                        rig.rig().part(id).label(),
                        units.show(Measure.FLOW, then.fixture(id)),
                        units.show(Measure.FLOW, q)));
              }
            });
        double gives = then.fixture(part.id());
        rows.add(
            new Row(
                part.label(),
                gives > FLOWS ? units.show(Measure.FLOW, gives) : "nothing",
                others.isEmpty()
                    ? Says.WITH_NOTHING_ELSE_OPEN_AT.filled(
                        then.pressure(part.id(), PortId.COLD)
                            .map(p -> units.show(Measure.PRESSURE, p))
                            .orElse(Says.NO_PRESSURE.text()))
                    : String.join("; ", others)));
      }
    }
    return rows;
  }
}
