package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Leaves out of a winter sheet what breaks nothing when it is left out. Each part is tried by doing
 * the sheet again without it; it stays out where no more breaks, and hardly more may.
 */
final class OnlyWhatPays {

  /** A splash more beside air, over the whole rig, is not worth a walk (m³); own choice. */
  private static final double A_SPLASH = 3e-5;

  /** So much more in all, in tanks and in lines that stretch, is a cup (m³); own choice. */
  private static final double A_CUP = 2.5e-4;

  /** Volumes that differ by less are the same (m³). */
  private static final double SAME = 1e-6;

  private final Network network;
  private final double cold;
  private final SheetRun run;

  /** What stood in lines and bodies where the first antifreeze came, which thins it (m³). */
  private final double poured;

  private OnlyWhatPays(Network network, Wintering start, List<WinterStep> steps, double cold) {
    this.network = network;
    this.cold = cold;
    run = new SheetRun(network, start, steps);
    poured =
        IntStream.range(0, steps.size())
            .filter(i -> steps.get(i).act() instanceof Operation.Filled)
            .mapToDouble(i -> wet(run.before(i)))
            .findFirst()
            .orElse(0);
  }

  /** The water in lines and bodies, tanks and what antifreeze stands in not counted (m³). */
  private double wet(Wintering now) {
    double lines =
        network.rig().lines().stream()
            .filter(l -> now.strength(l.id()) <= 0)
            .mapToDouble(now.wetness()::volume)
            .sum();
    double bodies =
        network.rig().parts().stream()
            .filter(p -> now.strength(p.id()) <= 0)
            .mapToDouble(p -> now.wetness().body(p.id()))
            .sum();
    return lines + bodies;
  }

  /**
   * Returns a sheet without what does not pay.
   *
   * @param start how the rig stood before its first step
   * @param cold the cold to stand (K)
   */
  static WinterSheet of(WinterSheet sheet, Wintering start, double cold) {
    OnlyWhatPays trial = new OnlyWhatPays(sheet.network(), start, sheet.steps(), cold);
    List<Part> left = trial.leaveOut(start);
    WinterSheet lean = sheet.with(trial.run.steps(), trial.run.after());
    if (left.isEmpty()) {
      return lean;
    }
    lean.note(
        Says.NOT_NEEDED_HERE_BECAUSE.with(
            Message.joined(", ", left.stream().map(p -> Message.words(p.label())).toList())));
    return lean;
  }

  private List<Part> leaveOut(Wintering start) {
    List<Part> left = new ArrayList<>();
    Outcome full = outcome(run.after());
    Set<PartId> fixed = fixed(start);
    for (Part part : candidates()) {
      if (!fixed.contains(part.id()) && isLeftOut(part, 0, full)) {
        left.add(part);
      } else {
        // What is done to it once nothing flows any more can be left out by itself.
        isLeftOut(part, run.settled(), full);
        leaveOutThereAndBack(part, full);
      }
    }
    leaveOutDryRuns(full);
    JoinedVisits.of(run, network);
    leaveOutHalves(full);
    return left;
  }

  /** A pump that comes off anyway is not run dry before; litres of antifreeze count on it dry. */
  private void leaveOutDryRuns(Outcome full) {
    if (run.steps().stream().anyMatch(s -> s.act() instanceof Operation.Filled)) {
      return;
    }
    for (WinterStep step : run.steps()) {
      if (step.act() instanceof Operation.RunDry || step.act() instanceof Operation.DrawnDry) {
        List<WinterStep> kept = new ArrayList<>(run.steps());
        int at = kept.indexOf(step);
        kept.remove(at);
        isNoWorse(kept, at, full);
      }
    }
  }

  /** Leaves out how a valve is opened where it is turned again before anything runs. */
  private void leaveOutHalves(Outcome full) {
    for (int i = run.emptied(); i < run.steps().size(); i++) {
      if (run.steps().get(i).act() instanceof Operation.Put put && isPutAgain(put, i)) {
        List<WinterStep> kept = new ArrayList<>(run.steps());
        kept.remove(i);
        i -= isNoWorse(kept, i, full) ? 1 : 0;
      }
    }
  }

  private boolean isPutAgain(Operation.Put put, int at) {
    Part part = network.rig().part(put.part());
    if (!part.kind().is(Purpose.TURNS)
        || put.position().equals(Kind.UNDONE)
        || !SheetRun.lets(part, put.position())) {
      return false;
    }
    for (WinterStep later : run.steps().subList(at + 1, run.steps().size())) {
      if (SheetRun.puts(later, part)) {
        return true;
      } else if (!(later.act() instanceof Operation.Put || later.act() instanceof Operation.Heed)) {
        return false;
      }
    }
    return false;
  }

  /**
   * Leaves out what opens a part once the tanks have run out and closes it again before air or
   * antifreeze goes its ways: it stands the same then. Taps stay, since they let the pressure off.
   */
  private void leaveOutThereAndBack(Part part, Outcome full) {
    int from = run.emptied();
    int to = run.passing();
    // A cartridge comes out whatever its bowl holds: no antifreeze goes through it.
    if (part.kind().is(Purpose.USE) || part.kind().is(Purpose.FILTERS) || from >= to) {
      return;
    }
    List<Integer> puts =
        IntStream.range(from, to)
            .filter(i -> SheetRun.puts(run.steps().get(i), part))
            .boxed()
            .toList();
    if (puts.size() < 2
        || !stands(part, run.before(puts.getFirst())).equals(stands(part, run.before(to)))) {
      return;
    }
    List<WinterStep> kept = new ArrayList<>();
    for (int i = 0; i < run.steps().size(); i++) {
      if (!puts.contains(i)) {
        kept.add(run.steps().get(i));
      }
    }
    isNoWorse(kept, puts.getFirst(), full);
  }

  /** How a part stands, with what was taken off it. */
  private static String stands(Part part, Wintering now) {
    return now.state().setting().positions().getOrDefault(part.id(), PositionId.NONE)
        + " "
        + now.service().getOrDefault(part.id(), PositionId.NONE);
  }

  /** Leaves out what is done to a part from a step on, where that breaks nothing. */
  private boolean isLeftOut(Part part, int from, Outcome full) {
    List<WinterStep> kept = new ArrayList<>(run.steps().subList(0, from));
    int first = -1;
    for (int i = from; i < run.steps().size(); i++) {
      if (SheetRun.puts(run.steps().get(i), part)) {
        first = first < 0 ? i : first;
      } else {
        kept.add(run.steps().get(i));
      }
    }
    return first >= 0 && isNoWorse(kept, first, full);
  }

  /** Does the sheet again with other steps from one on, and keeps them where no more breaks. */
  private boolean isNoWorse(List<WinterStep> kept, int first, Outcome full) {
    if (!outcome(run.glance(kept, first)).isNoWorse(full)) {
      return false;
    }
    List<Wintering> redone = run.redone(kept, first, kept.size());
    boolean thins =
        IntStream.range(first, kept.size())
            .filter(i -> kept.get(i).act() instanceof Operation.Filled)
            .anyMatch(i -> wet(redone.get(i - first)) > poured + A_SPLASH);
    if (thins || !outcome(redone.getLast()).isNoWorse(full)) {
      return false;
    }
    run.take(kept, first, redone);
    return true;
  }

  /** What is tried: what a spanner takes off first, then what is walked to for itself alone. */
  private List<Part> candidates() {
    Map<PartId, Integer> company = new HashMap<>();
    List<Integer> groups = Groups.of(run.steps());
    Map<PartId, Part> parts = new LinkedHashMap<>();
    Set<PartId> undone = new HashSet<>();
    for (int i = 0; i < run.steps().size(); i++) {
      if (run.steps().get(i).act() instanceof Operation.Put put) {
        parts.put(put.part(), network.rig().part(put.part()));
        company.merge(put.part(), Collections.frequency(groups, groups.get(i)), Math::min);
        if (put.position().equals(Kind.UNDONE)) {
          undone.add(put.part());
        }
      }
    }
    return parts.values().stream()
        .sorted(
            Comparator.comparing((Part p) -> !undone.contains(p.id()))
                .thenComparingInt(p -> company.getOrDefault(p.id(), 0)))
        .toList();
  }

  /**
   * Parts whose steps a sheet cannot be tried without, since what they do is not run: tanks run
   * out, air and antifreeze go their ways, pumps throw out their heads as it is written.
   */
  private Set<PartId> fixed(Wintering start) {
    Set<PartId> fixed = new TreeSet<>();
    for (Part part : network.rig().parts()) {
      boolean works = part.kind().is(Purpose.HEATS) || part.kind().is(Purpose.DUMPS);
      boolean open =
          !part.kind().positions().isEmpty()
              && !start.state().setting().has(part.id(), part.rest().id());
      if (works || open) {
        fixed.add(part.id());
      }
    }
    int waits = 0;
    boolean passing = false;
    for (int i = 0; i < run.steps().size(); i++) {
      waits = run.steps().get(i).act() instanceof Operation.Emptied ? i : waits;
    }
    for (int i = 0; i < run.steps().size(); i++) {
      WinterStep step = run.steps().get(i);
      WinterStep.Sort sort = step.hand().map(WinterStep.Hand::sort).orElse(WinterStep.Sort.OTHER);
      if (sort == WinterStep.Sort.ADAPTER || sort == WinterStep.Sort.JUG) {
        passing = !step.hand().orElseThrow().off();
      }
      if (step.act() instanceof Operation.Put put) {
        boolean closes = network.rig().part(put.part()).kind().rests(put.position());
        if (i < waits || passing && !closes) {
          fixed.add(put.part());
        }
      } else if (step.act() instanceof Operation.DrawnDry drawn) {
        network.rig().lines().stream()
            .filter(l -> drawn.lines().contains(l.id()))
            .forEach(l -> fixed.addAll(ends(l)));
      }
    }
    return fixed;
  }

  private static Set<PartId> ends(Line line) {
    return Set.of(line.from().part(), line.to().part());
  }

  private Outcome outcome(Wintering now) {
    Map<ElementId, Double> breaks = new HashMap<>();
    double may = 0;
    double all = 0;
    for (FrostRisk risk : FrostRisks.of(network, now, cold)) {
      all += risk.volume();
      if (risk.harm() == FrostHarm.DANGER) {
        breaks.put(risk.id(), risk.volume());
      } else if (risk.harm() == FrostHarm.WARNING) {
        may += risk.volume();
      }
    }
    return new Outcome(breaks, may, all);
  }

  /**
   * How bad what stays is.
   *
   * @param breaks what breaks something, by id (m³)
   * @param may what may break something (m³)
   * @param all all of it, what breaks nothing too: a tank is drained, however little it breaks (m³)
   */
  private record Outcome(Map<ElementId, Double> breaks, double may, double all) {

    boolean isNoWorse(Outcome other) {
      return may <= other.may + A_SPLASH
          && all <= other.all + A_CUP
          && breaks.entrySet().stream()
              .allMatch(b ->
                  b.getValue() <= other.breaks.getOrDefault(b.getKey(), 0.0) + SAME
                      && other.breaks.containsKey(b.getKey()));
    }
  }
}
