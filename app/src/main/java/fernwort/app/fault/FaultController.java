package fernwort.app.fault;

import fernwort.app.board.PlanDrawing;
import fernwort.app.live.LiveDesk;
import fernwort.app.services.Descriptions;
import fernwort.app.services.FaultDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.web.Address;
import fernwort.core.fault.BeforeUndoing;
import fernwort.core.fault.Fault;
import fernwort.core.fault.FaultFinder;
import fernwort.core.fault.FaultWords;
import fernwort.core.fault.Look;
import fernwort.core.fault.Observation;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.live.AlarmCode;
import fernwort.core.live.SignalKind;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page that finds a fault: what is seen, what is likely, what to look at next. */
@Controller
@RequestMapping("/rigs/{id}/fault")
class FaultController {

  /** So many faults are shown as likely. */
  private static final int SHOWN = 4;

  /** As likely as that, beside what was found (share of its share); own choice. */
  private static final double ALIKE = 0.4;

  /** So many faults are named for what an answer would mean. */
  private static final int MEANT = 2;

  private final Descriptions rigs;
  private final States states;
  private final FaultDesk desk;
  private final LiveDesk live;
  private final PlanDrawing drawings;

  FaultController(
      Descriptions rigs, States states, FaultDesk desk, LiveDesk live, PlanDrawing drawings) {
    this.live = live;
    this.drawings = drawings;
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
  }

  /** What was seen, with the address of the page without it. */
  record SeenRow(String asked, String answer, List<String> others) {}

  /** A fault as a row. */
  record LikelyRow(String words, String how) {}

  /** An answer that can be given. */
  record AnswerRow(String words, String means, List<String> seen) {}

  @GetMapping
  String page(
      @PathVariable String id,
      @RequestParam(defaultValue = "") List<String> seen,
      @RequestParam(defaultValue = "") String on,
      Model model) {
    OpenRig rig = rigs.open(id);
    State noted = states.of(rig).state();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    List<String> told = seen.stream().filter(s -> !s.isBlank()).limit(SeenText.MOST).toList();
    model.addAttribute("begun", !told.isEmpty());
    if (told.isEmpty()) {
      desk.soon(rig, noted);
      begin(rig, noted, on, model);
      return "fault/find";
    }
    List<Observation> observations = SeenText.all(told, rig.rig());
    FaultWords words = new FaultWords(rig.rig());
    BeforeUndoing before = BeforeUndoing.of(rig.network(), noted);
    model.addAttribute("stop", words.stop(observations, before));
    FaultFinder.Finding found =
        desk.of(rig).find(noted, observations, FaultFinder.Feeling.PLACE_BY_PLACE);
    model.addAttribute("told", told);
    model.addAttribute("seen", seenRows(observations, told, words));
    model.addAttribute(
        "likely",
        found.likely().stream()
            .limit(SHOWN)
            .map(
                l -> new LikelyRow(words.wrong(l.fault()).toString(), FaultWords.likely(l.share())))
            .toList());
    model.addAttribute("drawing", drawings.toPick(rig, noted));
    if (found.asNoted()) {
      model.addAttribute("asNoted", words.asNoted(noted, observations).toString());
      if (!words.switchedOff(noted, observations).isEmpty()) {
        // Nobody takes a rig apart whose pump is off.
        model.addAttribute("likely", List.of());
        return "fault/find";
      }
    }
    found
        .next()
        .ifPresentOrElse(
            n -> {
              model.addAttribute("before", words.before(n.look(), before));
              next(n, told, words, model);
            },
            () -> end(rig, found, observations, words, model));
    if (found.next().isEmpty() && !found.likely().isEmpty()) {
      ElementId first = found.likely().getFirst().fault().on();
      model.addAttribute("before", before.at(first).words());
    }
    return "fault/find";
  }

  private void begin(OpenRig rig, State noted, String on, Model model) {
    model.addAttribute("drawing", drawings.toPick(rig, noted));
    model.addAttribute(
        "links",
        Complaints.pickable(rig.rig()).stream()
            .collect(
                Collectors.toMap(
                    ElementId::value,
                    o ->
                        Address.of(
                            "/rigs/{id}/fault", Map.of("on", List.of(o.value())), rig.id()))));
    model.addAttribute("picked", Set.of(on));
    if (!on.isEmpty()) {
      model.addAttribute("things", Complaints.at(rig.rig(), noted.setting(), on));
      model.addAttribute("chosen", new FaultWords(rig.rig()).label(on));
    }
    List<Complaints.Group> groups = new ArrayList<>(told(rig));
    groups.addAll(Complaints.of(rig.rig(), noted.setting()));
    model.addAttribute("groups", groups);
  }

  /**
   * What sensors see by themselves, where there are any: a floor that is wet, a level that falls.
   */
  private List<Complaints.Group> told(OpenRig rig) {
    if (!live.isLive(rig.id())) {
      return List.of();
    }
    List<Complaints.Told> told = new ArrayList<>();
    live.signals(rig.id()).stream()
        .filter(s -> s.is(SignalKind.LEAK) && Boolean.TRUE.equals(s.value()))
        .map(s -> Stream.of(s.place(), s.tray(), s.part()).filter(Objects::nonNull).findFirst())
        .flatMap(Optional::stream)
        .forEach(on -> told.add(new Complaints.Told(Look.WET, rig.rig().element(on))));
    live.alarms(rig.id()).stream()
        .filter(a -> a.code() == AlarmCode.LEVEL_FALLS && a.gone() == null)
        .forEach(a -> told.add(new Complaints.Told(Look.LEVEL, PartId.of(a.part()))));
    live.alarms(rig.id()).stream()
        .filter(a -> a.code() == AlarmCode.PUMP_LONG && a.gone() == null)
        .forEach(a -> told.add(new Complaints.Told(Look.PUMP, PartId.of(a.part()))));
    return Complaints.told(rig.rig(), states.of(rig).state().setting(), told);
  }

  private static List<SeenRow> seenRows(
      List<Observation> observations, List<String> told, FaultWords words) {
    List<SeenRow> rows = new ArrayList<>();
    for (int i = 0; i < observations.size(); i++) {
      List<String> others = new ArrayList<>(told);
      others.remove(i);
      Observation o = observations.get(i);
      rows.add(new SeenRow(words.ask(o).toString(), answer(o, words), others));
    }
    return rows;
  }

  private static String answer(Observation o, FaultWords words) {
    return o.value().equals(Observation.UNSURE) ? Says.NOT_SURE.text() : words.seen(o, o.value());
  }

  private static void next(
      FaultFinder.Next next, List<String> told, FaultWords words, Model model) {
    model.addAttribute("ask", words.ask(next.look()).toString());
    model.addAttribute("picked", Set.of(next.look().on().value()));
    List<AnswerRow> answers = new ArrayList<>();
    List<String> order = next.look().kind().choices();
    next.means().entrySet().stream()
        .sorted(Comparator.comparing(e -> order.indexOf(e.getKey())))
        .forEach(e ->
            answers.add(
                new AnswerRow(
                    words.seen(next.look(), e.getKey()),
                    means(e.getValue(), words),
                    with(told, next.look().seen(e.getKey())))));
    answers.add(
        new AnswerRow(
            Says.NOT_SURE.text(),
            Says.TELLS_NOTHING.text(),
            with(told, next.look().seen(Observation.UNSURE))));
    model.addAttribute("answers", answers);
  }

  private static String means(List<Fault> faults, FaultWords words) {
    return faults.isEmpty()
        ? ""
        : Says.SPEAKS_FOR.filled(
            faults.stream()
                .limit(MEANT)
                .map(f -> words.wrong(f).toString())
                .collect(Collectors.joining("; ")));
  }

  private static List<String> with(List<String> told, Observation more) {
    List<String> all = new ArrayList<>(told);
    all.add(SeenText.of(more));
    return all;
  }

  /** What cannot be told from it without undoing something is named beside what was found. */
  private void end(
      OpenRig rig,
      FaultFinder.Finding found,
      List<Observation> observations,
      FaultWords words,
      Model model) {
    if (!found.likely().isEmpty()) {
      FaultFinder.Likely first = found.likely().getFirst();
      Fault fault = first.fault();
      model.addAttribute(
          "alike",
          found.likely().stream()
              .skip(1)
              .filter(l -> l.share() > ALIKE * first.share())
              .map(FaultFinder.Likely::fault)
              .filter(f -> !desk.of(rig).isMendedAs(fault, f))
              .limit(MEANT)
              .map(f -> words.wrong(f).toString())
              .toList());
      model.addAttribute("wrong", words.wrong(fault).toString());
      model.addAttribute("picked", Set.of(fault.on().value()));
      model.addAttribute("mend", words.mend(fault.kind()));
      model.addAttribute("needs", words.needs(fault.kind()));
      model.addAttribute("prove", words.ask(observations.getFirst()).toString());
    }
  }
}
