package fernwort.core.winter;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Rank;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterStep;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/** A winter sheet with how the rig stands before each of its steps, done again with others. */
final class SheetRun {

  private static final Set<Rank> OPENING = Set.of(Rank.CAP_OFF, Rank.WAY_OPEN, Rank.TAP_OPEN);

  private final Network network;
  private List<WinterStep> steps;

  /** How it stands before each step, and after the last. */
  private List<Wintering> states;

  SheetRun(Network network, Wintering start, List<WinterStep> steps) {
    this.network = network;
    this.steps = List.copyOf(steps);
    states = run(start, steps);
  }

  private List<Wintering> run(Wintering start, List<WinterStep> some) {
    List<Wintering> found = new ArrayList<>(List.of(start));
    for (WinterStep step : some) {
      found.add(step.act().on(network, found.getLast()));
    }
    return found;
  }

  /** Returns the steps. */
  List<WinterStep> steps() {
    return steps;
  }

  /** Returns how the rig stands before a step, or after the last. */
  Wintering before(int step) {
    return states.get(step);
  }

  /** Returns how the rig stands after the last step. */
  Wintering after() {
    return states.getLast();
  }

  /**
   * Returns how the rig stands before each of some other steps, and after the last of them.
   *
   * @param others a whole sheet
   * @param from the first step that is another
   * @param to the step before which to stop
   */
  List<Wintering> redone(List<WinterStep> others, int from, int to) {
    return run(before(from), others.subList(from, to));
  }

  /**
   * Takes over other steps, whose last ones leave the rig as before.
   *
   * @param from the first that is another
   * @param redone how the rig stands before each of those that were done again, and after them
   */
  void take(List<WinterStep> others, int from, List<Wintering> redone) {
    int same = others.size() + 1 - from - redone.size();
    List<Wintering> all = new ArrayList<>(states.subList(0, from));
    all.addAll(redone);
    all.addAll(states.subList(states.size() - same, states.size()));
    steps = List.copyOf(others);
    states = all;
  }

  /**
   * How the rig stands after other steps from one on, what is opened in a row running out together:
   * much faster, and as good as what each by itself lets out.
   */
  Wintering glance(List<WinterStep> kept, int first) {
    Wintering now = before(first);
    boolean opened = false;
    for (WinterStep step : kept.subList(first, kept.size())) {
      boolean opens = step.act() instanceof Operation.Put put && opens(part(put), put.position());
      if (step.act() instanceof Operation.Heed) {
        continue;
      }
      if (opened && !opens) {
        now = Draining.of(network, now);
        opened = false;
      }
      if (step.act() instanceof Operation.Put put) {
        now = now.with(network.rig(), put.part(), put.position());
        // What closes lets out nothing more; another way of a valve may.
        opened |= opens || part(put).kind().inLine() == InLine.SELECTS;
      } else {
        now = step.act().on(network, now);
      }
    }
    return opened ? Draining.of(network, now) : now;
  }

  /** Tells whether a part in a position lets more through than before, and nothing less. */
  private static boolean opens(Part part, PositionId position) {
    return lets(part, position) && part.kind().inLine() != InLine.SELECTS;
  }

  /** Tells whether a part in a position lets something through; what closes guards what follows. */
  static boolean lets(Part part, PositionId position) {
    Kind kind = part.kind();
    boolean set = kind.positions().stream().anyMatch(p -> p.id().equals(position));
    return set
        ? OPENING.contains(kind.rank(position))
        : kind.service().isEmpty() || !kind.service().getFirst().id().equals(position);
  }

  private Part part(Operation.Put put) {
    return network.rig().part(put.part());
  }

  /** Tells whether a step puts a part somewhere. */
  static boolean puts(WinterStep step, Part part) {
    return step.act() instanceof Operation.Put put && put.part().equals(part.id());
  }

  /** Where the last tank has run out. */
  int emptied() {
    return 1
        + IntStream.range(0, steps.size())
            .filter(i -> steps.get(i).act() instanceof Operation.Emptied)
            .max()
            .orElse(-1);
  }

  /** Where air or antifreeze begins to go its ways; the end where none does. */
  int passing() {
    return IntStream.range(0, steps.size())
        .filter(i -> steps.get(i).hand().filter(h -> h.sort() == WinterStep.Sort.RUN).isPresent())
        .findFirst()
        .orElse(steps.size());
  }

  /** Where the tanks have run out, and air or antifreeze has gone its ways. */
  int settled() {
    int settled = 0;
    for (int i = 0; i < steps.size(); i++) {
      boolean comesOff = steps.get(i).hand().filter(WinterStep.Hand::off).isPresent();
      if (comesOff || steps.get(i).act() instanceof Operation.Emptied) {
        settled = i + 1;
      }
    }
    return settled;
  }

  /** Where air or antifreeze is let in; the end where none is. */
  int entry() {
    return IntStream.range(0, steps.size())
        .filter(i -> steps.get(i).hand().filter(SheetRun::isEntry).isPresent())
        .findFirst()
        .orElse(steps.size());
  }

  private static boolean isEntry(WinterStep.Hand hand) {
    return hand.sort() == WinterStep.Sort.ADAPTER || hand.sort() == WinterStep.Sort.JUG;
  }
}
