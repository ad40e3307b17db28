package fernwort.core.winter;

import fernwort.core.drain.Regions;
import fernwort.core.drain.Wintering;
import fernwort.core.glycol.FreezingPoint;
import fernwort.core.id.ElementId;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.say.Message;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.ResidualWater;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The water that is still in a rig, most dangerous first, each with how to get it out. */
public final class FrostRisks {

  /** Less in a line is a film, and breaks nothing (m³). */
  private static final double FILM = 5e-6;

  /** Less in a body is a drop (m³). */
  private static final double DROP = 1e-6;

  /** A tank or body up to half full lets ice grow upward. */
  private static final double HALF = 0.5;

  private final Network network;
  private final Wintering now;
  private final double cold;
  private final Regions regions;
  private final Map<ElementId, Operation> helps;

  private FrostRisks(Network network, Wintering now, double cold, Map<ElementId, Operation> helps) {
    this.network = network;
    this.now = now;
    this.cold = cold;
    this.helps = helps;
    regions = new Regions(network, now);
  }

  /**
   * Returns what is left, without looking for what would let it out.
   *
   * @param network the prepared rig
   * @param now how it stands
   * @param cold the cold it shall stand (K)
   */
  public static List<FrostRisk> of(Network network, Wintering now, double cold) {
    return new FrostRisks(network, now, cold, Map.of()).all();
  }

  /**
   * Returns what is left, each with the one thing that would get more of it out, if one does.
   *
   * @param cold the cold to stand (K)
   */
  public static List<FrostRisk> withHelp(Network network, Wintering now, double cold) {
    return new FrostRisks(network, now, cold, Helping.acts(network, now, cold)).all();
  }

  private List<FrostRisk> all() {
    List<FrostRisk> left = new ArrayList<>();
    for (Line line : network.rig().lines()) {
      double volume = now.wetness().volume(line);
      if (volume > FILM && !stands(line.id())) {
        left.add(line(line, volume));
      }
    }
    for (Part part : network.rig().parts()) {
      double volume = now.wetness().body(part.id());
      if (part.kind() instanceof Tank tank) {
        tank(part, tank).ifPresent(left::add);
      } else if (volume > DROP && !stands(part.id())) {
        left.add(body(part, volume));
      }
    }
    left.sort(
        Comparator.comparing(FrostRisk::harm)
            .thenComparing(Comparator.comparingDouble(FrostRisk::volume).reversed()));
    return left;
  }

  private boolean stands(ElementId id) {
    return FreezingPoint.stands(now.strength(id), cold);
  }

  private FrostRisk remaining(
      ElementId id,
      ResidualWater.Kind kind,
      double volume,
      FrostHarm harm,
      String how,
      String fix) {
    return new FrostRisk(
        id,
        kind,
        volume,
        harm,
        Message.words(how),
        Message.words(fix),
        Optional.ofNullable(helps.get(id)));
  }

  private FrostRisk line(Line line, double volume) {
    return switch (regions.of(line, network)) {
      case SHUT_IN ->
          remaining(
              line.id(),
              ResidualWater.Kind.LINE,
              volume,
              FrostHarm.DANGER,
              Says.FULL_BETWEEN_CLOSED_ENDS_ICE.text(),
              Says.OPEN_SOMETHING_AT_BOTH.text());
      case DEAD_END ->
          remaining(
              line.id(),
              ResidualWater.Kind.LINE,
              volume,
              FrostHarm.DANGER,
              Says.HELD_FULL_UP_TO_A_CLOSED_END.text(),
              Says.OPEN_ITS_CLOSED_END_OR_ADD.text());
      case AT_A_TANK ->
          remaining(
              line.id(),
              ResidualWater.Kind.LINE,
              volume,
              FrostHarm.WARNING,
              Says.FILLED_FROM_A_TANK.text(),
              Says.EMPTY_THE_TANK_FIRST.text());
      case POCKET -> pocket(line, volume);
    };
  }

  private FrostRisk pocket(Line line, double volume) {
    boolean sags = regions.sags(line, network);
    boolean stretches = line.material().stretches();
    return remaining(
        line.id(),
        ResidualWater.Kind.LINE,
        volume,
        stretches ? FrostHarm.NONE : FrostHarm.WARNING,
        Says.WITH_AIR_BESIDE_IT.filled(
            sags ? Says.A_POCKET_IN_A_LOW_SPOT.text() : Says.SOME_WATER_IN_IT.text(),
            stretches ? Says.THIS_LINE_STRETCHES.text() : Says.A_RIGID_LINE_MAY_SPLIT_THERE.text()),
        sags ? Says.LIFT_THE_LOW_SPOT_PARK.text() : Says.BLOW_IT_OUT_OR_PARK.text());
  }

  private Optional<FrostRisk> tank(Part part, Tank tank) {
    double volume = now.state().volume(part.id());
    if (volume <= FILM || stands(part.id())) {
      return Optional.empty();
    }
    boolean fuller = volume > HALF * network.room(part.id()).capacity();
    return Optional.of(
        remaining(
            part.id(),
            ResidualWater.Kind.TANK,
            volume,
            fuller ? FrostHarm.WARNING : FrostHarm.NONE,
            fuller
                ? Says.MORE_THAN_HALF_FULL_ICE_CLOSES.text()
                : Says.LESS_THAN_HALF_FULL_SO_ICE.text(),
            fuller
                ? tank.contents() == Contents.GRAY
                    ? Says.DUMP_IT_WHERE_LOCAL_RULES_PERMIT.text()
                    : Says.LET_IT_OUT_OR_AT_LEAST_DOWN.text()
                : Says.LEAVE_ITS_OUTLETS_OPEN.text()));
  }

  /** Bodies crack with little; one that is not over half full has air to grow into. */
  private FrostRisk body(Part part, double volume) {
    boolean little = volume <= HALF * part.volume();
    return remaining(
        part.id(),
        ResidualWater.Kind.BODY,
        volume,
        harm(part, little),
        part.kind().frozen(little),
        little && harm(part, true) == FrostHarm.WARNING
            ? Says.LEAVE_IT_OPEN_ICE_THERE_HAS_AIR.text()
            : part.kind().fix());
  }

  private FrostHarm harm(Part part, boolean little) {
    return switch (part.kind().frost()) {
      case CRACKS -> FrostHarm.DANGER;
      case CRACKS_WHEN_FULL -> little ? FrostHarm.WARNING : FrostHarm.DANGER;
      case AS_ITS_LINE -> byRegion(part);
      case LIFTS -> FrostHarm.WARNING;
      case NOTHING -> FrostHarm.NONE;
    };
  }

  private FrostHarm byRegion(Part part) {
    return switch (regions.at(network.first(network.index(part.id())))) {
      case SHUT_IN, DEAD_END -> FrostHarm.DANGER;
      case AT_A_TANK, POCKET -> FrostHarm.WARNING;
    };
  }
}
