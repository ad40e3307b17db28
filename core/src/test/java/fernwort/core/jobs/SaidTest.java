package fernwort.core.jobs;

import fernwort.core.OnRecord;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Finder;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Objection;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.mistake.Remedy;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.mistake.SlipWords;
import fernwort.core.jobs.plan.Reasons;
import fernwort.core.jobs.plan.Troubles;
import fernwort.core.jobs.wait.WaitWords;
import fernwort.core.kind.Position;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.say.Message;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every sentence that jobs say of themselves, on record word by word. */
class SaidTest {

  private static final DemoRig TRUCK = DemoRig.called("marginalia");
  private static final Network PLUMBING = Network.of(TRUCK.rig());
  private static final Need NEED = need(Source.Kind.TANK, PartId.of("main"));
  private static final Need MAINS = need(Source.Kind.MAINS, PartId.of("inlet"));
  private static final Goal GOAL = Goal.of(Map.of(), List.of(NEED));

  private static Need need(Source.Kind kind, PartId from) {
    return Need.of(
        new Source(kind, from),
        new End(End.Kind.FIXTURE, PartId.of("sink")),
        Finder.PUMPED_OR_FALLING);
  }

  private static ConditionEvaluator scout(State state, Goal goal) {
    return new ConditionEvaluator(PLUMBING, Hazards.of(PLUMBING), Set.of(), state, goal);
  }

  private static FlowPath way() {
    State running =
        TRUCK
            .state()
            .with(PartId.of("tank-selector"), PositionId.of("main"))
            .with(PartId.of("pump"), PositionId.of("on"))
            .with(PartId.of("sink"), PositionId.of("cold"));
    ConditionEvaluator scout = scout(running, GOAL);
    return scout.ways(running.setting()).ways().stream()
        .filter(w -> w.end().part().equals(PartId.of("sink")))
        .findFirst()
        .orElseThrow();
  }

  private static Warning warning() {
    State open =
        TRUCK
            .state()
            .with(PartId.of("dump-outlet"), PositionId.of("open"))
            .with(PartId.of("gray-dump"), PositionId.of("open"));
    return scout(open, GOAL)
        .unseen(open.setting(), scout(open, GOAL).seen().levels())
        .orElseGet(() ->
            Hazards.of(PLUMBING)
                .withPower(
                    open.setting(),
                    scout(open, GOAL).seen().levels(),
                    scout(open, GOAL).ways(open.setting()))
                .getFirst());
  }

  private static List<Objection> objections() {
    Harm harm =
        new Harm(
            Harm.Kind.LOST,
            PartId.of("sink"),
            5,
            Message.of("water is lost"),
            Message.of("Shut it."));
    return List.of(
        new Objection.Misplaced(PartId.of("pump"), PositionId.of("on")),
        new Objection.Missing(NEED),
        new Objection.Missing(MAINS),
        new Objection.Apart(PartId.of("main"), PartId.of("low")),
        new Objection.Unlinked(PartId.of("main"), PartId.of("low")),
        new Objection.Joined(
            PartId.of("gray"), PartId.of("dump-outlet"), List.of(PartId.of("gray-dump"))),
        new Objection.Stray(way()),
        new Objection.Leaking(PartId.of("main"), way()),
        new Objection.Danger(warning()),
        new Objection.Airless(PartId.of("low")),
        new Objection.ShutIn(PartId.of("low")),
        new Objection.StopsShort(PartId.of("main"), 0.05),
        new Objection.NotRound(PartId.of("pump"), Optional.empty()),
        new Objection.NotRound(PartId.of("pump"), Optional.of(PartId.of("heater"))),
        new Objection.PumpOn(PartId.of("pump")),
        new Objection.Unfed(PartId.of("pump")),
        new Objection.Bypassed(PartId.of("sediment"), List.of(PartId.of("pump"))),
        new Objection.Keeping(PartId.of("main"), Map.of()),
        new Objection.Keeping(PartId.NONE, Map.of()),
        new Objection.Disproved(harm));
  }

  @Test
  void whyAJobCannotBeDone() {
    Troubles troubles = new Troubles(PLUMBING);
    List<String> told = new ArrayList<>();
    for (Objection objection : objections()) {
      Plan.Trouble trouble = troubles.blocked(GOAL, Optional.of(objection));
      told.add(
          "%s: %s%s"
              .formatted(
                  objection.getClass().getSimpleName(),
                  trouble.words(),
                  trouble.hazard().map(h -> " (" + h.code() + ")").orElse("")));
    }
    told.add("none: " + troubles.blocked(GOAL, Optional.empty()).words());
    told.add("no need: " + troubles.blocked(Goal.of(Map.of()), Optional.empty()).words());
    told.add(
        "needed: "
            + troubles.needed(new Turn(PartId.of("gray-dump"), PositionId.of("open"))).words());
    told.add("without a valve: " + troubles.without(GOAL));
    told.add(
        "without parting: "
            + troubles.without(
                GOAL.and(new Condition.Parted(PartId.of("gray"), PartId.of("sink")))));
    told.add(
        "without a drain: " + troubles.without(GOAL.and(new Condition.RunsOut(PartId.of("main")))));
    OnRecord.assertAsRead("words/troubles", told);
  }

  @Test
  void whatATurnIsFor() {
    Reasons reasons = new Reasons(scout(TRUCK.state(), GOAL));
    Reasons quiet =
        new Reasons(scout(TRUCK.state(), GOAL.and(new Condition.Quiet(way().source().part()))));
    Part pump = TRUCK.rig().part(PartId.of("pump"));
    List<String> told = new ArrayList<>();
    for (Objection objection : objections()) {
      told.add(
          objection.getClass().getSimpleName()
              + ": "
              + reasons.why(objection, pump, PositionId.of("on")));
    }
    told.add("Stray, quiet: " + quiet.why(new Objection.Stray(way()), pump, PositionId.of("on")));
    for (Source.Kind kind : Source.Kind.values()) {
      told.add(kind + ": " + reasons.name(new Source(kind, PartId.of("main"))));
    }
    OnRecord.assertAsRead("words/reasons", told);
  }

  /** Each sort of part once, in each position. */
  @Test
  void whatAPositionIsForAndHowOneKnows() {
    Reasons reasons = new Reasons(scout(TRUCK.state(), GOAL));
    Map<String, String> told = new TreeMap<>();
    Stream<Rig> rigs =
        Stream.concat(
            DemoRig.all().stream().map(DemoRig::rig), ReadyRig.all().stream().map(ReadyRig::rig));
    rigs.flatMap(r -> r.parts().stream())
        .forEach(part -> {
          for (Position position : part.kind().positions()) {
            String why =
                reasons
                    .why(new Objection.Misplaced(part.id(), position.id()), part, position.id())
                    .toString();
            told.putIfAbsent(
                "%s %s, %s".formatted(part.kind().getClass().getSimpleName(), position.id(), why),
                part.kind().notice(position.id()));
          }
        });
    OnRecord.assertAsRead(
        "words/positions",
        told.entrySet().stream().map(e -> e.getKey() + " [" + e.getValue() + "]").toList());
  }

  @Test
  void whatIsWaitedFor() {
    WaitWords words = new WaitWords(PLUMBING);
    Moment now = Simulation.start(PLUMBING, TRUCK.state()).moment();
    List<String> told = new ArrayList<>();
    List<Job.Until.What> awaited =
        Stream.of(Job.Until.What.values()).filter(w -> !w.isByHand()).toList();
    for (Job.Until.What what : awaited) {
      for (PartId part : List.of(PartId.of("main"), PartId.of("sink"))) {
        if (part.equals(PartId.of("sink")) && what != Job.Until.What.RUNS) {
          continue;
        }
        Job.Until until = new Job.Until(what, part, 0.05);
        told.add(
            "%s %s: %s [%s]"
                .formatted(
                    what,
                    part,
                    words.words(until, Optional.empty(), false),
                    words.notice(until, Optional.empty(), false, now)));
        told.add(
            "  check: " + words.check(until, TRUCK.state()) + " [" + words.checked(until) + "]");
        told.add("  settles: " + words.words(until, Optional.empty(), true));
        told.add(
            "  dry: %s [%s]"
                .formatted(
                    words.words(until, Optional.of(PartId.of("pump")), true),
                    words.notice(until, Optional.empty(), true, now)));
        told.add(
            "  sign: "
                + words.notice(
                    until, Optional.of(TRUCK.rig().part(PartId.of("main-tail"))), false, now));
      }
    }
    told.add("pressure, on: " + words.pressure(PartId.of("pump"), true, Set.of(PartId.of("sink"))));
    told.add("pressure, off: " + words.pressure(PartId.of("pump"), false, Set.of()));
    told.add(
        "silence: "
            + words.silence(
                PartId.of("pump"), (Pump) TRUCK.rig().part(PartId.of("pump")).kind(), 25));
    told.add("siphons: " + words.maySiphon(PartId.of("main-tail"), 0.02));
    OnRecord.assertAsRead("words/waits", told);
  }

  @Test
  void whatASlipLeadsTo() {
    SlipWords words = new SlipWords(TRUCK.rig());
    List<String> told = new ArrayList<>();
    for (Warning.Code code :
        Arrays.stream(Warning.Code.values()).filter(c -> c.is(Warning.Is.UNSEEN)).toList()) {
      told.add(
          code
              + ": "
              + words.danger(
                  new Warning.Key(code, List.of(PartId.of("heater"), PartId.of("sink")))));
    }
    told.add(words.loss(0.0123, PartId.of("sink")).toString());
    told.add(SlipWords.sentence(List.of()).toString());
    told.add(SlipWords.sentence(List.of(Message.of("this"), Message.of("that"))).toString());
    for (Slip.Grade grade : Slip.Grade.values()) {
      for (boolean broken : new boolean[] {false, true}) {
        for (double lost : new double[] {0.001, 0.0101}) {
          told.add(
              "%s%s, %s L: %s"
                  .formatted(
                      grade,
                      broken ? ", broken" : "",
                      OnRecord.number(1000 * lost),
                      SlipWords.undone(grade, broken, lost)));
        }
      }
    }
    OnRecord.assertAsRead("words/slips", told);
  }

  @Test
  void whatWouldMendARig() {
    List<String> told = new ArrayList<>();
    for (DemoRig demo : DemoRig.all()) {
      for (Remedy remedy : Remedy.of(Network.of(demo.rig()))) {
        told.add(demo.id() + " " + remedy.id() + ": " + remedy.words());
        told.addAll(difference(demo.rig(), remedy.changed()));
      }
    }
    OnRecord.assertAsRead("words/remedies", told);
  }

  private static List<String> difference(Rig before, Rig after) {
    List<String> told = new ArrayList<>();
    before.parts().stream()
        .filter(p -> !after.parts().contains(p))
        .forEach(p -> told.add("  - " + p.id() + " " + OnRecord.tell(p.kind())));
    after.parts().stream()
        .filter(p -> !before.parts().contains(p))
        .forEach(p -> told.add("  + " + p.id() + " " + OnRecord.tell(p.kind())));
    before.lines().stream()
        .filter(l -> !after.lines().contains(l))
        .forEach(l -> told.add("  - " + l.id()));
    after.lines().stream()
        .filter(l -> !before.lines().contains(l))
        .forEach(l -> told.add("  + " + l.id() + " " + l.from() + " > " + l.to()));
    return told;
  }

  @Test
  void whatIsToBeMindedAndUnderWhatJobsStand() {
    List<String> told = new ArrayList<>();
    for (Caution caution : Caution.values()) {
      told.add(caution + ": " + caution.words());
    }
    for (Job.Kind kind : Job.Kind.values()) {
      told.add(kind + ": " + kind.group());
    }
    OnRecord.assertAsRead("words/cautions", told);
  }
}
