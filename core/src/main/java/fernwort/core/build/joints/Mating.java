package fernwort.core.build.joints;

import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Standard;

/** What goes into what. */
public final class Mating {

  /** A tail may be so much smaller or larger than its hose and still sit by its clamp alone. */
  static final double SNUG_LOW = 0.97;

  static final double SNUG_HIGH = 1.06;

  /** A tail so much larger goes on when the hose is warmed. */
  public static final double WARMED = 1.15;

  /** Tubes of the same size differ by less (m). */
  private static final double SAME = 2e-4;

  private Mating() {}

  /** Tells whether two forms make a tight joint with nothing between but their own seal. */
  public static boolean mates(Form a, Form b) {
    return oneWay(a, b) || oneWay(b, a);
  }

  private static boolean oneWay(Form a, Form b) {
    return switch (a) {
      case Connection.Thread t ->
          t.gender() == Gender.MALE
              && switch (b) {
                case Connection.Thread f ->
                    f.gender() == Gender.FEMALE
                        && threads(t.standard(), t.size(), f.standard(), f.size());
                case Connection.Bulkhead f ->
                    threads(t.standard(), t.size(), f.standard(), f.size());
                case Connection.HoseTail _,
                    Connection.HoseEnd _,
                    Connection.TubeSocket _,
                    Connection.TubeEnd _,
                    Connection.Socket _,
                    Connection.Spigot _,
                    Connection.Grommet _,
                    Connection.Open _ ->
                    false;
              };
      case Connection.HoseTail t ->
          b instanceof Connection.HoseEnd h
              && t.bore() >= SNUG_LOW * h.bore()
              && t.bore() <= SNUG_HIGH * h.bore();
      case Connection.TubeSocket s ->
          b instanceof Connection.TubeEnd e && Math.abs(s.outside() - e.outside()) < SAME;
      case Connection.Socket s ->
          b instanceof Connection.Spigot p
              && s.plastic() == p.plastic()
              && s.plastic().cements()
              && Math.abs(s.nominal() - p.nominal()) < SAME;
      case Connection.Grommet g ->
          switch (b) {
            case Connection.TubeEnd e -> Math.abs(g.outside() - e.outside()) < SAME;
            case Connection.Spigot p ->
                Math.abs(g.outside() - Sizes.pipeOutside(p.nominal())) < SAME;
            case Connection.Thread _,
                Connection.Bulkhead _,
                Connection.HoseTail _,
                Connection.HoseEnd _,
                Connection.TubeSocket _,
                Connection.Socket _,
                Connection.Grommet _,
                Connection.Open _ ->
                false;
          };
      case Connection.Open _ -> true;
      case Connection.Bulkhead _, Connection.HoseEnd _, Connection.TubeEnd _, Connection.Spigot _ ->
          false;
    };
  }

  /** A tapered male thread seals in a parallel female one with tape, not the other way round. */
  private static boolean threads(Standard male, String size, Standard female, String other) {
    boolean alike =
        male == female || male == Standard.BSP_TAPERED && female == Standard.BSP_PARALLEL;
    return alike && size.equals(other);
  }
}
