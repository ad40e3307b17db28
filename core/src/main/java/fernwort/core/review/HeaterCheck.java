package fernwort.core.review;

import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Amount;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Heaters without relief, without a way round them, or with a drain where none can be. */
final class HeaterCheck implements LayoutCheck {

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
    Optional<Line> cold = plan.lineAt(part, "cold");
    Optional<Line> hot = plan.lineAt(part, "hot");
    if (heater.works() != Heater.Type.STORAGE || cold.isEmpty() || hot.isEmpty()) {
      return;
    }
    String before = cold.get().other(part.port("cold")).part();
    String after = hot.get().other(part.port("hot")).part();
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
              Optional.of(roundIt(part, cold.get(), hot.get()))));
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

  private static UnaryOperator<Rig> roundIt(Part heater, Line cold, Line hot) {
    return rig -> {
      Part valve =
          new Part(
              RigEdit.of(rig).freeId(heater.id() + "-bypass"),
              RigEdit.shortened(heater.label() + " bypass"),
              heater.place(),
              heater.x(),
              heater.y(),
              heater.height() + 0.2,
              2e-5,
              Fittings.twoWay(90));
      Rig branched = RigEdit.of(rig).teeOff(cold.id(), valve, "a", 0.2);
      Part tee =
          new Part(
              RigEdit.of(branched).freeId("hot-tee"),
              Says.BYPASS_TEE.text(),
              heater.place(),
              heater.x(),
              heater.y(),
              heater.height() + 0.3,
              0,
              new Tee());
      Rig joined = RigEdit.of(branched).insert(hot.id(), tee, "a", "b");
      return RigEdit.of(joined)
          .connect(
              new Line(
                  RigEdit.of(joined).freeId(valve.id() + "-line"),
                  RigEdit.shortened("From " + valve.label()),
                  valve.port("b"),
                  tee.port("c"),
                  hot.bore(),
                  0.2,
                  hot.material(),
                  1,
                  List.of()));
    };
  }
}
