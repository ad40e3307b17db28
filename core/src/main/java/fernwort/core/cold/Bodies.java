package fernwort.core.cold;

import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Kind;
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
      case Kind.Tee k -> middleLeaves(v + 3) ? 0 : all;
      case Kind.Manifold k -> middleLeaves(v + k.ports().size()) ? 0 : all;
      case Kind.Valve k -> runsThrough(part) ? roundTheBall(part, k) : all;
      case Kind.Strainer k -> now.has(part, Kind.OFF) ? 0 : all;
      case Kind.Filter k -> now.has(part, Kind.OFF) ? 0 : all;
      case Kind.DrainTrap k -> now.has(part, Kind.OFF) ? 0 : all;
      case Kind.LeakTray k -> 0;
      case Kind.CheckValve k -> all;
      case Kind.Regulator k -> all;
      case Kind.Pump k -> all;
      case Kind.Macerator k -> all;
      case Kind.Heater k -> heater(part, k);
      case Kind.Accumulator k -> isDry(part, v) ? 0 : all;
      case Kind.HoseInlet k -> leaving.leaves(v) ? 0 : all;
      case Kind.GravityFiller k -> leaving.leaves(v + 1) ? 0 : all;
      case Kind.OpenEnd k -> leaving.leaves(v) ? 0 : all;
      case Kind.AirAdmittanceValve k -> leaving.leaves(v) ? 0 : all;
      case Kind.Plug k -> leaving.leaves(v) ? 0 : all;
      case Kind.Fixture k -> runsThrough(part) ? 0 : all;
      case Kind.PortableContainer k -> all;
      case Kind.Tank k -> all;
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

  private double roundTheBall(Part part, Kind.Valve valve) {
    boolean half =
        now.has(part, Kind.Valve.HALF)
            || now.state().setting().of(part.id()).equals(Kind.Valve.HALF);
    return valve.hasBall() && !half ? Draining.ROUND_A_BALL * part.volume() : 0;
  }

  /** Under its drain when that is out, under its lower port otherwise, once air can enter. */
  private double heater(Part part, Kind.Heater heater) {
    int plug = passages.mouth(plumbing.index(part.id()));
    if (heater.works() == Kind.Heater.Type.INSTANT) {
      return part.volume();
    }
    if (plug >= 0 && leaving.leaves(plug)) {
      return part.volume() * Math.min(1, heater.drainHeight() / Kind.Heater.height(part.volume()));
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
