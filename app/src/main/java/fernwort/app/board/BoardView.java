package fernwort.app.board;

import fernwort.app.board.layout.BoardLayout;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Everything the Board shows.
 *
 * @param rig the rig's address
 * @param name the rig's name
 * @param left when and by whom the handles were left so
 * @param drawing the cutaway; empty when only a narrow screen asks
 * @param places the drawing of each place, for narrow screens; empty when only a wide one asks
 * @param now what goes on, in sentences
 * @param warnings what would go wrong, worst first
 * @param lasts how long the water lasts
 * @param parked how the rig stands
 * @param canUndo whether there is something to take back
 * @param canRedo whether there is something to put back
 */
public record BoardView(
    String rig,
    String name,
    String left,
    Optional<Drawing> drawing,
    List<Drawing> places,
    List<String> now,
    List<Warning> warnings,
    LastsView lasts,
    ParkedView parked,
    boolean canUndo,
    boolean canRedo) {

  /** Returns the warnings of something that comes to harm. */
  public List<Warning> serious() {
    return warnings.stream().filter(w -> w.severity() != Severity.NOTE).toList();
  }

  /** Returns what is only worth knowing. */
  public List<Warning> notes() {
    return warnings.stream().filter(w -> w.severity() == Severity.NOTE).toList();
  }

  /** Which drawings a screen needs. */
  enum Screen {
    WIDE,
    NARROW,
    /** Not known yet: the style sheet shows the one that fits. */
    ANY;

    /** Reads what the page says of its screen; anything else counts as not known. */
    static Screen of(String said) {
      return switch (said) {
        case "wide" -> WIDE;
        case "narrow" -> NARROW;
        default -> ANY;
      };
    }

    Optional<Drawing> whole(Drafter drafter, Supplier<BoardLayout> layout) {
      return this == NARROW ? Optional.empty() : Optional.of(drafter.whole(layout.get()));
    }

    List<Drawing> places(Drafter drafter, Supplier<List<BoardLayout>> layouts) {
      return this == WIDE ? List.of() : layouts.get().stream().map(drafter::place).toList();
    }
  }
}
