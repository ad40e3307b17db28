package fernwort.core.hydraulics;

import fernwort.core.flow.Fluid;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What a steady flow depends on beyond handles and levels.
 *
 * @param water the water in the lines
 * @param clogging how many times its clean loss a filter takes, by id; 1 where none is given
 * @param airPressure gauge pressure of the air above each tank's water, by id (Pa); 0 where none is
 *     given
 * @param runningFull ids of lines that ran full until now, which water does not leave at their
 *     crest
 * @param emptyJugs ids of portable containers that have been poured out
 * @param airlocked ids of tanks whose air is shut in and so stiff that they take no more water than
 *     they give
 * @param spilling tanks that stand level with where a port lets their water over, by tank id: the
 *     port, which passes on what comes in and no more
 * @param vents lines that the air of each tank passes, by tank id; worked out when not given
 */
public record Conditions(
    Fluid water,
    Map<String, Double> clogging,
    Map<String, Double> airPressure,
    Set<String> runningFull,
    Set<String> emptyJugs,
    Set<String> airlocked,
    Map<String, String> spilling,
    Optional<Map<String, List<String>>> vents) {

  /** Water at 15 °C, clean filters, every vent open. */
  public static final Conditions ORDINARY =
      new Conditions(
          Fluid.WATER,
          Map.of(),
          Map.of(),
          Set.of(),
          Set.of(),
          Set.of(),
          Map.of(),
          Optional.empty());

  public Conditions {
    clogging = Map.copyOf(clogging);
    airPressure = Map.copyOf(airPressure);
    runningFull = Set.copyOf(runningFull);
    emptyJugs = Set.copyOf(emptyJugs);
    airlocked = Set.copyOf(airlocked);
    spilling = Map.copyOf(spilling);
    vents = vents.map(Map::copyOf);
  }

  /** Returns these with other air pressures (Pa) above the tanks. */
  public Conditions withAir(Map<String, Double> pressures) {
    return new Conditions(
        water, clogging, pressures, runningFull, emptyJugs, airlocked, spilling, vents);
  }

  /** Returns these with one filter clogged to so many times its clean loss. */
  public Conditions withClogged(String filter, double factor) {
    Map<String, Double> changed = new TreeMap<>(clogging);
    changed.put(filter, factor);
    return new Conditions(
        water, changed, airPressure, runningFull, emptyJugs, airlocked, spilling, vents);
  }

  /** Returns these with lines that ran full until now, containers poured out and stiff tanks. */
  public Conditions after(Set<String> full, Set<String> pouredOut, Set<String> stiff) {
    return new Conditions(water, clogging, airPressure, full, pouredOut, stiff, spilling, vents);
  }

  /** Returns these with other water. */
  public Conditions with(Fluid other) {
    return new Conditions(
        other, clogging, airPressure, runningFull, emptyJugs, airlocked, spilling, vents);
  }

  /** Returns these with the lines that the air of each tank passes, by tank id. */
  public Conditions withVents(Map<String, List<String>> lines) {
    return new Conditions(
        water,
        clogging,
        airPressure,
        runningFull,
        emptyJugs,
        airlocked,
        spilling,
        Optional.of(lines));
  }

  /** Returns these with tanks that stand level with where a port lets their water over. */
  public Conditions withSpilling(Map<String, String> ports) {
    return new Conditions(
        water, clogging, airPressure, runningFull, emptyJugs, airlocked, ports, vents);
  }

  double clogging(String filter) {
    return clogging.getOrDefault(filter, 1.0);
  }

  double airHead(String tank) {
    return water.head(airPressure.getOrDefault(tank, 0.0));
  }
}
