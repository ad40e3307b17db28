package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.Sampled;
import fernwort.core.hazard.Hazards;
import fernwort.core.id.PartId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A name is the owner's: whatever stands in it, every text quotes it as it was typed. Each text of
 * a rig with plain names is the text of the same rig with awkward ones, but for the names.
 */
class LabelsTest {

  /** What breaks formats, patterns, quotes, lines, file names and the direction of reading. */
  private static final List<String> AWKWARD =
      List.of(
          "50% valve",
          "{} %s", "100 %d %n", "“Aaron's” \"tank\"", "two\nlines", "ברז מים", "\\E$1");

  static Stream<Rig> rigs() {
    long seed = System.nanoTime();
    return Stream.concat(
        Sampled.rigs(5), LongStream.range(seed, seed + 4).mapToObj(SmallHouses::rig));
  }

  private static String plain(int i) {
    return "Qz" + i + "zQ";
  }

  private static String awkward(int i) {
    return AWKWARD.get(i % AWKWARD.size()) + " " + i;
  }

  private interface Naming {
    String of(int part);
  }

  private static Rig named(Rig rig, Naming naming) {
    List<Part> parts =
        IntStream.range(0, rig.parts().size())
            .mapToObj(i -> rig.parts().get(i).called(naming.of(i)))
            .toList();
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, rig.lines());
  }

  @Tag("slow")
  @ParameterizedTest
  @MethodSource("rigs")
  void everyTextQuotesANameAsItWasTyped(Rig rig) {
    List<String> plain = texts(named(rig, LabelsTest::plain));
    List<String> awkward = texts(named(rig, LabelsTest::awkward));
    for (int i = rig.parts().size() - 1; i >= 0; i--) {
      String from = plain(i);
      String to = awkward(i);
      plain.replaceAll(t -> t.replace(from, to));
    }
    List<String> otherwise = new ArrayList<>(awkward);
    plain.forEach(otherwise::remove);
    assertThat(otherwise).isEmpty();
  }

  /** Jobs and their obstacles, plans, mistakes, warnings, findings and winters. */
  private static List<String> texts(Rig rig) {
    Network network = Network.of(rig);
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    State state = new State(rig.atRest(), volumes, Slope.LEVEL);
    Plans plans = Plans.of(network);
    List<String> texts = new ArrayList<>();
    for (Job job : Jobs.of(network).all()) {
      texts.add(job.name().toString());
      Plan plan = plans.plan(job, state);
      texts.addAll(Told.plan(plan, state));
    }
    Levels levels = Levels.of(network, state);
    for (Part handle : rig.handles().toList()) {
      handle
          .kind()
          .positions()
          .forEach(p -> {
            State turned = state.with(handle.id(), p.id());
            Hazards.of(network)
                .warnings(
                    turned.setting(), levels, OpenWays.find(network, turned.setting(), levels))
                .forEach(
                    w -> texts.add(w.title() + "/" + w.what() + "/" + w.why() + "/" + w.fix()));
          });
    }
    LayoutReview.of(network)
        .forEach(f -> texts.add(f.title() + "/" + f.why() + "/" + f.cost() + "/" + f.fix()));
    return texts;
  }
}
