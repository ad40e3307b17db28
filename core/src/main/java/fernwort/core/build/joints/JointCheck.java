package fernwort.core.build.joints;

import fernwort.core.id.LineId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Made;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Seal;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import fernwort.core.streams.LineService;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What does not mate in a rig as somebody described its ends, and what would. */
public final class JointCheck {

  private final Rig rig;
  private final Adapters adapters;
  private final Map<LineId, LineService.Stream> streams;
  private final List<EndFinding> found = new ArrayList<>();

  private JointCheck(Rig rig, Adapters adapters) {
    this.rig = rig;
    this.adapters = adapters;
    streams = LineService.of(rig);
  }

  /** Returns all findings, in the order of the lines, in metric sizes. */
  public static List<EndFinding> of(Rig rig) {
    return of(rig, Region.METRIC);
  }

  /**
   * Returns all findings, in the order of the lines.
   *
   * @param region whose sizes are usual where nobody said what an end has
   */
  public static List<EndFinding> of(Rig rig, Region region) {
    JointCheck look = new JointCheck(rig, Adapters.shelf());
    JointEnds.of(rig, region).forEach(look::look);
    look.reliefs();
    return look.found;
  }

  private void look(JointEnds ends) {
    Optional<List<Adapter>> chain = adapters.between(ends.port().form(), ends.end().form());
    // What is only usual on one side is not wrong, it is bridged.
    boolean described = !ends.portUsual() && !ends.endUsual();
    if (described && !Mating.mates(ends.port().form(), ends.end().form())) {
      apart(ends, chain);
    } else if (chain.isEmpty()) {
      add(
          EndFinding.Code.NO_CHAIN,
          ends,
          Says.NO_CHAIN_OF_ADAPTERS_IS_KNOWN.with(
              Adapter.words(ends.port().form()), Adapter.words(ends.end().form())),
          Says.MEASURE_BOTH_DESCRIBE_THEM.with());
    }
    material(ends, ends.port());
    material(ends, ends.end());
    sealedTwice(ends);
  }

  /** Two described ends that do not mate. */
  private void apart(JointEnds ends, Optional<List<Adapter>> chain) {
    Form port = ends.port().form();
    Form end = ends.end().form();
    Message fix =
        chain
            .map(c -> Says.PUT_BETWEEN_THEM.with(words(c)))
            .orElse(Says.NO_ADAPTER_IS_KNOWN_THAT_JOINS.with());
    EndFinding.Code code = code(port, end);
    switch (code) {
      case TAIL_WARMED ->
          add(
              code,
              ends,
              Says.IS_TIGHT_ON_IT_GOES.with(
                  Adapter.words(tail(port, end)), Adapter.words(hose(port, end))),
              Says.NO_FLAME_IF_IT_WILL_NOT_GO.with());
      case NO_CEMENT_HOLDS ->
          add(
              code,
              ends,
              Says.NO_CEMENT_HOLDS_ON_POLYETHYLENE.with(),
              Says.A_GROMMET_A_BULKHEAD.with());
      case TWO_PLASTICS ->
          add(
              code,
              ends,
              Says.AND_WANT_CEMENTS_OF_THEIR_OWN.with(Adapter.words(port), Adapter.words(end)),
              Says.A_THREADED_JOINT_BETWEEN_THEM.with());
      case TWO_STANDARDS,
          TWO_SIZES,
          SAME_HALVES,
          TAIL_SMALL,
          TAIL_LARGE,
          OTHER,
          BRASS,
          SEALED_TWICE,
          NO_CHAIN,
          RELIEF_SHUT ->
          add(
              code,
              ends,
              Says.DOES_NOT_JOIN.with(Adapter.words(port), Adapter.words(end), because(code)),
              fix);
    }
  }

  private static String because(EndFinding.Code code) {
    return switch (code) {
      case TWO_STANDARDS -> Says.THE_FIRST_TURNS_GO.text();
      case SAME_HALVES -> Says.BOTH_ARE_THE_SAME_HALF.text();
      case TAIL_SMALL -> Says.NO_CLAMP_MAKES_UP_FOR_A_TAIL.text();
      case TAIL_LARGE -> Says.IT_SPLITS_THE_HOSE.text();
      case TWO_SIZES -> Says.THE_SIZES_DIFFER.text();
      case OTHER,
          TAIL_WARMED,
          NO_CEMENT_HOLDS,
          TWO_PLASTICS,
          BRASS,
          SEALED_TWICE,
          NO_CHAIN,
          RELIEF_SHUT ->
          "";
    };
  }

  private static Form tail(Form a, Form b) {
    return a instanceof Connection.HoseTail ? a : b;
  }

  private static Form hose(Form a, Form b) {
    return a instanceof Connection.HoseEnd ? a : b;
  }

  /** What two forms that do not mate have against each other. */
  public static EndFinding.Code code(Form a, Form b) {
    EndFinding.Code one = oneWay(a, b);
    return one == EndFinding.Code.OTHER ? oneWay(b, a) : one;
  }

  private static EndFinding.Code oneWay(Form a, Form b) {
    if (a instanceof Connection.Thread x && b instanceof Connection.Thread y) {
      return threads(x.standard(), x.size(), x.gender(), y.standard(), y.size(), y.gender());
    }
    if (a instanceof Connection.Thread x && b instanceof Connection.Bulkhead y) {
      return threads(x.standard(), x.size(), x.gender(), y.standard(), y.size(), Gender.FEMALE);
    }
    if (a instanceof Connection.HoseTail x && b instanceof Connection.HoseEnd y) {
      double times = x.bore() / y.bore();
      return times < 1
          ? EndFinding.Code.TAIL_SMALL
          : times <= Mating.WARMED ? EndFinding.Code.TAIL_WARMED : EndFinding.Code.TAIL_LARGE;
    }
    Optional<Plastic> x = cemented(a);
    Optional<Plastic> y = cemented(b);
    if (x.isPresent() && y.isPresent()) {
      return plastics(a, b, x.get(), y.get());
    }
    return EndFinding.Code.OTHER;
  }

  private static EndFinding.Code plastics(Form a, Form b, Plastic x, Plastic y) {
    if (!x.cements() || !y.cements()) {
      return EndFinding.Code.NO_CEMENT_HOLDS;
    }
    if (x != y) {
      return EndFinding.Code.TWO_PLASTICS;
    }
    return a instanceof Connection.Socket == b instanceof Connection.Socket
        ? EndFinding.Code.SAME_HALVES
        : EndFinding.Code.TWO_SIZES;
  }

  private static Optional<Plastic> cemented(Form form) {
    return form instanceof Connection.Socket s
        ? Optional.of(s.plastic())
        : form instanceof Connection.Spigot p ? Optional.of(p.plastic()) : Optional.empty();
  }

  private static EndFinding.Code threads(
      Standard standard, String size, Gender gender, Standard other, String of, Gender half) {
    if (!alike(standard, other)) {
      return EndFinding.Code.TWO_STANDARDS;
    }
    if (!size.equals(of)) {
      return EndFinding.Code.TWO_SIZES;
    }
    return gender == half ? EndFinding.Code.SAME_HALVES : EndFinding.Code.OTHER;
  }

  private static boolean alike(Standard a, Standard b) {
    return a == b
        || a == Standard.BSP_PARALLEL && b == Standard.BSP_TAPERED
        || a == Standard.BSP_TAPERED && b == Standard.BSP_PARALLEL;
  }

  private void material(JointEnds ends, Connection connection) {
    boolean drinking =
        switch (streams.getOrDefault(ends.line().id(), LineService.Stream.AIR)) {
          case FRESH, HOT -> true;
          case GRAY, AIR, OUTSIDE -> false;
        };
    if (drinking && connection.made().filter(m -> m == Made.BRASS).isPresent()) {
      add(
          EndFinding.Code.BRASS,
          ends,
          Says.PLAIN_BRASS_STANDS_IN_DRINKING.with(),
          Says.PLASTIC_STAINLESS_OR_BRASS_SOLD.with());
    }
  }

  /** Tape lifts a joint off its O-ring or washer. */
  private void sealedTwice(JointEnds ends) {
    Optional<Seal> port = ends.port().seal();
    Optional<Seal> end = ends.end().seal();
    boolean tape = port.equals(Optional.of(Seal.TAPE)) || end.equals(Optional.of(Seal.TAPE));
    boolean ring = isRing(port) || isRing(end);
    if (tape && ring) {
      add(
          EndFinding.Code.SEALED_TWICE,
          ends,
          Says.TAPE_WHERE_A_RING_OR_WASHER.with(),
          Says.LEAVE_THE_TAPE_OFF_THE_RING.with());
    }
  }

  private static boolean isRing(Optional<Seal> seal) {
    return seal.equals(Optional.of(Seal.O_RING)) || seal.equals(Optional.of(Seal.FLAT_WASHER));
  }

  // --- relief ------------------------------------------------------------------------------------

  /** What a relief valve lets out has to come out, whatever anybody shuts. */
  private void reliefs() {
    Map<PortRef, Line> lines = rig.linesByPort();
    for (Part part : rig.parts()) {
      if (part.kind().relieves()) {
        shutter(part, lines)
            .ifPresent(shut ->
                found.add(
                    new EndFinding(
                        EndFinding.Code.RELIEF_SHUT,
                        part.port(PortId.OUT),
                        Optional.ofNullable(lines.get(part.port(PortId.OUT)))
                            .map(Line::id)
                            .orElse(LineId.NONE),
                        Says.WHAT_LETS_OUT_PASSES.with(part.label(), shut.label()),
                        Says.LEAD_ITS_TUBE_BY_ITSELF_FALLING.with())));
      }
    }
  }

  /** The first thing on the way out that can be shut. */
  private Optional<Part> shutter(Part relief, Map<PortRef, Line> lines) {
    Deque<PortRef> front = new ArrayDeque<>(List.of(relief.port(PortId.OUT)));
    Set<PortRef> seen = new HashSet<>();
    while (!front.isEmpty()) {
      PortRef at = front.remove();
      Line line = lines.get(at);
      if (line == null || !seen.add(at)) {
        continue;
      }
      Part next = rig.part(line.other(at).part());
      boolean shuts =
          next.kind().is(Purpose.TURNS)
              || next.kind().is(Purpose.OUTLET) && next.hasHandle()
              || next.kind().is(Purpose.CLOSES);
      if (shuts) {
        return Optional.of(next);
      }
      if (next.kind().is(Purpose.JOINS)) {
        next.kind().ports().stream()
            .map(next::port)
            .filter(p -> !p.equals(line.other(at)))
            .forEach(front::add);
      }
    }
    return Optional.empty();
  }

  /** Returns a chain in words. */
  public static String words(List<Adapter> chain) {
    return String.join(Says.THEN.text(), chain.stream().map(a -> a.words()).toList());
  }

  private void add(EndFinding.Code code, JointEnds ends, Message what, Message fix) {
    found.add(new EndFinding(code, ends.at(), ends.line().id(), what, fix));
  }
}
