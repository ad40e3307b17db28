package fernwort.app.rehearse;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.network.Flows;
import fernwort.core.network.Hydraulics;
import fernwort.core.network.Plumbing;
import fernwort.core.network.run.Happening;
import fernwort.core.network.run.Simulation;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What people ask before they start: how long until, how much here, and what if I open this too.
 */
final class Answers {

  private static final double DAY = 86_400;
  private static final double FLOWS = 1e-7;
  private static final double SMOOTHER = 0.5;
  private static final double ROUGHER = 2;

  /** An answer with its working. */
  record Row(String what, String figure, String working) {}

  private Answers() {}

  /** Returns what each open tap gives, as a range where the losses of fittings are guesses. */
  static List<Row> flows(Plumbing plumbing, Simulation from, Units units) {
    Hydraulics hydraulics = Hydraulics.of(plumbing);
    State now = from.moment().state();
    Flows expected = hydraulics.solve(now);
    Flows more = hydraulics.withFittings(SMOOTHER).solve(now);
    Flows less = hydraulics.withFittings(ROUGHER).solve(now);
    List<Row> rows = new ArrayList<>();
    expected
        .fixtures()
        .forEach((id, q) ->
            rows.add(
                new Row(
                    plumbing.rig().part(id).label(),
                    "%s (%s to %s)"
                        .formatted(
                            units.show(Measure.FLOW, q),
                            units.show(Measure.FLOW, less.fixture(id)),
                            units.show(Measure.FLOW, more.fixture(id))),
                    "at %s; the range is for fittings that lose half as much, or twice"
                        .formatted(
                            expected
                                .pressure(id, "cold")
                                .map(p -> units.show(Measure.PRESSURE, p))
                                .orElse("its pressure")))));
    return rows;
  }

  /** Returns when tanks will be full and empty if everything stays as it is. */
  static List<Row> until(Plumbing plumbing, Simulation from, Units units) {
    List<Row> rows = new ArrayList<>();
    Simulation run = from.copy();
    double start = run.time();
    double until = start + DAY;
    State before = run.moment().state();
    Map<String, Double> gains = run.moment().gains();
    while (run.time() < until - 1 && rows.size() < 6) {
      for (Happening h : run.runToNext(until)) {
        if (HappeningWords.isSerious(h)) {
          rows.add(
              new Row(
                  HappeningWords.of(plumbing.rig(), h),
                  "in " + HappeningWords.time(h.at() - start),
                  working(h, before, gains, units)));
        }
      }
    }
    return rows;
  }

  private static String working(Happening h, State before, Map<String, Double> gains, Units units) {
    boolean tank = h.kind() == Happening.Kind.FULL || h.kind() == Happening.Kind.DRY;
    if (!tank) {
      return "from the same run";
    }
    return "from %s, at %s to begin with; the flow changes with the level"
        .formatted(
            units.show(Measure.VOLUME, before.volume(h.subject())),
            units.show(Measure.FLOW, Math.abs(gains.getOrDefault(h.subject(), 0.0))));
  }

  /** Returns what each shut tap would give, and what that would leave the open ones. */
  static List<Row> alsoOpen(Plumbing plumbing, Simulation from, Units units) {
    Hydraulics hydraulics = Hydraulics.of(plumbing);
    State now = from.moment().state();
    Flows as = hydraulics.solve(now);
    List<Row> rows = new ArrayList<>();
    for (Part part : plumbing.rig().parts()) {
      if (part.kind() instanceof Kind.Fixture && now.setting().of(part.id()).equals("shut")) {
        String open = part.kind().positions().get(1).id();
        Flows then = hydraulics.solve(now.with(part.id(), open));
        List<String> others = new ArrayList<>();
        as.fixtures()
            .forEach((id, q) -> {
              if (q > FLOWS) {
                others.add(
                    "%s then %s instead of %s"
                        .formatted(
                            plumbing.rig().part(id).label(),
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
                    ? "with nothing else open; at %s"
                        .formatted(
                            then.pressure(part.id(), "cold")
                                .map(p -> units.show(Measure.PRESSURE, p))
                                .orElse("no pressure"))
                    : String.join("; ", others)));
      }
    }
    return rows;
  }
}
