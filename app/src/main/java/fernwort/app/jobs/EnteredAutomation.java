package fernwort.app.jobs;

import fernwort.core.id.PartId;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * An automation as it is entered and kept.
 *
 * @param purpose what it is for
 * @param tank the tank it watches
 * @param other the tank it takes from or changes to
 * @param valve the valve it turns, or {@value #BY_JOB} and the id of a job that it does
 * @param second the valve of the other tank
 * @param low lower mark (percent); of a frost drain the temperature (°C)
 * @param high upper mark (percent)
 * @param purge what lets the air out after a change, or has to be open; empty or null for nothing
 */
record EnteredAutomation(
    String purpose,
    String tank,
    String other,
    String valve,
    String second,
    double low,
    double high,
    @Nullable String purge) {

  private static final double PERCENT = 100;

  /** What stands before the id of a job in place of a valve. */
  static final String BY_JOB = "job:";

  Optional<String> job() {
    return valve.startsWith(BY_JOB)
        ? Optional.of(valve.substring(BY_JOB.length()))
        : Optional.empty();
  }

  /**
   * Returns it for a rig.
   *
   * @param plan how a job is done as things stand
   */
  Automation on(Rig rig, Function<String, Plan> plan) {
    double lowShare = low / PERCENT;
    double highShare = high / PERCENT;
    return switch (Automation.purpose(purpose)) {
      case KEEP_BETWEEN ->
          Automation.keepBetween(rig, PartId.of(tank), PartId.of(valve), lowShare, highShare);
      case STOP_WHEN_FULL ->
          Automation.stopWhenFull(rig, PartId.of(tank), PartId.of(valve), highShare);
      case CHANGE_WHEN_DRY ->
          Automation.changeWhenDry(
              rig,
              PartId.of(tank),
              PartId.of(other),
              PartId.of(valve),
              PartId.of(second),
              lowShare,
              PartId.of(Objects.requireNonNullElse(purge, "")));
      case STOP_WHEN_DRY ->
          Automation.stopWhenDry(
              rig,
              PartId.of(tank),
              PartId.of(valve),
              PartId.of(Objects.requireNonNullElse(purge, "")),
              lowShare);
      case FILL_IN_TURN ->
          Automation.fillInTurn(
              rig,
              PartId.of(tank),
              PartId.of(other),
              PartId.of(valve),
              PartId.of(second),
              highShare);
      case CIRCULATE -> Automation.circulate(rig, PartId.of(valve));
      case DRAIN_IN_FROST -> Automation.drainInFrost(rig, PartId.of(valve), low);
      case TOP_UP ->
          job()
              .map(j ->
                  Automation.topUpBy(
                      rig, PartId.of(tank), PartId.of(other), plan.apply(j), lowShare, highShare))
              .orElseGet(() ->
                  Automation.topUp(
                      rig,
                      PartId.of(tank),
                      PartId.of(other),
                      PartId.of(valve),
                      lowShare,
                      highShare));
      case SHUT_ON_LEAK -> Automation.shutOnLeak(rig);
    };
  }

  String words(Rig rig) {
    return switch (Automation.purpose(purpose)) {
      case KEEP_BETWEEN ->
          String.format(
              Locale.ROOT,
              Says.KEEP_BETWEEN_AND_WITH.text(),
              label(rig, PartId.of(tank)),
              low,
              high,
              label(rig, PartId.of(valve)));
      case STOP_WHEN_FULL ->
          String.format(
              Locale.ROOT,
              Says.CLOSE_WHEN_HAS_COME_TO.text(),
              label(rig, PartId.of(valve)),
              label(rig, PartId.of(tank)),
              high);
      case CHANGE_WHEN_DRY ->
          valve.equals(second)
              ? String.format(
                  Locale.ROOT,
                  Says.TURN_TO_WHEN_HAS_FALLEN_TO.text(),
                  label(rig, PartId.of(valve)),
                  label(rig, PartId.of(other)),
                  label(rig, PartId.of(tank)),
                  low)
              : String.format(
                  Locale.ROOT,
                  Says.CHANGE_FROM_TO_WHEN_HAS_FALLEN.text(),
                  label(rig, PartId.of(valve)),
                  label(rig, PartId.of(second)),
                  label(rig, PartId.of(tank)),
                  low);
      case TOP_UP ->
          String.format(
              Locale.ROOT,
              Says.TOP_UP_FROM_WITH_FROM_TO.text(),
              label(rig, PartId.of(tank)),
              label(rig, PartId.of(other)),
              label(rig, PartId.of(valve)),
              low,
              high);
      case STOP_WHEN_DRY ->
          String.format(
              Locale.ROOT,
              Says.STOP_WHEN_HAS_FALLEN_TO.text(),
              label(rig, PartId.of(valve)),
              label(rig, PartId.of(tank)),
              low);
      case FILL_IN_TURN ->
          String.format(
              Locale.ROOT,
              Says.FILL_THEN_EACH_TO.text(),
              label(rig, PartId.of(tank)),
              label(rig, PartId.of(other)),
              high);
      case CIRCULATE -> Says.RUN_UNTIL_HOT_WATER_HAS.filled(label(rig, PartId.of(valve)));
      case DRAIN_IN_FROST ->
          String.format(Locale.ROOT, Says.OPEN_BELOW.text(), label(rig, PartId.of(valve)), low);
      case SHUT_ON_LEAK -> Says.CLOSE_EVERY_MOTOR_VALVE_AND_STOP.text();
    };
  }

  private static String label(Rig rig, PartId part) {
    if (part.value().startsWith(BY_JOB)) {
      return Says.ALL_THAT_IT_TAKES.text();
    }
    return rig.partsById().containsKey(part)
        ? rig.part(part).label()
        : Says.A_PART_THAT_IS_GONE.text();
  }

  /**
   * What an automation is for, and what has to be known for it.
   *
   * @param id name of the purpose
   * @param words what it does
   * @param tank what its tank is called; empty where it has none
   * @param other what the other tank is called; empty where it has none
   * @param valve what the valve is called; empty where it has none
   * @param second what the other valve is called; empty where it has none
   * @param low what its lower mark is called; empty where it has none
   * @param high whether it has an upper mark
   * @param purge what lets air out is called; empty where it has none
   */
  record Offer(
      String id,
      String words,
      String tank,
      String other,
      String valve,
      String second,
      String low,
      boolean high,
      String purge) {

    private static final String TANK = Says.TANK.text();
    private static final String LOWER_PERCENT = Says.LOWER_MARK_PERCENT.text();

    static final List<Offer> ALL =
        List.of(
            new Offer(
                "KEEP_BETWEEN",
                Says.KEEP_A_TANK_BETWEEN_TWO_MARKS.text(),
                TANK,
                "",
                Says.VALVE_OR_PUMP_THAT_FILLS_IT.text(),
                "",
                LOWER_PERCENT,
                true,
                ""),
            new Offer(
                "STOP_WHEN_FULL",
                Says.STOP_FILLING_WHEN_FULL.text(),
                TANK,
                "",
                Says.VALVE_OR_PUMP_THAT_FILLS_IT.text(),
                "",
                "",
                true,
                ""),
            new Offer(
                "FILL_IN_TURN",
                Says.FILL_ONE_TANK_THEN_THE_NEXT.text(),
                Says.TANK_TO_FILL_FIRST.text(),
                Says.TANK_TO_FILL_THEN.text(),
                Says.VALVE_THAT_FILLS_THE_FIRST.text(),
                Says.VALVE_THAT_FILLS_THE_OTHER.text(),
                "",
                true,
                ""),
            new Offer(
                "CHANGE_WHEN_DRY",
                Says.CHANGE_TANK_WHEN_ONE_RUNS_DRY.text(),
                Says.TANK_THAT_RUNS_DRY.text(),
                Says.TANK_TO_CHANGE_TO.text(),
                Says.ITS_VALVE.text(),
                Says.VALVE_OF_THE_OTHER_THE_SAME.text(),
                LOWER_PERCENT,
                false,
                Says.WHAT_LETS_THE_AIR_OUT.text()),
            new Offer(
                "STOP_WHEN_DRY",
                Says.STOP_THE_PUMP_WHEN_EMPTY.text(),
                TANK,
                "",
                Says.PUMP_TO_STOP.text(),
                "",
                LOWER_PERCENT,
                false,
                Says.ONLY_WHILE_THIS_IS_OPEN.text()),
            new Offer(
                "TOP_UP",
                Says.TOP_ONE_TANK_UP_FROM_ANOTHER.text(),
                Says.TANK_TO_TOP_UP.text(),
                Says.TANK_TO_TAKE_FROM.text(),
                Says.VALVE_OR_PUMP_BETWEEN_THEM.text(),
                "",
                LOWER_PERCENT,
                true,
                ""),
            new Offer(
                "CIRCULATE",
                Says.HOT_WATER_ROUND_AT_A_BUTTON.text(),
                "",
                "",
                Says.LOOP_PUMP.text(),
                "",
                "",
                false,
                ""),
            new Offer(
                "DRAIN_IN_FROST",
                Says.OPEN_A_DRAIN_IN_FROST.text(),
                "",
                "",
                Says.FROST_DRAIN.text(),
                "",
                Says.BELOW_CELSIUS.text(),
                false,
                ""),
            new Offer(
                "SHUT_ON_LEAK",
                Says.CLOSE_AND_STOP_ALL_ON_A_LEAK.text(),
                "",
                "",
                "",
                "",
                "",
                false,
                ""));

    static Offer of(String id) {
      return ALL.stream().filter(p -> p.id.equals(id)).findFirst().orElse(ALL.getFirst());
    }
  }
}
