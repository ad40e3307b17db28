package fernwort.core.winter;

import fernwort.core.drain.Draining;
import fernwort.core.drain.EverythingOpen;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Connections;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.Vehicle;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.function.ToLongFunction;
import java.util.stream.Stream;

/** Everything opened that lets air in or water out, on the slope that leaves least. */
public final class DrainingPoints {

  /** Slopes that a wheel on a block or a kerb gives (degrees). */
  private static final double[] PITCHES = {0, 2, -2, 4, -4};

  private static final double[] ROLLS = {0, 2, -2};

  /** Another slope is worth it for this much less water (m³). */
  private static final double WORTH_A_SLOPE = 5e-5;

  /** A spanner is worth it for this. */
  private static final double WORTH_A_SPANNER = 6e-6;

  private static final int MOST_TILTS = 2;

  private static final double PARKING = 300;

  /** What stands behind an outlet and would run over the hands (m³); own choice. */
  private static final double A_SPILL = 5e-4;

  private final WinterSheet sheet;
  private final Network network;

  /** Whether the plugs of traps come out, too. */
  private final boolean traps;

  DrainingPoints(WinterSheet sheet, boolean traps) {
    this.sheet = sheet;
    this.traps = traps;
    network = sheet.network();
  }

  /** The best slope for what is going to be opened. */
  void park() {
    List<Turn> turns = turns();
    tiltTo(
        best(slope -> trial(sheet.now(), slope, turns), this::moreInTanks),
        slope -> trial(sheet.now(), slope, turns),
        Says.PARK_IT.text());
  }

  /**
   * What more stays in tanks on a slope than as it is parked (m³): a lean is for the sum of both.
   */
  private double moreInTanks(Slope slope) {
    Slope parked = sheet.now().state().slope();
    return network.tanks().stream()
        .mapToDouble(tank -> Math.max(0, stranded(tank, slope) - stranded(tank, parked)))
        .sum();
  }

  /** What of a tank does not come to its outlets on a slope (m³). */
  private double stranded(Part tank, Slope slope) {
    return tank.kind().tankPorts().stream()
        .filter(p -> p.use().givesToPumps())
        .mapToDouble(p -> network.room(tank.id()).volumeBelow(p.at(), slope))
        .min()
        .orElse(0);
  }

  /** Returns the slope on which least stays; the present one unless another is worth it. */
  private Slope best(Function<Slope, Wintering> after, ToDoubleFunction<Slope> more) {
    Slope best = sheet.now().state().slope();
    double least = EverythingOpen.weight(network, after.apply(best)) + more.applyAsDouble(best);
    for (Slope slope : slopes(network.rig().vehicle())) {
      double weight =
          EverythingOpen.weight(network, after.apply(slope)) + more.applyAsDouble(slope);
      if (weight < least - WORTH_A_SLOPE) {
        least = weight;
        best = slope;
      }
    }
    return best;
  }

  /** The slopes that are tried: those that people can bring the vehicle to. */
  static List<Slope> slopes(Vehicle vehicle) {
    List<Slope> slopes = new ArrayList<>();
    for (double pitch : PITCHES) {
      for (double roll : ROLLS) {
        Slope slope = new Slope(pitch, roll);
        if (Leaning.isPossible(vehicle, slope)) {
          slopes.add(slope);
        }
      }
    }
    return slopes;
  }

  private Wintering trial(Wintering from, Slope slope, List<Turn> turns) {
    Wintering now = from.on(slope);
    for (Turn turn : turns) {
      now = now.with(network.rig(), turn.part(), turn.position());
    }
    return Draining.of(network, now);
  }

  /** Tilts to other slopes in between, as long as that lets out more than runs in from tanks. */
  void tiltOn() {
    for (int times = 0; times < MOST_TILTS; times++) {
      Function<Slope, Wintering> after =
          slope -> new Operation.Tilt(slope.pitch(), slope.roll()).on(network, sheet.now());
      tiltTo(best(after, slope -> 0.0), after, Says.THEN_LEAN_IT.text());
    }
  }

  /**
   * Leans it where that saves something the cold would break, which neither air nor antifreeze
   * comes to.
   *
   * @param cold the cold to stand (K)
   * @param passed ids of parts and lines that antifreeze comes into later
   */
  void tiltForWhatBreaks(double cold, Set<ElementId> passed) {
    Function<Slope, Wintering> after =
        slope -> new Operation.Tilt(slope.pitch(), slope.roll()).on(network, sheet.now());
    ToLongFunction<Slope> broken =
        slope ->
            FrostRisks.of(network, after.apply(slope), cold).stream()
                .filter(r -> r.harm() == FrostHarm.DANGER && !passed.contains(r.id()))
                .count();
    Slope stands = sheet.now().state().slope();
    long now = broken.applyAsLong(stands);
    if (now > 0) {
      slopes(network.rig().vehicle()).stream()
          .min(
              Comparator.comparingLong(broken)
                  .thenComparing(slope -> EverythingOpen.weight(network, after.apply(slope))))
          .filter(slope -> broken.applyAsLong(slope) < now)
          .ifPresent(slope -> tiltTo(slope, after, Says.THEN_LEAN_IT.text()));
    }
  }

  private void tiltTo(Slope slope, Function<Slope, Wintering> after, String words) {
    Slope stands = sheet.now().state().slope();
    if (slope.equals(stands)) {
      return;
    }
    double gained = after.apply(slope).dry(network).all() - after.apply(stands).dry(network).all();
    sheet.add(
        new WinterStep(
                new Operation.Tilt(slope.pitch(), slope.roll()),
                PlaceId.NONE,
                Message.of(words, Leaning.of(network.rig().vehicle(), slope)),
                Says.CHOCK_THE_WHEELS_NEVER_GO_UNDER.with(moreRuns(gained)),
                PARKING,
                false,
                0)
            .by(WinterStep.Hand.of(PartId.NONE, WinterStep.Sort.TILT)));
  }

  private static Message moreRuns(double gained) {
    return gained > WORTH_A_SLOPE
        ? Says.THAT_DRAINS_MORE.with(Amount.volume(gained))
        : Says.LESS_STAYS_BEHIND.with();
  }

  /**
   * Opens the drains and caps at places where one kneels already. Taps and heaters come later, and
   * so does what a tank runs out by.
   */
  void openAt(Set<PlaceId> places, Set<PartId> running) {
    for (Turn turn : turns()) {
      Part part = network.rig().part(turn.part());
      boolean late =
          part.kind().is(Purpose.USE)
              || part.kind().is(Purpose.HEATS)
              || part.kind().is(Purpose.DUMPS)
              || running.contains(part.id());
      if (!late && places.contains(part.place())) {
        sheet.put(part, turn.position(), part.kind().openedNote());
      }
    }
  }

  /** Opens again what was shut meanwhile and where water still stands, so that it can move. */
  void openWhereWaterStays() {
    for (Turn turn : turns()) {
      Part part = network.rig().part(turn.part());
      if (sheet.staysAt(part)) {
        sheet.put(part, turn.position(), part.kind().openedNote());
      }
    }
  }

  /**
   * Opens all of it, place by place, and runs pumps dry.
   *
   * @param passed ids of parts and lines that antifreeze comes into: no pump throws out for those
   */
  void open(Set<ElementId> passed) {
    Set<PartId> hoses = hoses();
    for (Turn turn : turns()) {
      Part part = network.rig().part(turn.part());
      if (!hoses.contains(part.id())) {
        sheet.put(part, turn.position(), part.kind().openedNote());
      }
    }
    for (Part part : network.pumps()) {
      if (part.kind() instanceof Pump pump
          && !pump.works().byHand()
          && sheet.now().wetness().body(part.id()) > Operation.DRY_PUMP * part.volume()) {
        Operation dry = drawnDry(part);
        if (passed.contains(part.id()) && isSpared(dry, passed)) {
          continue;
        }
        double seconds = pump.dryToEmpty();
        sheet.add(
            new WinterStep(
                    dry,
                    part.place(),
                    Says.ON_FOR_SECONDS_THEN_OFF.with(part.label(), Math.round(seconds)),
                    Says.IT_THROWS_OUT_WHAT_ITS_HEAD.with(),
                    seconds,
                    true,
                    0)
                .by(WinterStep.Hand.of(part.id(), WinterStep.Sort.PUMP)));
      }
    }
  }

  /**
   * Tells whether a pump that runs dry clears nothing but what antifreeze comes into, or is dry.
   */
  private boolean isSpared(Operation dry, Set<ElementId> passed) {
    return !(dry instanceof Operation.DrawnDry drawn)
        || drawn.lines().stream()
            .filter(id -> !passed.contains(id))
            .map(id -> network.rig().lines().get(network.lineNumber(id)))
            .allMatch(line -> sheet.now().wetness().volume(line) <= 0);
  }

  /** Air comes through the suction of a pump when the tank that it draws from is empty. */
  private Operation drawnDry(Part pump) {
    Wintering now = sheet.now();
    Setting open = now.state().setting();
    for (Part part : network.rig().parts()) {
      if (now.has(part, Valve.HALF)) {
        open = open.with(part.id(), part.kind().halfWay(open.of(part.id())));
      }
    }
    Connections joined = Connections.of(network, open);
    Levels levels = Levels.of(network, now.state());
    for (int tank = 0; tank < network.tanks().size(); tank++) {
      Part from = network.tanks().get(tank);
      boolean empty = Arrays.stream(network.tankVertices(tank)).noneMatch(levels::wet);
      Optional<List<PartId>> way =
          empty
              ? joined.route(from.id(), p -> p.kind().is(Purpose.USE), pump::equals)
              : Optional.empty();
      if (way.filter(w -> endsAtSuction(w, pump)).isPresent()) {
        return new Operation.DrawnDry(pump.id(), lines(way.get()), between(way.get()));
      }
    }
    return new Operation.RunDry(pump.id());
  }

  private boolean endsAtSuction(List<PartId> way, Part pump) {
    return lines(way).stream()
        .map(id -> network.rig().lines().get(network.lineNumber(id)))
        .anyMatch(
            l -> l.from().equals(pump.port(PortId.IN)) || l.to().equals(pump.port(PortId.IN)));
  }

  /** The lines between parts that follow each other. */
  private List<LineId> lines(List<PartId> way) {
    List<LineId> lines = new ArrayList<>();
    for (int i = 1; i < way.size(); i++) {
      PartId near = way.get(i - 1);
      PartId far = way.get(i);
      network.rig().lines().stream()
          .filter(l -> joins(l, near, far) || joins(l, far, near))
          .map(Line::id)
          .forEach(lines::add);
    }
    return lines;
  }

  private static boolean joins(Line line, PartId from, PartId to) {
    return line.from().part().equals(from) && line.to().part().equals(to);
  }

  /** What only joins lines is cleared with them; bowls and balls keep theirs. */
  private List<PartId> between(List<PartId> way) {
    return way.subList(1, way.size() - 1).stream()
        .filter(id -> network.rig().part(id).kind().is(Purpose.JOINS))
        .toList();
  }

  /**
   * Puts the hose on each dump outlet behind which gray water stands, its valve closed before, so
   * that none runs over the hands; returns those outlets.
   */
  private Set<PartId> hoses() {
    Set<PartId> hoses = new TreeSet<>();
    Connections free = Connections.withHandlesFree(network);
    for (Part outlet : network.rig().parts()) {
      boolean on = sheet.now().state().setting().has(outlet.id(), OpenEnd.HOSE.id());
      if (on) {
        hoses.add(outlet.id());
      } else if (outlet.kind().is(Purpose.DUMPS)) {
        network.tanks().stream()
            .filter(tank -> sheet.now().state().volume(tank.id()) > A_SPILL)
            .map(tank -> free.leaving(tank, p -> true, p -> p.equals(outlet)))
            .flatMap(Optional::stream)
            .findFirst()
            .ifPresent(way -> {
              shutOn(way);
              sheet.put(outlet, OpenEnd.HOSE.id(), Says.ONLY_WHERE_LOCAL_RULES_PERMIT.text());
              hoses.add(outlet.id());
            });
      }
    }
    return hoses;
  }

  /** Closes the first valve on a way, unless one is closed there. */
  private void shutOn(List<PartId> way) {
    for (PartId id : way) {
      Part part = network.rig().part(id);
      if (part.kind() instanceof TwoWayValve valve && valve.shut().isPresent()) {
        sheet.put(part, valve.shut().get().id(), Says.SO_NOTHING_RUNS_OUT_WHILE.text());
        return;
      }
    }
  }

  /**
   * Turns on whatever lets out more, such as the other ways of a valve. Each is tried by draining
   * the rig with it.
   */
  void turnOn() {
    greedy(EverythingOpen::isMeant, EverythingOpen.WORTH_A_TURN);
  }

  /**
   * Undoes, as a last resort, what keeps water that nothing else lets out.
   *
   * @param spared ids of parts that need not be undone
   */
  void undo(Set<ElementId> spared) {
    greedy(t -> !EverythingOpen.isMeant(t) && !spared.contains(t.part()), WORTH_A_SPANNER);
    turnOn();
  }

  private void greedy(Predicate<Turn> kind, double worth) {
    for (int times = 0; times < EverythingOpen.MOST_TURNS; times++) {
      Optional<Turn> best =
          EverythingOpen.best(
              network,
              sheet.now(),
              t -> kind.test(t) && !isTrapLeft(t),
              w -> EverythingOpen.weight(network, w),
              worth);
      if (best.isEmpty()) {
        return;
      }
      Part part = network.rig().part(best.get().part());
      sheet.put(part, best.get().position(), more(best.get(), part));
    }
  }

  private boolean isTrapLeft(Turn turn) {
    return !traps && network.rig().part(turn.part()).kind().is(Purpose.TRAPS);
  }

  private static String more(Turn turn, Part part) {
    if (turn.position().equals(Kind.UNDONE)) {
      return Says.IT_HAS_NO_OTHER_DRAIN_FITTING.text();
    }
    return part.kind().is(Purpose.TURNS) && !turn.position().equals(Valve.HALF)
        ? Says.SO_THAT_THIS_SIDE_RUNS.text()
        : part.kind().openedNote();
  }

  /** What is opened: taps first, which lets the pressure off, then what is low, then the rest. */
  List<Turn> turns() {
    Stream<Part> taps = network.rig().parts().stream().filter(p -> p.kind().is(Purpose.USE));
    Stream<Part> rest = network.rig().parts().stream().filter(p -> !p.kind().is(Purpose.USE));
    return EverythingOpen.turns(
        Stream.concat(sheet.byPlace(taps).stream(), sheet.byPlace(rest).stream())
            .filter(p -> traps || !p.kind().is(Purpose.TRAPS))
            // A heater is the last: it cools meanwhile.
            .sorted(Comparator.comparing(p -> p.kind().is(Purpose.HEATS)))
            .toList());
  }
}
