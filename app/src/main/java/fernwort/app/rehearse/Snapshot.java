package fernwort.app.rehearse;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What the page shows of one moment, in one person's units.
 *
 * @param seconds time of the run (s)
 * @param time the same in words
 * @param playing whether it plays
 * @param speed simulated seconds in one second
 * @param stopped what it stopped at, and what can be done then; empty for nothing
 * @param tanks each tank's water
 * @param lines direction of the flow in each line where there is one: 1 or −1
 * @param streams what each fixture, inlet and end passes, for the chart
 * @param marks flow at fixtures, pumps, inlets and ends, by part
 * @param rows the same as a list, for who cannot see the drawing
 * @param events what began and ended, the newest first
 */
record Snapshot(
    double seconds,
    String time,
    boolean playing,
    double speed,
    String stopped,
    Map<String, TankMark> tanks,
    Map<String, Integer> lines,
    Map<String, Stream> streams,
    Map<String, String> marks,
    List<String> rows,
    List<String> events) {

  private static final double RUNS = 1.7e-7;

  /**
   * A tank.
   *
   * @param text what it holds
   * @param share of its capacity, 0 to 1
   * @param volume what it holds, in the person's unit
   */
  record TankMark(String text, double share, double volume) {}

  /**
   * Water that comes in, is used or leaves.
   *
   * @param name of the part
   * @param flow its flow, in the person's unit
   */
  record Stream(String name, double flow) {}

  static Snapshot of(Rehearsal rehearsal, Units units) {
    Moment moment = rehearsal.moment();
    Network network = rehearsal.rig().network();
    Flows flows = moment.flows();
    Map<String, TankMark> tanks = new TreeMap<>();
    List<String> rows = new ArrayList<>();
    for (Part tank : network.tanks()) {
      double volume = moment.state().volume(tank.id());
      double share = volume / network.room(tank.id()).capacity();
      double air = moment.air().getOrDefault(tank.id(), 0.0);
      String text = units.show(Measure.VOLUME, volume);
      if (Math.abs(air) > 50) {
        text += Says.AIR.filled(units.show(Measure.PRESSURE, air));
      }
      tanks.put(tank.id().value(), new TankMark(text, share, units.in(Measure.VOLUME, volume)));
      double gain = moment.gains().getOrDefault(tank.id(), 0.0);
      rows.add(
          "%s %s%s"
              .formatted(
                  tank.label(),
                  text,
                  Math.abs(gain) > RUNS
                      ? ", %s %s"
                          .formatted(
                              gain > 0 ? "gains" : "gives",
                              units.show(Measure.FLOW, Math.abs(gain)))
                      : ""));
    }
    Map<String, Integer> lines = new TreeMap<>();
    flows
        .lines()
        .forEach((id, q) -> {
          if (Math.abs(q) > RUNS) {
            lines.put(id.value(), q > 0 ? 1 : -1);
          }
        });
    Map<String, String> marks = marks(flows, units);
    moment.warmth().forEach((id, t) -> marks.put(id.value(), units.show(Measure.TEMPERATURE, t)));
    marks.forEach((part, text) ->
        rows.add(
            network.rig().part(PartId.of(part)).label()
                + " "
                + text
                + pressure(flows, network.rig().part(PartId.of(part)), units)));
    return new Snapshot(
        moment.time(),
        HappeningWords.time(moment.time()),
        rehearsal.isPlaying(),
        rehearsal.speed(),
        rehearsal.stopped().isEmpty()
            ? ""
            : Says.PLAY_ON_SET_SOMETHING_OR_GO_BACK.filled(rehearsal.stopped()),
        tanks,
        lines,
        streams(network, flows, units),
        marks,
        rows,
        rehearsal.events().reversed().stream()
            .map(e -> HappeningWords.time(e.at()) + ": " + e.words())
            .toList());
  }

  private static Map<String, Stream> streams(Network network, Flows flows, Units units) {
    Map<String, Stream> streams = new TreeMap<>();
    for (Map<PartId, Double> of : List.of(flows.fixtures(), flows.supplies(), flows.ends())) {
      of.forEach((id, q) ->
          streams.put(
              id.value(), new Stream(network.rig().part(id).label(), units.in(Measure.FLOW, q))));
    }
    return streams;
  }

  /** The pressure at a part's first port, or what a pump adds, after a comma. */
  private static String pressure(Flows flows, Part part, Units units) {
    Flows.Running pump = flows.pumps().get(part.id());
    Optional<Double> pressure =
        pump == null
            ? flows.pressure(part.id(), part.kind().ports().getFirst())
            : Optional.of(pump.rise());
    return pressure.map(p -> ", " + units.show(Measure.PRESSURE, p)).orElse("");
  }

  private static Map<String, String> marks(Flows flows, Units units) {
    Map<String, String> marks = new TreeMap<>();
    flows
        .fixtures()
        .forEach((id, q) -> {
          marks.put(id.value(), units.show(Measure.FLOW, Math.max(0, q)));
        });
    flows.ends().forEach((id, q) -> running(marks, id.value(), q, units));
    flows.supplies().forEach((id, q) -> running(marks, id.value(), q, units));
    flows
        .pumps()
        .forEach((id, pump) ->
            marks.put(
                id.value(),
                switch (pump.does()) {
                  case RUNS, CYCLES -> units.show(Measure.FLOW, pump.flow());
                  case RESTS -> "rests";
                  case DRAWS_AIR -> Says.DRAWS_AIR.text();
                }));
    return marks;
  }

  private static void running(Map<String, String> marks, String id, double q, Units units) {
    if (Math.abs(q) > RUNS) {
      marks.put(id, units.show(Measure.FLOW, q));
    }
  }
}
