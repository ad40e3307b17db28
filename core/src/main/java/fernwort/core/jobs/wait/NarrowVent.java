package fernwort.core.jobs.wait;

import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Tank;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Relief;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.run.Event;
import fernwort.core.run.Simulation;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A fill that bulges its tank, since the vent lets out less than the hose brings: at a level it
 * stops in good time, or goes so slowly that the vent bears it. Both are found by running the fill.
 */
final class NarrowVent {

  /** Nobody turns a tap to the second: so long after full it must not have bulged (s). */
  private static final double LATE = 90;

  /** So long before it bulges is in good time (s): a share of the fill, within bounds. */
  private static final double IN_TIME = 0.15;

  private static final double LEAST_IN_TIME = 15;
  private static final double MOST_IN_TIME = 60;

  /** So long before it is full, where its vent is wide and only rises too far (s). */
  private static final double BEFORE_FULL = 5;

  /** A fill that stops short has to be worth it (m³). */
  private static final double WORTHWHILE = 2e-3;

  /** How far ahead a slow fill is run (s). */
  private static final double LONGEST = 6 * 3600;

  private static final double LITRE = 1e-3;
  private static final double MINUTE = 60;

  /** Flows that a tap is opened to (L/min), the fastest first: such as a jug times well. */
  private static final double[] SLOW = {12, 10, 8, 6, 5, 4, 3, 2, 1};

  private final Network network;
  private final Hydraulics hydraulics;

  NarrowVent(Network network, Hydraulics hydraulics) {
    this.network = network;
    this.hydraulics = hydraulics;
  }

  /**
   * Returns when a tank bulges by a fill, if it does before it is full or soon after (s).
   *
   * @param ended the stage as the fill has ended
   * @param on how it goes on by itself
   */
  OptionalDouble bulges(PartId tank, StageRun ended, Onward on) {
    if (ended.harm().isPresent()) {
      Harm harm = ended.harm().get();
      boolean pressed =
          harm.part().equals(tank)
              && harm.kind() == Harm.Kind.STRAINED
              && ended.run().moment().air().getOrDefault(tank, 0.0) > 0;
      return pressed ? OptionalDouble.of(harm.seconds()) : OptionalDouble.empty();
    }
    return on.begins(Event.Kind.BULGES, tank, ended.run().time() + LATE);
  }

  /**
   * Returns what to fill to instead, in whole litres, when a tank bulges at a time (s).
   *
   * @param start how things stand when the fill begins
   */
  Optional<Job.Until> inTime(PartId tank, Simulation start, double bulges) {
    double fill = bulges - start.time();
    Optional<Double> full =
        risesTooFar(tank, start)
            ? start.copy().runUntil(Event.Kind.FULL, tank, bulges)
            : Optional.empty();
    double stop =
        full.map(at -> at - BEFORE_FULL)
            .orElse(bulges - Math.clamp(IN_TIME * fill, LEAST_IN_TIME, MOST_IN_TIME));
    if (stop <= start.time()) {
      return Optional.empty();
    }
    Simulation on = start.copy();
    on.runTo(stop);
    double holds = Math.floor(on.moment().state().volume(tank) / LITRE) * LITRE;
    double held = start.moment().state().volume(tank);
    return holds - held < WORTHWHILE
        ? Optional.empty()
        : Optional.of(new Job.Until(Job.Until.What.MARK, tank, holds));
  }

  /** Tells whether the water that stands in a full tank's vent presses more than the tank bears. */
  private boolean risesTooFar(PartId tank, Simulation start) {
    Part part = network.rig().part(tank);
    Levels levels = Levels.of(network, start.moment().state());
    double full = network.figures(part, levels.slope()).full();
    double brim = Levels.of(network, start.moment().state().withVolume(tank, full)).surface(tank);
    double rise = Relief.height(network, levels, part) - brim;
    return Double.isFinite(rise)
        && Fluid.WATER.pressure(rise) > ((Tank) part.kind()).highestPressure();
  }

  /**
   * A fill through a tap that is opened less.
   *
   * @param flow what the hose gives (m³/s)
   * @param start how things stand when it begins
   */
  record Slow(double flow, Simulation start) {}

  /**
   * Returns the fastest fill of a tank from the mains whose air its vent bears until it is full.
   */
  Optional<Slow> slowly(PartId tank, Simulation start) {
    Optional<Part> inlet =
        network.sources().stream()
            .filter(p -> p.kind().is(Purpose.INLET))
            .filter(p -> start.moment().flows().supplies().getOrDefault(p.id(), 0.0) > 0)
            .findFirst();
    Optional<LineId> line = inlet.flatMap(p -> network.lineId(p.port(PortId.OUT)));
    if (line.isEmpty()) {
      return Optional.empty();
    }
    double full = start.moment().flows().supplies().getOrDefault(inlet.get().id(), 0.0);
    for (double litres : SLOW) {
      double flow = litres * LITRE / MINUTE;
      if (flow < full) {
        Simulation slow = start.with(throttled((HoseInlet) inlet.get().kind(), line.get(), flow));
        Simulation run = slow.copy();
        Optional<Double> fills = run.runUntil(Event.Kind.FULL, tank, run.time() + LONGEST);
        if (fills.isPresent() && !bulgesBefore(slow, tank, fills.get())) {
          return Optional.of(new Slow(flow, slow));
        }
      }
    }
    return Optional.empty();
  }

  private static boolean bulgesBefore(Simulation start, PartId tank, double time) {
    return start.copy().runUntil(Event.Kind.BULGES, tank, time).isPresent();
  }

  /** The rig with a tap that is opened only so far that about so much comes (m³/s). */
  private Hydraulics throttled(HoseInlet inlet, LineId line, double flow) {
    Line of = network.rig().lines().get(network.lineNumber(line));
    double speed = flow * of.length() / of.volume();
    double share = inlet.tapFlow().map(most -> 1 - Math.pow(flow / most, 2)).orElse(1.0);
    double head = Fluid.WATER.head(inlet.mainsPressure()) * Math.max(0, share);
    return hydraulics.losing(Map.of(line, 2 * Fluid.GRAVITY * head / (speed * speed)));
  }
}
