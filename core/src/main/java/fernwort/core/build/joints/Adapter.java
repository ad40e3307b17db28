package fernwort.core.build.joints;

import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import java.util.Locale;

/**
 * A fitting that one can buy: between two forms.
 *
 * @param one what it offers at one end
 * @param other what it offers at the other
 */
public record Adapter(Form one, Form other) {

  /** Returns the narrowest it leaves (m). */
  public double bore() {
    return Math.min(bore(one), bore(other));
  }

  /** Tells whether it leads from the sizes of one region to those of another. */
  boolean isMixed() {
    return isInInches(one) != isInInches(other);
  }

  private static boolean isInInches(Form form) {
    return switch (form) {
      case Connection.Thread t -> isInInches(t.standard());
      case Connection.Bulkhead b -> isInInches(b.standard());
      case Connection.HoseTail t -> Sizes.hoseInInches(t.bore()).isPresent();
      case Connection.HoseEnd h -> Sizes.hoseInInches(h.bore()).isPresent();
      case Connection.TubeSocket s -> Sizes.tubeInInches(s.outside()).isPresent();
      case Connection.TubeEnd e -> Sizes.tubeInInches(e.outside()).isPresent();
      case Connection.Socket s -> Sizes.pipeInInches(s.nominal()).isPresent();
      case Connection.Spigot s -> Sizes.pipeInInches(s.nominal()).isPresent();
      case Connection.Grommet _, Connection.Open _ -> false;
    };
  }

  private static boolean isInInches(Connection.Standard standard) {
    return standard == Connection.Standard.NPT
        || standard == Connection.Standard.NPSM
        || standard == Connection.Standard.GARDEN_HOSE;
  }

  /** Returns it the other way round. */
  public Adapter turned() {
    return new Adapter(other, one);
  }

  /** Returns the bore that a form leaves (m); nothing narrows where nothing is said. */
  public static double bore(Form form) {
    return switch (form) {
      case Connection.Thread t -> thread(t.standard(), t.size());
      case Connection.Bulkhead b -> thread(b.standard(), b.size());
      // The tail's wall takes a tenth on each side.
      case Connection.HoseTail t -> 0.8 * t.bore();
      case Connection.HoseEnd h -> h.bore();
      case Connection.TubeSocket s -> Sizes.tubeBore(s.outside());
      case Connection.TubeEnd e -> Sizes.tubeBore(e.outside());
      case Connection.Socket s -> s.nominal();
      case Connection.Spigot s -> s.nominal();
      case Connection.Grommet g -> Sizes.tubeBore(g.outside());
      case Connection.Open _ -> Double.POSITIVE_INFINITY;
    };
  }

  private static double thread(Connection.Standard standard, String size) {
    return Sizes.thread(standard, size)
        .map(Sizes.ThreadSize::bore)
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** Returns what to ask for in a shop. */
  public String words() {
    return words(one) + " to " + words(other);
  }

  /** Returns a form in words. */
  public static String words(Form form) {
    return switch (form) {
      case Connection.Thread t ->
          "%s %s thread, %s"
              .formatted(
                  t.size(), words(t.standard()), t.gender() == Gender.MALE ? "male" : "female");
      case Connection.Bulkhead b ->
          Says.BULKHEAD_WITH_THREAD_FEMALE.filled(b.size(), words(b.standard()));
      case Connection.HoseTail t ->
          Sizes.hoseInInches(t.bore())
              .map(inches -> Says.BARB_FOR_HOSE.filled(inches))
              .orElseGet(() -> Says.TAIL_FOR_HOSE.filled(mm(t.bore())));
      case Connection.HoseEnd h ->
          "%s hose".formatted(Sizes.hoseInInches(h.bore()).orElseGet(() -> mm(h.bore())));
      case Connection.TubeSocket s ->
          s.crimped() && Sizes.tubeInInches(s.outside()).isPresent()
              ? Says.CRIMP_FOR_PEX.filled(tube(s.outside()))
              : Says.FOR_TUBE.filled(s.crimped() ? "crimp" : "push-fit", tube(s.outside()));
      case Connection.TubeEnd e -> "%s tube".formatted(tube(e.outside()));
      case Connection.Socket s ->
          Sizes.pipeInInches(s.nominal())
              .map(inches -> "%s hub, %s".formatted(words(s.plastic()), inches))
              .orElseGet(() -> "%s socket, %s".formatted(words(s.plastic()), mm(s.nominal())));
      case Connection.Spigot s ->
          "%s pipe, %s"
              .formatted(
                  words(s.plastic()),
                  Sizes.pipeInInches(s.nominal()).orElseGet(() -> mm(s.nominal())));
      case Connection.Grommet g -> Says.GROMMET_FOR.filled(mm(g.outside()));
      case Connection.Open _ -> Says.NOTHING_TO_JOIN.text();
    };
  }

  /** Returns a standard in words. */
  public static String words(Connection.Standard standard) {
    return switch (standard) {
      case NPT -> "NPT";
      case NPSM -> "NPSM";
      case BSP_PARALLEL -> Says.BSP_PARALLEL.text();
      case BSP_TAPERED -> Says.BSP_TAPERED.text();
      case METRIC -> "metric";
      case GARDEN_HOSE -> Says.GARDEN_HOSE.text();
    };
  }

  /** Returns a plastic in words. */
  public static String words(Connection.Plastic plastic) {
    return switch (plastic) {
      case PVC -> "PVC";
      case CPVC -> "CPVC";
      case ABS -> "ABS";
      case POLYETHYLENE -> "polyethylene";
      case POLYPROPYLENE -> "polypropylene";
    };
  }

  private static String tube(double outside) {
    return Sizes.tubeInInches(outside).orElseGet(() -> mm(outside));
  }

  private static String mm(double size) {
    double mm = Math.rint(10_000 * size) / 10;
    return mm == Math.rint(mm)
        ? String.format(Locale.ROOT, "%.0f mm", mm)
        : String.format(Locale.ROOT, "%.1f mm", mm);
  }
}
