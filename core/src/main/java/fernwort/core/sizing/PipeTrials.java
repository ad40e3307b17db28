package fernwort.core.sizing;

import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Other lines and other pumps, tried by opening the fixtures with them. */
final class PipeTrials {

  private static final double BAR = 1e5;

  /** How far below its cut-out a pump cuts in (bar); own choice. */
  private static final double BELOW_CUT_OUT = 0.7;

  /** A bore that is more than this above another is wider (m). */
  private static final double WIDER = 5e-4;

  /** Plates to try: free flow (L/min), pressure at no flow and cut-out (bar). None is a product. */
  private static final double[][] PLATES = {
    {6, 1.8, 1.4}, {8, 2.4, 2.0}, {11, 3.0, 2.6}, {15, 3.5, 3.0}, {19, 4.2, 3.6}
  };

  private static final double LITRES_PER_MINUTE = 1e-3 / 60;

  private PipeTrials() {}

  /** Tries one bore more in each of the three worst lines. */
  static List<PumpAndLines.Trial> wider(TapBench bench, List<PumpAndLines.Taken> lines) {
    List<PumpAndLines.Trial> trials = new ArrayList<>();
    for (PumpAndLines.Taken taken : lines.stream().limit(3).toList()) {
      double bore =
          bench.network().rig().lines().stream()
              .filter(l -> l.id().equals(taken.line()))
              .findFirst()
              .orElseThrow()
              .bore();
      Optional<Double> next = PumpAndLines.BORES.stream().filter(b -> b > bore + WIDER).findFirst();
      next.ifPresent(b ->
          trials.add(
              bench
                  .with(bench.hydraulics().withBore(Set.of(taken.line()), b))
                  .trial(b, taken.line(), 0)));
    }
    return trials;
  }

  /** Tries every bore in all lines that carry something. */
  static List<PumpAndLines.Trial> bores(TapBench bench, Flows all) {
    List<LineId> carrying =
        all.lines().entrySet().stream()
            .filter(e -> Math.abs(e.getValue()) > TapBench.CARRIES)
            .map(Map.Entry::getKey)
            .toList();
    return PumpAndLines.BORES.stream()
        .map(b -> bench.with(bench.hydraulics().withBore(carrying, b)).trial(b, LineId.NONE, 0))
        .toList();
  }

  /** Tries other supply pumps. */
  static List<PumpAndLines.Trial> pumps(TapBench bench) {
    List<PumpAndLines.Trial> trials = new ArrayList<>();
    for (double[] plate : PLATES) {
      Rig rig = bench.network().rig();
      List<Part> parts =
          rig.parts().stream()
              .map(p -> p.kind().is(Purpose.SUPPLIES) ? p.with(plate((Pump) p.kind(), plate)) : p)
              .toList();
      Network other =
          Network.of(
              new Rig(
                  rig.name(),
                  rig.note(),
                  rig.vehicle(),
                  rig.places(),
                  parts,
                  rig.lines(),
                  rig.built()));
      trials.add(
          new TapBench(other, Hydraulics.of(other), bench.shut(), bench.fixtures())
              .trial(plate[0] * LITRES_PER_MINUTE, LineId.NONE, plate[2] * BAR));
    }
    return trials;
  }

  private static Pump plate(Pump pump, double[] plate) {
    return new Pump(
        pump.duty(),
        Pump.Type.DIAPHRAGM,
        plate[1] * BAR,
        plate[0] * LITRES_PER_MINUTE,
        (plate[2] - BELOW_CUT_OUT) * BAR,
        plate[2] * BAR,
        pump.selfPriming());
  }
}
