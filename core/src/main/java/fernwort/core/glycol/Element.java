package fernwort.core.glycol;

import java.util.ArrayDeque;
import java.util.Deque;

/** A line or a body that liquid is pushed through, with the strength of what is in it. */
public sealed interface Element {

  /** A line, which moves as a plug. */
  final class Pipe implements Element {

    private record Plug(double volume, double strength) {}

    private final double volume;
    private final Deque<Plug> plugs = new ArrayDeque<>();

    /**
     * Makes a full line.
     *
     * @param volume what it holds (m³)
     * @param strength share of glycol in it (0 to 1)
     */
    public Pipe(double volume, double strength) {
      this.volume = volume;
      plugs.add(new Plug(volume, strength));
    }

    @Override
    public double push(double more, double strength) {
      if (volume <= 0) {
        return strength;
      }
      plugs.addFirst(new Plug(more, strength));
      double out = more;
      double glycol = 0;
      while (out > 0 && !plugs.isEmpty()) {
        Plug last = plugs.removeLast();
        double leaves = Math.min(out, last.volume());
        glycol += leaves * last.strength();
        out -= leaves;
        if (last.volume() > leaves) {
          plugs.addLast(new Plug(last.volume() - leaves, last.strength()));
        }
      }
      return glycol / more;
    }

    @Override
    public double strength() {
      double glycol = plugs.stream().mapToDouble(p -> p.volume() * p.strength()).sum();
      return volume <= 0 ? 0 : glycol / volume;
    }

    @Override
    public double volume() {
      return volume;
    }
  }

  /** A body, which is well mixed. */
  final class Vessel implements Element {

    private final double volume;
    private double strength;

    /**
     * Makes a full body.
     *
     * @param volume what it holds (m³)
     * @param strength share of glycol in it (0 to 1)
     */
    public Vessel(double volume, double strength) {
      this.volume = volume;
      this.strength = strength;
    }

    @Override
    public double push(double more, double comes) {
      if (volume <= 0) {
        return comes;
      }
      double before = strength;
      strength = comes + (before - comes) * Math.exp(-more / volume);
      // What came out is what came in less what stayed, so that no glycol is lost.
      return comes - volume / more * (strength - before);
    }

    @Override
    public double strength() {
      return strength;
    }

    @Override
    public double volume() {
      return volume;
    }
  }

  /**
   * Pushes liquid in at one end and returns the mean strength of what leaves at the other.
   *
   * @param more how much (m³), more than nothing
   * @param strength share of glycol in it (0 to 1)
   */
  double push(double more, double strength);

  /** Returns the mean share of glycol in it (0 to 1). */
  double strength();

  /** Returns what it holds (m³). */
  double volume();
}
