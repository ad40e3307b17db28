package fernwort.core.sizing;

import fernwort.core.hydraulics.Flows;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The pressure of the water on its way to one tap, from what drives it to where it comes out.
 *
 * @param tap id of the tap
 * @param stops each end of each line on the way, in the order of the water
 * @param losses what each line and each part takes, the most first; height takes or gives the rest
 */
public record PressureAlong(PartId tap, List<Stop> stops, List<Loss> losses) {

  public PressureAlong {
    stops = List.copyOf(stops);
    losses = List.copyOf(losses);
  }

  /**
   * One end of a line.
   *
   * @param part id of the part there
   * @param line id of the line
   * @param along how far the water has come (m)
   * @param pressure gauge pressure (Pa)
   */
  public record Stop(PartId part, LineId line, double along, double pressure) {}

  /** Follows the water back from a tap with these flows; empty where none comes. */
  static PressureAlong to(TapBench bench, Flows flows, Part tap) {
    List<Stop> stops = new Trace(bench.network(), flows).back(tap);
    List<Loss> losses = new ArrayList<>();
    for (int i = 1; i < stops.size(); i++) {
      Stop before = stops.get(i - 1);
      Stop here = stops.get(i);
      losses.add(
          before.line().equals(here.line())
              ? new Loss(here.line(), true, bench.hydraulics().pressureLost(here.line(), flows))
              : new Loss(here.part(), false, before.pressure() - here.pressure()));
    }
    losses.sort(Comparator.comparingDouble(Loss::pressure).reversed());
    return new PressureAlong(tap.id(), stops, losses);
  }

  /**
   * What a line or a part on the way takes of the pressure.
   *
   * @param id its id
   * @param isLine whether it is a line
   * @param pressure what it takes (Pa)
   */
  public record Loss(ElementId id, boolean isLine, double pressure) {}

  /** Returns what height takes (Pa); negative where the water comes down. */
  public double climb() {
    return lost() - losses.stream().mapToDouble(Loss::pressure).sum();
  }

  /** Returns what all of the way takes (Pa). */
  public double lost() {
    return stops.isEmpty() ? 0 : stops.getFirst().pressure() - stops.getLast().pressure();
  }

  private record Trace(Network network, Flows flows) {

    List<Stop> back(Part tap) {
      List<Stop> stops = new ArrayList<>();
      Set<LineId> seen = new HashSet<>();
      double behind = 0;
      Part at = tap;
      Optional<Line> line = inflow(at);
      while (line.isPresent() && seen.add(line.get().id())) {
        boolean forward = flows.line(line.get().id()) > 0;
        PortRef end = forward ? line.get().to() : line.get().from();
        PortRef start = forward ? line.get().from() : line.get().to();
        stops.addFirst(stop(end, line.get(), behind));
        behind += line.get().length();
        stops.addFirst(stop(start, line.get(), behind));
        at = network.rig().part(start.part());
        boolean drives = at.kind().is(Purpose.SUPPLIES) || at.kind().is(Purpose.HOLDS);
        line = drives ? Optional.empty() : inflow(at);
      }
      double whole = behind;
      return stops.stream()
          .map(s -> new Stop(s.part(), s.line(), whole - s.along(), s.pressure()))
          .toList();
    }

    private Stop stop(PortRef port, Line line, double behind) {
      double pressure = flows.pressure(port.part(), port.port()).orElse(0.0);
      return new Stop(port.part(), line.id(), behind, pressure);
    }

    /** The line that brings a part most of its water. */
    private Optional<Line> inflow(Part part) {
      Optional<Line> most = Optional.empty();
      double flow = TapBench.CARRIES;
      for (Line line : network.rig().lines()) {
        double into =
            line.to().part().equals(part.id())
                ? flows.line(line.id())
                : line.from().part().equals(part.id()) ? -flows.line(line.id()) : 0;
        if (into > flow) {
          flow = into;
          most = Optional.of(line);
        }
      }
      return most;
    }
  }
}
