package fernwort.core.run.water;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * How far water has come in lines that were dry when a run began.
 *
 * <p>The flow is taken as it is with all lines full. A line or body that lacks water keeps what
 * enters it until it is full, and passes nothing on; where several come together, what leaves is in
 * the proportion in which they bring water already. Left out: that a pump lifts less while it draws
 * air, that a line without water resists less, and what runs ahead along the bottom of a wide one.
 */
public final class Fronts {

  /** What lacks less than this is full (m³). */
  private static final double FULL = 1e-7;

  /** Two amounts are one when they differ by less (m³/s). */
  private static final double SAME = 1e-15;

  private final Rig rig;
  private final Map<LineId, Double> lines;
  private final Map<PartId, Double> bodies;

  /** Begins with some lines dry. */
  public Fronts(Rig rig, Dry dry) {
    this.rig = rig;
    lines = new TreeMap<>(dry.lines());
    bodies = new TreeMap<>(dry.bodies());
    dropFull();
  }

  /** Makes a copy that goes on by itself. */
  public Fronts(Fronts other) {
    rig = other.rig;
    lines = new TreeMap<>(other.lines);
    bodies = new TreeMap<>(other.bodies);
  }

  private void dropFull() {
    lines.values().removeIf(v -> v <= FULL);
    bodies.values().removeIf(v -> v <= FULL);
  }

  /** Returns what is lacking still (m³). */
  public double lacking() {
    return new Dry(lines, bodies).all();
  }

  /** Everything is full from now on. */
  public void fill() {
    lines.clear();
    bodies.clear();
  }

  private boolean areThrough() {
    return lines.isEmpty() && bodies.isEmpty();
  }

  /** Returns the flows with what arrives in place of what would arrive if all lines were full. */
  public Flows arriving(Flows full) {
    if (areThrough()) {
      return full;
    }
    Map<PartId, Double> fixtures = new HashMap<>(full.fixtures());
    Map<PartId, Double> ends = new HashMap<>(full.ends());
    Map<PartId, Double> tanks = new HashMap<>(full.tanks());
    Map<PartId, Double> supplies = new HashMap<>(full.supplies());
    new Passing(full)
        .lost()
        .forEach((part, q) -> {
          fixtures.computeIfPresent(part, (id, all) -> Math.max(0, all - q));
          ends.computeIfPresent(part, (id, all) -> Math.max(0, all - q));
          tanks.computeIfPresent(part, (id, all) -> all - q);
          // What runs out by an inlet is a supply below nothing.
          supplies.computeIfPresent(part, (id, all) -> all < 0 ? Math.min(0, all + q) : all);
        });
    return new Flows(
        full.lines(),
        full.pressures(),
        fixtures,
        ends,
        tanks,
        supplies,
        full.pumps(),
        full.airAt(),
        full.runningFull(),
        full.spills(),
        full.air());
  }

  /** Returns the parts that water is on its way to, and has not come to. */
  public Set<PartId> awaited(Flows flows) {
    if (areThrough()) {
      return Set.of();
    }
    Passing passing = new Passing(flows);
    Set<PartId> awaited = new HashSet<>();
    passing
        .lost()
        .forEach((part, q) -> {
          boolean outlet =
              flows.fixtures().containsKey(part)
                  || flows.ends().containsKey(part)
                  || flows.tanks().containsKey(part);
          if (outlet && q > Rates.STILL && passing.arrives(part) <= Rates.STILL) {
            awaited.add(part);
          }
        });
    return awaited;
  }

  /** Returns how long until the next line or body is full (s). */
  public double untilThrough(Flows flows) {
    if (areThrough()) {
      return Double.POSITIVE_INFINITY;
    }
    double soonest = Double.POSITIVE_INFINITY;
    Passing passing = new Passing(flows);
    for (Map.Entry<LineId, Double> line : lines.entrySet()) {
      soonest = Math.min(soonest, line.getValue() / passing.enters(line.getKey()));
    }
    for (Map.Entry<PartId, Double> body : bodies.entrySet()) {
      soonest = Math.min(soonest, body.getValue() / passing.arrives(body.getKey()));
    }
    return soonest;
  }

  /** Lets the water run on for a time (s). */
  public void advance(Flows flows, double seconds) {
    if (areThrough()) {
      return;
    }
    Passing passing = new Passing(flows);
    lines.replaceAll((id, lacks) -> lacks - seconds * passing.enters(id));
    bodies.replaceAll((id, lacks) -> lacks - seconds * passing.arrives(id));
    dropFull();
  }

  /** What passes each line while some keep what they are given. */
  private final class Passing {

    private final Map<PartId, List<Line>> into = new HashMap<>();
    private final Map<LineId, Double> all = new HashMap<>();
    private final Map<LineId, Double> enters = new HashMap<>();
    private final Map<LineId, Double> leaves = new HashMap<>();

    private Passing(Flows flows) {
      List<Line> moving = new ArrayList<>();
      for (Line line : rig.lines()) {
        double q = flows.line(line.id());
        if (Math.abs(q) > Rates.STILL) {
          PartId down = q > 0 ? line.to().part() : line.from().part();
          into.computeIfAbsent(down, id -> new ArrayList<>()).add(line);
          moving.add(line);
          all.put(line.id(), Math.abs(q));
          enters.put(line.id(), Math.abs(q));
          leaves.put(line.id(), lines.containsKey(line.id()) ? 0 : Math.abs(q));
        }
      }
      boolean changes = true;
      // What arrives only ever sinks from pass to pass; a pass beyond the last line changes
      // nothing.
      for (int pass = 0; changes && pass <= moving.size(); pass++) {
        changes = false;
        for (Line line : moving) {
          PartId up = flows.line(line.id()) > 0 ? line.from().part() : line.to().part();
          double now = all.getOrDefault(line.id(), 0.0) * share(up);
          changes |= Math.abs(now - enters(line.id())) > SAME;
          enters.put(line.id(), now);
          leaves.put(line.id(), lines.containsKey(line.id()) ? 0 : now);
        }
      }
    }

    /** How much of what a part passes on when all is full it passes on now (0 to 1). */
    private double share(PartId part) {
      List<Line> in = into.getOrDefault(part, List.of());
      if (in.isEmpty() || rig.part(part).kind().is(Purpose.HOLDS)) {
        return 1;
      }
      return bodies.containsKey(part) ? 0 : Math.min(1, arrives(part) / full(in));
    }

    private double full(List<Line> in) {
      return in.stream().mapToDouble(l -> all.getOrDefault(l.id(), 0.0)).sum();
    }

    /** Returns what comes into a line (m³/s). */
    private double enters(LineId line) {
      return enters.getOrDefault(line, 0.0);
    }

    /** Returns what comes to a part (m³/s). */
    private double arrives(PartId part) {
      return into.getOrDefault(part, List.of()).stream()
          .mapToDouble(l -> leaves.getOrDefault(l.id(), 0.0))
          .sum();
    }

    /** Returns what each part gets less than if all were full, its body's share included (m³/s). */
    private Map<PartId, Double> lost() {
      Map<PartId, Double> lost = new HashMap<>();
      into.forEach((part, in) -> {
        double passes = bodies.containsKey(part) ? 0 : arrives(part);
        if (full(in) - passes > Rates.STILL) {
          lost.put(part, full(in) - passes);
        }
      });
      return lost;
    }
  }
}
