package fernwort.core.review;

import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Heaters without relief, without a way round them, or with a drain where none can be. */
final class HeaterCheck implements LayoutCheck {

  /** How long a line to a bypass is made (m); own choice. */
  private static final double SPUR = 0.2;

  /** How far above the heater a tee is put (m); own choice. */
  private static final double TEE = 0.3;

  /** How far above it a valve is (m); own choice. */
  private static final double VALVE = 0.2;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.rig().parts()) {
      if (part.kind() instanceof Heater heater) {
        relief(part, heater, found);
        bypass(plan, part, heater, found);
        drain(part, heater, found);
      }
    }
  }

  private static void relief(Part part, Heater heater, List<Finding> found) {
    if (!heater.relief() && heater.works() == Heater.Type.STORAGE) {
      found.add(
          new Finding(
              Finding.Code.HEATER_RELIEF,
              Finding.Risk.HARM,
              Says.HAS_NO_PRESSURE_RELIEF_VALVE.with(part.label()),
              Says.HEATED_WATER_GROWS_TRAPPED.with(),
              Says.SCALDING_AND_THE_HEATER.with(),
              Says.HAVE_A_RELIEF_VALVE_FITTED.with(),
              List.of(part.id()),
              Optional.empty()));
    }
  }

  private static void bypass(Plumbed plan, Part part, Heater heater, List<Finding> found) {
    Optional<Line> cold = plan.lineAt(part, PortId.COLD);
    Optional<Line> hot = plan.lineAt(part, PortId.HOT);
    if (heater.works() != Heater.Type.STORAGE || cold.isEmpty() || hot.isEmpty()) {
      return;
    }
    PartId before = cold.get().other(part.port(PortId.COLD)).part();
    PartId after = hot.get().other(part.port(PortId.HOT)).part();
    boolean round =
        plan.free()
            .route(before, p -> p.id().equals(part.id()), p -> p.id().equals(after))
            .isPresent();
    if (!round) {
      found.add(
          new Finding(
              Finding.Code.HEATER_BYPASS,
              Finding.Risk.LOSS,
              Says.CANNOT_BE_BYPASSED.with(part.label()),
              Says.ANTIFREEZE_OR_A_FLUSH.with(),
              Says.OF_ANTIFREEZE_EACH_WINTER.with(Amount.volume(part.volume())),
              Says.FIT_A_BYPASS_WITH_A_VALVE.with(),
              List.of(part.id()),
              Optional.of(roundIt(plan, part, cold.get(), hot.get()))));
    }
  }

  private static void drain(Part part, Heater heater, List<Finding> found) {
    double high = Heater.height(part.volume());
    if (part.volume() > 0 && heater.drainHeight() > high) {
      found.add(
          new Finding(
              Finding.Code.HEATER_DRAIN,
              Finding.Risk.LOSS,
              Says.ITS_DRAIN_IS_ENTERED_ABOVE.with(part.label()),
              Says.ITS_DRAIN_IS_ENTERED_ABOVE_ITS_BOTTOM.with(
                  Amount.length(heater.drainHeight()),
                  Amount.volume(part.volume()),
                  Amount.length(high)),
              Says.WINTER_PLANS_THEN_COUNT.with(),
              Says.MEASURE_FROM_THE_BOTTOM.with(),
              List.of(part.id()),
              Optional.empty()));
    }
  }

  /**
   * A valve on each side of the heater and one past it, so that water goes through it or round it,
   * not both; a valve that is there already is used.
   */
  private static UnaryOperator<Rig> roundIt(Plumbed plan, Part heater, Line cold, Line hot) {
    Optional<Line> beforeValve = beyondValve(plan, heater, PortId.COLD, cold);
    Optional<Line> afterValve = beyondValve(plan, heater, PortId.HOT, hot);
    return rig -> {
      Part past = valve(rig, heater, Says.BYPASS_OF.filled(heater.label()), 90);
      Rig made = RigEdit.of(rig).teeOff(beforeValve.orElse(cold).id(), past, PortId.A, SPUR);
      Part tee =
          new Part(
              RigEdit.of(made).freePart("hot-tee"),
              Says.BYPASS_TEE.text(),
              heater.place(),
              heater.x(),
              heater.y(),
              heater.height() + TEE,
              0,
              new Tee());
      made = RigEdit.of(made).insert(afterValve.orElse(hot).id(), tee, PortId.A, PortId.B);
      made =
          RigEdit.of(made)
              .connect(
                  new Line(
                      RigEdit.of(made).freeLine(past.id() + "-line"),
                      RigEdit.shortened("From " + past.label()),
                      past.port(PortId.B),
                      tee.port(PortId.C),
                      hot.bore(),
                      SPUR,
                      hot.material(),
                      1,
                      List.of()));
      if (beforeValve.isEmpty()) {
        made = withValve(made, heater, PortId.COLD, Says.VALVE_INTO.filled(heater.label()));
      }
      return afterValve.isEmpty()
          ? withValve(made, heater, PortId.HOT, Says.VALVE_OUT_OF.filled(heater.label()))
          : made;
    };
  }

  private static Part valve(Rig rig, Part heater, String label, double openAngle) {
    String called = RigEdit.shortened(label);
    return new Part(
        RigEdit.of(rig).freePart(called),
        called,
        heater.place(),
        heater.x(),
        heater.y(),
        heater.height() + VALVE,
        Plumbed.VALVE_BODY,
        Fittings.twoWay(openAngle));
  }

  /** Returns the line on the far side of a valve that is at a port of the heater already. */
  private static Optional<Line> beyondValve(Plumbed plan, Part heater, PortId port, Line line) {
    PortRef other = line.other(heater.port(port));
    Part next = plan.rig().part(other.part());
    return next.kind().is(Purpose.TURNS) && next.kind().ports().size() == 2
        ? plan.lineAt(next, other.port().equals(PortId.A) ? PortId.B : PortId.A)
        : Optional.empty();
  }

  private static Rig withValve(Rig rig, Part heater, PortId port, String label) {
    Line line = rig.linesByPort().get(heater.port(port));
    return line == null
        ? rig
        : RigEdit.of(rig).insert(line.id(), valve(rig, heater, label, 0), PortId.A, PortId.B);
  }
}
