package fernwort.app.practice;

import fernwort.app.board.PlanDrawing;
import fernwort.app.services.FaultDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.PracticeDesk;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Address;
import fernwort.core.fault.BeforeUndoing;
import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.FaultWords;
import fernwort.core.fault.Look;
import fernwort.core.fault.Observation;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Turn;
import fernwort.core.practice.Drill;
import fernwort.core.practice.Emergency;
import fernwort.core.practice.FindIt;
import fernwort.core.practice.WhatIf;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The pages of exercises that are no job: where water goes, a hidden fault, a hose that is off. */
@Component
class ExercisePages {

  private static final int MOST = 40;
  private static final String NAMED = "is";

  /** The address of an exercise. */
  static final String PAGE = "/rigs/{id}/practise/{drill}";

  private final PracticeDesk desk;
  private final FaultDesk faults;
  private final PlanDrawing drawings;

  ExercisePages(PracticeDesk desk, FaultDesk faults, PlanDrawing drawings) {
    this.desk = desk;
    this.faults = faults;
    this.drawings = drawings;
  }

  /** A handle as it stands. */
  record Stands(String label, String place, String position) {}

  /** Something that can be chosen, and what is said of it at the end. */
  record Choice(String label, String value, String verdict) {}

  /** Things to choose from, under a heading. */
  record Group(String label, List<Choice> choices) {}

  /** A look that was taken, and what was seen. */
  record Seen(String asked, String answer) {}

  /** Fills the page of an exercise, and returns its name. */
  String page(
      OpenRig open,
      PracticeDesk.Open given,
      PracticeController.Asked asked,
      Units units,
      Model model) {
    Rig rig = open.rig();
    State from = given.exercise().from();
    model.addAttribute("rig", open.id());
    model.addAttribute("name", rig.name());
    model.addAttribute("drill", given.id());
    model.addAttribute("done", asked.done());
    model.addAttribute("handles", stands(rig, from));
    boolean still = given.exercise() instanceof WhatIf && !asked.done();
    model.addAttribute("drawing", still ? drawings.still(open, from) : drawings.toPick(open, from));
    model.addAttribute("links", Map.of());
    model.addAttribute("picked", Set.of());
    model.addAttribute(
        "tanks",
        rig.tanks()
            .map(t -> Says.HOLDS.filled(t.label(), units.show(Measure.VOLUME, from.volume(t.id()))))
            .toList());
    List<String> told = asked.acts().stream().filter(a -> !a.isBlank()).limit(MOST).toList();
    return switch (given.exercise()) {
      case WhatIf what -> whatIf(rig, given, what, told, asked.done(), model);
      case Emergency hose -> emergency(rig, given, hose, told, model);
      case FindIt hidden -> find(open, given, hidden, asked.on(), told, model);
      case Drill drill -> throw new IllegalArgumentException("a job has a page of its own");
    };
  }

  /** The handles that do not stand at rest first: they are what it is about. */
  private static List<Stands> stands(Rig rig, State from) {
    List<Part> parts = new ArrayList<>(rig.handles().toList());
    parts.sort(Comparator.comparing(p -> from.setting().has(p.id(), p.rest().id())));
    return parts.stream()
        .map(p ->
            new Stands(
                p.label(),
                rig.place(p.place()).label(),
                rig.position(p.id(), from.setting().of(p.id())).words()))
        .toList();
  }

  private String whatIf(
      Rig rig, PracticeDesk.Open given, WhatIf what, List<String> told, boolean done, Model model) {
    Set<PartId> said = told.stream().map(PartId::of).collect(Collectors.toSet());
    List<Choice> choices = new ArrayList<>();
    Set<String> ticked = new HashSet<>();
    for (PartId id : what.choices()) {
      Part part = rig.part(id);
      boolean goes = what.arrives().contains(id);
      boolean named = said.contains(id);
      String verdict = "";
      if (done && (goes || named)) {
        verdict = (goes ? named ? Says.RIGHT : Says.WATER_GOES_THERE : Says.NONE_GOES).text();
      }
      choices.add(new Choice(part.label(), address(given, toggled(said, id)), verdict));
      if (named) {
        ticked.add(part.label());
      }
    }
    model.addAttribute("choices", choices);
    model.addAttribute("said", List.copyOf(told));
    model.addAttribute("ticked", ticked);
    model.addAttribute("picked", Set.copyOf(told));
    if (!done) {
      model.addAttribute(
          "links",
          what.choices().stream()
              .collect(Collectors.toMap(PartId::value, c -> address(given, toggled(said, c)))));
    }
    if (done) {
      said.retainAll(what.choices());
      boolean passed = what.judge(said).passed();
      desk.remember(given, passed);
      model.addAttribute("passed", passed);
    }
    return "practice/what-if";
  }

  private static String address(PracticeDesk.Open given, List<String> acts) {
    return Address.of(PAGE, Map.of("act", acts), given.rig(), given.id());
  }

  private static List<String> toggled(Set<PartId> said, PartId choice) {
    Stream<PartId> all =
        said.contains(choice)
            ? said.stream().filter(p -> !p.equals(choice))
            : Stream.concat(said.stream(), Stream.of(choice));
    return all.map(PartId::value).toList();
  }

  private String emergency(
      Rig rig, PracticeDesk.Open given, Emergency hose, List<String> told, Model model) {
    model.addAttribute(
        "what",
        switch (hose.mishap()) {
          case COMES_OFF -> Says.IS_OFF.filled(label(rig, hose.on().value()));
          case LEAKS -> Says.LEAKS.filled(label(rig, hose.on().value()));
          case RUNS_OVER -> Says.RUNS_OVER.filled(rig.part(hose.on().part()).label());
        });
    boolean done = !told.isEmpty();
    model.addAttribute("done", done);
    if (done) {
      Turn turn = turn(rig, told.getFirst());
      double taken = desk.taken(given);
      boolean right = hose.isRight(turn);
      boolean passed = right && taken <= Emergency.IN_TIME;
      desk.remember(given, passed);
      model.addAttribute("passed", passed);
      model.addAttribute(
          "verdict",
          (right ? passed ? Says.STOPPED_IN_TIME : Says.STOPPED_LATE : Says.RUNS_ON)
              .filled(words(rig, turn), Math.round(taken)));
      model.addAttribute("right", hose.right().stream().map(t -> words(rig, t)).toList());
    } else {
      model.addAttribute(
          "groups",
          rig.handles()
              .filter(p -> !p.kind().is(Purpose.USE))
              .map(p ->
                  new Group(
                      p.label() + ", " + rig.place(p.place()).label(),
                      p.kind().positions().stream()
                          .filter(w -> !hose.from().setting().has(p.id(), w.id()))
                          .map(w -> new Choice(w.words(), ActText.turn(p.id(), w.id()), ""))
                          .toList()))
              .filter(g -> !g.choices().isEmpty())
              .toList());
      model.addAttribute(
          "links",
          rig.handles()
              .filter(p -> !p.kind().is(Purpose.USE))
              .collect(
                  Collectors.toMap(
                      p -> p.id().value(),
                      p -> address(given, List.of(ActText.next(p, hose.from().setting()))))));
    }
    return "practice/emergency";
  }

  private static Turn turn(Rig rig, String text) {
    if (ActText.read(text, rig)
        instanceof fernwort.core.jobs.goal.Trial.Turned(PartId part, PositionId position)) {
      return new Turn(part, position);
    }
    throw new Refusal(Says.BEGIN_ANEW.with());
  }

  private static String words(Rig rig, Turn turn) {
    Position position = rig.position(turn.part(), turn.position());
    return Says.TURNED.filled(rig.part(turn.part()).label(), position.words());
  }

  private static String label(Rig rig, String line) {
    return rig.lines().stream()
        .filter(l -> l.id().value().equals(line))
        .map(l ->
            Says.LINE_FROM_TO.filled(
                l.label(), rig.part(l.from().part()).label(), rig.part(l.to().part()).label()))
        .findFirst()
        .orElse(line);
  }

  /** Looks are told by their number, and what is named by the number of the fault. */
  private String find(
      OpenRig open,
      PracticeDesk.Open given,
      FindIt hidden,
      String on,
      List<String> told,
      Model model) {
    FaultFinder finder = faults.of(open);
    FaultWords words = new FaultWords(open.rig());
    BeforeUndoing before = BeforeUndoing.of(open.network(), hidden.from());
    List<Observation> looks = finder.looks(hidden.from());
    List<Fault> all = List.copyOf(finder.suspects(hidden.from()).keySet());
    List<Seen> seen = new ArrayList<>();
    seen.add(seen(words, before, hidden.sign()));
    int named = -1;
    for (String one : told) {
      if (one.startsWith(NAMED)) {
        named = number(one.substring(NAMED.length()), all.size());
      } else {
        Observation look = looks.get(number(one, looks.size()));
        seen.add(seen(words, before, look.seen(desk.see(open, hidden, look))));
      }
    }
    // The first is what was known before any look.
    int taken = seen.size() - 1;
    model.addAttribute("seen", seen);
    model.addAttribute("told", told);
    boolean done = named >= 0;
    model.addAttribute("done", done);
    if (done) {
      boolean passed = desk.isFound(open, hidden, all.get(named));
      desk.remember(given, passed);
      model.addAttribute("passed", passed);
      model.addAttribute("was", words.wrong(hidden.fault()).toString());
      model.addAttribute("mend", words.mend(hidden.fault().kind()));
      model.addAttribute(
          "score",
          desk.best(given)
              .map(best -> Says.LOOKS_AND_BEST.filled(taken, best))
              .orElseGet(() -> Says.LOOKS_TAKEN.filled(taken)));
    } else {
      boolean one = !on.isEmpty();
      List<Integer> shown =
          IntStream.range(0, looks.size())
              .filter(i -> !one || looks.get(i).on().value().equals(on))
              .boxed()
              .toList();
      model.addAttribute("groups", groups(looks, shown, words));
      model.addAttribute("picked", Set.of(on));
      model.addAttribute(
          "links",
          looks.stream()
              .map(look -> look.on().value())
              .distinct()
              .collect(
                  Collectors.toMap(
                      place -> place,
                      place ->
                          Address.of(
                              PAGE,
                              Map.of("act", told, "on", List.of(place)),
                              given.rig(),
                              given.id()))));
      Map<String, String> wrong = new LinkedHashMap<>();
      for (int i = 0; i < all.size(); i++) {
        wrong.put(NAMED + i, words.wrong(all.get(i)).toString());
      }
      model.addAttribute("wrong", wrong);
    }
    return "practice/find";
  }

  private static List<Group> groups(
      List<Observation> looks, List<Integer> shown, FaultWords words) {
    Map<Look, List<Choice>> groups = new EnumMap<>(Look.class);
    for (int i : shown) {
      Observation look = looks.get(i);
      groups
          .computeIfAbsent(look.kind(), k -> new ArrayList<>())
          .add(new Choice(words.ask(look).toString(), Integer.toString(i), ""));
    }
    return groups.entrySet().stream()
        .map(e -> new Group(heading(e.getKey()).text(), e.getValue()))
        .toList();
  }

  private static Says heading(Look look) {
    return switch (look) {
      case WATER -> Says.OPEN_A_TAP;
      case WARMTH -> Says.FEEL_HOW_WARM;
      case PUMP -> Says.LISTEN_TO_A_PUMP;
      case LEVEL -> Says.WATCH_A_LEVEL;
      case DRAIN -> Says.SEE_HOW_IT_DRAINS;
      case WET -> Says.LOOK_FOR_WATER;
      case BUCKET -> Says.TAKE_THE_HOSE_OFF;
      case DIP -> Says.DIP_A_TANK;
      case HANDLE -> Says.LOOK_AT_A_HANDLE;
      case POWER -> Says.MEASURE_POWER;
      case INSPECT -> Says.UNDO_OR_FEEL;
    };
  }

  /** What was looked at with what is done before it, as on the rig itself. */
  private static Seen seen(FaultWords words, BeforeUndoing before, Observation o) {
    return new Seen(
        (words.before(o, before) + " " + words.ask(o)).strip(),
        o.value().equals(Observation.UNSURE)
            ? Says.CANNOT_BE_TOLD.text()
            : words.seen(o, o.value()));
  }

  private static int number(String text, int below) {
    try {
      int number = Integer.parseInt(text);
      if (number >= 0 && number < below) {
        return number;
      }
    } catch (NumberFormatException e) {
      throw new Refusal(Says.BEGIN_ANEW.text(), e);
    }
    throw new Refusal(Says.BEGIN_ANEW.with());
  }
}
