package fernwort.app.board.layout;

import fernwort.core.demo.DemoRig;
import org.junit.jupiter.api.Test;

class TimingTest {
  @Test
  void time() {
    for (int i = 0; i < 12; i++)
      for (DemoRig d : DemoRig.all()) {
        long t = System.nanoTime();
        BoardLayout l = BoardLayout.of(d.rig());
        System.out.println(
            d.id()
                + " "
                + (System.nanoTime() - t) / 1e6
                + " ms "
                + l.width()
                + "x"
                + l.height()
                + " missing "
                + d.rig().lines().stream()
                    .filter(x -> l.wires().stream().noneMatch(w -> w.line().equals(x.id())))
                    .map(x -> x.id() + ":" + x.from() + ">" + x.to())
                    .toList()
                + " wires "
                + l.wires().size()
                + "/"
                + d.rig().lines().size());
      }
  }
}
