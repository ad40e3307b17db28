package fernwort.app.questions;

import fernwort.app.services.OpenRig;
import fernwort.app.store.SizingStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What every page of Sizing starts from.
 *
 * @param open the rig
 * @param now how it stands
 * @param habits who travels and what they use
 * @param lasts how long the water on board lasts from now on
 * @param kept what was entered before, by field
 * @param units the person's units
 */
public record Trip(
    OpenRig open,
    State now,
    Habits habits,
    Lasts lasts,
    Map<String, SizingStore.Kept> kept,
    Units units) {

  public Network network() {
    return open.network();
  }

  public Rig rig() {
    return open.rig();
  }

  public Form form() {
    return new Form(kept, units);
  }

  public String show(Measure measure, double si) {
    return units.show(measure, si);
  }

  /** Returns an axis of a chart for what is measured. */
  public Chart.Axis axis(String name, Measure measure) {
    return new Chart.Axis(name, units.unit(measure).sign());
  }

  /** Returns SI values in the person's unit; what is not finite stays a gap. */
  public List<Double> in(Measure measure, List<Double> si) {
    return si.stream()
        .map(value -> Double.isFinite(value) ? units.in(measure, value) : value)
        .toList();
  }

  /** Returns a flow in the person's unit (m³/s). */
  public String flow(double si) {
    return show(Measure.FLOW, si);
  }

  /** Returns a pressure in the person's unit (Pa). */
  public String pressure(double si) {
    return show(Measure.PRESSURE, si);
  }

  /** Returns a length in the person's unit (m). */
  public String length(double si) {
    return show(Measure.LENGTH, si);
  }

  /** Returns a mass in the person's unit (kg). */
  public String mass(double kilograms) {
    return show(Measure.MASS, kilograms);
  }

  /** Returns the line with this id. */
  public Line line(ElementId id) {
    return rig().lines().get(network().lineNumber(id.line()));
  }

  /** Returns what parts are called, in a row. */
  public String names(List<PartId> parts) {
    return String.join(" and ", parts.stream().map(this::label).toList());
  }

  public String label(ElementId part) {
    return rig().part(part.part()).label();
  }

  /** Returns fresh tanks as full as they get, gray empty. */
  public State full() {
    Map<PartId, Double> volumes = new HashMap<>();
    rig()
        .tanks(Contents.FRESH)
        .forEach(t -> {
          volumes.put(t.id(), network().figures(t, now.slope()).full());
        });
    return new State(now.setting(), volumes, now.slope());
  }

  public Lasts lastsFromFull() {
    return Lasts.of(network(), full(), habits);
  }
}
