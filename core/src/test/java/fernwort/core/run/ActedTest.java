package fernwort.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Runs in which somebody acts. */
class ActedTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final Network PLUMBING = Network.of(TRUCK.rig());

  private static WorkList.Due due(double seconds, PartId part, PositionId position) {
    return new WorkList.Due(seconds, new Actor.Act(part, position));
  }

  private static Simulation begin() {
    return Simulation.start(PLUMBING, TRUCK.state());
  }

  @Test
  void whatAHandDoesAtItsTimeIsWhatSettingItThenDoes() {
    Simulation plain = begin();
    plain.runTo(60);
    plain.set(PartId.of("sink"), PositionId.of("shut"));
    plain.runTo(90);
    plain.set(PartId.of("shower"), PositionId.of("warm"));
    plain.runTo(300);

    Simulation acted = begin();
    List<Actor.Act> done = new ArrayList<>();
    List<Double> times = new ArrayList<>();
    WorkList hand =
        new WorkList(
            List.of(
                due(90, PartId.of("shower"), PositionId.of("warm")),
                due(60, PartId.of("sink"), PositionId.of("shut"))));
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
        .containsExactly(
            new Actor.Act(PartId.of("sink"), PositionId.of("shut")),
            new Actor.Act(PartId.of("shower"), PositionId.of("warm")));
    assertThat(times.get(0)).isCloseTo(60, within(1e-6));
    assertThat(times.get(1)).isCloseTo(90, within(1e-6));
    for (PartId tank : List.of(PartId.of("main"), PartId.of("low"), PartId.of("gray"))) {
      assertThat(acted.moment().state().volume(tank))
          .as(tank.value())
          .isCloseTo(plain.moment().state().volume(tank), within(1e-9));
    }
  }

  @Test
  void twoWhoActAtOnceBothDoAndNobodyActsAfterTheEnd() {
    Simulation run = begin();
    WorkList first =
        new WorkList(
            List.of(
                due(0, PartId.of("sink"), PositionId.of("shut")),
                due(400, PartId.of("sink"), PositionId.of("cold"))));
    WorkList second = new WorkList(List.of(due(0, PartId.of("pump"), PositionId.of("off"))));
    new Acted(run, List.of(first, second), h -> {}, (at, act) -> {}).runTo(300);
    assertThat(run.moment().state().setting().of(PartId.of("sink")).value()).isEqualTo("shut");
    assertThat(run.moment().state().setting().of(PartId.of("pump")).value()).isEqualTo("off");
    assertThat(run.time()).isCloseTo(300, within(1e-6));
  }

  @Test
  void whatBeginsInTheWaterIsToldTheHandItselfIsNot() {
    List<Event.Kind> told = new ArrayList<>();
    WorkList hand = new WorkList(List.of(due(30, PartId.of("sink"), PositionId.of("shut"))));
    new Acted(begin(), List.of(hand), h -> told.add(h.kind()), (at, act) -> {}).runTo(3600);
    assertThat(told).isNotEmpty().doesNotContain(Event.Kind.HAND);
  }
}
