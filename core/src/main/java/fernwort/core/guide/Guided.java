package fernwort.core.guide;

import fernwort.core.guide.answers.PumpAnswers;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The rig that somebody's answers describe, as far as they go.
 *
 * @param rig the rig
 * @param guesses what was taken as is usual
 * @param ways one line for each way that water is to go, from end to end
 * @param running how handles stand while the pump draws from the first tank, by part
 * @param tanks the part that each tank of the answers has become, by their short names
 * @param pages the page of questions that asks for each part, by its id
 */
public record Guided(
    Rig rig,
    List<Guess> guesses,
    List<Message> ways,
    Map<PartId, PositionId> running,
    Map<String, PartId> tanks,
    Map<PartId, QuestionPage> pages) {

  public Guided {
    guesses = List.copyOf(guesses);
    ways = List.copyOf(ways);
    running = Map.copyOf(running);
    tanks = Map.copyOf(tanks);
    pages = Map.copyOf(pages);
  }

  /**
   * Makes the rig of some answers.
   *
   * @throws fernwort.core.rig.InvalidRigException when an answer is beyond what any vehicle has
   */
  public static Guided of(RigAnswers answers) {
    Assembly rig = new Assembly(answers);
    List<Guess> guesses = new ArrayList<>();
    List<Message> ways = new ArrayList<>();
    TankMaker maker = new TankMaker(rig, answers, guesses);
    Map<TankAnswers, PartId> fresh = new LinkedHashMap<>();
    answers.tanks(Contents.FRESH).forEach(t -> fresh.put(t, maker.add(t, List.of())));
    PressureSide pressure = new PressureSide(rig, answers, ways);
    FreshSide drawing = new FreshSide(rig, answers, maker, ways);
    drawing.join(fresh, pressure);
    new InletSide(rig, answers, ways).join(fresh, pressure, drawing.fromInlet());
    pressure.join();
    Map<String, PartId> tanks = new HashMap<>();
    fresh.forEach((tank, part) -> tanks.put(tank.id(), part));
    tanks.putAll(new WasteSide(rig, answers, ways).join(maker, pressure.taps()));
    maker.closeOpenVents();
    Rig made = rig.build(answers.name());
    guesses.addAll(Overlap.in(made));
    guesses.addAll(unmeasured(answers, made));
    if (rig.lines() > 0) {
      guesses.add(
          new Guess(
              Guess.About.LENGTHS,
              Says.LENGTHS_OF_LINES.with(rig.lines()),
              Says.FLOW_AT_THE_TAPS_AND_WHAT_STAYS.with()));
    }
    guesses.sort(Comparator.comparing(Guess::about));
    return new Guided(made, guesses, ways, rig.running(), tanks, rig.pages());
  }

  /** What nobody measured or read of the vehicle and the heater. */
  private static List<Guess> unmeasured(RigAnswers answers, Rig made) {
    List<Guess> guesses = new ArrayList<>();
    RigAnswers.Van van = answers.vehicle();
    boolean two = made.vehicle().axles().size() > 1;
    boolean read = van.rearLimit().isPresent() && (!two || van.frontLimit().isPresent());
    if (!read && !answers.tanks().isEmpty()) {
      guesses.add(
          new Guess(
              Guess.About.AXLES,
              Says.WHAT_THE_AXLES_MAY_CARRY.with(),
              Says.WHETHER_WATER_IS_TOO_HEAVY.with()));
    }
    if (van.floor().isEmpty() && !answers.tanks().isEmpty()) {
      guesses.add(
          new Guess(
              Guess.About.FLOOR,
              Says.THE_FLOOR_ABOVE_THE_GROUND.with(Amount.length(made.vehicle().floor())),
              Says.WHAT_HANGS_UNDER_IT_AND_FREEZES.with()));
    }
    long plates =
        made.parts().stream()
            .filter(p -> !p.id().equals(PartId.of("pump")) && !p.kind().is(Purpose.HOLDS))
            .filter(p -> p.kind().properties().stream().anyMatch(x -> x.amount().isPresent()))
            .count();
    if (plates > 0) {
      guesses.add(
          new Guess(
              Guess.About.PLATES,
              Says.PLATES_THAT_WERE_NOT_ASKED.with(plates),
              Says.FLOW_AND_PRESSURE_AT_THE_TAPS.with()));
    }
    if (answers.pump().hot() != PumpAnswers.Hot.NONE && answers.pump().heat().isEmpty()) {
      guesses.add(
          new Guess(
              Guess.About.HEATER,
              Says.THE_HEATER_BESIDE_THE_PUMP.with(),
              Says.HOW_IT_IS_DRAINED_BEFORE_FROST.with()));
    }
    return guesses;
  }

  /** Returns how much the flow at the shower, or else the first tap, hangs on guessed lengths. */
  public Optional<Message> flow() {
    return FlowRange.of(rig, running).map(FlowRange::words);
  }
}
