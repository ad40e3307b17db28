package fernwort.core.jobs.wait;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Step;
import fernwort.core.kind.machine.Driven;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What hands are told beside the handles, without a run. */
class ByHandWordsTest {

  private static final DemoRig TERN = DemoRig.called("tern");
  private static final Rig RIG = TERN.rig();
  private static final Network NETWORK = Network.of(RIG);

  /** From the bucket to the valve before the pump, to its strainer, to the pump. */
  private static final Set<String> SUCTION = Set.of("d1", "d2", "d3");

  /** The lines between the bucket and the pump, and no other, are filled with its head. */
  @Test
  void aPumpIsPrimedWithItsHeadAndItsSuctionHose() {
    PartId bucket = PartId.of("bucket");
    Part pump = RIG.part(PartId.of("pump"));
    Job.Until until = new Job.Until(Job.Until.What.PRIMED, pump.id());
    Step.Wait prime = new ByHand(NETWORK).prime(until, bucket);

    double hose =
        RIG.lines().stream()
            .filter(l -> SUCTION.contains(l.id().value()))
            .mapToDouble(Line::volume)
            .sum();
    assertThat(hose).isPositive();
    assertThat(prime.until()).isEqualTo(until);
    assertThat(prime.words().pieces())
        .contains(Amount.volume(pump.volume() + hose))
        .contains(Amount.time(Math.max(10, hose / ((Driven) pump.kind()).freeFlow())));
    assertThat(prime.notice()).contains("bubbles");
  }

  @Test
  void aFillThatStopsShortSaysAtHowMuchAndWhichVentIsTooNarrow() {
    PartId fore = PartId.of("fore");
    Message words =
        new WaitWords(NETWORK).stopShort(new Job.Until(Job.Until.What.MARK, fore, 0.042));
    assertThat(words.toString())
        .startsWith("Stop at 42 L")
        .contains(RIG.part(fore).label())
        .contains("more than it bears");
  }
}
