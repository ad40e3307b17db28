package fernwort.core.winter.sheets;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // FrostVerdict: what frost does to the water that is left.
  NOTHING_BREAKS("Nothing breaks"),
  MAY_BREAK("{} may break"),
  BREAKS("{} breaks"),
  BREAK("{} break"),
  BOTH("{} and {}"),
  AND_MORE(" and {} more"),
  LINE("line “{}”"),

  // FrostHarm: what water that stays does when it freezes, worst first.
  BREAKS_SOMETHING("breaks something"),
  MAY_BREAK_SOMETHING("may break something"),
  BREAKS_NOTHING("breaks nothing"),

  // WinterSheet: a run sheet in the making: each step is done to the rig as it is written down.
  SO_THAT_NONE_GOES_OUT_HERE("So that none goes out here."),
  EMPTY_WITHOUT_ITS_CARTRIDGE("Empty, without its cartridge. {}"),
  IT_HAS_RUN_OUT("It has run out. {}"),
  AS_IT_WAS_BEFORE("As it was before."),
  NO_ANTIFREEZE_IS_LEFT_HERE_WATER("No antifreeze is left here: water that stays can move."),

  // WinterWish: what somebody has and wants for the winter.
  THE_LOWEST_TEMPERATURE_MUST("The lowest temperature must be between −60 and 0 °C"),
  A_COMPRESSOR_GIVES_FROM_A_FEW("A compressor gives from a few to some hundred litres a minute"),
  AIR_INTO_WATER_LINES_STAYS_AT_2(
      "Air into water lines stays at 2 bar or less; set its regulator lower"),
  THE_STRENGTH_OF_ANTIFREEZE_MUST(
      "The strength of antifreeze must be between 0 and 100 %; it is on its label"),
  A_JUG_HOLDS_UP_TO_200_L("A jug holds up to 200 L and costs nothing or more"),

  // WinterizingMethod: the ways people take a rig through the winter.
  DRAIN_BY_GRAVITY("Drain by gravity"),
  NO_TOOLS_NOTHING_TO_BUY_LOW("No tools, nothing to buy. Low spots keep what the list says."),
  PIPES_THAT_FALL_TO_DRAINS("Pipes that fall to drains, an hour's time, no compressor."),
  DRAIN_AND_BLOW_OUT("Drain and blow out"),
  CLEARS_LOW_SPOTS_AND_CHECK(
      "Clears low spots and check valves. Needs a compressor or a strong hand pump, and patience."),
  PIPES_WITH_LOW_SPOTS_WATCH("Pipes with low spots. Watch the pressure."),
  DRAIN_AND_ANTIFREEZE("Drain and antifreeze"),
  PUMP_VALVES_AND_TRAPS_ARE_SAFE(
      "Pump, valves and traps are safe to a known cold. Costs antifreeze, and flushing in spring."),
  PUMPS_THAT_MUST_NOT_RUN_DRY_HARD("Pumps that must not run dry, hard winters, no compressor."),
  PIPES_BY_GRAVITY_OR_AIR_TRAPS(
      "Pipes by gravity or air, traps with antifreeze or open; nothing in the drinking lines."),
  MOST_RIGS_PIPES_THAT_FALL_TRAPS("Most rigs: pipes that fall, traps that cannot be opened.");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
