package fernwort.core.jobs.mistake;

import fernwort.core.hazard.Warning;
import fernwort.core.hydraulics.Flows;
import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Thing;
import fernwort.core.jobs.wait.StageRun;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.machine.Driven;
import fernwort.core.kind.machine.DryRun;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.road.Drive;
import fernwort.core.road.Road;
import fernwort.core.run.Event;
import fernwort.core.run.Landmarks;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** What a slip led to, held against the job done right: how bad it is, how soon, what was lost. */
final class SlipJudge {

  /** Less than this share of what should have come or moved, and the job is not done. */
  private static final double HALF = 0.5;

  /** A pump that runs dry so much longer than meant is noticed (s). */
  private static final double NOTICED = 5;

  /** A pump that runs dry for longer than this wears, even if it bears more (s). */
  private static final double WEARS = 60;

  /** The drive that follows a job some time. */
  private static final Drive NEXT = Drive.READY.getFirst();

  /** The night that follows a job some time (s). */
  private static final double NIGHT = 10 * 3600.0;

  /** What comes after a job, whatever it was: it may lose water that the job itself did not. */
  private enum After {
    DRIVE,
    NIGHT
  }

  private final Network network;
  private final Trial trial;
  private final SlipWords words;
  private final Road road;

  /** What the job done right loses, worked out once for all mistakes in it. */
  private final Map<After, Kept> right = new ConcurrentHashMap<>();

  SlipJudge(Network network, Trial trial) {
    this.network = network;
    this.trial = trial;
    words = new SlipWords(network.rig());
    road = Road.of(Landmarks.of(network));
  }

  /**
   * Judges a slip.
   *
   * @param meant what comes of the job done right
   * @param came what came of the slip
   * @param from how things stood before either
   */
  Slip judge(Try slip, Trial.Outcome meant, Trial.Outcome came, State from) {
    Verdict verdict = new Verdict();
    dangers(meant, came, verdict);
    harms(meant, came, verdict);
    running(meant, came, verdict);
    losses(meant, came, verdict);
    spills(meant, came, verdict);
    for (After next : After.values()) {
      if (verdict.grade == Slip.Grade.HARMLESS && areValvesElsewhere(meant.end(), came.end())) {
        later(next, meant.end(), came.end(), verdict);
      }
    }
    if (verdict.grade == Slip.Grade.HARMLESS && isUndone(meant, came, from)) {
      Message undone =
          weakest(meant, came)
              .map(tap -> words.weak(tap, served(came, tap), served(meant, tap)))
              .orElseGet(Says.THE_JOB_DOES_NOT_GET_DONE::with);
      verdict.leads(undone, Slip.Grade.NUISANCE);
    }
    return new Slip(
        slip.kind(),
        slip.step(),
        slip.words(),
        verdict.grade,
        Double.isFinite(verdict.after) ? verdict.after : 0,
        verdict.lost,
        SlipWords.sentence(verdict.leads),
        SlipWords.undone(verdict.grade, verdict.broken, verdict.lost));
  }

  /** What is found while a slip is judged; the worst decides. */
  private static final class Verdict {

    private final List<Message> leads = new ArrayList<>();
    private Slip.Grade grade = Slip.Grade.HARMLESS;

    /** When the first harm began (s); infinite for none. */
    private double after = Double.POSITIVE_INFINITY;

    private double lost;
    private boolean broken;

    private void leads(Message to, Slip.Grade atLeast) {
      leads.add(to);
      grade = grade.compareTo(atLeast) <= 0 ? grade : atLeast;
    }

    private void begins(double at) {
      after = Math.min(after, at);
    }
  }

  private void dangers(Trial.Outcome meant, Trial.Outcome came, Verdict verdict) {
    for (Map.Entry<Warning.Key, Double> danger : came.dangers().entrySet()) {
      if (!meant.dangers().containsKey(danger.getKey())) {
        verdict.leads(words.danger(danger.getKey()), Slip.Grade.GRAVE);
        verdict.begins(danger.getValue());
      }
    }
    verdict.broken =
        came.dangers().keySet().stream().anyMatch(d -> d.code() == Warning.Code.HEATER_DRY);
  }

  private void harms(Trial.Outcome meant, Trial.Outcome came, Verdict verdict) {
    for (Map.Entry<Thing, Double> thing : came.happenings().entrySet()) {
      boolean timed = thing.getKey().kind() == Event.Kind.DRAWS_AIR;
      if (timed || meant.happenings().containsKey(thing.getKey())) {
        continue;
      }
      words
          .harm(thing.getKey(), thing.getValue())
          .ifPresent(harm -> {
            boolean breaks = breaks(thing.getKey().kind());
            verdict.leads(harm, breaks ? Slip.Grade.GRAVE : Slip.Grade.BAD);
            verdict.begins(thing.getValue());
            verdict.broken |= breaks;
          });
      if (thing.getKey().kind() == Event.Kind.SUCKED_IN && siphons(came)) {
        PartId tank = thing.getKey().subject().part();
        verdict.leads(words.runsOn(tank, came.end().volume(tank)), Slip.Grade.GRAVE);
      }
    }
  }

  private static boolean siphons(Trial.Outcome came) {
    return came.happenings().keySet().stream().anyMatch(t -> t.kind() == Event.Kind.SIPHONS);
  }

  /** Pumps that ran dry, or against a closed outlet that no switch heeds, for too long. */
  private void running(Trial.Outcome meant, Trial.Outcome came, Verdict verdict) {
    came.lasted()
        .forEach((thing, seconds) -> {
          Kind kind = network.rig().part(thing.subject().part()).kind();
          boolean dry = thing.kind() == Event.Kind.DRAWS_AIR;
          boolean heeds = kind instanceof Pump pump && pump.stopsItself();
          double longer = seconds - meant.lasted().getOrDefault(thing, 0.0);
          if (longer <= NOTICED || !dry && heeds || !(kind instanceof Driven driven)) {
            return;
          }
          double bears = DryRun.of(driven);
          boolean breaks = seconds > bears;
          if (breaks || seconds > WEARS && Double.isFinite(bears)) {
            verdict.leads(
                words.running(thing.subject().part(), dry, seconds),
                breaks ? Slip.Grade.GRAVE : Slip.Grade.BAD);
            verdict.begins(came.happenings().getOrDefault(thing, 0.0));
            verdict.broken |= breaks;
          }
        });
  }

  /** What runs over the hands while an outlet stands open between its cap and its hose. */
  private void spills(Trial.Outcome meant, Trial.Outcome came, Verdict verdict) {
    came.spilt()
        .forEach((outlet, volume) -> {
          double more = volume - meant.spilt().getOrDefault(outlet, 0.0);
          if (more > StageRun.SPLASH) {
            verdict.lost += more;
            verdict.leads(words.overTheHands(more, outlet), Slip.Grade.BAD);
            Thing runs = new Thing(Event.Kind.RUNS_OUT, outlet);
            Optional.ofNullable(came.happenings().get(runs)).ifPresent(verdict::begins);
          }
        });
  }

  private void losses(Trial.Outcome meant, Trial.Outcome came, Verdict verdict) {
    for (Map.Entry<PartId, Double> out : came.out().entrySet()) {
      double more = lost(came, out.getKey()) - lost(meant, out.getKey());
      if (more > StageRun.SPLASH) {
        verdict.lost += more;
        verdict.leads(words.loss(more, out.getKey()), Slip.Grade.BAD);
        Thing runs = new Thing(Event.Kind.RUNS_OUT, out.getKey());
        Optional.ofNullable(came.happenings().get(runs)).ifPresent(verdict::begins);
      }
    }
  }

  private boolean areValvesElsewhere(State meant, State came) {
    return network
        .rig()
        .handles()
        .filter(p -> p.kind().is(Purpose.TURNS))
        .anyMatch(p -> !came.setting().has(p.id(), meant.setting().of(p.id())));
  }

  /** What is lost on the next drive, or in the next night, for a handle that nobody missed. */
  private void later(After next, State meant, State came, Verdict verdict) {
    Map<PartId, Double> right = right(next, meant);
    loses(next, came)
        .forEach((end, volume) -> {
          double more = volume - right.getOrDefault(end, 0.0);
          if (more > StageRun.SPLASH) {
            verdict.lost += more;
            verdict.leads(
                switch (next) {
                  case DRIVE -> words.onTheDrive(more, end);
                  case NIGHT -> words.overnight(more, end);
                },
                Slip.Grade.BAD);
          }
        });
  }

  /** What leaves at each end (m³). */
  private Map<PartId, Double> loses(After next, State from) {
    return switch (next) {
      case DRIVE -> NEXT.loses(road, from);
      case NIGHT -> trial.leftAlone(from, NIGHT);
    };
  }

  private Map<PartId, Double> right(After next, State meant) {
    Kept kept = right.get(next);
    if (kept == null || !kept.from.equals(meant)) {
      kept = new Kept(meant, loses(next, meant));
      right.put(next, kept);
    }
    return kept.lost;
  }

  private record Kept(State from, Map<PartId, Double> lost) {}

  /** What was lost at an end, but for what ran over somebody's hands there. */
  private static double lost(Trial.Outcome of, PartId end) {
    return Math.max(0, of.out().getOrDefault(end, 0.0) - of.spilt().getOrDefault(end, 0.0));
  }

  private static boolean breaks(Event.Kind kind) {
    return switch (kind) {
      case BURSTS, SUCKED_IN -> true;
      case BULGES,
          FULL,
          DRY,
          DRAWS_AIR,
          RUNS_OUT,
          SIPHONS,
          CYCLES,
          RESTS,
          POURED_OUT,
          BACKS_UP,
          FLOAT_SHUTS,
          HOT,
          AWAITED,
          HAND ->
          false;
    };
  }

  /**
   * Tells whether the job is not done: a tap gives less than half of what it should, or a tank's
   * water moved less than half as far as it should have.
   */
  boolean isUndone(Trial.Outcome meant, Trial.Outcome came, State from) {
    return weakest(meant, came).isPresent()
        || network.tanks().stream()
            .map(Part::id)
            .anyMatch(t -> {
              double should = meant.end().volume(t) - from.volume(t);
              double did = came.end().volume(t) - from.volume(t);
              return Math.abs(should) > StageRun.SPLASH
                  && Math.abs(did - should) > HALF * Math.abs(should);
            });
  }

  /** The first tap that was tried and gives less than half of what it should. */
  private static Optional<PartId> weakest(Trial.Outcome meant, Trial.Outcome came) {
    return meant.served().entrySet().stream()
        .filter(t -> t.getValue() > Flows.TRICKLE)
        .filter(t -> came.served().containsKey(t.getKey()))
        .filter(t -> served(came, t.getKey()) < HALF * t.getValue())
        .map(Map.Entry::getKey)
        .findFirst();
  }

  private static double served(Trial.Outcome of, PartId tap) {
    return of.served().getOrDefault(tap, 0.0);
  }
}
