package fernwort.core.jobs;

import fernwort.core.network.Turns.Turn;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Position;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/**
 * What motor valves do by themselves: rules that watch tanks or a leak sensor and turn valves.
 *
 * @param purpose what it is for
 * @param rules its rules, looked at in this order
 */
public record Automation(Purpose purpose, List<Rule> rules) {

  /** What an automation is for. */
  public enum Purpose {
    KEEP_BETWEEN,
    STOP_WHEN_FULL,
    CHANGE_WHEN_DRY,
    TOP_UP,
    SHUT_ON_LEAK
  }

  /** When a rule acts. */
  public sealed interface When {}

  /** A tank has fallen to a share of what it holds, 0 to 1. */
  public record Low(String tank, double share) implements When {}

  /** A tank has risen to a share of what it holds, 0 to 1. */
  public record High(String tank, double share) implements When {}

  /** A leak sensor is wet. */
  public record Leak() implements When {}

  /**
   * One rule.
   *
   * @param when when it acts
   * @param turns what it turns then
   */
  public record Rule(When when, List<Turn> turns) {
    public Rule {
      turns = List.copyOf(turns);
    }
  }

  public Automation {
    rules = List.copyOf(rules);
  }

  /** Keeps a tank between two marks: a valve opens at the lower and shuts at the upper. */
  public static Automation keepBetween(
      Rig rig, String tank, String valve, double low, double high) {
    marks(low, high);
    return new Automation(
        Purpose.KEEP_BETWEEN,
        List.of(
            new Rule(new High(tank, high), List.of(shut(rig, valve))),
            new Rule(new Low(tank, low), List.of(open(rig, valve)))));
  }

  /** Shuts a valve when a tank is full. */
  public static Automation stopWhenFull(Rig rig, String tank, String valve, double high) {
    marks(0, high);
    return new Automation(
        Purpose.STOP_WHEN_FULL, List.of(new Rule(new High(tank, high), List.of(shut(rig, valve)))));
  }

  /** Changes from one tank's valve to another's when the first runs dry. */
  public static Automation changeWhenDry(Rig rig, String tank, String from, String to, double low) {
    marks(low, 1);
    return new Automation(
        Purpose.CHANGE_WHEN_DRY,
        List.of(new Rule(new Low(tank, low), List.of(open(rig, to), shut(rig, from)))));
  }

  /** Tops a tank up from another one, and stops when that one is nearly dry. */
  public static Automation topUp(
      Rig rig, String tank, String other, String valve, double low, double high) {
    marks(low, high);
    return new Automation(
        Purpose.TOP_UP,
        List.of(
            new Rule(new High(tank, high), List.of(shut(rig, valve))),
            new Rule(new Low(other, low), List.of(shut(rig, valve))),
            new Rule(new Low(tank, low), List.of(open(rig, valve)))));
  }

  /** Shuts valves when a leak sensor is wet. */
  public static Automation shutOnLeak(Rig rig, List<String> valves) {
    return new Automation(
        Purpose.SHUT_ON_LEAK,
        List.of(new Rule(new Leak(), valves.stream().map(v -> shut(rig, v)).toList())));
  }

  private static void marks(double low, double high) {
    if (!(low >= 0 && high <= 1 && low < high)) {
      throw new IllegalArgumentException(
          "The lower mark must lie under the upper one, both between 0 and 100 %; change one");
    }
  }

  private static Turn shut(Rig rig, String valve) {
    Kind.Valve kind = motor(rig, valve);
    return kind.shut()
        .map(s -> new Turn(valve, s.id()))
        .orElseThrow(() ->
            new IllegalArgumentException(
                rig.part(valve).label() + " has no shut position; choose another valve"));
  }

  private static Turn open(Rig rig, String valve) {
    Kind.Valve kind = motor(rig, valve);
    return kind.stops().stream()
        .filter(s -> !s.joins().isEmpty())
        .findFirst()
        .map(s -> new Turn(valve, s.id()))
        .orElseThrow(() ->
            new IllegalArgumentException(
                rig.part(valve).label() + " has no open position; choose another valve"));
  }

  private static Kind.Valve motor(Rig rig, String valve) {
    if (rig.part(valve).kind() instanceof Kind.Valve kind && kind.motor().isPresent()) {
      return kind;
    }
    throw new IllegalArgumentException(
        rig.part(valve).label() + " has no motor; choose a motor valve");
  }

  /** Returns the valves of a rig that have a motor. */
  public static List<Part> motorValves(Rig rig) {
    return rig.parts().stream()
        .filter(p -> p.kind() instanceof Kind.Valve v && v.motor().isPresent())
        .toList();
  }

  /** Returns every turn that some rule makes, once. */
  List<Turn> turns() {
    List<Turn> all = new ArrayList<>();
    for (Rule rule : rules) {
      for (Turn turn : rule.turns()) {
        if (!all.contains(turn)) {
          all.add(turn);
        }
      }
    }
    return all;
  }

  /** Returns a position's words. */
  static String words(Rig rig, Turn turn) {
    Position position = rig.position(turn.part(), turn.position());
    return rig.part(turn.part()).label() + " “" + position.words() + "”";
  }
}
