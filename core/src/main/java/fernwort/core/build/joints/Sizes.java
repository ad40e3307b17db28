package fernwort.core.build.joints;

import fernwort.core.kind.Connection.Standard;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Pipe size is not outside size is not thread size: what trade sizes measure.
 *
 * <p>Threads after ISO 228-1 and ISO 7-1 (BSP), ASME B1.20.1 (NPT) and ASME B1.20.7 (garden hose),
 * pipe after EN ISO 1452-2 (PVC for water under pressure); bores and holes are usual ones of
 * plastic fittings, our own table: measure yours first.
 */
public final class Sizes {

  private static final double MM = 1e-3;

  /**
   * A trade size of thread.
   *
   * @param size as it is written
   * @param outside outside diameter of its male thread (m)
   * @param pitch distance of its turns (m)
   * @param bore usual bore of a fitting with it (m)
   */
  public record ThreadSize(
      Standard standard, String size, double outside, double pitch, double bore) {}

  /**
   * A tube by its bore and outside.
   *
   * @param bore (m)
   * @param outside (m)
   */
  public record Tube(double bore, double outside) {}

  private static final double INCH = 25.4;

  private static ThreadSize bsp(String size, double outside, double perInch, double bore) {
    return new ThreadSize(
        Standard.BSP_PARALLEL, size, outside * MM, INCH / perInch * MM, bore * MM);
  }

  private static ThreadSize npt(String size, double outside, double perInch, double bore) {
    return new ThreadSize(Standard.NPT, size, outside * MM, INCH / perInch * MM, bore * MM);
  }

  private static final List<ThreadSize> THREADS =
      List.of(
          bsp("1/4", 13.157, 19, 8),
          bsp("3/8", 16.662, 19, 10),
          bsp("1/2", 20.955, 14, 13),
          bsp("3/4", 26.441, 14, 19),
          bsp("1", 33.249, 11, 25),
          bsp("1-1/4", 41.910, 11, 32),
          bsp("1-1/2", 47.803, 11, 38),
          bsp("2", 59.614, 11, 50),
          npt("1/4", 13.716, 18, 8),
          npt("3/8", 17.145, 18, 10),
          npt("1/2", 21.336, 14, 13),
          npt("3/4", 26.670, 14, 19),
          npt("1", 33.401, 11.5, 25),
          npt("1-1/4", 42.164, 11.5, 32),
          npt("1-1/2", 48.260, 11.5, 38),
          npt("2", 60.325, 11.5, 50),
          new ThreadSize(Standard.GARDEN_HOSE, "3/4", 26.99 * MM, INCH / 11.5 * MM, 13 * MM),
          new ThreadSize(Standard.METRIC, "M22x1.5", 22 * MM, 1.5 * MM, 13 * MM),
          new ThreadSize(Standard.METRIC, "M24x1.5", 24 * MM, 1.5 * MM, 13 * MM));

  private static final List<Tube> TUBES =
      List.of(
          new Tube(6 * MM, 8 * MM),
          new Tube(8 * MM, 10 * MM),
          new Tube(9 * MM, 12 * MM),
          new Tube(12 * MM, 15 * MM),
          new Tube(18 * MM, 22 * MM),
          new Tube(23 * MM, 28 * MM),
          new Tube(29 * MM, 35 * MM));

  /** A pipe for cement by its nominal size, which is about its bore (m). */
  private record Pipe(double nominal, double outside) {}

  private static final List<Pipe> PIPES =
      List.of(
          new Pipe(15 * MM, 20 * MM),
          new Pipe(20 * MM, 25 * MM),
          new Pipe(25 * MM, 32 * MM),
          new Pipe(32 * MM, 40 * MM),
          new Pipe(40 * MM, 50 * MM),
          new Pipe(50 * MM, 63 * MM));

  /** Pipe of some other size is about so many times its nominal size outside. */
  private static final double PIPE_WALL = 1.25;

  /** Bores of hose that tails are made for (m). */
  private static final List<Double> HOSES =
      List.of(
          6 * MM, 8 * MM, 10 * MM, 12 * MM, 13 * MM, 16 * MM, 19 * MM, 25 * MM, 32 * MM, 38 * MM,
          50 * MM);

  /** What a bulkhead's hole is wider than its thread, for its body (our table, rounded). */
  private static final double BODY = 1.35;

  private static final double GROMMET = 8 * MM;

  private Sizes() {}

  /** Returns all sizes of thread. Tapered BSP has the sizes of parallel BSP. */
  public static List<ThreadSize> threads() {
    return THREADS;
  }

  /** Returns the tubes. */
  public static List<Tube> tubes() {
    return TUBES;
  }

  /** Returns the nominal sizes of pipe for cement (m). */
  public static List<Double> pipes() {
    return PIPES.stream().map(Pipe::nominal).toList();
  }

  /** Returns the bores of hose that tails are made for (m). */
  public static List<Double> hoses() {
    return HOSES;
  }

  /** Returns what a size of thread measures, if we know it. */
  public static Optional<ThreadSize> thread(Standard standard, String size) {
    Standard like = standard == Standard.BSP_TAPERED ? Standard.BSP_PARALLEL : standard;
    return THREADS.stream().filter(t -> t.standard() == like && t.size().equals(size)).findFirst();
  }

  /** Returns the size of a standard whose bore is nearest to one (m). */
  public static String threadFor(Standard standard, double bore) {
    Standard like = standard == Standard.BSP_TAPERED ? Standard.BSP_PARALLEL : standard;
    return THREADS.stream()
        .filter(t -> t.standard() == like)
        .min(Comparator.comparingDouble(t -> Math.abs(t.bore() - bore)))
        .map(ThreadSize::size)
        .orElse("1/2");
  }

  /** Returns the outside of the tube whose bore is nearest to one (m). */
  public static double tubeFor(double bore) {
    return nearest(TUBES, bore).outside();
  }

  /** Returns the bore of the tube with an outside (m). */
  public static double tubeBore(double outside) {
    return TUBES.stream()
        .min(Comparator.comparingDouble(t -> Math.abs(t.outside() - outside)))
        .map(t -> Math.min(t.bore(), outside))
        .orElse(outside);
  }

  private static Tube nearest(List<Tube> tubes, double bore) {
    return tubes.stream()
        .min(Comparator.comparingDouble(t -> Math.abs(t.bore() - bore)))
        .orElseThrow();
  }

  /** Returns the nominal size of pipe nearest to a bore (m). */
  public static double pipeFor(double bore) {
    return pipes().stream()
        .min(Comparator.comparingDouble((Double n) -> Math.abs(n - bore)))
        .orElse(bore);
  }

  /** Returns the outside of the pipe of a nominal size (m): metric pressure pipe. */
  public static double pipeOutside(double nominal) {
    return PIPES.stream()
        .filter(p -> Math.abs(p.nominal() - nominal) < MM / 2)
        .findFirst()
        .map(Pipe::outside)
        .orElse(PIPE_WALL * nominal);
  }

  /** Returns the usual hole for a bulkhead with a thread (m), rounded up to a millimetre. */
  public static double bulkheadHole(Standard standard, String size) {
    double outside = thread(standard, size).map(ThreadSize::outside).orElse(0.021);
    return Math.ceil(outside * BODY / MM) * MM;
  }

  /** Returns the usual hole for a grommet that holds a pipe (m). */
  public static double grommetHole(double outside) {
    return outside + GROMMET;
  }
}
