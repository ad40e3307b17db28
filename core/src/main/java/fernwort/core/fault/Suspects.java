package fernwort.core.fault;

import fernwort.core.id.LineId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.network.OverflowTail;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Everything that can be wrong with a rig, one thing at a time. */
final class Suspects {

  /** How often a line fails so, beside other faults (1); our own estimates. */
  private static final Map<FaultKind, Double> OF_A_LINE =
      Map.of(
          FaultKind.KINKED, 0.7,
          FaultKind.FROZEN, 0.3,
          FaultKind.DETACHED, 0.3,
          FaultKind.LEAKING, 1.5,
          FaultKind.DRAWS_AIR, 1.0,
          FaultKind.SIPHONS, 1.0,
          FaultKind.AIR_LOCKED, 0.5);

  /** Air stands in a line that rises so far above both its ends (m); own choice. */
  private static final double CREST = 0.05;

  private final Network network;
  private final Rig rig;
  private final Setting noted;

  private Suspects(Network network, Setting noted) {
    this.network = network;
    rig = network.rig();
    this.noted = noted;
  }

  /**
   * A fault and how often it happens.
   *
   * @param weight beside others (1)
   */
  record Suspect(Fault fault, double weight) {}

  /**
   * Returns all that can be wrong.
   *
   * @param noted where handles stand as far as anybody knows
   */
  static List<Suspect> of(Network network, Setting noted) {
    return new Suspects(network, noted).all();
  }

  private List<Suspect> all() {
    List<Suspect> all = new ArrayList<>();
    rig.parts().forEach(p -> p.kind().faults().forEach(f -> all.addAll(of(p, f))));
    Set<LineId> sucking = suction();
    for (Line line : rig.lines()) {
      if (!carriesAirOrWaste(line)) {
        List<FaultKind> kinds =
            new ArrayList<>(
                List.of(FaultKind.KINKED, FaultKind.FROZEN, FaultKind.DETACHED, FaultKind.LEAKING));
        if (sucking.contains(line.id())) {
          kinds.add(FaultKind.DRAWS_AIR);
        }
        if (hasCrest(line)) {
          kinds.add(FaultKind.AIR_LOCKED);
        }
        for (FaultKind kind : kinds) {
          all.add(ofALine(line, kind));
        }
      }
    }
    OverflowTail.of(network).stream()
        .filter(this::goesOn)
        .forEach(tail -> all.add(ofALine(tail.line(), FaultKind.SIPHONS)));
    return all;
  }

  private static Suspect ofALine(Line line, FaultKind kind) {
    return new Suspect(new Fault(line.id(), kind), OF_A_LINE.getOrDefault(kind, 0.0));
  }

  /** Air by another way breaks a siphon; without, the walls draw in and it goes on. */
  private boolean goesOn(OverflowTail tail) {
    return Connections.of(network, noted)
        .leaving(tail.tank(), port -> !port.equals(tail.port().id()), this::letsAirIn)
        .isEmpty();
  }

  private boolean letsAirIn(Part part) {
    Kind kind = part.kind();
    boolean open = !kind.mouths(noted.of(part.id())).isEmpty();
    return kind.is(Purpose.BREATHES) || kind.letsAir() && open;
  }

  private List<Suspect> of(Part part, PossibleFault fault) {
    return switch (fault.kind()) {
      case MISPLACED, NOT_ARRIVED -> elsewhere(part, fault);
      case NO_POWER -> {
        Optional<PositionId> dark = part.kind().unpowered();
        boolean shows = dark.isPresent() && !noted.has(part.id(), dark.get());
        yield shows || dark.isEmpty() && part.kind().motor().isEmpty()
            ? List.of(new Suspect(new Fault(part.id(), fault.kind()), fault.weight()))
            : List.of();
      }
      default -> List.of(new Suspect(new Fault(part.id(), fault.kind()), fault.weight()));
    };
  }

  private List<Suspect> elsewhere(Part part, PossibleFault fault) {
    List<Position> others =
        part.kind().positions().stream().filter(p -> !noted.has(part.id(), p.id())).toList();
    return others.stream()
        .map(p ->
            new Suspect(
                new Fault(part.id(), fault.kind(), Optional.of(p.id())),
                fault.weight() / others.size()))
        .toList();
  }

  /** Tells whether a line rises above both its ends, so that air can stand in it. */
  private boolean hasCrest(Line line) {
    double ends = Math.max(height(line.from()), height(line.to()));
    return line.profile().stream().anyMatch(p -> p.height() > ends + CREST);
  }

  private double height(PortRef end) {
    return rig.part(end.part()).at(end.port()).z();
  }

  /** A vent, or what runs off from a trap: nothing is looked for there but at its ends. */
  private boolean carriesAirOrWaste(Line line) {
    return List.of(line.from(), line.to()).stream()
        .map(e -> rig.part(e.part()))
        .anyMatch(p -> p.kind().is(Purpose.TRAPS) || p.kind().is(Purpose.VENTS));
  }

  /** The lines by which pumps draw. */
  private Set<LineId> suction() {
    Set<LineId> found = new HashSet<>();
    Map<PortRef, Line> lines = rig.linesByPort();
    Deque<PortRef> open = new ArrayDeque<>();
    rig.parts().stream()
        .filter(p -> p.kind().is(Purpose.PUMPS))
        .forEach(p -> open.add(p.port(p.kind().through().map(InOut::in).orElse(PortId.IN))));
    while (!open.isEmpty()) {
      PortRef port = open.poll();
      Line line = lines.get(port);
      if (line != null && found.add(line.id())) {
        PortRef far = line.other(port);
        Part part = rig.part(far.part());
        boolean goesOn =
            part.kind().ports().size() > 1
                && !part.kind().is(Purpose.DRIVES)
                && !part.kind().is(Purpose.HEATS)
                && !part.kind().is(Purpose.HOLDS);
        if (goesOn) {
          part.kind().ports().stream()
              .filter(p -> !p.equals(far.port()))
              .forEach(p -> open.add(part.port(p)));
        }
      }
    }
    return found;
  }
}
