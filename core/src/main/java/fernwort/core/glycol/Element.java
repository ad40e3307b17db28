package fernwort.core.glycol;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;

/** A line or a body that liquid is pushed through, with the strength of what is in it. */
public sealed interface Element {

  /** A line, which moves as a plug; air in it leaves as it comes to the end. */
  final class Pipe implements Element {

    /**
     * A piece of what is in a line.
     *
     * @param volume how long it is, as what it holds (m³)
     * @param strength share of glycol in it (0 to 1)
     * @param air whether it is air
     */
    public record Plug(double volume, double strength, boolean air) {}

    private final double volume;
    private final Deque<Plug> plugs = new ArrayDeque<>();

    /**
     * Makes a full line.
     *
     * @param volume what it holds (m³)
     * @param strength share of glycol in it (0 to 1)
     */
    public Pipe(double volume, double strength) {
      this(volume, List.of(new Plug(volume, strength, false)));
    }

    /**
     * Makes a line of pieces.
     *
     * @param volume what it holds (m³)
     * @param plugs what is in it, from where the push comes
     */
    public Pipe(double volume, List<Plug> plugs) {
      this.volume = volume;
      this.plugs.addAll(plugs);
    }

    @Override
    public Flow push(Flow in) {
      if (volume <= 0) {
        return in;
      }
      plugs.addFirst(new Plug(in.volume(), in.strength(), false));
      double out = in.volume();
      double liquid = 0;
      double glycol = 0;
      while (out > 0 && !plugs.isEmpty()) {
        Plug last = plugs.removeLast();
        double leaves = Math.min(out, last.volume());
        if (!last.air()) {
          liquid += leaves;
          glycol += leaves * last.strength();
        }
        out -= leaves;
        if (last.volume() > leaves) {
          plugs.addLast(new Plug(last.volume() - leaves, last.strength(), last.air()));
        }
      }
      return liquid > 0 ? new Flow(liquid, glycol / liquid) : Flow.NONE;
    }

    @Override
    public double strength() {
      double held = held();
      double glycol =
          plugs.stream().filter(p -> !p.air()).mapToDouble(p -> p.volume() * p.strength()).sum();
      return held <= 0 ? 0 : glycol / held;
    }

    @Override
    public double held() {
      return plugs.stream().filter(p -> !p.air()).mapToDouble(Plug::volume).sum();
    }

    @Override
    public double volume() {
      return volume;
    }
  }

  /** A body, which is well mixed; one that is part-full fills first. */
  final class Vessel implements Element {

    private final double volume;
    private double held;
    private double strength;

    /**
     * Makes a full body.
     *
     * @param volume what it holds (m³)
     * @param strength share of glycol in it (0 to 1)
     */
    public Vessel(double volume, double strength) {
      this(volume, volume, strength);
    }

    /**
     * Makes a body.
     *
     * @param volume what it holds when full (m³)
     * @param held what is in it (m³)
     * @param strength share of glycol in that (0 to 1)
     */
    public Vessel(double volume, double held, double strength) {
      this.volume = volume;
      this.held = held;
      this.strength = strength;
    }

    @Override
    public Flow push(Flow in) {
      if (volume <= 0) {
        return in;
      }
      double fills = Math.min(in.volume(), volume - held);
      if (fills > 0) {
        strength = (held * strength + fills * in.strength()) / (held + fills);
        held += fills;
      }
      double more = in.volume() - fills;
      if (more <= 0) {
        return Flow.NONE;
      }
      double before = strength;
      strength = in.strength() + (before - in.strength()) * Math.exp(-more / volume);
      // What comes out is what came in less what stayed, so that no glycol is lost.
      return new Flow(more, in.strength() - volume / more * (strength - before));
    }

    @Override
    public double strength() {
      return strength;
    }

    @Override
    public double held() {
      return held;
    }

    @Override
    public double volume() {
      return volume;
    }
  }

  /**
   * Pushes liquid in at one end and returns what leaves at the other.
   *
   * @param in the liquid, more than nothing
   */
  Flow push(Flow in);

  /** Returns the mean share of glycol in what it holds (0 to 1). */
  double strength();

  /** Returns the liquid in it (m³). */
  double held();

  /** Returns what it holds when full (m³). */
  double volume();
}
