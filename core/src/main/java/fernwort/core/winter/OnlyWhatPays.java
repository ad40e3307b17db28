package fernwort.core.winter;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Wintering;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Rank;
import fernwort.core.kind.line.Valve;
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
import java.util.LinkedHashSet;
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

  private static final Set<Rank> OPENING = Set.of(Rank.CAP_OFF, Rank.WAY_OPEN, Rank.TAP_OPEN);

  private final Network network;
  private final double cold;
  private final List<Wintering> before = new ArrayList<>();

  /** What stood in lines and bodies where the first antifreeze came, which thins it (m³). */
  private final double poured;

  private List<WinterStep> steps;
  private Wintering after;

  private OnlyWhatPays(Network network, Wintering start, List<WinterStep> steps, double cold) {
    this.network = network;
    this.cold = cold;
    this.steps = List.copyOf(steps);
    after = start;
    for (WinterStep step : steps) {
      before.add(after);
      after = step.act().on(network, after);
    }
    poured =
        IntStream.range(0, steps.size())
            .filter(i -> steps.get(i).act() instanceof Operation.Filled)
            .mapToDouble(i -> wet(before.get(i)))
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
    WinterSheet lean = sheet.with(trial.steps, trial.after);
    if (left.isEmpty()) {
      return lean;
    }
    lean.note(
        Message.of(
            "Not needed here, because what stays breaks nothing: {}.",
            Message.joined(", ", left.stream().map(p -> Message.words(p.label())).toList())));
    return lean;
  }

  private List<Part> leaveOut(Wintering start) {
    List<Part> left = new ArrayList<>();
    Outcome full = outcome(after);
    Set<String> fixed = fixed(start);
    for (Part part : candidates()) {
      if (!fixed.contains(part.id()) && isLeftOut(part, 0, full)) {
        left.add(part);
      } else {
        // What is done to it once nothing flows any more can be left out by itself.
        isLeftOut(part, settled(), full);
        leaveOutThereAndBack(part, full);
      }
    }
    leaveOutDryRuns(full);
    joinVisits();
    leaveOutHalves(full);
    return left;
  }

  /** A pump that comes off anyway is not run dry before; antifreeze was reckoned with it dry. */
  private void leaveOutDryRuns(Outcome full) {
    if (steps.stream().anyMatch(s -> s.act() instanceof Operation.Filled)) {
      return;
    }
    for (WinterStep step : List.copyOf(steps)) {
      if (step.act() instanceof Operation.RunDry || step.act() instanceof Operation.DrawnDry) {
        List<WinterStep> kept = new ArrayList<>(steps);
        int at = kept.indexOf(step);
        kept.remove(at);
        isNoWorse(kept, at, full);
      }
    }
  }

  /**
   * Puts off what is turned at a place until one comes there anyway to turn the same sort, once air
   * or antifreeze is let in: it is turned then, and drips out, before that. Nothing else may
   * change.
   */
  private void joinVisits() {
    int from = emptied();
    int to = passing();
    int entry = entry();
    if (from >= entry || to >= steps.size()) {
      return;
    }
    Set<String> visits = new LinkedHashSet<>();
    for (int i = entry; i < to; i++) {
      visits.add(visit(steps.get(i)));
    }
    visits.remove("");
    for (String visit : visits) {
      List<WinterStep> early =
          steps.subList(from, entry).stream().filter(s -> visit(s).equals(visit)).toList();
      if (!early.isEmpty()) {
        List<WinterStep> kept = new ArrayList<>(steps);
        kept.subList(from, entry).removeIf(early::contains);
        int there = entry - early.size();
        while (!visit(kept.get(there)).equals(visit)) {
          there++;
        }
        kept.addAll(there, early);
        keepIfSame(kept, from, to);
      }
    }
  }

  /** Leaves out how a valve is opened where it is turned again before anything runs. */
  private void leaveOutHalves(Outcome full) {
    for (int i = emptied(); i < steps.size(); i++) {
      if (steps.get(i).act() instanceof Operation.Put put && isPutAgain(put, i)) {
        List<WinterStep> kept = new ArrayList<>(steps);
        kept.remove(i);
        i -= isNoWorse(kept, i, full) ? 1 : 0;
      }
    }
  }

  /** What closes a valve guards what follows, and stays. */
  private static boolean lets(Part part, String position) {
    boolean set = part.kind().positions().stream().anyMatch(p -> p.id().equals(position));
    return set ? part.kind().rank(position) == Rank.WAY_OPEN : position.equals(Valve.HALF);
  }

  private boolean isPutAgain(Operation.Put put, int at) {
    Part part = network.rig().part(put.part());
    if (!part.kind().is(Purpose.TURNS) || !lets(part, put.position())) {
      return false;
    }
    for (WinterStep later : steps.subList(at + 1, steps.size())) {
      if (puts(later, part)) {
        return true;
      } else if (!(later.act() instanceof Operation.Put || later.act() instanceof Operation.Heed)) {
        return false;
      }
    }
    return false;
  }

  /** Where air or antifreeze is let in; the end where none is. */
  private int entry() {
    return IntStream.range(0, steps.size())
        .filter(i -> steps.get(i).hand().filter(OnlyWhatPays::isEntry).isPresent())
        .findFirst()
        .orElse(steps.size());
  }

  private static boolean isEntry(WinterStep.Hand hand) {
    return hand.sort() == WinterStep.Sort.ADAPTER || hand.sort() == WinterStep.Sort.JUG;
  }

  /** Where valves are turned by a step; empty where none is. */
  private static String visit(WinterStep step) {
    return step.hand().filter(h -> h.sort() == WinterStep.Sort.VALVES).isPresent()
        ? step.place()
        : "";
  }

  /** Keeps other steps up to one where the rig then stands the same. */
  private void keepIfSame(List<WinterStep> kept, int from, int to) {
    List<Wintering> states = new ArrayList<>(before.subList(0, from));
    Wintering now = before.get(from);
    for (WinterStep step : kept.subList(from, to)) {
      states.add(now);
      now = step.act().on(network, now);
    }
    boolean same =
        now.wetness().equals(before.get(to).wetness())
            && now.state().equals(before.get(to).state())
            && now.service().equals(before.get(to).service());
    if (same) {
      steps = List.copyOf(kept);
      states.addAll(before.subList(to, before.size()));
      before.clear();
      before.addAll(states);
    }
  }

  /**
   * Leaves out what opens a part once the tanks have run out and closes it again before air or
   * antifreeze goes its ways: it stands the same then. Taps stay, since they let the pressure off.
   */
  private void leaveOutThereAndBack(Part part, Outcome full) {
    int from = emptied();
    int to = passing();
    // A cartridge comes out whatever its bowl holds: no antifreeze goes through it.
    if (part.kind().is(Purpose.USE) || part.kind().is(Purpose.FILTERS) || from >= to) {
      return;
    }
    List<Integer> puts =
        IntStream.range(from, to).filter(i -> puts(steps.get(i), part)).boxed().toList();
    if (puts.size() < 2 || !stands(part, before.get(puts.getFirst())).equals(stands(part, to))) {
      return;
    }
    List<WinterStep> kept = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      if (!puts.contains(i)) {
        kept.add(steps.get(i));
      }
    }
    isNoWorse(kept, puts.getFirst(), full);
  }

  private String stands(Part part, int step) {
    return stands(part, step < before.size() ? before.get(step) : after);
  }

  /** How a part stands, with what was taken off it. */
  private static String stands(Part part, Wintering now) {
    return now.state().setting().positions().getOrDefault(part.id(), "")
        + " "
        + now.service().getOrDefault(part.id(), "");
  }

  /** Where the last tank has run out. */
  private int emptied() {
    return 1
        + IntStream.range(0, steps.size())
            .filter(i -> steps.get(i).act() instanceof Operation.Emptied)
            .max()
            .orElse(-1);
  }

  /** Where air or antifreeze begins to go its ways; the end where none does. */
  private int passing() {
    return IntStream.range(0, steps.size())
        .filter(i -> steps.get(i).hand().filter(h -> h.sort() == WinterStep.Sort.RUN).isPresent())
        .findFirst()
        .orElse(steps.size());
  }

  /** Where the tanks have run out, and air or antifreeze has gone its ways. */
  private int settled() {
    int settled = 0;
    for (int i = 0; i < steps.size(); i++) {
      boolean comesOff = steps.get(i).hand().filter(WinterStep.Hand::off).isPresent();
      if (comesOff || steps.get(i).act() instanceof Operation.Emptied) {
        settled = i + 1;
      }
    }
    return settled;
  }

  /** Leaves out what is done to a part from a step on, where that breaks nothing. */
  private boolean isLeftOut(Part part, int from, Outcome full) {
    List<WinterStep> kept = new ArrayList<>(steps.subList(0, from));
    int first = -1;
    for (int i = from; i < steps.size(); i++) {
      if (puts(steps.get(i), part)) {
        first = first < 0 ? i : first;
      } else {
        kept.add(steps.get(i));
      }
    }
    return first >= 0 && isNoWorse(kept, first, full);
  }

  /** Does the sheet again with other steps from one on, and keeps them where no more breaks. */
  private boolean isNoWorse(List<WinterStep> kept, int first, Outcome full) {
    if (!outcome(glance(kept, first)).isNoWorse(full)) {
      return false;
    }
    List<Wintering> states = new ArrayList<>(before.subList(0, first));
    Wintering now = before.get(first);
    for (WinterStep step : kept.subList(first, kept.size())) {
      if (step.act() instanceof Operation.Filled && wet(now) > poured + A_SPLASH) {
        return false;
      }
      states.add(now);
      now = step.act().on(network, now);
    }
    if (!outcome(now).isNoWorse(full)) {
      return false;
    }
    steps = List.copyOf(kept);
    before.clear();
    before.addAll(states);
    after = now;
    return true;
  }

  /**
   * How the rig stands after other steps from one on, what is opened in a row running out together:
   * much faster, and as good as what each by itself lets out.
   */
  private Wintering glance(List<WinterStep> kept, int first) {
    Wintering now = before.get(first);
    boolean opened = false;
    for (WinterStep step : kept.subList(first, kept.size())) {
      boolean opens = step.act() instanceof Operation.Put put && opens(put);
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
        opened |= opens || network.rig().part(put.part()).kind().inLine() == InLine.SELECTS;
      } else {
        now = step.act().on(network, now);
      }
    }
    return opened ? Draining.of(network, now) : now;
  }

  /** Tells whether a part lets more through than before, and nothing less. */
  private boolean opens(Operation.Put put) {
    Kind kind = network.rig().part(put.part()).kind();
    boolean set = kind.positions().stream().anyMatch(p -> p.id().equals(put.position()));
    return set
        ? OPENING.contains(kind.rank(put.position())) && kind.inLine() != InLine.SELECTS
        : kind.service().isEmpty() || !kind.service().getFirst().id().equals(put.position());
  }

  /** What is tried: what a spanner takes off first, then what is walked to for itself alone. */
  private List<Part> candidates() {
    Map<String, Integer> company = new HashMap<>();
    List<Integer> groups = Groups.of(steps);
    Map<String, Part> parts = new LinkedHashMap<>();
    Set<String> undone = new HashSet<>();
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).act() instanceof Operation.Put put) {
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
  private Set<String> fixed(Wintering start) {
    Set<String> fixed = new TreeSet<>();
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
    for (int i = 0; i < steps.size(); i++) {
      waits = steps.get(i).act() instanceof Operation.Emptied ? i : waits;
    }
    for (int i = 0; i < steps.size(); i++) {
      WinterStep step = steps.get(i);
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

  private static Set<String> ends(Line line) {
    return Set.of(line.from().part(), line.to().part());
  }

  private static boolean puts(WinterStep step, Part part) {
    return step.act() instanceof Operation.Put put && put.part().equals(part.id());
  }

  private Outcome outcome(Wintering now) {
    Map<String, Double> breaks = new HashMap<>();
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
  private record Outcome(Map<String, Double> breaks, double may, double all) {

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
