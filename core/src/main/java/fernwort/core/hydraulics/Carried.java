package fernwort.core.hydraulics;

import fernwort.core.flow.Expected;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a run carries from one moment to the next, and a flow taken by itself does not know.
 *
 * @param airPressure gauge pressure of the air above each tank's water, by id (Pa); 0 where none is
 *     given
 * @param runningFull ids of lines that ran full until now, which water does not leave at their
 *     crest
 * @param emptyJugs ids of portable containers that have been poured out
 * @param airlocked ids of tanks whose air is shut in and so stiff that they take no more water than
 *     they give
 * @param spilling tanks that stand level with where a port lets their water over, by tank id: the
 *     port, which passes on what comes in and no more
 * @param yielding how the air of each tank that is shut in gives way within a step that is under
 *     way, by id
 * @param vents lines that the air of each tank passes, by tank id; worked out when not given
 */
public record Carried(
    Map<PartId, Double> airPressure,
    Set<LineId> runningFull,
    Set<PartId> emptyJugs,
    Set<PartId> airlocked,
    Map<PartId, PortId> spilling,
    Map<PartId, Expected> yielding,
    Optional<Map<PartId, List<LineId>>> vents) {

  /** Nothing: every tank's air as outside, no line running full. */
  public static final Carried NOTHING =
      new Carried(Map.of(), Set.of(), Set.of(), Set.of(), Map.of(), Map.of(), Optional.empty());

  public Carried {
    airPressure = Map.copyOf(airPressure);
    runningFull = Set.copyOf(runningFull);
    emptyJugs = Set.copyOf(emptyJugs);
    airlocked = Set.copyOf(airlocked);
    spilling = Map.copyOf(spilling);
    yielding = Map.copyOf(yielding);
    vents = vents.map(Map::copyOf);
  }

  /** Returns nothing but lines that ran full until now. */
  public static Carried runningFull(Set<LineId> lines) {
    return new Carried(Map.of(), lines, Set.of(), Set.of(), Map.of(), Map.of(), Optional.empty());
  }

  /** Returns nothing but the air's gauge pressure above tanks (Pa). */
  public static Carried air(Map<PartId, Double> pressures) {
    return new Carried(
        pressures, Set.of(), Set.of(), Set.of(), Map.of(), Map.of(), Optional.empty());
  }
}
