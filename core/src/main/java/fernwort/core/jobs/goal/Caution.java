package fernwort.core.jobs.goal;

/** The usual cautions, each with its words. */
public enum Caution {
  DRINKING_HOSE(
      "Use a hose made for drinking water and a source that is approved for it. Let the tap run"
          + " before you connect."),
  BACKFLOW(
      "Keep a backflow preventer between the tap and the rig, as your local code asks. Never"
          + " leave the hose end under water."),
  STAY("Stay with it while it runs: a fill that nobody watches overflows, or bursts a tank."),
  UNSAFE_SOURCE(
      "Only water that is known to be fit to drink. Anything else needs a purifying filter, and the"
          + " lines sanitizing afterwards."),
  SCALDING("Hot water scalds: mix it cold first, and mind children."),
  HEATER(
      "Gas and mains electricity are for licensed hands. Switch the heater off, and let it cool,"
          + " before working on it. It must be full before it is lit."),
  SEWAGE(
      "Gray water carries germs: gloves, a hose kept for it alone, and hands washed before touching"
          + " anything fresh."),
  LOCAL_RULES("Let water out only where local rules permit it."),
  UNDER_VEHICLE("Wheels chocked before you go under; never under a vehicle that stands on a jack."),
  PRESSURE("Let the pressure off before you take a hose or cap off.");

  private final String words;

  Caution(String words) {
    this.words = words;
  }

  /** Returns the caution as sentences. */
  public String words() {
    return words;
  }
}
