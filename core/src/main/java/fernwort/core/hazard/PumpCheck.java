package fernwort.core.hazard;

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
              Message.words(label + " is on and has nothing to draw"),
              Message.words(byHand ? "It only moves air." : "It runs dry and burns out."),
              Message.of(
                  "No tank with water over its outlet, and no other source, is open to its inlet."),
              Message.of("Switch it off; open a tank that has water, then switch it on again."),
              List.of(work.pump())));
    } else if (work.airThrough().isPresent()) {
      String by = work.airThrough().get();
      found.add(
          new Warning(
              Warning.Code.PUMP_SUCKS_AIR,
              Severity.WARNING,
              Message.words(label + " sucks air through " + scene.label(by)),
              Message.of("It rattles, spits and does not build up pressure."),
              Message.words(scene.label(by) + " is open to its inlet and is dry."),
              Message.words("Close a valve towards " + scene.label(by) + "."),
              List.of(work.pump(), by)));
    }
    List<String> loop = loop(scene, work);
    if (!loop.isEmpty() && !isCirculation(scene, work.pump())) {
      stirs(scene, work, loop, label, found);
    }
    if (!work.sources().isEmpty() && loop.isEmpty() && !delivers(scene, work)) {
      shutIn(scene, work, label, found);
    }
  }

  /** How a pump's water comes straight back to its inlet, if need be by the tank it draws from. */
  private static List<String> loop(Scene scene, PumpWork work) {
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
              Message.words(label + " presses against closed valves"),
              Message.of(
                  "It runs at its shut-off pressure, {}, and heats the water in it until a seal gives.",
                  Amount.pressure(pump.shutOffPressure())),
              Message.of("It has no switch that stops it, and no way from its outlet is open."),
              Message.of("Open what it should deliver to, or switch it off."),
              List.of(work.pump())));
    }
  }

  private static void stirs(
      Scene scene, PumpWork work, List<String> loop, String label, List<Warning> found) {
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
                        ? " pushes part of its water round in a loop"
                        : " only circulates its water")),
            Message.of(
                "The water comes straight back to its inlet: little or no pressure, and it never stops."),
            Message.words(
                "A way from its outlet back to its inlet is open"
                    + (through.isEmpty() ? "." : " through " + through + ".")),
            Message.words(through.isEmpty() ? "Close the loop." : "Close " + through + "."),
            List.of(work.pump())));
  }

  private static boolean isCirculation(Scene scene, String pump) {
    return scene.part(pump).kind().is(Purpose.CIRCULATES);
  }
}
