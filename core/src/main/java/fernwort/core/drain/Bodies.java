package fernwort.core.drain;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import java.util.Map;
import java.util.TreeMap;

/** What the bodies of a rig keep while its lines run out. */
final class Bodies {

  private final Network network;
  private final Wintering now;
  private final Levels levels;
  private final Passages passages;
  private final GravityDrainage leaving;

  Bodies(
      Network network, Wintering now, Levels levels, Passages passages, GravityDrainage leaving) {
    this.network = network;
    this.now = now;
    this.levels = levels;
    this.passages = passages;
    this.leaving = leaving;
  }

  /** Returns the wetness with what the bodies keep; what was dry stays dry. */
  Wetness left() {
    Map<PartId, Double> left = new TreeMap<>();
    for (Part part : network.rig().parts()) {
      double before = now.wetness().body(part.id());
      if (before > 0) {
        left.put(part.id(), Math.min(before, keeps(part)));
      }
    }
    left.values().removeIf(v -> v <= 0);
    return new Wetness(now.wetness().lines(), left);
  }

  private double keeps(Part part) {
    int v = network.first(network.index(part.id()));
    int ports = part.kind().ports().size();
    boolean leaves =
        now.has(part, Kind.UNDONE)
            || switch (part.kind().keeps()) {
              case ALL -> false;
              case NOTHING -> true;
              case UNTIL_ITS_LINE_LEAVES -> leaving.leaves(v + ports - 1);
              case UNTIL_ITS_MIDDLE_LEAVES -> middleLeaves(v + ports);
              case UNTIL_RUN_THROUGH -> runsThrough(part);
              case UNTIL_OFF -> now.has(part, Kind.OFF);
              case UNTIL_ITS_LINE_IS_DRY -> isDry(part, v);
              case ROUND_A_BALL -> isHalfWay(part) && runsThrough(part);
              case UNDER_ITS_DRAIN -> !isDrained(part) && runsThrough(part);
            };
    return leaves ? 0 : part.volume() * share(part);
  }

  /** What a body keeps that lets go of some of its water (1 for all of it). */
  private double share(Part part) {
    return switch (part.kind().keeps()) {
      case ROUND_A_BALL -> runsThrough(part) ? Draining.ROUND_A_BALL : 1;
      case UNDER_ITS_DRAIN -> isDrained(part) ? part.kind().underDrain(part.volume()) : 1;
      case ALL,
          NOTHING,
          UNTIL_ITS_LINE_LEAVES,
          UNTIL_ITS_MIDDLE_LEAVES,
          UNTIL_RUN_THROUGH,
          UNTIL_OFF,
          UNTIL_ITS_LINE_IS_DRY ->
          1;
    };
  }

  private boolean isHalfWay(Part part) {
    return now.has(part, Valve.HALF) || now.state().setting().of(part.id()).equals(Valve.HALF);
  }

  /** Tells whether water leaves by the drain of a body. */
  private boolean isDrained(Part part) {
    int plug = passages.mouth(network.index(part.id()));
    return plug >= 0 && leaving.leaves(plug);
  }

  private boolean middleLeaves(int middle) {
    return leaving.leaves(middle) || leaving.leavesWide(middle, passages.height(middle));
  }

  /** Tells whether water in a body leaves from one of its ways through. */
  private boolean runsThrough(Part part) {
    int v = network.first(network.index(part.id()));
    int end = network.first(network.index(part.id()) + 1);
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

  /** Tells whether the line at an accumulator is dry, so that its air pushes its water out. */
  private boolean isDry(Part part, int v) {
    if (!network.hasLine(part.port(PortId.IN))) {
      return false;
    }
    Line line = network.rig().lines().get(network.lineAt(part.port(PortId.IN)));
    return now.wetness().of(line).isEmpty();
  }
}
