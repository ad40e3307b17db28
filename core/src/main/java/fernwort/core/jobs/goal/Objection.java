package fernwort.core.jobs.goal;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.ways.FlowPath;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What speaks against a setting: why it is not what a stage wants. */
public sealed interface Objection {

  /** A part is not where it has to be. */
  record Misplaced(PartId part, PositionId position) implements Objection {}

  /** A way is not open. */
  record Missing(Need need) implements Objection {}

  /** Two parts are not joined. */
  record Apart(PartId from, PartId to) implements Objection {}

  /** No water passes between two tanks before they are full. */
  record Unlinked(PartId from, PartId to) implements Objection {}

  /** Two parts are joined, by a route of parts, that must not be. */
  record Joined(PartId from, PartId to, List<PartId> route) implements Objection {
    public Joined {
      route = List.copyOf(route);
    }
  }

  /** Water goes where it should not. */
  record Stray(FlowPath way) implements Objection {}

  /** Water would run out at an end while its cap or hose is changed. */
  record Bare(PartId end, FlowPath way) implements Objection {}

  /** Water of a tank that is being filled runs out again, now or when it stands higher. */
  record Leaking(PartId tank, FlowPath way) implements Objection {}

  /** Something would go wrong. */
  record Danger(Warning warning) implements Objection {}

  /** A tank has no air, now or later. */
  record Airless(PartId tank) implements Objection {}

  /** Once a tank is full, nothing lets out what still comes in. */
  record ShutIn(PartId tank) implements Objection {}

  /** What fills a tank stops before the tank holds what it should (m³). */
  record StopsShort(PartId tank, double volume) implements Objection {}

  /** A pump does not turn its water round, or past the heater that it could pass. */
  record NotRound(PartId pump, Optional<PartId> heater) implements Objection {}

  /** A pump is on where it must not be. */
  record PumpOn(PartId pump) implements Objection {}

  /** A pump has nothing to draw, now or later. */
  record Unfed(PartId pump) implements Objection {}

  /** Water comes back past a filter that it should pass. */
  record Bypassed(PartId filter, List<PartId> route) implements Objection {
    public Bypassed {
      route = List.copyOf(route);
    }
  }

  /**
   * A tank, or without a name the lines, would still keep water that could run out.
   *
   * @param needs the positions that let it out, by part id
   */
  record Keeping(PartId tank, Map<PartId, PositionId> needs) implements Objection {
    public Keeping {
      needs = Map.copyOf(needs);
    }
  }

  /** It was run, and this came of it. */
  record Disproved(Harm harm) implements Objection {}
}
