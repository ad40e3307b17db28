package fernwort.core.drain;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.rig.Line;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Where water stands in a rig beside its tanks. What is not named is dry.
 *
 * @param lines the stretches of each line that are full of water, by line id, in order
 * @param bodies the water in each part's own body, by part id (m³)
 */
public record Wetness(Map<LineId, List<Stretch>> lines, Map<PartId, Double> bodies) {

  /** Nothing is wet. */
  public static final Wetness DRY = new Wetness(Map.of(), Map.of());

  public Wetness {
    lines = Map.copyOf(lines);
    bodies = Map.copyOf(bodies);
  }

  /** Returns the wet stretches of a line. */
  public List<Stretch> of(Line line) {
    return lines.getOrDefault(line.id(), List.of());
  }

  /** Returns the water in a line (m³). */
  public double volume(Line line) {
    double wet = of(line).stream().mapToDouble(Stretch::length).sum();
    return line.volume() * wet / line.length();
  }

  /** Returns the water in the body of a part (m³). */
  public double body(PartId part) {
    return bodies.getOrDefault(part, 0.0);
  }

  /** Returns this wetness with other stretches in one line. */
  public Wetness with(LineId line, List<Stretch> stretches) {
    Map<LineId, List<Stretch>> changed = new TreeMap<>(lines);
    changed.put(line, List.copyOf(stretches));
    return new Wetness(changed, bodies);
  }

  /** Returns this wetness with other water (m³) in one body. */
  public Wetness withBody(PartId part, double volume) {
    Map<PartId, Double> changed = new TreeMap<>(bodies);
    changed.put(part, volume);
    return new Wetness(lines, changed);
  }
}
