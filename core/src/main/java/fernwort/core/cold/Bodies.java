package fernwort.core.cold;

import fernwort.core.kind.Accumulator;
import fernwort.core.kind.AirAdmittanceValve;
import fernwort.core.kind.CheckValve;
import fernwort.core.kind.DrainTrap;
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
import fernwort.core.kind.Valve;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.Map;
import java.util.TreeMap;

/** What the bodies of a rig keep while its lines run out. */
final class Bodies {

  private final Plumbing plumbing;
  private final Wintering now;
  private final Levels levels;
  private final Passages passages;
  private final Leaving leaving;

  Bodies(Plumbing plumbing, Wintering now, Levels levels, Passages passages, Leaving leaving) {
    this.plumbing = plumbing;
    this.now = now;
    this.levels = levels;
    this.passages = passages;
    this.leaving = leaving;
  }

  /** Returns the wetness with what the bodies keep; what was dry stays dry. */
  Wetness left() {
    Map<String, Double> left = new TreeMap<>();
    for (Part part : plumbing.rig().parts()) {
      double before = now.wetness().body(part.id());
      if (before > 0) {
        left.put(part.id(), Math.min(before, keeps(part)));
      }
    }
    left.values().removeIf(v -> v <= 0);
    return new Wetness(now.wetness().lines(), left);
  }

  private double keeps(Part part) {
    int v = plumbing.first(plumbing.index(part.id()));
    double all = part.volume();
    if (now.has(part, Kind.UNDONE)) {
      return 0;
    }
    return switch (part.kind()) {
      case Tee k -> middleLeaves(v + 3) ? 0 : all;
      case Manifold k -> middleLeaves(v + k.ports().size()) ? 0 : all;
      case Valve k -> runsThrough(part) ? roundTheBall(part, k) : all;
      case Strainer k -> now.has(part, Kind.OFF) ? 0 : all;
      case Filter k -> now.has(part, Kind.OFF) ? 0 : all;
      case DrainTrap k -> now.has(part, Kind.OFF) ? 0 : all;
      case LeakTray k -> 0;
      case CheckValve k -> all;
      case Regulator k -> all;
      case Pump k -> all;
      case Macerator k -> all;
      case Heater k -> heater(part, k);
      case Accumulator k -> isDry(part, v) ? 0 : all;
      case HoseInlet k -> leaving.leaves(v) ? 0 : all;
      case GravityFiller k -> leaving.leaves(v + 1) ? 0 : all;
      case OpenEnd k -> leaving.leaves(v) ? 0 : all;
      case AirAdmittanceValve k -> leaving.leaves(v) ? 0 : all;
      case Plug k -> leaving.leaves(v) ? 0 : all;
      case Fixture k -> runsThrough(part) ? 0 : all;
      case PortableContainer k -> all;
      case Tank k -> all;
    };
  }

  private boolean middleLeaves(int middle) {
    return leaving.leaves(middle) || leaving.leavesWide(middle, passages.height(middle));
  }

  /** Tells whether water in a body leaves from one of its ways through. */
  private boolean runsThrough(Part part) {
    int v = plumbing.first(plumbing.index(part.id()));
    int end = plumbing.first(plumbing.index(part.id()) + 1);
    double height = levels.height(part);
    for (int p = v; p < end; p++) {
      for (int e = passages.first(p); e >= 0; e = passages.next(e)) {
        if (!passages.isPiece(e)) {
          int q = passages.to(e);
          boolean wide = passages.wide(e) && leaving.leavesWide(p, height);
          if (wide || leaving.leaves(p, q, height) || leaving.leaves(q, p, height)) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private double roundTheBall(Part part, Valve valve) {
    boolean half =
        now.has(part, Valve.HALF) || now.state().setting().of(part.id()).equals(Valve.HALF);
    return valve.hasBall() && !half ? Draining.ROUND_A_BALL * part.volume() : 0;
  }

  /** Under its drain when that is out, under its lower port otherwise, once air can enter. */
  private double heater(Part part, Heater heater) {
    int plug = passages.mouth(plumbing.index(part.id()));
    if (heater.works() == Heater.Type.INSTANT) {
      return part.volume();
    }
    if (plug >= 0 && leaving.leaves(plug)) {
      return part.volume() * Math.min(1, heater.drainHeight() / Heater.height(part.volume()));
    }
    return runsThrough(part) ? 0 : part.volume();
  }

  /** Tells whether the line at an accumulator is dry, so that its air pushes its water out. */
  private boolean isDry(Part part, int v) {
    if (!plumbing.hasLine(part.port("in"))) {
      return false;
    }
    Line line = plumbing.rig().lines().get(plumbing.lineAt(part.port("in")));
    return now.wetness().of(line).isEmpty();
  }
}
