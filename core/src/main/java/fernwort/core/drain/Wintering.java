package fernwort.core.drain;

import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.water.Dry;
import fernwort.core.say.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A rig on its way into the winter or out of it: its handles, what is off or out beside them, and
 * where water is.
 *
 * @param state handles, tanks and slope
 * @param service positions of {@link Kind#service} by part id; what is not named is as it is in use
 * @param wetness where water is beside the tanks
 * @param glycol share of glycol in it by line and part id (0 to 1); none where nothing is named
 */
public record Wintering(
    State state, Map<PartId, PositionId> service, Wetness wetness, Map<ElementId, Double> glycol) {

  /** Less than this is nothing (m³). */
  private static final double NOTHING = 1e-7;

  public Wintering {
    service = Map.copyOf(service);
    glycol = Map.copyOf(glycol);
  }

  /**
   * Returns what was kept of a rig as it applies today: what is gone since is left out, and a line
   * that is shorter now holds water only as far as it goes.
   */
  public Wintering fitted(Network network) {
    Map<PartId, Part> parts = network.rig().partsById();
    Map<PartId, PositionId> off = new TreeMap<>();
    service.forEach((id, position) -> {
      Part part = parts.get(id);
      if (part != null && named(part.kind().service().stream(), position).isPresent()) {
        off.put(id, position);
      }
    });
    Map<LineId, List<Stretch>> lines = new TreeMap<>();
    for (Line line : network.rig().lines()) {
      List<Stretch> wet =
          wetness.of(line).stream()
              .filter(s -> s.from() < line.length())
              .map(s -> new Stretch(s.from(), Math.min(s.to(), line.length())))
              .toList();
      if (!wet.isEmpty()) {
        lines.put(line.id(), wet);
      }
    }
    Map<PartId, Double> bodies = new TreeMap<>();
    wetness
        .bodies()
        .forEach((id, volume) -> {
          Part part = parts.get(id);
          if (part != null) {
            bodies.put(id, Math.min(volume, part.volume()));
          }
        });
    return new Wintering(network.fitted(state), off, new Wetness(lines, bodies), glycol);
  }

  /** Returns how strong the antifreeze in a line or body is (0 to 1). */
  public double strength(ElementId id) {
    return glycol.getOrDefault(id, 0.0);
  }

  /** Returns this with other antifreeze in lines and bodies. */
  public Wintering withGlycol(Map<ElementId, Double> changed) {
    return new Wintering(state, service, wetness, changed);
  }

  /** Tells whether a part is in a position of {@link Kind#service}. */
  public boolean has(Part part, PositionId position) {
    return position.equals(service.get(part.id()));
  }

  /**
   * Returns this with one thing set or taken off.
   *
   * @throws Refusal when the part cannot be so
   */
  public Wintering with(Rig rig, PartId partId, PositionId position) {
    Part part = rig.part(partId);
    Map<PartId, PositionId> off = new TreeMap<>(service);
    if (named(part.kind().positions().stream(), position).isPresent()) {
      if (part.kind().is(Purpose.TURNS)) {
        off.remove(partId);
      }
      State turned = state.with(rig.turned(state.setting(), partId, position));
      return new Wintering(turned, off, wetness, glycol);
    }
    if (named(part.kind().service().stream(), position).isEmpty()) {
      throw new Refusal(Says.HAS_NO_POSITION.with(part.label(), position, choice(part)));
    }
    if (part.kind().service().getFirst().id().equals(position)) {
      off.remove(partId);
    } else {
      off.put(partId, position);
    }
    return new Wintering(state, off, wetness, glycol);
  }

  private static Optional<Position> named(Stream<Position> positions, PositionId id) {
    return positions.filter(p -> p.id().equals(id)).findFirst();
  }

  private static String choice(Part part) {
    String all =
        Stream.concat(part.kind().positions().stream(), part.kind().service().stream())
            .map(p -> "\"" + p.id() + "\"")
            .distinct()
            .collect(Collectors.joining(", "));
    return all.isEmpty() ? Says.NOTHING_ABOUT_IT_CAN_BE_SET.text() : Says.IT_CAN_BE.filled(all);
  }

  /** Returns what its lines and bodies lack before water passes them as in use. */
  public Dry dry(Network network) {
    Wetness full = Filled.of(network, state).wetness();
    Map<LineId, Double> lines = new TreeMap<>();
    for (Line line : network.rig().lines()) {
      double lacks = full.volume(line) - wetness.volume(line);
      if (lacks > NOTHING) {
        lines.put(line.id(), lacks);
      }
    }
    Map<PartId, Double> bodies = new TreeMap<>();
    for (Part part : network.rig().parts()) {
      // A tee of vents or wastes stands among lines that are dry in use, too.
      boolean supplied =
          part.kind().ports().stream()
              .map(part::port)
              .filter(network::hasLine)
              .map(port -> network.rig().lines().get(network.lineAt(port)).id())
              .anyMatch(full.lines()::containsKey);
      double lacks = full.body(part.id()) - wetness.body(part.id());
      if (supplied && lacks > NOTHING) {
        bodies.put(part.id(), lacks);
      }
    }
    return new Dry(lines, bodies);
  }

  /** Returns this on another slope. */
  public Wintering on(Slope slope) {
    return new Wintering(
        new State(state.setting(), state.volumes(), slope), service, wetness, glycol);
  }

  /** Returns this with other water in lines and bodies. */
  public Wintering with(Wetness changed) {
    return new Wintering(state, service, changed, glycol);
  }

  /** Returns this with other water (m³) in one tank. */
  public Wintering withVolume(PartId tank, double volume) {
    return new Wintering(state.withVolume(tank, volume), service, wetness, glycol);
  }
}
