package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Motor;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.winter.sheets.Blow;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Finds for a rig how each school takes it through the winter, by doing it step by step. */
public final class WinterizingMethods {

  private static final double CARRYING = 600;

  private final Network network;
  private final Plans plans;

  private WinterizingMethods(Network network, Plans plans) {
    this.network = network;
    this.plans = plans;
  }

  /** Prepares the schools of a rig. */
  public static WinterizingMethods of(Plans plans) {
    return new WinterizingMethods(plans.network(), plans.brief().careful());
  }

  /** Returns what all schools make of a rig as it stands. */
  public List<WinterPlan> all(Wintering now, WinterWish wish) {
    Round round = round(now, wish);
    return Stream.of(WinterizingMethod.values()).map(round::plan).toList();
  }

  /** Returns how one school takes a rig through the winter, as it stands. */
  public WinterPlan plan(WinterizingMethod school, Wintering now, WinterWish wish) {
    return round(now, wish).plan(school);
  }

  /** Returns the schools to be asked one by one, of a rig as it stands. */
  public Round round(Wintering now, WinterWish wish) {
    return new Round(now, wish);
  }

  /**
   * The schools of a rig as it stands, each gone through when somebody asks for it and kept then;
   * what all of them begin with is done once. Whoever asks while it is gone through waits for it.
   */
  public final class Round {

    private final Wintering now;
    private final WinterWish wish;
    private final Map<WinterizingMethod, WinterPlan> found = new EnumMap<>(WinterizingMethod.class);
    private @Nullable WinterSheet rested;

    private Round(Wintering now, WinterWish wish) {
      this.now = now;
      this.wish = wish;
    }

    /** Returns how a school takes the rig through the winter. */
    public synchronized WinterPlan plan(WinterizingMethod school) {
      WinterPlan plan = found.get(school);
      if (plan == null) {
        plan = WinterizingMethods.this.plan(school, rested().copy(), now, wish);
        found.put(school, plan);
      }
      return plan;
    }

    /** What every school begins with. */
    private WinterSheet rested() {
      WinterSheet begun = rested;
      if (begun == null) {
        begun = new WinterSheet(network, now);
        Shutdown.begin(begun, plans);
        rested = begun;
      }
      return begun;
    }
  }

  private WinterPlan plan(
      WinterizingMethod school, WinterSheet whole, Wintering now, WinterWish wish) {
    List<Blow> blows = new ArrayList<>();
    through(school, whole, wish, blows);
    WinterSheet sheet = OnlyWhatPays.of(whole, now, wish.cold());
    if (!blows.isEmpty()) {
      BlowingOut.leaveOpen(sheet);
    }
    carryIndoors(sheet);
    return plan(school, sheet, now, wish, blows);
  }

  private void through(
      WinterizingMethod school, WinterSheet sheet, WinterWish wish, List<Blow> blows) {
    switch (school) {
      case FALL -> fall(sheet, true).undo(Set.of());
      case AIR -> {
        DrainingPoints opening = opened(sheet, true, Set.of());
        new BlowingOut(sheet, wish).blow(blows);
        opening.openWhereWaterStays();
        opening.undo(Set.of());
        opening.tiltForWhatBreaks(wish.cold(), Set.of());
      }
      case ANTIFREEZE -> {
        FillingUp filling = new FillingUp(sheet, wish);
        Set<ElementId> passed = filling.passed();
        DrainingPoints opening = opened(sheet, false, passed);
        opening.undo(passed);
        opening.tiltForWhatBreaks(wish.cold(), passed);
        filling.fill();
      }
      case MIX -> {
        DrainingPoints opening = fall(sheet, !wish.cups());
        if (wish.blown()) {
          new BlowingOut(sheet, wish).blow(blows);
          opening.openWhereWaterStays();
        }
        opening.undo(Set.of());
        new TrapDosing(sheet, wish).pour();
      }
    }
  }

  private WinterPlan plan(
      WinterizingMethod school,
      WinterSheet sheet,
      Wintering now,
      WinterWish wish,
      List<Blow> blows) {
    Wintering after = sheet.now();
    List<FrostRisk> left = FrostRisks.withHelp(network, after, wish.cold());
    forgotten(sheet, left);
    double litres = sheet.steps().stream().mapToDouble(WinterStep::litres).sum();
    ElementId weakest =
        after.glycol().entrySet().stream()
            .min(Map.Entry.<ElementId, Double>comparingByValue().thenComparing(Map.Entry::getKey))
            .map(Map.Entry::getKey)
            .orElse(PlaceId.NONE);
    return new WinterPlan(
        school,
        sheet.steps(),
        now,
        after,
        left,
        sheet.notes(),
        blows,
        litres,
        weakest.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(after.strength(weakest)),
        weakest.isEmpty() ? "" : label(weakest));
  }

  private String label(ElementId id) {
    return network.rig().lines().stream()
        .filter(l -> l.id().equals(id))
        .findFirst()
        .map(l -> "line " + l.label())
        .orElseGet(() -> network.rig().part(id.part()).label());
  }

  private DrainingPoints fall(WinterSheet sheet, boolean traps) {
    DrainingPoints opening = opened(sheet, traps, Set.of());
    opening.tiltOn();
    return opening;
  }

  /** All of it open; what a lean would let out goes with air or antifreeze. */
  private DrainingPoints opened(WinterSheet sheet, boolean traps, Set<ElementId> passed) {
    DrainingPoints opening = new DrainingPoints(sheet, traps);
    opening.open(passed);
    opening.turnOn();
    return opening;
  }

  private void carryIndoors(WinterSheet sheet) {
    List<String> away = new ArrayList<>();
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.FILTERS) || part.kind().is(Purpose.CARRIED)) {
        away.add(part.label());
      }
      if (part.kind() instanceof Tap f && f.showers()) {
        away.add(Says.THE_HOSE_AND_HEAD_OF.filled(part.label()));
      }
    }
    if (!away.isEmpty()) {
      sheet.add(
          new WinterStep(
                  new Operation.Heed(),
                  PlaceId.NONE,
                  Says.CARRY_INDOORS.with(String.join(", ", away)),
                  Says.CARTRIDGES_AND_SHOWER_HOSES.with(),
                  CARRYING,
                  false,
                  0)
              .by(WinterStep.Hand.of(PartId.NONE, WinterStep.Sort.CARRY)));
    }
  }

  /** What people forget, and what nothing here gets out. */
  private void forgotten(WinterSheet sheet, List<FrostRisk> left) {
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.CUTS)) {
        sheet.note(Says.KEEPS_WHAT_IS_IN_IT_TAKE.with(part.label()));
      }
      if (part.kind().motor().flatMap(Motor::opensBelow).isPresent()) {
        sheet.note(Says.OPENS_BY_ITSELF_IN_THE_COLD.with(part.label()));
      }
    }
    for (FrostRisk one : left) {
      if (one.harm() == FrostHarm.DANGER) {
        sheet.note(
            Says.KEEPS.with(
                label(one.id()),
                fernwort.core.say.Amount.volume(one.volume()),
                one.how(),
                one.fix()));
      }
    }
  }
}
