package fernwort.core.drain;

import fernwort.core.kind.Purpose;
import fernwort.core.network.Joined;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;

/**
 * How the water of a line stands: between closed ends, in a dead end, or with air beside it. What
 * is joined by passages and wet is one body of water. O(E α).
 */
public final class Regions {

  /** How water stands. */
  public enum Stands {
    /** Between closed ends, with no air. */
    SHUT_IN,
    /** Full up to a closed end. */
    DEAD_END,
    /** Joined to a tank that holds water, which gives way. */
    AT_A_TANK,
    /** With air on all sides that it could grow to. */
    POCKET
  }

  /** Heights that are no further apart are the same (m). */
  private static final double SAME = 1e-3;

  private final Passages passages;
  private final Joined joined;
  private final boolean[] air;
  private final boolean[] closed;
  private final boolean[] tank;

  /** Looks at a rig as it stands. */
  public Regions(Network network, Wintering now) {
    Levels levels = Levels.of(network, now.state());
    passages = Passages.of(network, now, levels);
    int n = passages.points();
    joined = new Joined(n);
    boolean[] wet = new boolean[n];
    boolean[] dryBeside = new boolean[n];
    int[] ways = new int[n];
    for (int e = 0; e < passages.arcs(); e += 2) {
      int a = passages.from(e);
      int b = passages.to(e);
      ways[a]++;
      ways[b]++;
      if (passages.isPiece(e)) {
        if (passages.isWet(e)) {
          wet[a] = true;
          wet[b] = true;
          joined.join(a, b);
        } else {
          dryBeside[a] = true;
          dryBeside[b] = true;
        }
      }
    }
    for (int e = 0; e < passages.arcs(); e += 2) {
      boolean passes = passages.lets(e) || passages.lets(e + 1);
      if (!passages.isPiece(e) && passes) {
        joined.join(passages.from(e), passages.to(e));
      }
    }
    air = new boolean[n];
    closed = new boolean[n];
    tank = new boolean[n];
    for (int v = 0; v < n; v++) {
      int region = joined.find(v);
      boolean isTank = v < network.size() && network.part(v).kind().is(Purpose.HOLDS);
      air[region] |= passages.letsAirIn(v) || dryBeside[v];
      tank[region] |= isTank && wet[v] && levels.isCovered(port(network, v));
      closed[region] |= wet[v] && ways[v] <= 1 && !passages.letsAirIn(v) && !isTank;
    }
  }

  private static fernwort.core.rig.PortRef port(Network network, int v) {
    return network.part(v).port(network.port(v));
  }

  /** Returns how the water of a line stands, which must hold some. */
  public Stands of(Line line, Network network) {
    int number = network.lineNumber(line.id());
    Stands worst = Stands.POCKET;
    for (Passages.Piece piece : passages.pieces()) {
      if (piece.line() == number && piece.wet()) {
        Stands here = at(piece.a());
        worst = here.ordinal() < worst.ordinal() ? here : worst;
      }
    }
    return worst;
  }

  /** Tells whether a line's water, where it holds some, lies lower than both ends of the line. */
  public boolean sags(Line line, Network network) {
    int number = network.lineNumber(line.id());
    double lowest = Double.POSITIVE_INFINITY;
    for (Passages.Piece piece : passages.pieces()) {
      if (piece.line() == number && piece.wet()) {
        lowest = Math.min(lowest, height(piece.a(), piece.b()));
      }
    }
    return lowest < height(network.vertex(line.from()), network.vertex(line.to())) - SAME;
  }

  private double height(int one, int other) {
    return Math.min(passages.height(one), passages.height(other));
  }

  /** Returns how the water at a point stands. */
  public Stands at(int point) {
    int region = joined.find(point);
    if (tank[region]) {
      return Stands.AT_A_TANK;
    }
    if (!air[region]) {
      return Stands.SHUT_IN;
    }
    return closed[region] ? Stands.DEAD_END : Stands.POCKET;
  }
}
