package fernwort.core.jobs.goal;

/** The usual cautions, each with its words. */
public enum Caution {
  DRINKING_HOSE(Says.USE_A_HOSE_MADE_FOR_DRINKING.text()),
  BACKFLOW(Says.KEEP_A_BACKFLOW_PREVENTER.text()),
  STAY(Says.STAY_WITH_IT_WHILE_IT_RUNS.text()),
  UNSAFE_SOURCE(Says.ONLY_WATER_THAT_IS_KNOWN.text()),
  SCALDING(Says.HOT_WATER_SCALDS_MIX_IT_COLD.text()),
  HEATER(Says.GAS_AND_MAINS_ELECTRICITY.text()),
  SEWAGE(Says.GRAY_WATER_CARRIES_GERMS_GLOVES.text()),
  LOCAL_RULES(Says.LET_WATER_OUT_ONLY_WHERE_LOCAL.text()),
  UNDER_VEHICLE(Says.WHEELS_CHOCKED_BEFORE_YOU_GO.text()),
  PRESSURE(Says.LET_THE_PRESSURE_OFF.text());

  private final String words;

  Caution(String words) {
    this.words = words;
  }

  /** Returns the caution as sentences. */
  public String words() {
    return words;
  }
}
