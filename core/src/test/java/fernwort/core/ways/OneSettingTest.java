package fernwort.core.ways;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** What one setting can join, against every setting tried. */
class OneSettingTest {

  private static Kind selector(boolean all) {
    List<Stop> stops = new ArrayList<>();
    stops.add(
        new Stop(PositionId.of("left"), "to the left", 180, List.of(List.of(PortId.A, PortId.C))));
    stops.add(
        new Stop(PositionId.of("right"), "to the right", 0, List.of(List.of(PortId.B, PortId.C))));
    if (all) {
      stops.add(
          new Stop(
              PositionId.of("all"),
              "in the middle",
              90,
              List.of(List.of(PortId.A, PortId.B, PortId.C))));
    }
    return new ThreeWayValve(stops, Optional.empty());
  }

  private static Rig between(Kind valve) {
    return CaseRigs.rig()
        .part("near", "Near", 0, 0, 1, CaseRigs.tank())
        .part("far", "Far", 1, 0, 1, CaseRigs.tank())
        .part("valve", "Valve", 0.5, 0, 0.9, valve)
        .part("sink", "Sink", 0.5, 0, 0.5, Fittings.fixture(Fixture.Type.TAP, true, 6))
        .line("n", "N", "near.low > valve.a", 12, 1, Material.PEX, 0)
        .line("f", "F", "far.low > valve.b", 12, 1, Material.PEX, 0)
        .line("s", "S", "valve.c > sink.cold", 12, 1, Material.PEX, 0)
        .build();
  }

  private static boolean joins(Rig rig) {
    return OneSetting.joins(
        Network.of(rig), rig.part(PartId.of("near")), rig.part(PartId.of("far")));
  }

  @Test
  void aSelectorJoinsItsSidesOnlyWhereOneOfItsStopsDoes() {
    assertThat(joins(between(selector(false)))).isFalse();
    assertThat(joins(between(selector(true)))).isTrue();
  }

  /** Two tanks among selectors, valves, tees and a check valve, joined at random. */
  private static Rig rig(long seed) {
    Random random = new Random(seed);
    RigBuilder rig = CaseRigs.rig();
    List<Kind> kinds =
        new ArrayList<>(
            List.of(
                selector(false),
                selector(false),
                selector(random.nextBoolean()),
                Fittings.twoWay(0),
                Fittings.twoWay(0),
                new Tee(),
                new Tee(),
                Fittings.check()));
    List<String> ports = new ArrayList<>(List.of("near.low", "near.high", "far.low", "far.high"));
    rig.part("near", "Near", 0, 0, 1, CaseRigs.tank()).part("far", "Far", 1, 0, 1, CaseRigs.tank());
    for (int i = 0; i < kinds.size(); i++) {
      String id = "p" + i;
      rig.part(id, "Part " + i, 0, 0, 1, kinds.get(i));
      kinds.get(i).ports().forEach(port -> ports.add(id + "." + port));
    }
    Collections.shuffle(ports, random);
    for (int i = 0; i < 6 + random.nextInt(5); i++) {
      rig.line(
          "l" + i, "Line", ports.get(2 * i) + " > " + ports.get(2 * i + 1), 12, 1, Material.PEX, 0);
    }
    return rig.build();
  }

  @Property(tries = 400)
  void joinsWhatSomeSettingJoins(@ForAll long seed) {
    Rig rig = rig(seed);
    Network network = Network.of(rig);
    boolean some = settings(rig).stream().anyMatch(setting -> joins(network, setting));
    assertThat(joins(rig)).isEqualTo(some);
  }

  private static List<Setting> settings(Rig rig) {
    List<Setting> all = new ArrayList<>(List.of(rig.atRest()));
    for (Part part : rig.handles().toList()) {
      List<Setting> more = new ArrayList<>();
      for (Setting setting : all) {
        for (Position position : part.kind().positions()) {
          more.add(setting.with(part.id(), position.id()));
        }
      }
      all = more;
    }
    return all;
  }

  private static boolean joins(Network network, Setting setting) {
    OpenGraph graph = new OpenGraph(network, setting);
    Deque<Integer> next = new ArrayDeque<>();
    Set<Integer> seen = new HashSet<>();
    for (PortId port : List.of(PortId.of("low"), PortId.of("high"), PortId.of("vent"))) {
      next.add(network.vertex(network.rig().part(PartId.of("near")), port));
    }
    while (!next.isEmpty()) {
      int v = next.remove();
      if (!seen.add(v)) {
        continue;
      }
      if (network.part(v).id().equals(PartId.of("far"))) {
        return true;
      }
      for (int e = graph.first(v); e >= 0; e = graph.next(e)) {
        next.add(graph.to(e));
      }
    }
    return false;
  }
}
