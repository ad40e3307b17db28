package fernwort.core.demo;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.hazard.Hazards;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Ways;
import org.junit.jupiter.api.Test;

class DemoRigTest {

  @Test
  void dump() {
    for (DemoRig demo : DemoRig.all()) {
      Plumbing plumbing = Plumbing.of(demo.rig());
      Levels levels = Levels.of(plumbing, demo.state());
      Ways ways = OpenWays.find(plumbing, demo.state());
      System.out.println("== " + demo.id() + " " + demo.rig().parts().size());
      demo.rig()
          .tanks()
          .forEach(t -> System.out.println(t.id() + " " + plumbing.room(t.id()).capacity() * 1000));
      ways.ways().forEach(w -> System.out.println(w.key() + " " + w.parts()));
      ways.air().forEach(System.out::println);
      ways.pumps().forEach(System.out::println);
      System.out.println("moving " + ways.moving());
      System.out.println("dead " + ways.dead());
      Hazards.of(plumbing)
          .warnings(demo.state().setting(), levels, ways)
          .forEach(System.out::println);
    }
    assertThat(DemoRig.all()).hasSize(3);
  }
}
