package fernwort.core.jobs.goal;

import fernwort.core.say.Phrase;

/** The sentences and labels of this package, by what says them. */
enum Says implements Phrase {
  // Caution: the usual cautions, each with its words.
  USE_A_HOSE_MADE_FOR_DRINKING(
      "Use a hose made for drinking water and a source that is approved for it. Let the tap run"
          + " before you connect."),
  KEEP_A_BACKFLOW_PREVENTER(
      "Keep a backflow preventer between the tap and the rig, as your local code asks. Never"
          + " leave the hose end under water."),
  STAY_WITH_IT_WHILE_IT_RUNS(
      "Stay with it while it runs: a fill that nobody watches overflows, or bursts a tank."),
  ONLY_WATER_THAT_IS_KNOWN(
      "Only water that is known to be fit to drink. Anything else needs a purifying filter, and"
          + " the lines sanitizing afterwards."),
  HOT_WATER_SCALDS_MIX_IT_COLD("Hot water scalds: mix it cold first, and mind children."),
  GAS_AND_MAINS_ELECTRICITY(
      "Gas and mains electricity are for licensed hands. Switch the heater off, and let it cool,"
          + " before working on it. It must be full before it is lit."),
  GRAY_WATER_CARRIES_GERMS_GLOVES(
      "Gray water carries germs: gloves, a hose kept for it alone, and hands washed before"
          + " touching anything fresh."),
  LET_WATER_OUT_ONLY_WHERE_LOCAL("Let water out only where local rules permit it."),
  WHEELS_CHOCKED_BEFORE_YOU_GO(
      "Wheels chocked before you go under; never under a vehicle that stands on a jack."),
  LET_THE_PRESSURE_OFF("Let the pressure off before you take a hose or cap off."),

  // Job: something people do with a rig.
  HOT_WATER("Hot water"),
  DUMP_AND_DRAIN("Dump and drain"),
  DRIVE_AND_PARK("Drive and park"),

  // TransferHose: a loose hose from an outlet of one tank to the inlet by which the rig draws: the
  // rig as it is with the hose laid out, to plan and run in, and the steps as hands do them.
  TRANSFER_HOSE("Transfer hose");

  private final String text;

  Says(String text) {
    this.text = text;
  }

  @Override
  public String text() {
    return text;
  }
}
