package fernwort.core.winter.sheets;

import fernwort.core.drain.Wintering;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import fernwort.core.winter.routes.Route;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** A run sheet in the making: each step is done to the rig as it is written down. */
public final class WinterSheet {

  /** A turn of a hand, the walk to it aside (s). */
  private static final double TURN = 15;

  /** A fitting undone and tipped out (s). */
  private static final double UNDOING = 300;

  private final Network network;
  private final List<WinterStep> steps = new ArrayList<>();
  private final List<Message> notes = new ArrayList<>();

  /** What has begun and is looked at again once hands are free. */
  private final List<WinterStep> waiting = new ArrayList<>();

  private final Connections free;
  private Wintering now;

  /** Begins a sheet for a rig as it stands. */
  public WinterSheet(Network network, Wintering now) {
    this(network, Connections.withHandlesFree(network), now);
  }

  private WinterSheet(Network network, Connections free, Wintering now) {
    this.network = network;
    this.free = free;
    this.now = now;
  }

  /** Returns a sheet that goes on from here by itself. */
  public WinterSheet copy() {
    WinterSheet copy = new WinterSheet(network, free, now);
    copy.steps.addAll(steps);
    copy.notes.addAll(notes);
    copy.waiting.addAll(waiting);
    return copy;
  }

  /**
   * Returns a sheet with the same notes and other steps.
   *
   * @param after how the rig stands after them
   */
  public WinterSheet with(List<WinterStep> others, Wintering after) {
    WinterSheet other = new WinterSheet(network, free, after);
    other.steps.addAll(others);
    other.notes.addAll(notes);
    return other;
  }

  /** Returns the rig. */
  public Network network() {
    return network;
  }

  /** Returns how it stands after all steps so far. */
  public Wintering now() {
    return now;
  }

  /** Returns the steps so far. */
  public List<WinterStep> steps() {
    return steps;
  }

  /** Returns what was noted. */
  public List<Message> notes() {
    return notes;
  }

  /** Notes something that is no step. */
  public void note(Message note) {
    if (!notes.contains(note)) {
      notes.add(note);
    }
  }

  /** Writes a step down and does it. */
  public void add(WinterStep step) {
    steps.add(step);
    now = step.act().on(network, now);
  }

  /** Keeps a wait for later: it goes on while hands do other things. */
  public void later(WinterStep wait) {
    waiting.add(wait);
  }

  /** Writes down what was kept for later. */
  public void nowWait() {
    waiting.forEach(this::add);
    waiting.clear();
  }

  /** Puts one thing somewhere, unless it is there. */
  public void put(Part part, PositionId position, String why) {
    put(part, position, Message.words(why));
  }

  /** Puts one thing somewhere, unless it is there, for a reason with amounts in it. */
  public void put(Part part, PositionId position, Message why) {
    if (!isSo(part, position)) {
      PositionId from =
          now.has(part, Kind.UNDONE)
              ? Kind.UNDONE
              : now.state().setting().positions().getOrDefault(part.id(), PositionId.NONE);
      add(
          new WinterStep(
                  new Operation.Put(part.id(), position),
                  part.place(),
                  Message.words(network.rig().act(part, from, position)),
                  why,
                  position.equals(Kind.UNDONE) ? UNDOING : TURN,
                  false,
                  0)
              .by(WinterStep.Hand.of(part.id(), sort(part, position))));
    }
  }

  private WinterStep.Sort sort(Part part, PositionId position) {
    if (position.equals(Kind.UNDONE)) {
      return WinterStep.Sort.UNDO;
    } else if (now.has(part, Kind.UNDONE)) {
      return WinterStep.Sort.REFIT;
    }
    return WinterStep.Sort.of(part.kind());
  }

  boolean isSo(Part part, PositionId position) {
    boolean inUse =
        !part.kind().service().isEmpty()
            && part.kind().service().getFirst().id().equals(position)
            && part.kind().positions().stream().noneMatch(p -> p.id().equals(position));
    return inUse
        ? !now.service().containsKey(part.id())
        : now.has(part, position)
            || now.state().setting().has(part.id(), position) && !now.has(part, Valve.HALF);
  }

  /** Shuts every valve that no way needs, so that air or antifreeze stays on its way. */
  public void closeBeside(PortRef inlet, List<Route> routes) {
    Stream<Part> valves =
        network.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.TURNS) && isReached(inlet, p))
            .filter(p -> routes.stream().noneMatch(r -> r.needs().containsKey(p.id())));
    for (Part part : byPlace(valves)) {
      ((Valve) part.kind())
          .shut()
          .ifPresent(stop -> put(part, stop.id(), Says.SO_THAT_NONE_GOES_OUT_HERE.text()));
    }
  }

  /** Shuts every tap, place by place. */
  public void shutTaps(String why) {
    Stream<Part> taps = network.rig().parts().stream().filter(p -> p.kind().is(Purpose.USE));
    for (Part part : byPlace(taps)) {
      put(part, part.rest().id(), why);
    }
  }

  /**
   * Shuts every end but taps that air or antifreeze would leave by, bowls and drained heaters with
   * it; not the one that it comes in by.
   *
   * @param inlet the part at which it comes in
   * @param out where it goes on from there
   * @param why what would happen else
   */
  public void shutEnds(Part inlet, PortRef out, String why) {
    Stream<Part> ends =
        network.rig().parts().stream()
            .filter(p -> !p.equals(inlet) && isReached(out, p))
            .filter(p ->
                p.kind().is(Purpose.CAP)
                    || p.kind().is(Purpose.INLET)
                    || p.kind().is(Purpose.POURED_INTO));
    for (Part part : byPlace(ends)) {
      put(part, part.rest().id(), why);
    }
    for (Part part : network.rig().parts()) {
      if (!isReached(out, part)) {
        continue;
      }
      if (part.kind().is(Purpose.FILTERS) || part.kind().is(Purpose.STRAINS)) {
        put(part, Kind.ON, Says.EMPTY_WITHOUT_ITS_CARTRIDGE.filled(why));
      } else if (part.kind().is(Purpose.HEATS)) {
        put(part, part.kind().service().getFirst().id(), Says.IT_HAS_RUN_OUT.filled(why));
      }
    }
  }

  /** Tells whether what is let in somewhere can come to a part without passing a tank or a tap. */
  private boolean isReached(PortRef from, Part part) {
    return free.behind(from.part(), from.port(), p -> false, part::equals).isPresent();
  }

  /** Opens again what was shut beside the ways of antifreeze and holds none of it. */
  public void openBeside(Wintering before) {
    for (Part part : network.rig().parts()) {
      boolean dry =
          part.kind().ports().stream()
              .filter(port -> network.hasLine(part.port(port)))
              .map(port -> network.rig().lines().get(network.lineAt(part.port(port))).id())
              .noneMatch(now.glycol()::containsKey);
      if (part.kind().is(Purpose.TURNS) && dry && staysAt(part)) {
        PositionId was =
            before.service().getOrDefault(part.id(), before.state().setting().of(part.id()));
        // Half way between which of its ways: that only one of several has to be told.
        if (before.has(part, Valve.HALF) && part.kind().inLine() == InLine.SELECTS) {
          put(part, before.state().setting().of(part.id()), Says.AS_IT_WAS_BEFORE.text());
        }
        put(part, was, Says.NO_ANTIFREEZE_IS_LEFT_HERE_WATER.text());
      }
    }
  }

  /** Tells whether water stands in a part or in a line at it, antifreeze not counted. */
  public boolean staysAt(Part part) {
    return now.wetness().body(part.id()) > 0 && now.strength(part.id()) <= 0
        || part.kind().ports().stream()
            .filter(port -> network.hasLine(part.port(port)))
            .map(port -> network.rig().lines().get(network.lineAt(part.port(port))))
            .anyMatch(line -> now.wetness().volume(line) > 0 && now.strength(line.id()) <= 0);
  }

  /** Writes a step that changes nothing in the water (s). */
  public void heed(PlaceId place, String words, String why, double seconds, boolean timed) {
    heed(place, Message.words(words), why, seconds, timed);
  }

  /** Writes a step that changes nothing in the water (s). */
  public void heed(PlaceId place, Message words, String why, double seconds, boolean timed) {
    add(new WinterStep(new Operation.Heed(), place, words, Message.words(why), seconds, timed, 0));
  }

  /** Writes a step that changes nothing in the water, and what a hand does in it (s). */
  public void heed(
      Part part, WinterStep.Hand hand, String words, String why, double seconds, boolean timed) {
    add(
        new WinterStep(
                new Operation.Heed(),
                part.place(),
                Message.words(words),
                Message.words(why),
                seconds,
                timed,
                0)
            .by(hand));
  }

  /** Returns parts of the rig place by place, high ones first, so that air follows water down. */
  public List<Part> byPlace(Stream<Part> parts) {
    List<Part> chosen = parts.toList();
    return chosen.stream()
        .sorted(
            Comparator.comparingDouble((Part p) -> -highest(chosen, p.place()))
                .thenComparing(Part::place)
                .thenComparingDouble(p -> -p.height()))
        .toList();
  }

  private static double highest(List<Part> parts, PlaceId place) {
    return parts.stream()
        .filter(p -> p.place().equals(place))
        .mapToDouble(Part::height)
        .max()
        .orElse(0);
  }
}
