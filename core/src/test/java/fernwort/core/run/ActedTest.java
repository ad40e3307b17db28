package fernwort.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.network.Network;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Runs in which somebody acts. */
class ActedTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());

  private static WorkList.Due due(double seconds, String part, String position) {
    return new WorkList.Due(seconds, new Actor.Act(part, position));
  }

  private static Simulation begin() {
    return Simulation.start(PLUMBING, TRUCK.state());
  }

  @Test
  void whatAHandDoesAtItsTimeIsWhatSettingItThenDoes() {
    Simulation plain = begin();
    plain.runTo(60);
    plain.set("sink", "shut");
    plain.runTo(90);
    plain.set("shower", "warm");
    plain.runTo(300);

    Simulation acted = begin();
    List<Actor.Act> done = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    WorkList hand = new WorkList(List.of(due(90, "shower", "warm"), due(60, "sink", "shut")));
    new Acted(
            acted,
            List.of(hand),
            h -> {},
            (at, act) -> {
              times.add(at);
              done.add(act);
            })
        .runTo(300);

    assertThat(done)
        .containsExactly(new Actor.Act("sink", "shut"), new Actor.Act("shower", "warm"));
    assertThat(times.get(0)).isCloseTo(60, within(1e-6));
    assertThat(times.get(1)).isCloseTo(90, within(1e-6));
    for (String tank : List.of("main", "low", "gray")) {
      assertThat(acted.moment().state().volume(tank))
          .as(tank)
          .isCloseTo(plain.moment().state().volume(tank), within(1e-9));
    }
  }

  @Test
  void twoWhoActAtOnceBothDoAndNobodyActsAfterTheEnd() {
    Simulation run = begin();
    WorkList first = new WorkList(List.of(due(0, "sink", "shut"), due(400, "sink", "cold")));
    WorkList second = new WorkList(List.of(due(0, "pump", "off")));
    new Acted(run, List.of(first, second), h -> {}, (at, act) -> {}).runTo(300);
    assertThat(run.moment().state().setting().of("sink")).isEqualTo("shut");
    assertThat(run.moment().state().setting().of("pump")).isEqualTo("off");
    assertThat(run.time()).isCloseTo(300, within(1e-6));
  }

  @Test
  void whatBeginsInTheWaterIsToldTheHandItselfIsNot() {
    List<Event.Kind> told = new ArrayList<>();
    WorkList hand = new WorkList(List.of(due(30, "sink", "shut")));
    new Acted(begin(), List.of(hand), h -> told.add(h.kind()), (at, act) -> {}).runTo(3600);
    assertThat(told).isNotEmpty().doesNotContain(Event.Kind.HAND);
  }
}
