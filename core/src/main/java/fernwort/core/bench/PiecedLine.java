package fernwort.core.bench;

import fernwort.core.flow.FlowNetwork;
import fernwort.core.flow.Fluid;
import fernwort.core.flow.Pipe;
import fernwort.core.rig.Line;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.PumpAndLines;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Pieces of pipe and hose in a row, and what runs through them from a pressure into the open.
 *
 * @param pieces the pieces, in the order of the water
 * @param pressure what there is to spend (Pa)
 * @param flow what runs (m³/s)
 */
public record PiecedLine(List<Piece> pieces, double pressure, double flow) {

  /** Of the inside of new plastic pipe and hose (m). */
  static final double ROUGHNESS = Line.Material.PVC_HOSE.roughness();

  private static final double WIDER_BY_HAND = 1.25;
  private static final double SAME_BORE = 5e-4;

  /**
   * A piece.
   *
   * @param bore inside diameter (m)
   * @param length (m)
   * @param coefficient sum of the loss coefficients of what is in it (1)
   */
  public record Piece(double bore, double length, double coefficient) {

    /**
     * Makes a piece.
     *
     * @throws Refusal when it is no pipe of a vehicle
     */
    public Piece {
      if (!(bore > 1e-3 && bore < 0.3 && length > 0 && length < 200 && coefficient >= 0)) {
        throw new Refusal(Says.NO_PIPE_HAS_THESE_FIGURES.with());
      }
    }

    Pipe pipe() {
      return Pipe.of(bore, length, ROUGHNESS, coefficient, Fluid.WATER);
    }

    private Piece ofBore(double other) {
      return new Piece(other, length, coefficient);
    }

    /** Returns the next larger usual bore (m). */
    public double nextBore() {
      return PumpAndLines.BORES.stream()
          .filter(b -> b > bore + SAME_BORE)
          .findFirst()
          .orElse(bore * WIDER_BY_HAND);
    }
  }

  /**
   * Reckons what runs through some pieces.
   *
   * @param pressure over the line (Pa)
   * @throws Refusal when there is no piece or no pressure
   */
  public static PiecedLine of(List<Piece> pieces, double pressure) {
    if (pieces.isEmpty() || !(pressure > 0)) {
      throw new Refusal(Says.GIVE_A_PRESSURE_AND_AT_LEAST.with());
    }
    FlowNetwork.Builder line = FlowNetwork.builder();
    int at = line.reservoir(Fluid.WATER.head(pressure));
    for (int i = 0; i < pieces.size(); i++) {
      int next = i == pieces.size() - 1 ? line.reservoir(0) : line.junction(0);
      line.link(at, next, pieces.get(i).pipe());
      at = next;
    }
    return new PiecedLine(List.copyOf(pieces), pressure, line.build().solve().flows()[0]);
  }

  /** Returns the pressure that a piece takes (Pa). */
  public double takes(int piece) {
    return Fluid.WATER.pressure(pieces.get(piece).pipe().loss(flow));
  }

  /** Returns the piece that takes most. */
  public int bottleneck() {
    return IntStream.range(0, pieces.size())
        .reduce((best, i) -> takes(i) > takes(best) ? i : best)
        .orElseThrow();
  }

  /** Returns this line with a piece of the next larger bore. */
  public PiecedLine withNextBore(int piece) {
    List<Piece> wider = new ArrayList<>(pieces);
    Piece old = pieces.get(piece);
    wider.set(piece, old.ofBore(old.nextBore()));
    return of(wider, pressure);
  }
}
