package fernwort.core.flow;

import fernwort.core.effort.Effort;
import java.util.Arrays;

/** One run of the global gradient algorithm on one network. */
final class Newton {

  private static final double SETTLED = 1e-10;
  private static final int FULL_STEPS = 30;
  private static final int MOST_STEPS = 200;

  /**
   * Pumps and regulators at their limits are let go and held so often. Two in one line answer each
   * other and come near only by a tenth in ten rounds.
   */
  private static final int MOST_ROUNDS = 200;

  /** A regulator holds its limit to so much (m). */
  private static final double HELD = 1e-6;

  /**
   * Where the flows, as near as they settle, do not tell the limit so exactly, as through a tap
   * that is nearly closed, it holds ten times as roughly after every so many rounds, but never
   * further off than a millimetre of water.
   */
  private static final int ROUNDS_TO_TEN = 8;

  private static final double ROUGHEST = 1e-3;

  /** Of a flow, the share by which it may still change when it has settled. */
  private static final double SHARE = 1e-8;

  /** A pressure that answers a flow by less is taken not to answer at all (s/m²). */
  private static final double RESPONDS = 1e-6;

  /** What a regulator holds back has settled when it changes by less (m). */
  private static final double STEADY = 1e-9;

  private final FlowNetwork network;
  private final ReducedNetwork skeleton;
  private final Workspace work;
  private final int[] live;
  private final int links;
  private final Loss[] losses;
  private final int[] from;
  private final int[] to;
  private final int[] rowFrom;
  private final int[] rowTo;
  private final double[] flow;
  private final double[] target;
  private final double[] law;
  private final double[] held;
  private final double[] head;
  private final double[] right;
  private final double[] solution;
  private int steps;

  /** By how much the head behind a link falls per head that it takes away more (m/m). */
  private double response;

  /** By how much its flow falls for it (m³/s per m). */
  private double slowing;

  Newton(FlowNetwork network, ReducedNetwork skeleton, Workspace work) {
    this.network = network;
    this.skeleton = skeleton;
    this.work = work;
    live = skeleton.live;
    links = live.length;
    losses = new Loss[links];
    for (int i = 0; i < links; i++) {
      losses[i] = network.losses[live[i]];
    }
    Pattern pattern = skeleton.pattern;
    from = pattern.from;
    to = pattern.to;
    rowFrom = pattern.rowFrom;
    rowTo = pattern.rowTo;
    flow = work.flow;
    target = work.target;
    law = work.law;
    held = work.held;
    right = work.right.data;
    solution = work.solution.data;
    head = network.height.clone();
    for (int v = 0; v < head.length; v++) {
      if (skeleton.isKnown(v)) {
        head[v] = skeleton.fixed[v];
      }
    }
  }

  SteadyFlow solve() {
    boolean holds = false;
    for (int i = 0; i < links; i++) {
      flow[i] = losses[i].ordinary();
      holds |= losses[i] instanceof PressureControl;
    }
    settle();
    for (int round = 0; holds && adjustHolds(within(round)); round++) {
      if (round == MOST_ROUNDS) {
        throw new UnsettledException(worstHold());
      }
      settle();
    }
    return answer();
  }

  private static double within(int round) {
    return Math.min(ROUGHEST, HELD * Math.pow(10, Math.floorDiv(round, ROUNDS_TO_TEN)));
  }

  private SteadyFlow answer() {
    double[] flows = new double[network.linkCount()];
    double[] taken = new double[network.linkCount()];
    for (int i = 0; i < links; i++) {
      flows[live[i]] = flow[i];
      taken[live[i]] = held[i];
    }
    skeleton.fillDeadEnds(head);
    return new SteadyFlow(head, flows, taken, steps);
  }

  /** Takes Newton steps until the flows stay where they are. */
  private void settle() {
    evaluate(flow, law);
    for (int step = 0; step < MOST_STEPS; step++) {
      Effort.look();
      steps++;
      solveHeads();
      double moved = aim();
      if (moved <= 1) {
        System.arraycopy(target, 0, flow, 0, links);
        balance();
        evaluate(flow, law);
        return;
      }
      if (step < FULL_STEPS) {
        leap();
      } else if (step == FULL_STEPS) {
        System.arraycopy(target, 0, flow, 0, links);
      } else {
        descend();
      }
      evaluate(flow, law);
    }
    throw new UnsettledException(live[worst()]);
  }

  private void evaluate(double[] flows, double[] into) {
    for (int i = 0; i < links; i++) {
      losses[i].at(flows[i], into, 2 * i);
      into[2 * i] += held[i];
    }
  }

  /** Solves the balance of all junctions, each flow taken to be linear in the heads. */
  private void solveHeads() {
    if (skeleton.rows == 0) {
      return;
    }
    double[] cells = work.matrix.nz_values;
    int[] spots = skeleton.pattern.spots;
    Arrays.fill(cells, 0, work.matrix.nz_length, 0);
    Arrays.fill(right, 0);
    for (int i = 0; i < links; i++) {
      double g = 1 / law[2 * i + 1];
      double still = flow[i] - g * law[2 * i];
      int a = rowFrom[i];
      int b = rowTo[i];
      if (a >= 0) {
        right[a] -= still - (b < 0 ? g * head[to[i]] : 0);
      }
      if (b >= 0) {
        right[b] += still + (a < 0 ? g * head[from[i]] : 0);
      }
      for (int at = 4 * i; at < 4 * i + 4; at++) {
        if (spots[at] >= 0) {
          cells[spots[at]] += at < 4 * i + 2 ? g : -g;
        }
      }
    }
    factor();
    work.solver.solve(work.right, work.solution);
    for (int v = 0; v < head.length; v++) {
      if (skeleton.row[v] >= 0) {
        head[v] = solution[skeleton.row[v]];
      }
    }
  }

  /**
   * Spreads what rounding has left out of balance at the junctions over their links: one step of
   * iterative refinement with the last matrix, so that a long run loses no water.
   */
  private void balance() {
    if (skeleton.rows == 0) {
      return;
    }
    Arrays.fill(right, 0);
    for (int i = 0; i < links; i++) {
      int a = rowFrom[i];
      int b = rowTo[i];
      if (a >= 0) {
        right[a] -= flow[i];
      }
      if (b >= 0) {
        right[b] += flow[i];
      }
    }
    work.solver.solve(work.right, work.solution);
    for (int i = 0; i < links; i++) {
      int a = rowFrom[i];
      int b = rowTo[i];
      double across = (a < 0 ? 0 : solution[a]) - (b < 0 ? 0 : solution[b]);
      flow[i] += across / law[2 * i + 1];
    }
  }

  private void factor() {
    if (!work.solver.setA(work.matrix)) {
      throw new UnsettledException(live[worst()]);
    }
    work.solver.setStructureLocked(true);
  }

  /** Works out where the flows should go; returns the largest way to go over what is settled. */
  private double aim() {
    double most = 0;
    for (int i = 0; i < links; i++) {
      double across = head[from[i]] - head[to[i]];
      double change = (across - law[2 * i]) / law[2 * i + 1];
      target[i] = flow[i] + change;
      most = Math.max(most, Math.abs(change) / (SETTLED + SHARE * Math.abs(flow[i])));
    }
    return most;
  }

  private int worst() {
    int worst = 0;
    for (int i = 0; i < links; i++) {
      if (Math.abs(target[i] - flow[i]) > Math.abs(target[worst] - flow[worst])) {
        worst = i;
      }
    }
    return worst;
  }

  /** Goes all the way, stopping one-way links where they shut and starting them gently. */
  private void leap() {
    for (int i = 0; i < links; i++) {
      Loss loss = losses[i];
      if (!loss.oneWay()) {
        flow[i] = target[i];
      } else if (target[i] < 0) {
        flow[i] = flow[i] > 0 ? -1e-15 : target[i];
      } else {
        flow[i] = flow[i] < 0 ? loss.ordinary() : target[i];
      }
    }
  }

  /** Goes as far towards the target as the convex function falls. */
  private void descend() {
    double start = descent(law);
    evaluate(target, work.trial);
    double end = descent(work.trial);
    double t = 1;
    double low = 0;
    double high = 1;
    double[] at = new double[links];
    for (int i = 0; i < 60 && Math.abs(end) > 0.5 * Math.abs(start); i++) {
      if (end < 0 && t == 1) {
        break;
      }
      if (end < 0) {
        low = t;
      } else {
        high = t;
      }
      t = 0.5 * (low + high);
      for (int k = 0; k < links; k++) {
        at[k] = flow[k] + t * (target[k] - flow[k]);
      }
      evaluate(at, work.trial);
      end = descent(work.trial);
    }
    for (int k = 0; k < links; k++) {
      flow[k] += t * (target[k] - flow[k]);
    }
  }

  private double descent(double[] at) {
    double sum = 0;
    for (int i = 0; i < links; i++) {
      double across = head[from[i]] - head[to[i]];
      sum += (at[2 * i] - across) * (target[i] - flow[i]);
    }
    return sum;
  }

  /** Moves what the holding links take away; returns whether any had to be moved that far (m). */
  private boolean adjustHolds(double within) {
    boolean moved = false;
    for (int i = 0; i < links; i++) {
      if (losses[i] instanceof PressureControl hold) {
        double excess = head[to[i]] - hold.limit();
        boolean tooHigh = excess > within && flow[i] > SETTLED;
        boolean tooLow = excess < -within && held[i] > 0;
        if (tooHigh || tooLow) {
          respond(i);
          double change = response > RESPONDS ? excess / response : -0.5 * held[i];
          // No more is held back than stops the flow: what presses from behind, no hold lets off.
          double next = Math.max(0, held[i] + (tooHigh ? stopping(i, change) : change));
          moved |= Math.abs(next - held[i]) > STEADY;
          held[i] = next;
        }
      }
    }
    return moved;
  }

  /** Finds how head and flow of a link answer when it takes away more. */
  private void respond(int i) {
    int a = rowFrom[i];
    int b = rowTo[i];
    double g = 1 / law[2 * i + 1];
    response = 0;
    slowing = g;
    if (b < 0) {
      return;
    }
    Arrays.fill(right, 0);
    if (a >= 0) {
      right[a] = g;
    }
    right[b] -= g;
    work.solver.solve(work.right, work.solution);
    response = -solution[b];
    slowing = g * (1 + solution[b] - (a >= 0 ? solution[a] : 0));
  }

  /** Returns what is to be taken away more: as much as is asked for, or as stops the flow (m). */
  private double stopping(int i, double change) {
    double stops = slowing > 0 ? flow[i] / slowing : Double.POSITIVE_INFINITY;
    return response > RESPONDS ? Math.min(change, stops) : Double.isFinite(stops) ? stops : change;
  }

  private int worstHold() {
    for (int i = 0; i < links; i++) {
      if (losses[i] instanceof PressureControl) {
        return live[i];
      }
    }
    return live[0];
  }
}
