package fernwort.app.board;

import fernwort.app.services.Outlook;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.End;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.PumpWork;
import fernwort.core.ways.Source;
import fernwort.core.ways.TankAir;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What goes on now, in plain sentences: what runs, from where to where, driven by what. */
final class Sentences {

  private final Rig rig;
  private final State state;
  private final Outlook outlook;

  Sentences(Rig rig, State state, Outlook outlook) {
    this.rig = rig;
    this.state = state;
    this.outlook = outlook;
  }

  List<String> now() {
    List<String> sentences = new ArrayList<>();
    Map<DrivenBy, Map<End, Set<Source>>> byDrive = new LinkedHashMap<>();
    for (FlowPath way : outlook.ways().ways()) {
      byDrive
          .computeIfAbsent(way.drive(), d -> new LinkedHashMap<>())
          .computeIfAbsent(way.end(), e -> new LinkedHashSet<>())
          .add(way.source());
    }
    byDrive.forEach((drive, ends) -> sentences.addAll(sentences(drive, ends)));
    outlook.ways().pumps().forEach(p -> idle(p, sentences));
    for (TankAir air : outlook.ways().air()) {
      air(air, sentences);
    }
    if (sentences.isEmpty()) {
      sentences.add(Says.EVERYTHING_IS_CLOSED_NO_WATER.text());
    }
    return sentences;
  }

  private List<String> sentences(DrivenBy drive, Map<End, Set<Source>> ends) {
    List<String> sentences = new ArrayList<>();
    Map<Set<Source>, List<End>> together = new LinkedHashMap<>();
    ends.forEach(
        (end, sources) -> together.computeIfAbsent(sources, s -> new ArrayList<>()).add(end));
    together.forEach((sources, to) -> sentences.add(sentence(drive, sources, to)));
    return sentences;
  }

  private String sentence(DrivenBy drive, Set<Source> sources, List<End> ends) {
    String from = list(sources.stream().map(this::source).distinct().toList());
    String to = list(ends.stream().map(this::end).distinct().toList());
    return switch (drive.kind()) {
      case MAINS -> Says.MAINS_WATER_PUSHES_WATER_TO.filled(to);
      case PUMP ->
          Says.DRAWS_FROM_AND_PUSHES_TO.filled(label(drive.pump().orElse(PartId.NONE)), from, to);
      case FALL ->
          sources.stream().allMatch(s -> s.kind() == Source.Kind.WASTE)
              ? Says.WASTE_OF_RUNS_TO.filled(from, to)
              : Says.BY_GRAVITY_WATER_RUNS_FROM_TO.filled(from, to);
    };
  }

  private void idle(PumpWork pump, List<String> sentences) {
    boolean delivers =
        outlook.ways().ways().stream()
            .anyMatch(w -> w.drive().pump().filter(pump.pump()::equals).isPresent());
    if (pump.heldOff()) {
      sentences.add(Says.IS_ON_BUT_RESTS_MAINS_WATER.filled(label(pump.pump())));
    } else if (!pump.sources().isEmpty() && !delivers && pump.loop().isEmpty()) {
      String from = list(pump.sources().stream().map(this::source).toList());
      sentences.add(Says.IS_ON_AND_KEEPS_THE_LINES_UNDER.filled(label(pump.pump()), from));
    }
  }

  /** Only tanks that water moves in or out of need air now. */
  private void air(TankAir air, List<String> sentences) {
    boolean drawn = outlook.ways().from(air.tank()).findAny().isPresent();
    boolean filled = outlook.ways().to(air.tank()).findAny().isPresent();
    if (drawn && !filled) {
      air.in()
          .ifPresent(
              r -> sentences.add(Says.AIR_ENTERS_BY.filled(label(air.tank()), label(r.opening()))));
    } else if (filled) {
      air.out()
          .ifPresent(
              r -> sentences.add(Says.AIR_LEAVES_BY.filled(label(air.tank()), label(r.opening()))));
    }
  }

  String way(FlowPath.Key way) {
    String from = source(way.source());
    String to = end(way.end());
    return switch (way.drive().kind()) {
      case MAINS -> Says.MAINS_TO.filled(to);
      case PUMP ->
          "%s to %s, by %s".formatted(from, to, label(way.drive().pump().orElse(PartId.NONE)));
      case FALL -> Says.TO_BY_GRAVITY.filled(from, to);
    };
  }

  private String source(Source source) {
    return switch (source.kind()) {
      case MAINS -> Says.MAINS_WATER.text();
      case OUTSIDE -> Says.OUTSIDE_WATER.text();
      case TANK, JUG, WASTE -> label(source.part());
    };
  }

  private String end(End end) {
    return switch (end.kind()) {
      case TANK -> label(end.part());
      case GROUND -> Says.THE_GROUND_AT.filled(label(end.part()));
      case DUMP -> Says.THE_DRAIN_AT.filled(label(end.part()));
      case FIXTURE -> {
        PositionId position = state.setting().of(end.part());
        String how =
            switch (position.value()) {
              case "cold" -> Says.COLD.text();
              case "hot" -> Says.HOT.text();
              case "warm" -> Says.COLD_AND_HOT.text();
              default -> "";
            };
        yield label(end.part()) + how;
      }
    };
  }

  private String label(PartId part) {
    return rig.part(part).label();
  }

  static String list(List<String> words) {
    return switch (words.size()) {
      case 0 -> "nothing";
      case 1 -> words.getFirst();
      default -> String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.getLast();
    };
  }
}
