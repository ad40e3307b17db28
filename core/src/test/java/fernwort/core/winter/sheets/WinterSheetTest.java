package fernwort.core.winter.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.drain.Filled;
import fernwort.core.id.PlaceId;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** In which order a sheet goes through a rig. */
class WinterSheetTest {

  private static double highest(List<Part> parts, PlaceId place) {
    return parts.stream()
        .filter(p -> p.place().equals(place))
        .mapToDouble(Part::height)
        .max()
        .orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(strings = {"marginalia", "samphire", "tern"})
  void onePlaceAfterTheOtherHighOnesFirstAndInEachTheHighestPartFirst(String demo) {
    DemoRig rig = DemoRig.called(demo);
    Network network = Network.of(rig.rig());
    WinterSheet sheet = new WinterSheet(network, Filled.of(network, rig.state()));

    List<Part> all = sheet.byPlace(rig.rig().parts().stream());

    assertThat(all).containsExactlyInAnyOrderElementsOf(rig.rig().parts());
    List<PlaceId> visits = new ArrayList<>();
    for (Part part : all) {
      if (visits.isEmpty() || !visits.getLast().equals(part.place())) {
        visits.add(part.place());
      }
    }
    assertThat(visits).doesNotHaveDuplicates();
    assertThat(visits)
        .isSortedAccordingTo(Comparator.comparingDouble((PlaceId p) -> -highest(all, p)));
    for (PlaceId place : visits) {
      assertThat(all.stream().filter(p -> p.place().equals(place)))
          .isSortedAccordingTo(Comparator.comparingDouble((Part p) -> -p.height()));
    }
  }
}
