package fernwort.app.services;

import fernwort.app.store.DiaryStore;
import fernwort.app.store.RunStore;
import fernwort.core.diary.Entry;
import fernwort.core.id.LineId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.DrawDown;
import fernwort.core.network.Walk;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Slope;
import fernwort.core.run.water.Dry;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * Lines that hold air since a tank ran dry, though it was filled again: nobody has run the taps
 * from it since by a sheet that purges.
 */
@Component
public class AiredLines {

  private static final int MOST = 50;

  /** A tank with no more than this to draw has let air into its line (m³); own choice. */
  private static final double DRAWN = 5e-4;

  private final DiaryStore diary;
  private final RunStore runs;

  AiredLines(DiaryStore diary, RunStore runs) {
    this.diary = diary;
    this.runs = runs;
  }

  /** Returns what lines lack that have drawn air. */
  Dry of(OpenRig rig) {
    Map<LineId, Double> lines = new TreeMap<>();
    for (Part tank : rig.rig().tanks(Contents.FRESH).toList()) {
      Optional<Instant> dry = ranDry(rig, tank);
      if (dry.isPresent() && !isPurgedSince(rig, tank, dry.get())) {
        suction(rig, tank).forEach(id -> lines.put(id, line(rig, id).volume()));
      }
    }
    return lines.isEmpty() ? Dry.NOTHING : new Dry(lines, Map.of());
  }

  /** When a tank last had nothing to draw that has something now. */
  private Optional<Instant> ranDry(OpenRig rig, Part tank) {
    double least = DrawDown.of(rig.network(), Slope.LEVEL).stranded(tank.id()) + DRAWN;
    List<Entry> newest = diary.ofTank(rig.id(), tank.id().value(), MOST);
    boolean filled = false;
    for (Entry entry : newest) {
      if (entry.what() instanceof Entry.Reading read) {
        if (read.volume() <= least) {
          return filled ? Optional.of(entry.at()) : Optional.empty();
        }
        filled = true;
      } else {
        filled |= entry.what() instanceof Entry.Fill;
      }
    }
    return Optional.empty();
  }

  /** Only the taps that run from this tank bring its air out. */
  private boolean isPurgedSince(OpenRig rig, Part tank, Instant dry) {
    return runs.newest(rig.id(), MOST).stream()
        .filter(run -> run.outcome() == RunStore.Outcome.DONE)
        .filter(run -> run.job().equals("run-" + tank.id()))
        .anyMatch(run -> run.started().isAfter(dry));
  }

  private static Set<LineId> suction(OpenRig rig, Part tank) {
    List<PortRef> feeds =
        ((Tank) tank.kind())
            .tankPorts().stream()
                .filter(p -> p.use() == TankPort.Use.FEED)
                .map(p -> tank.port(p.id()))
                .toList();
    return new Walk(
            rig.rig(),
            p ->
                p.kind().is(Purpose.JOINS)
                    || p.kind().is(Purpose.TURNS)
                    || p.kind().is(Purpose.STRAINS)
                    || p.kind().is(Purpose.CHECKS))
        .lines(feeds);
  }

  private static Line line(OpenRig rig, LineId id) {
    return rig.rig().lines().stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
  }
}
