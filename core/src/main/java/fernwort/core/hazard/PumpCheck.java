package fernwort.core.hazard;

import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Pump;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.PumpWork;
import java.util.List;
import java.util.stream.Collectors;

/** Pumps that run dry, suck air, or only stir. */
final class PumpCheck implements Check {

  @Override
  public void look(Scene scene, List<Warning> found) {
    for (PumpWork work : scene.ways().pumps()) {
      if (!work.heldOff()) {
        look(scene, work, found);
      }
    }
  }

  private static void look(Scene scene, PumpWork work, List<Warning> found) {
    String label = scene.label(work.pump());
    boolean byHand = scene.part(work.pump()).kind().byHand();
    if (work.sources().isEmpty()) {
      found.add(
          new Warning(
              Warning.Code.PUMP_DRY,
              byHand ? Severity.NOTE : Severity.DANGER,
              Says.IS_ON_AND_HAS_NOTHING_TO_DRAW.with(label),
              Message.words(
                  byHand ? Says.IT_ONLY_MOVES_AIR.text() : Says.IT_RUNS_DRY_AND_BURNS_OUT.text()),
              Says.NO_TANK_WITH_WATER.with(),
              Says.SWITCH_IT_OFF_OPEN_A_TANK.with(),
              List.of(work.pump())));
    } else if (work.airThrough().isPresent()) {
      PartId by = work.airThrough().get();
      found.add(
          new Warning(
              Warning.Code.PUMP_SUCKS_AIR,
              Severity.WARNING,
              Says.SUCKS_AIR_THROUGH.with(label, scene.label(by)),
              Says.IT_RATTLES_SPITS.with(),
              Says.IS_OPEN_TO_ITS_INLET.with(scene.label(by)),
              Says.CLOSE_A_VALVE_TOWARDS.with(scene.label(by)),
              List.of(work.pump(), by)));
    }
    List<PartId> loop = loop(scene, work);
    if (!loop.isEmpty() && !isCirculation(scene, work.pump())) {
      stirs(scene, work, loop, label, found);
    }
    if (!work.sources().isEmpty() && loop.isEmpty() && !delivers(scene, work)) {
      shutIn(scene, work, label, found);
    }
  }

  /** How a pump's water comes straight back to its inlet, if need be by the tank it draws from. */
  private static List<PartId> loop(Scene scene, PumpWork work) {
    if (!work.loop().isEmpty()) {
      return work.loop();
    }
    return scene.ways().ways().stream()
        .filter(w -> w.drive().pump().filter(work.pump()::equals).isPresent())
        .filter(w -> w.end().part().equals(w.source().part()))
        .findFirst()
        .map(FlowPath::parts)
        .orElse(List.of());
  }

  private static boolean delivers(Scene scene, PumpWork work) {
    return scene.ways().ways().stream()
        .filter(w -> w.drive().pump().filter(work.pump()::equals).isPresent())
        .anyMatch(w -> !w.end().part().equals(w.source().part()));
  }

  /** A pump without a switch that presses against closed valves. */
  private static void shutIn(Scene scene, PumpWork work, String label, List<Warning> found) {
    if (scene.part(work.pump()).kind() instanceof Pump pump
        && !pump.works().byHand()
        && pump.duty() != Pump.Duty.CIRCULATION
        && pump.cutOut() >= pump.shutOffPressure()) {
      found.add(
          new Warning(
              Warning.Code.PUMP_SHUT_IN,
              Severity.WARNING,
              Says.PRESSES_AGAINST_CLOSED_VALVES.with(label),
              Says.IT_RUNS_AT_ITS_SHUT_OFF_PRESSURE.with(Amount.pressure(pump.shutOffPressure())),
              Says.IT_HAS_NO_SWITCH_THAT_STOPS.with(),
              Says.OPEN_WHAT_IT_SHOULD_DELIVER.with(),
              List.of(work.pump())));
    }
  }

  private static void stirs(
      Scene scene, PumpWork work, List<PartId> loop, String label, List<Warning> found) {
    boolean delivers = delivers(scene, work);
    String through =
        loop.stream()
            .distinct()
            .filter(p -> scene.part(p).kind().is(Purpose.TURNS))
            .map(scene::label)
            .collect(Collectors.joining(", "));
    found.add(
        new Warning(
            Warning.Code.PUMP_STIRS,
            delivers ? Severity.NOTE : Severity.WARNING,
            Message.words(
                label
                    + (delivers
                        ? Says.PUSHES_PART_OF_ITS_WATER_ROUND.text()
                        : Says.ONLY_CIRCULATES_ITS_WATER.text())),
            Says.THE_WATER_COMES_STRAIGHT_BACK.with(),
            Says.A_WAY_FROM_ITS_OUTLET_BACK.with(
                (through.isEmpty() ? "." : Says.THROUGH.filled(through))),
            Message.words(
                through.isEmpty() ? Says.CLOSE_THE_LOOP.text() : Says.CLOSE.filled(through)),
            List.of(work.pump())));
  }

  private static boolean isCirculation(Scene scene, PartId pump) {
    return scene.part(pump).kind().is(Purpose.CIRCULATES);
  }
}
