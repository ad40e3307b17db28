package fernwort.app.board;

import fernwort.app.board.layout.BoardLayout;
import fernwort.core.hazard.Warning;
import java.util.List;

/**
 * Everything the Board shows.
 *
 * @param rig the rig's address
 * @param name the rig's name
 * @param left when and by whom the handles were left so
 * @param drawing the cutaway
 * @param places the drawing of each place, for narrow screens
 * @param now what goes on, in sentences
 * @param warnings what would go wrong, worst first
 * @param lasts how long the water lasts
 * @param canUndo whether there is something to take back
 * @param canRedo whether there is something to put back
 */
public record BoardView(
    String rig,
    String name,
    String left,
    Drawing drawing,
    List<Drawing> places,
    List<String> now,
    List<Warning> warnings,
    LastsView lasts,
    boolean canUndo,
    boolean canRedo) {

  static List<Drawing> places(Drafter drafter, List<BoardLayout> layouts) {
    return layouts.stream().map(drafter::place).toList();
  }
}
