package fernwort.core.build.check;

import fernwort.core.effort.Effort;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The fewest trials that tell a rig put together rightly from every single mistake: two ends
 * swapped, or a part turned round.
 *
 * <p>A trial is a setting in which water is pressed, and a look at every tap, tank and open end.
 * Each mistake is made in turn and where water comes is found for each setting; a mistake shows
 * where that differs. The fewest settings in which every mistake shows are a smallest cover, found
 * by branch and bound from the rarest mistake on (Karp 1972 for why not faster); settings that show
 * no more than another are left out first. O(M · T · E) for M mistakes, T settings and E passages.
 *
 * @param steps the trials, in order, each with its looks
 * @param mistakes how many mistakes there are among the joints
 * @param unseen mistakes that show in no trial: they change nothing that pressed water tells
 * @param fewest whether fewer are known not to do
 */
public record AssemblyCheck(List<Step> steps, int mistakes, List<Message> unseen, boolean fewest) {

  private static final int MOST_TRIALS = 90;
  private static final int MOST_BRANCHES = 200_000;

  /** Settings one turn off are tried only where mistakes are left, and no more than so many. */
  private static final int MOST_AROUND = 160;

  private static final int MOST_NAMED = 40;

  public AssemblyCheck {
    steps = List.copyOf(steps);
    unseen = List.copyOf(unseen);
  }

  /** A trial with what to look at. */
  public record Step(CheckSetting trial, List<Look> looks) {
    public Step {
      looks = List.copyOf(looks);
    }
  }

  /**
   * A look at one outlet.
   *
   * @param at where to look
   * @param right what comes when all is right
   * @param wrong what else may come, with what it means
   */
  public record Look(PortRef at, What right, List<Wrong> wrong) {
    public Look {
      wrong = List.copyOf(wrong);
    }
  }

  /** A wrong answer: what comes, and which mistakes make it so. */
  public record Wrong(What comes, List<Message> means) {
    public Wrong {
      means = List.copyOf(means);
    }
  }

  /** What comes at an outlet. */
  public enum What {
    NOTHING,
    COLD,
    /** Water that has passed the heater. */
    HOT
  }

  /**
   * Finds the trials.
   *
   * @param plans plans the jobs of the rig, whose settings are tried
   * @param joints the ports that were undone
   */
  public static AssemblyCheck of(Plans plans, List<PortRef> joints) {
    return of(plans.network(), CheckSetting.ofJobs(plans.brief()), joints, true);
  }

  /** Finds the trials among some settings. */
  static AssemblyCheck of(
      Network network, List<CheckSetting> trials, List<PortRef> joints, boolean around) {
    return new Finding(network, Mistake.among(network, joints)).find(trials, around);
  }

  /** Returns the ports at which somebody can see water come. */
  static int[] outlets(Network network) {
    List<Integer> outlets = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      int v = network.first(network.index(part.id()));
      Kind kind = part.kind();
      if (kind.is(Purpose.HOLDS)) {
        IntStream.range(0, kind.ports().size()).forEach(port -> outlets.add(v + port));
      } else if (kind.is(Purpose.OUTLET)) {
        outlets.add(v);
      } else if (kind.is(Purpose.USE)) {
        kind.positions().stream()
            .flatMap(p -> kind.mouths(p.id()).stream())
            .map(Mouth::port)
            .distinct()
            .sorted()
            .forEach(port -> outlets.add(v + port));
      }
    }
    return outlets.stream().mapToInt(i -> i).toArray();
  }

  private static final class Finding {

    private final Network network;
    private final List<Mistake> mistakes;
    private final int[] outlets;
    private final int[] across;
    private final List<CheckSetting> trials = new ArrayList<>();
    private final List<byte[]> right = new ArrayList<>();
    private final List<byte[][]> wrong = new ArrayList<>();
    private final List<BitSet> shows = new ArrayList<>();
    private final BitSet told = new BitSet();

    private Finding(Network network, List<Mistake> mistakes) {
      this.network = network;
      this.mistakes = mistakes;
      outlets = outlets(network);
      across = new int[network.size()];
      Arrays.fill(across, -1);
      for (int i = 0; i < network.rig().lines().size(); i++) {
        across[network.lineFrom(i)] = network.lineTo(i);
        across[network.lineTo(i)] = network.lineFrom(i);
      }
    }

    private AssemblyCheck find(List<CheckSetting> base, boolean around) {
      base.forEach(this::tryOut);
      if (around && told.cardinality() < mistakes.size()) {
        List<CheckSetting> more = CheckSetting.around(network, base);
        more.subList(0, Math.min(MOST_AROUND, more.size())).forEach(this::tryOut);
      }
      Cover cover = new Cover(shows, told);
      List<Integer> chosen = cover.smallest();
      List<Step> steps = new ArrayList<>();
      BitSet left = (BitSet) told.clone();
      for (int t : chosen) {
        steps.add(step(t, left));
        left.andNot(shows.get(t));
      }
      List<Message> unseen = new ArrayList<>();
      for (int m = told.nextClearBit(0); m < mistakes.size(); m = told.nextClearBit(m + 1)) {
        if (unseen.size() < MOST_NAMED) {
          unseen.add(mistakes.get(m).words(network));
        }
      }
      return new AssemblyCheck(steps, mistakes.size(), unseen, cover.isProven());
    }

    /** Makes every mistake in one setting; a setting that tells nothing new is not kept. */
    private void tryOut(CheckSetting trial) {
      Effort.look();
      PressedWater water = new PressedWater(network, trial.setting(), outlets);
      if (!water.isDriven() || trials.size() >= MOST_TRIALS) {
        return;
      }
      byte[] asBuilt = water.look(across);
      byte[][] otherwise = new byte[mistakes.size()][];
      BitSet seen = new BitSet(mistakes.size());
      for (int m = 0; m < mistakes.size(); m++) {
        mistakes.get(m).swap(network, across);
        byte[] made = water.look(across);
        mistakes.get(m).swap(network, across);
        if (!Arrays.equals(made, asBuilt)) {
          seen.set(m);
          otherwise[m] = made;
        }
      }
      for (BitSet before : shows) {
        BitSet more = (BitSet) seen.clone();
        more.andNot(before);
        if (more.isEmpty()) {
          return;
        }
      }
      trials.add(trial);
      right.add(asBuilt);
      wrong.add(otherwise);
      shows.add(seen);
      told.or(seen);
    }

    /** The looks of a trial that tell the mistakes still left, fewest by taking the best first. */
    private Step step(int trial, BitSet left) {
      BitSet open = (BitSet) left.clone();
      open.and(shows.get(trial));
      List<Look> looks = new ArrayList<>();
      while (!open.isEmpty()) {
        int best = 0;
        BitSet most = new BitSet();
        for (int o = 0; o < outlets.length; o++) {
          BitSet tells = new BitSet();
          for (int m = open.nextSetBit(0); m >= 0; m = open.nextSetBit(m + 1)) {
            byte[] made = wrong.get(trial)[m];
            if (made != null && made[o] != right.get(trial)[o]) {
              tells.set(m);
            }
          }
          if (tells.cardinality() > most.cardinality()) {
            most = tells;
            best = o;
          }
        }
        looks.add(look(trial, best, most));
        open.andNot(most);
      }
      return new Step(trials.get(trial), looks);
    }

    private Look look(int trial, int outlet, BitSet tells) {
      List<Wrong> otherwise = new ArrayList<>();
      for (What what : What.values()) {
        List<Message> means = new ArrayList<>();
        for (int m = tells.nextSetBit(0); m >= 0; m = tells.nextSetBit(m + 1)) {
          byte[] made = wrong.get(trial)[m];
          if (made != null && made[outlet] == what.ordinal()) {
            means.add(mistakes.get(m).words(network));
          }
        }
        if (!means.isEmpty()) {
          otherwise.add(new Wrong(what, means));
        }
      }
      int v = outlets[outlet];
      return new Look(
          network.part(v).port(network.port(v)),
          What.values()[right.get(trial)[outlet]],
          otherwise);
    }
  }

  /** A smallest cover of bits by sets. */
  static final class Cover {

    private final List<BitSet> sets;
    private final BitSet all;
    private List<Integer> best = new ArrayList<>();
    private int branches;

    Cover(List<BitSet> sets, BitSet all) {
      this.sets = sets;
      this.all = all;
    }

    /** Returns numbers of sets, as few as do. */
    List<Integer> smallest() {
      best = greedy();
      if (best.size() > 1) {
        branch((BitSet) all.clone(), new ArrayList<>());
      }
      return best;
    }

    boolean isProven() {
      return branches < MOST_BRANCHES;
    }

    private List<Integer> greedy() {
      List<Integer> chosen = new ArrayList<>();
      BitSet left = (BitSet) all.clone();
      while (!left.isEmpty()) {
        int most = -1;
        int count = 0;
        for (int s = 0; s < sets.size(); s++) {
          int covers = common(sets.get(s), left);
          if (covers > count) {
            count = covers;
            most = s;
          }
        }
        chosen.add(most);
        left.andNot(sets.get(most));
      }
      return chosen;
    }

    private static int common(BitSet a, BitSet b) {
      BitSet both = (BitSet) a.clone();
      both.and(b);
      return both.cardinality();
    }

    /** Whatever covers everything covers the bit that the fewest sets cover. */
    private void branch(BitSet left, List<Integer> chosen) {
      branches++;
      if (left.isEmpty()) {
        best = List.copyOf(chosen);
        return;
      }
      int largest = sets.stream().mapToInt(s -> common(s, left)).max().orElse(0);
      int more = (left.cardinality() + largest - 1) / Math.max(1, largest);
      if (chosen.size() + more >= best.size() || branches > MOST_BRANCHES) {
        return;
      }
      int rarest = rarest(left);
      for (int s = 0; s < sets.size(); s++) {
        if (sets.get(s).get(rarest)) {
          BitSet rest = (BitSet) left.clone();
          rest.andNot(sets.get(s));
          List<Integer> with = new ArrayList<>(chosen);
          with.add(s);
          branch(rest, with);
        }
      }
    }

    private int rarest(BitSet left) {
      int rarest = left.nextSetBit(0);
      long fewest = Long.MAX_VALUE;
      for (int m = rarest; m >= 0; m = left.nextSetBit(m + 1)) {
        int bit = m;
        long covers = sets.stream().filter(s -> s.get(bit)).count();
        if (covers < fewest) {
          fewest = covers;
          rarest = m;
        }
      }
      return rarest;
    }
  }
}
