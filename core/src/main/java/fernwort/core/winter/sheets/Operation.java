package fernwort.core.winter.sheets;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Rewetting;
import fernwort.core.drain.Stretch;
import fernwort.core.drain.Wetness;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Slope;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What one step of a winter procedure does to a rig. Done again from the start it gives the same.
 */
public sealed interface Operation {

  /** What a pump head keeps of its water when it has run dry for 15 s (our estimate). */
  double DRY_PUMP = 0.2;

  /** Returns the rig after it. */
  Wintering on(Network network, Wintering now);

  /** A handle, cap, bowl or plug is put somewhere; what can run out runs out. */
  record Put(PartId part, PositionId position) implements Operation {
    @Override
    public Wintering on(Network network, Wintering now) {
      return Draining.of(network, now.with(network.rig(), part, position));
    }
  }

  /** The vehicle is parked or jacked otherwise (degrees). */
  record Tilt(double pitch, double roll) implements Operation {
    @Override
    public Wintering on(Network network, Wintering now) {
      return Draining.of(network, Rewetting.of(network, now.on(new Slope(pitch, roll))));
    }
  }

  /** Tanks have run out, to so much (m³) by id. */
  record Emptied(Map<PartId, Double> volumes) implements Operation {
    public Emptied {
      volumes = Map.copyOf(volumes);
    }

    @Override
    public Wintering on(Network network, Wintering now) {
      Wintering after = now;
      for (Map.Entry<PartId, Double> tank : volumes.entrySet()) {
        after = after.withVolume(tank.getKey(), tank.getValue());
      }
      return Draining.of(network, after);
    }
  }

  /** A pump runs for 15 s with nothing to draw. */
  record RunDry(PartId pump) implements Operation {
    @Override
    public Wintering on(Network network, Wintering now) {
      double full = network.rig().part(pump).volume();
      double left = Math.min(now.wetness().body(pump), DRY_PUMP * full);
      return now.with(now.wetness().withBody(pump, left));
    }
  }

  /**
   * A pump runs with nothing to draw but air from an empty tank: it throws out most of its head,
   * and air comes through its suction.
   */
  record DrawnDry(PartId pump, List<LineId> lines, List<PartId> bodies) implements Operation {
    public DrawnDry {
      lines = List.copyOf(lines);
      bodies = List.copyOf(bodies);
    }

    @Override
    public Wintering on(Network network, Wintering now) {
      return new RunDry(pump).on(network, new Blown(lines, bodies).on(network, now));
    }
  }

  /** Air has carried the water out of lines and bodies. */
  record Blown(List<LineId> lines, List<PartId> bodies) implements Operation {
    public Blown {
      lines = List.copyOf(lines);
      bodies = List.copyOf(bodies);
    }

    @Override
    public Wintering on(Network network, Wintering now) {
      Wetness wet = now.wetness();
      for (LineId line : lines) {
        wet = wet.with(line, List.of());
      }
      for (PartId body : bodies) {
        wet = wet.withBody(body, 0);
      }
      return now.with(wet);
    }
  }

  /** Lines and bodies are full of antifreeze of a strength (0 to 1) by id. */
  record Filled(Map<ElementId, Double> strengths) implements Operation {
    public Filled {
      strengths = Map.copyOf(strengths);
    }

    @Override
    public Wintering on(Network network, Wintering now) {
      Wetness wet = now.wetness();
      for (Line line : network.rig().lines()) {
        if (strengths.containsKey(line.id())) {
          wet = wet.with(line.id(), List.of(new Stretch(0, line.length())));
        }
      }
      for (ElementId id : strengths.keySet()) {
        if (network.rig().parts().stream().anyMatch(p -> p.id().equals(id))) {
          wet = wet.withBody(id.part(), network.rig().part(id.part()).volume());
        }
      }
      Map<ElementId, Double> all = new HashMap<>(now.glycol());
      all.putAll(strengths);
      return now.with(wet).withGlycol(all);
    }
  }

  /** Nothing about the water: something is waited for, looked at or carried away. */
  record Heed() implements Operation {
    @Override
    public Wintering on(Network network, Wintering now) {
      return now;
    }
  }
}
