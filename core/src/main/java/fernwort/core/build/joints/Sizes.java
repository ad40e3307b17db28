package fernwort.core.build.joints;

import fernwort.core.kind.Connection.Standard;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * Pipe size is not outside size is not thread size: what trade sizes measure.
 *
 * <p>Threads after ISO 228-1 and ISO 7-1 (BSP), ASME B1.20.1 (NPT, NPSM) and ASME B1.20.7 (garden
 * hose); pipe after EN ISO 1452-2 (PVC for water under pressure, and its outsides for waste) and
 * ASTM D1785, D2661 (PVC and ABS in inches); tube in inches after ASTM F876 (PEX, as copper
 * outside). Bores and holes are usual ones of plastic fittings, our own table: measure yours first.
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
   * @param called what it is called where it is made by inches; empty elsewhere
   * @param bore (m)
   * @param outside (m)
   */
  public record Tube(String called, double bore, double outside) {}

  /** A hose that is made by inches, by its bore (m). */
  private record InchHose(String called, double bore) {}

  private static final double INCH = 25.4;

  private static ThreadSize bsp(String size, double outside, double perInch, double bore) {
    return thread(Standard.BSP_PARALLEL, size, outside, perInch, bore);
  }

  private static ThreadSize npt(String size, double outside, double perInch, double bore) {
    return thread(Standard.NPT, size, outside, perInch, bore);
  }

  private static ThreadSize npsm(String size, double outside, double perInch, double bore) {
    return thread(Standard.NPSM, size, outside, perInch, bore);
  }

  private static ThreadSize thread(
      Standard standard, String size, double outside, double perInch, double bore) {
    return new ThreadSize(standard, size, outside * MM, INCH / perInch * MM, bore * MM);
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
          bsp("2-1/2", 75.184, 11, 63),
          bsp("3", 87.884, 11, 75),
          bsp("4", 113.030, 11, 100),
          npt("1/4", 13.716, 18, 8),
          npt("3/8", 17.145, 18, 10),
          npt("1/2", 21.336, 14, 13),
          npt("3/4", 26.670, 14, 19),
          npt("1", 33.401, 11.5, 25),
          npt("1-1/4", 42.164, 11.5, 32),
          npt("1-1/2", 48.260, 11.5, 38),
          npt("2", 60.325, 11.5, 50),
          npt("2-1/2", 73.025, 8, 63),
          npt("3", 88.900, 8, 75),
          npt("4", 114.300, 8, 100),
          npsm("1/2", 20.701, 14, 13),
          npsm("3/4", 26.035, 14, 19),
          new ThreadSize(Standard.GARDEN_HOSE, "3/4", 26.99 * MM, INCH / 11.5 * MM, 13 * MM),
          new ThreadSize(Standard.METRIC, "M22x1.5", 22 * MM, 1.5 * MM, 13 * MM),
          new ThreadSize(Standard.METRIC, "M24x1.5", 24 * MM, 1.5 * MM, 13 * MM));

  private static final List<Tube> TUBES =
      List.of(
          new Tube("", 6 * MM, 8 * MM),
          new Tube("", 8 * MM, 10 * MM),
          new Tube("", 9 * MM, 12 * MM),
          new Tube("", 12 * MM, 15 * MM),
          new Tube("", 12 * MM, 16 * MM),
          new Tube("", 18 * MM, 22 * MM),
          new Tube("", 23 * MM, 28 * MM),
          new Tube("", 29 * MM, 35 * MM));

  /** Tube in inches: nine times its wall outside, and as copper outside. */
  private static final List<Tube> INCH_TUBES =
      List.of(
          new Tube("3/8 in", 9.1 * MM, 12.7 * MM),
          new Tube("1/2 in", 12.3 * MM, 15.875 * MM),
          new Tube("3/4 in", 17.2 * MM, 22.225 * MM),
          new Tube("1 in", 22.1 * MM, 28.575 * MM));

  private static final List<InchHose> INCH_HOSES =
      List.of(
          new InchHose("1/4 in", 6.35 * MM),
          new InchHose("3/8 in", 9.525 * MM),
          new InchHose("1/2 in", 12.7 * MM),
          new InchHose("5/8 in", 15.875 * MM),
          new InchHose("3/4 in", 19.05 * MM),
          new InchHose("1 in", 25.4 * MM),
          new InchHose("1-1/4 in", 31.75 * MM),
          new InchHose("1-1/2 in", 38.1 * MM),
          new InchHose("2 in", 50.8 * MM),
          new InchHose("3 in", 76.2 * MM));

  /** A pipe for cement by its nominal size, which is about its bore (m); called as tube is. */
  private record Pipe(String called, double nominal, double outside) {}

  private static final List<Pipe> PIPES =
      List.of(
          new Pipe("", 15 * MM, 20 * MM),
          new Pipe("", 20 * MM, 25 * MM),
          new Pipe("", 25 * MM, 32 * MM),
          new Pipe("", 32 * MM, 40 * MM),
          new Pipe("", 40 * MM, 50 * MM),
          new Pipe("", 50 * MM, 63 * MM),
          new Pipe("", 65 * MM, 75 * MM),
          new Pipe("", 100 * MM, 110 * MM));

  private static final List<Pipe> INCH_PIPES =
      List.of(
          new Pipe("1/2 in", 12.7 * MM, 21.34 * MM),
          new Pipe("3/4 in", 19.05 * MM, 26.67 * MM),
          new Pipe("1 in", 25.4 * MM, 33.40 * MM),
          new Pipe("1-1/4 in", 31.75 * MM, 42.16 * MM),
          new Pipe("1-1/2 in", 38.1 * MM, 48.26 * MM),
          new Pipe("2 in", 50.8 * MM, 60.33 * MM),
          new Pipe("3 in", 76.2 * MM, 88.90 * MM),
          new Pipe("4 in", 101.6 * MM, 114.30 * MM));

  /** Two sizes are the same when they differ by less (m). */
  private static final double SAME = 2e-5;

  /** A hose so much wider or narrower than one in inches is taken for it. */
  private static final double NEAR = 0.08;

  /** Pipe of some other size is about so many times its nominal size outside. */
  private static final double PIPE_WALL = 1.25;

  /** Bores of hose that tails are made for (m). */
  private static final List<Double> HOSES =
      List.of(
          6 * MM, 8 * MM, 10 * MM, 12 * MM, 13 * MM, 16 * MM, 19 * MM, 20 * MM, 25 * MM, 28 * MM,
          32 * MM, 38 * MM, 40 * MM, 50 * MM);

  /** What a bulkhead's hole is wider than its thread, for its body (our table, rounded). */
  private static final double BODY = 1.35;

  private static final double GROMMET = 8 * MM;

  private Sizes() {}

  /** Returns all sizes of thread. Tapered BSP has the sizes of parallel BSP. */
  public static List<ThreadSize> threads() {
    return THREADS;
  }

  /** Returns the tubes that are usual in a region. */
  public static List<Tube> tubes(Region region) {
    return region == Region.US ? INCH_TUBES : TUBES;
  }

  /** Returns the nominal sizes of pipe for cement (m). */
  public static List<Double> pipes(Region region) {
    return (region == Region.US ? INCH_PIPES : PIPES).stream().map(Pipe::nominal).toList();
  }

  /** Returns the bores of hose that tails are made for (m). */
  public static List<Double> hoses(Region region) {
    return region == Region.US ? INCH_HOSES.stream().map(InchHose::bore).toList() : HOSES;
  }

  private static <T> Optional<String> called(
      List<T> sizes, ToDoubleFunction<T> measure, double size, Function<T, String> name) {
    return sizes.stream()
        .filter(s -> Math.abs(measure.applyAsDouble(s) - size) < SAME)
        .findFirst()
        .map(name);
  }

  /** Returns what tube with an outside (m) is called in inches, where it is made by them. */
  static Optional<String> tubeInInches(double outside) {
    return called(INCH_TUBES, Tube::outside, outside, Tube::called);
  }

  /** Returns what hose with a bore (m) is called in inches, where it is made by them. */
  static Optional<String> hoseInInches(double bore) {
    return called(INCH_HOSES, InchHose::bore, bore, InchHose::called);
  }

  /** Returns what pipe of a nominal size (m) is called in inches, where it is made by them. */
  static Optional<String> pipeInInches(double nominal) {
    return called(INCH_PIPES, Pipe::nominal, nominal, Pipe::called);
  }

  /** Returns the bore of the hose that is sold for such a bore (m), as it is where none is near. */
  static double hoseFor(double bore, Region region) {
    if (region == Region.METRIC) {
      return bore;
    }
    return INCH_HOSES.stream()
        .map(InchHose::bore)
        .filter(h -> Math.abs(h - bore) < NEAR * bore)
        .min(Comparator.comparingDouble(h -> Math.abs(h - bore)))
        .orElse(bore);
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
  public static double tubeFor(double bore, Region region) {
    return nearest(tubes(region), bore).outside();
  }

  /** Returns the bore of the tube with an outside (m). */
  public static double tubeBore(double outside) {
    return Stream.concat(TUBES.stream(), INCH_TUBES.stream())
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
  public static double pipeFor(double bore, Region region) {
    return pipes(region).stream()
        .min(Comparator.comparingDouble((Double n) -> Math.abs(n - bore)))
        .orElse(bore);
  }

  /** Returns the outside of the pipe of a nominal size (m). */
  public static double pipeOutside(double nominal) {
    return Stream.concat(INCH_PIPES.stream(), PIPES.stream())
        .filter(p -> Math.abs(p.nominal() - nominal) < SAME)
        .findFirst()
        .map(Pipe::outside)
        .orElse(PIPE_WALL * nominal);
  }

  /**
   * Returns the usual hole for a bulkhead with a thread (m), rounded up to a millimetre; nothing
   * where we do not know what the thread measures.
   */
  public static Optional<Double> bulkheadHole(Standard standard, String size) {
    return thread(standard, size).map(t -> Math.ceil(t.outside() * BODY / MM) * MM);
  }

  /** Returns what a saw for a hole (m) is called; in inches the next sixteenth up. */
  public static String saw(double hole, Region region) {
    if (region == Region.METRIC) {
      return Math.round(hole / MM) + " mm";
    }
    int sixteenths = (int) Math.ceil(hole / MM / INCH * 16 - 1e-6);
    int part = sixteenths % 16;
    int by = Math.max(1, Integer.highestOneBit(part & -part));
    String whole = sixteenths < 16 ? "" : Integer.toString(sixteenths / 16);
    String rest = part == 0 ? "" : part / by + "/" + 16 / by;
    return whole + (whole.isEmpty() || rest.isEmpty() ? "" : "-") + rest + " in";
  }

  /** Returns the usual hole for a grommet that holds a pipe (m). */
  public static double grommetHole(double outside) {
    return outside + GROMMET;
  }
}
