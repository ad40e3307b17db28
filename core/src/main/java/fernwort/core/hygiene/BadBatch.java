package fernwort.core.hygiene;

import fernwort.core.budget.Crew;
import fernwort.core.budget.DayShape;
import fernwort.core.budget.Fact;
import fernwort.core.diary.Entry;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.network.Walk;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Slope;
import fernwort.core.tank.TankFigures;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Where water that is not to be trusted has come since it was filled in. The tank is taken as well
 * mixed; what stands in lines and heater is taken as reached, whichever taps were opened.
 *
 * @param share how much of what the tank holds now is of it (0 to 1)
 * @param tanks labels of tanks that it may have come to
 * @param lines labels of lines that it may stand in
 * @param outlets labels of taps that it may have come to, those for drinking first
 * @param personDays days that people spent with it (person-days)
 * @param flush what has to run through lines and bodies until less than 1 % is left (m³)
 */
public record BadBatch(
    double share,
    List<String> tanks,
    List<String> lines,
    List<String> outlets,
    double personDays,
    double flush) {

  /** Three changes of what lines hold leave less than a hundredth, mixed as badly as can be. */
  private static final double CHANGES = 4.6;

  /** A tank that gained more than this without a fill of its own was filled from another (m³). */
  private static final double GAINED = 3e-3;

  /** Who was on board, and where. */
  public record Asked(Slope slope, int people, ZoneId zone, Instant now) {}

  /**
   * Follows a fill.
   *
   * @param entries what was noted, in any order
   * @param batch the fill that is not to be trusted
   */
  public static BadBatch of(Network network, List<Entry> entries, Entry batch, Asked asked) {
    PartId tank = batch.what().part();
    List<Entry> order =
        entries.stream()
            .filter(e -> !e.at().isAfter(asked.now()))
            .sorted(Comparator.comparing(Entry::at))
            .toList();
    Part part = network.rig().part(tank);
    List<String> tanks = new ArrayList<>(List.of(part.label()));
    tanks.addAll(others(network, order, batch));
    List<PortRef> ports =
        ((Tank) part.kind())
            .tankPorts().stream()
                .filter(p -> p.use() == TankPort.Use.FEED || p.use() == TankPort.Use.DRAIN)
                .map(p -> part.port(p.id()))
                .toList();
    // What has run through a tap is waste.
    Walk walk =
        new Walk(network.rig(), p -> !p.kind().is(Purpose.HOLDS) && !p.kind().is(Purpose.USE));
    Set<LineId> ids = walk.lines(ports);
    List<Line> lines = network.rig().lines().stream().filter(l -> ids.contains(l.id())).toList();
    double held =
        lines.stream().mapToDouble(Line::volume).sum()
            + network.rig().parts().stream()
                .filter(p -> touches(p, lines))
                .mapToDouble(Part::volume)
                .sum();
    List<String> outlets =
        network.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.USE) && touches(p, lines))
            .sorted(Comparator.comparing(p -> !((Tap) p.kind()).drinking()))
            .map(Part::label)
            .toList();
    Crew crew = Crew.of(DayShape.in(asked.zone()), asked.people(), crew(order));
    return new BadBatch(
        share(network, order, batch, asked.slope()),
        tanks,
        lines.stream().map(Line::label).toList(),
        outlets,
        crew.days(batch.at().getEpochSecond(), asked.now().getEpochSecond()),
        CHANGES * held);
  }

  private static boolean touches(Part part, List<Line> lines) {
    return lines.stream()
        .anyMatch(l -> l.from().part().equals(part.id()) || l.to().part().equals(part.id()));
  }

  private static List<Fact> crew(List<Entry> entries) {
    List<Fact> facts = new ArrayList<>();
    for (Entry entry : entries) {
      double at = entry.at().getEpochSecond();
      switch (entry.what()) {
        case Entry.People w -> facts.add(new Fact.People(at, w.people()));
        case Entry.Away w -> facts.add(new Fact.Away(at, w.until().getEpochSecond()));
        case Entry.Reading _,
            Entry.Fill _,
            Entry.Dump _,
            Entry.Haul _,
            Entry.Sanitize _,
            Entry.Upkeep _,
            Entry.Note _ -> {}
      }
    }
    return facts;
  }

  /** Other fresh tanks that gained since, and of which no fill is noted. */
  private static List<String> others(Network network, List<Entry> order, Entry batch) {
    List<String> found = new ArrayList<>();
    for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
      double last = Double.NaN;
      boolean gained = false;
      for (Entry entry : order) {
        if (!entry.what().part().equals(tank.id())) {
          continue;
        }
        if (entry.what() instanceof Entry.Reading reading) {
          gained |= entry.at().isAfter(batch.at()) && reading.volume() > last + GAINED;
          last = reading.volume();
        } else {
          last = Double.NaN;
        }
      }
      if (gained && !tank.id().equals(batch.what().part())) {
        found.add(tank.label());
      }
    }
    return found;
  }

  /** How much of the tank is of the batch: what was filled in later thins it. */
  private static double share(Network network, List<Entry> order, Entry batch, Slope slope) {
    Part tank = network.rig().part(batch.what().part());
    TankFigures figures = network.figures(tank, slope);
    double full = figures.full();
    double holds = 0;
    double share = 0;
    for (Entry entry : order) {
      if (!entry.what().part().equals(tank.id())) {
        continue;
      }
      switch (entry.what()) {
        case Entry.Reading w -> holds = w.volume();
        case Entry.Fill w -> {
          double poured = w.volume().orElse(Math.max(0, full - holds));
          share = mixed(share, holds, entry.id().equals(batch.id()) ? 1 : 0, poured);
          holds += poured;
        }
        case Entry.Haul w -> {
          share = mixed(share, holds, 0, w.volume());
          holds += w.volume();
        }
        case Entry.Dump w ->
            holds =
                w.volume().isPresent() ? Math.max(0, holds - w.volume().get()) : figures.stranded();
        case Entry.People _, Entry.Away _, Entry.Sanitize _, Entry.Upkeep _, Entry.Note _ -> {}
      }
    }
    return share;
  }

  private static double mixed(double share, double holds, double other, double poured) {
    double all = holds + poured;
    return all > 0 ? (share * holds + other * poured) / all : 0;
  }
}
