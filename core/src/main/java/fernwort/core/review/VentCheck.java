package fernwort.core.review;

import fernwort.core.bench.VentWidth;
import fernwort.core.describe.RigEdit;
import fernwort.core.flow.Fluid;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Given;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;

/**
 * Vents that let out less water than a hose or transfer pump brings: once the tank is full, what
 * the water loses on its way out stands as pressure in the tank. And floats that pass clearly less
 * than the hose gives.
 */
final class VentCheck implements LayoutCheck {

  /** A float that passes less than this share of what the hose gives is clearly slower. */
  private static final double CLEARLY = 0.7;

  private static final double BAR = 1e5;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    Hydraulics hydraulics = Hydraulics.of(plan.network());
    for (Part part : plan.network().tanks()) {
      Tank tank = (Tank) part.kind();
      double fill = filling(plan, part);
      if (fill <= 0) {
        continue;
      }
      floats(plan, part, tank, fill, found);
      if (tank.tankPorts().stream().anyMatch(p -> p.use() == TankPort.Use.FILL)) {
        vent(plan, hydraulics, part, tank, fill, found);
      }
    }
  }

  /** The most that a hose under pressure or a transfer pump brings into a tank (m³/s). */
  private static double filling(Plumbed plan, Part tank) {
    return plan.rig().parts().stream()
        .filter(p -> p.kind().brings() > 0)
        .filter(p -> plan.free().route(p.id(), q -> isTank(q, tank), tank::equals).isPresent())
        .mapToDouble(p -> p.kind().brings())
        .max()
        .orElse(0);
  }

  private static boolean isTank(Part part, Part but) {
    return part.kind().is(Purpose.HOLDS) && !part.equals(but);
  }

  private static void vent(
      Plumbed plan, Hydraulics hydraulics, Part part, Tank tank, double fill, List<Finding> found) {
    List<List<LineId>> ways = ways(plan, part, tank);
    if (ways.isEmpty()) {
      return;
    }
    List<LineId> widest =
        ways.stream().min(Comparator.comparingDouble(w -> loss(hydraulics, w, fill))).orElseThrow();
    double pressure = Fluid.WATER.pressure(loss(hydraulics, widest, fill));
    if (pressure <= tank.highestPressure()) {
      return;
    }
    OptionalDouble wider =
        VentWidth.BORES.stream()
            .mapToDouble(b -> b)
            .filter(b ->
                Fluid.WATER.pressure(loss(hydraulics.withBore(widest, b), widest, fill))
                    <= tank.highestPressure())
            .findFirst();
    if (wider.isEmpty()) {
      return;
    }
    double narrowest =
        widest.stream().mapToDouble(l -> RigEdit.of(plan.rig()).line(l).bore()).min().orElse(0);
    found.add(
        new Finding(
            Finding.Code.VENT_NARROW,
            Finding.Risk.HARM,
            Says.ITS_VENT_IS_TOO_NARROW.with(part.label()),
            Says.UP_TO_COME_IN_TO_PUSH.with(
                Amount.flow(fill),
                Amount.length(narrowest),
                Amount.pressure(pressure),
                Amount.pressure(tank.highestPressure())),
            Says.IT_BULGES_AND_CAN_BURST.with(),
            Says.FIT_A_VENT_OF_OR_OPEN.with(Amount.length(wider.getAsDouble())),
            List.of(part.id()),
            Optional.of(widened(widest, wider.getAsDouble()))));
  }

  private static double loss(Hydraulics hydraulics, List<LineId> lines, double flow) {
    return lines.stream().mapToDouble(l -> Math.abs(hydraulics.loss(l, flow))).sum();
  }

  private static UnaryOperator<Rig> widened(List<LineId> lines, double bore) {
    return rig -> {
      Rig changed = rig;
      for (LineId line : lines) {
        changed = RigEdit.of(changed).changeLine(line, l -> l.bore() < bore ? l.ofBore(bore) : l);
      }
      return changed;
    };
  }

  /** The lines of each way from a vent of a tank to the open. */
  private static List<List<LineId>> ways(Plumbed plan, Part part, Tank tank) {
    List<List<LineId>> ways = new ArrayList<>();
    for (TankPort port : tank.tankPorts()) {
      if (port.use() == TankPort.Use.VENT) {
        plan.free()
            .leaving(part, port.id()::equals, VentCheck::letsWaterOut)
            .ifPresent(parts -> ways.add(lines(plan, parts)));
      }
    }
    return ways;
  }

  private static boolean letsWaterOut(Part part) {
    return part.kind().is(Purpose.OUTLET) && part.kind().letsAir()
        || part.kind().is(Purpose.POURED_INTO);
  }

  private static List<LineId> lines(Plumbed plan, List<PartId> parts) {
    List<LineId> lines = new ArrayList<>();
    for (int i = 1; i < parts.size(); i++) {
      PartId one = parts.get(i - 1);
      PartId other = parts.get(i);
      plan.rig().lines().stream()
          .filter(l -> joins(l, one, other))
          .map(Line::id)
          .findFirst()
          .ifPresent(lines::add);
    }
    return lines;
  }

  private static boolean joins(Line line, PartId one, PartId other) {
    return line.from().part().equals(one) && line.to().part().equals(other)
        || line.from().part().equals(other) && line.to().part().equals(one);
  }

  private static void floats(Plumbed plan, Part part, Tank tank, double fill, List<Finding> found) {
    for (TankPort port : tank.tankPorts()) {
      double passes = port.passes().map(p -> p * Math.sqrt(mains(plan) / BAR)).orElse(fill);
      if (!port.letsOut() && passes < CLEARLY * fill) {
        found.add(
            new Finding(
                Finding.Code.FLOAT_SLOW,
                Finding.Risk.BOTHER,
                Says.ITS_FLOAT_VALVE_PASSES.with(part.label()),
                Says.IT_PASSES_ABOUT_FULLY_OPEN.with(Amount.flow(passes), Amount.flow(fill)),
                Says.FILLING_TAKES_LONGER.with(),
                Says.FIT_A_LARGER_FLOAT_VALVE_OR_PLAN.with(),
                List.of(part.id()),
                Optional.empty()));
      }
    }
  }

  private static double mains(Plumbed plan) {
    return plan.rig().parts().stream()
        .mapToDouble(p -> p.kind().gives().stream().mapToDouble(Given::pressure).max().orElse(0))
        .max()
        .orElse(BAR);
  }
}
