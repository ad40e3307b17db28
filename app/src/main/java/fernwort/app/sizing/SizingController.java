package fernwort.app.sizing;

import fernwort.app.rigs.OpenRig;
import fernwort.app.rigs.Rigs;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.load.DrawOrders;
import fernwort.core.load.Loads;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.sizing.Demand;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import fernwort.core.sizing.TimedJug;
import fernwort.core.tank.TankFigures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Sizing screen. */
@Controller
class SizingController {

  private final Rigs rigs;

  SizingController(Rigs rigs) {
    this.rigs = rigs;
  }

  @GetMapping("/rigs/{id}/sizing")
  String sizing(
      @PathVariable String id,
      @RequestParam(defaultValue = "5") String days,
      @RequestParam(defaultValue = "15") String reserve,
      @RequestParam(defaultValue = "") String jug,
      @RequestParam(defaultValue = "") String seconds,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    double length = number("Days", days);
    double share = number("Reserve", reserve) / 100;
    model.addAttribute("view", view(rig, length, share, units));
    model.addAttribute("rig", id);
    model.addAttribute("days", days);
    model.addAttribute("reserve", reserve);
    model.addAttribute("jug", jug);
    model.addAttribute("seconds", seconds);
    model.addAttribute("volumeUnit", units.unit(Measure.VOLUME).sign());
    if (!jug.isBlank()) {
      model.addAttribute("flow", flow(rig, jug, seconds, units));
    }
    return "sizing";
  }

  private static double number(String what, String text) {
    return Units.METRIC.parse(what, Measure.LENGTH, text + " m");
  }

  private SizingView view(OpenRig rig, double days, double reserve, Units units) {
    State now = rigs.standing(rig).state();
    State full = full(rig, now);
    Habits habits = rigs.habits(rig);
    Lasts lasts = rigs.lasts(rig, now);
    Lasts fromFull = rigs.lasts(rig, full);
    Demand demand = Demand.of(habits, days, reserve);
    String problem = "";
    List<SizingView.Weight> weight = List.of();
    List<SizingView.Row> orders = List.of();
    List<Chart> course = List.of();
    try {
      weight =
          SizingView.weight(
              Loads.of(rig.plumbing(), now.volumes()),
              Loads.of(rig.plumbing(), full.volumes()),
              units);
      List<DrawOrders.Order> all =
          DrawOrders.of(rig.plumbing(), full.volumes(), habits.grayPerDay() / habits.freshPerDay());
      orders = SizingView.orders(rig.rig(), all, units);
      course = SizingView.course(all.getFirst(), all.getLast(), units);
    } catch (IllegalArgumentException cannot) {
      problem = String.valueOf(cannot.getMessage());
    }
    return new SizingView(
        rig.id(),
        rig.rig().name(),
        SizingView.stay(lasts, fromFull, habits, units),
        SizingView.need(demand, fromFull, units),
        SizingView.litres(fromFull, days, units),
        weight,
        problem,
        orders,
        course);
  }

  /** Fresh tanks as full as they get, gray empty. */
  private static State full(OpenRig rig, State now) {
    Map<String, Double> volumes = new HashMap<>();
    rig.rig()
        .tanks(Contents.FRESH)
        .forEach(t -> {
          TankFigures figures =
              TankFigures.of((Kind.Tank) t.kind(), rig.plumbing().room(t.id()), now.slope());
          volumes.put(t.id(), figures.capacity() - figures.unreachable());
        });
    return new State(now.setting(), volumes, now.slope());
  }

  private static List<SizingView.Row> flow(OpenRig rig, String jug, String seconds, Units units) {
    List<Double> times =
        Arrays.stream(seconds.split("[;\\s]+|,\\s+"))
            .filter(s -> !s.isBlank())
            .map(s -> number("Seconds", s))
            .toList();
    TimedJug timed = TimedJug.of(units.parse("The jug", Measure.VOLUME, jug), times);
    Rig described = rig.rig();
    List<SizingView.Row> rows = new ArrayList<>();
    rows.add(
        new SizingView.Row(
            "Flow",
            units.show(Measure.FLOW, timed.flow()),
            timed.goes() > 1
                ? "mean of %d goes, spread %s"
                    .formatted(timed.goes(), units.show(Measure.FLOW, timed.spread()))
                : "one go; time it three times to see its spread"));
    described
        .tanks(Contents.FRESH)
        .forEach(t -> {
          double volume = rig.plumbing().room(t.id()).capacity();
          rows.add(
              new SizingView.Row(
                  "Fills " + t.label(),
                  "%.0f min".formatted(timed.fill(volume) / 60),
                  "%s ÷ %s"
                      .formatted(
                          units.show(Measure.VOLUME, volume),
                          units.show(Measure.FLOW, timed.flow()))));
        });
    return rows;
  }
}
