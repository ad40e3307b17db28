package fernwort.app.board;

import fernwort.app.board.layout.Layouts;
import fernwort.app.live.LiveDesk;
import fernwort.app.live.StandsAgainst;
import fernwort.app.questions.Form;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Sleep;
import fernwort.app.services.Standing;
import fernwort.app.services.States;
import fernwort.app.store.Logbook;
import fernwort.app.store.backup.Backups;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.goal.Job;
import fernwort.core.kind.Position;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The Board: shows it, and takes turns of handles, readings, undo and redo. */
@Controller
@RequestMapping("/rigs/{id}")
class BoardController {

  private static final DateTimeFormatter LEFT =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.ENGLISH);
  private static final DateTimeFormatter FIELD = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm");

  private final Descriptions rigs;
  private final States states;
  private final Sleep sleep;
  private final Diary diary;
  private final Layouts layouts;
  private final LiveDesk live;
  private final Backups backups;
  private final Clock clock;

  BoardController(
      Descriptions rigs,
      States states,
      Sleep sleep,
      Diary diary,
      Layouts layouts,
      LiveDesk live,
      Backups backups,
      Clock clock) {
    this.backups = backups;
    this.live = live;
    this.sleep = sleep;
    this.diary = diary;
    this.rigs = rigs;
    this.states = states;
    this.layouts = layouts;
    this.clock = clock;
  }

  @GetMapping("/board")
  String board(@PathVariable String id, Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("board", view(rig, BoardView.Screen.ANY));
    model.addAttribute("ahead", diary.ahead(rig).map(When::full).orElse(""));
    model.addAttribute("late", backups.late().orElse(""));
    return "board";
  }

  @GetMapping("/handles/{part}/preview")
  String preview(@PathVariable String id, @PathVariable PartId part, Model model) {
    OpenRig rig = rigs.open(id);
    Standing standing = states.of(rig);
    Part handle = rig.rig().part(part);
    List<Change> changes = new ArrayList<>();
    PositionId at = standing.state().setting().of(part);
    for (Position position : handle.kind().positions()) {
      if (!position.id().equals(at)) {
        Outlook.Preview preview = Outlook.Preview.of(rig, standing.state(), part, position.id());
        changes.add(
            Change.of(
                position,
                preview,
                new Sentences(rig.rig(), standing.state(), preview.before()),
                new Sentences(
                    rig.rig(),
                    standing
                        .state()
                        .with(rig.rig().turned(standing.state().setting(), part, position.id())),
                    preview.after())));
      }
    }
    model.addAttribute("rig", id);
    model.addAttribute("handle", handle);
    model.addAttribute("position", rig.rig().position(part, at));
    model.addAttribute("place", rig.rig().place(handle.place()));
    model.addAttribute("changes", changes);
    return "board/preview";
  }

  @PostMapping("/handles/{part}")
  String turn(
      @PathVariable String id,
      @PathVariable String part,
      @RequestParam PositionId position,
      @ModelAttribute("who") String who,
      @RequestHeader(name = "X-Screen", defaultValue = "") String screen,
      HttpServletResponse answer,
      Model model) {
    OpenRig rig = rigs.open(id);
    if (!live.canMove(id, part)) {
      states.turn(rig, part, position, who);
      return answer(rig, screen, model);
    }
    try {
      live.command(id, part, position.value(), false, who);
    } catch (StandsAgainst e) {
      String ask =
          UriComponentsBuilder.fromPath("/rigs/{id}/devices/move")
              .queryParam("part", "{part}")
              .queryParam("position", "{position}")
              .build(id, part, position)
              .toString();
      answer.setHeader("HX-Redirect", ask);
      return "redirect:" + ask;
    }
    return answer(rig, screen, model);
  }

  @GetMapping("/tanks/{tank}/reading")
  String reading(
      @PathVariable String id,
      @PathVariable PartId tank,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Part part = rig.rig().part(tank);
    model.addAttribute("rig", id);
    model.addAttribute("tank", part);
    model.addAttribute("capacity", units.show(Measure.VOLUME, rig.network().room(tank).capacity()));
    model.addAttribute("last", states.of(rig).readings().get(tank.value()));
    model.addAttribute("now", LocalDateTime.now(clock).format(FIELD));
    return "board/reading";
  }

  @PostMapping("/tanks/{tank}/reading")
  String record(
      @PathVariable String id,
      @PathVariable PartId tank,
      @RequestParam String amount,
      @RequestParam String unit,
      @RequestParam(defaultValue = "") String at,
      @ModelAttribute("who") String who,
      @ModelAttribute("units") Units units,
      @RequestHeader(name = "X-Screen", defaultValue = "") String screen,
      Model model) {
    OpenRig rig = rigs.open(id);
    ReadingText.Typed typed = ReadingText.of(amount, unit, units);
    states.record(rig, tank, typed.reading(), typed.shown(), time(at), who);
    return answer(rig, screen, model);
  }

  private Instant time(String at) {
    if (at.isBlank()) {
      return clock.instant();
    }
    try {
      Instant given = LocalDateTime.parse(at).atZone(ZoneId.systemDefault()).toInstant();
      // The field shows whole minutes; a reading of this minute is a reading of now.
      return given.isAfter(clock.instant().minusSeconds(60)) && given.isBefore(clock.instant())
          ? clock.instant()
          : given;
    } catch (DateTimeParseException e) {
      throw new Refusal(Says.THE_TIME_IS_NOT_READABLE.with());
    }
  }

  @PostMapping("/undo")
  String undo(
      @PathVariable String id,
      @ModelAttribute("who") String who,
      @RequestHeader(name = "X-Screen", defaultValue = "") String screen,
      Model model) {
    OpenRig rig = rigs.open(id);
    states.undo(rig, who);
    return answer(rig, screen, model);
  }

  @PostMapping("/redo")
  String redo(
      @PathVariable String id,
      @ModelAttribute("who") String who,
      @RequestHeader(name = "X-Screen", defaultValue = "") String screen,
      Model model) {
    OpenRig rig = rigs.open(id);
    states.redo(rig, who);
    return answer(rig, screen, model);
  }

  @PostMapping("/people")
  String people(
      @PathVariable String id,
      @RequestParam String people,
      @RequestHeader(name = "X-Screen", defaultValue = "") String screen,
      Model model) {
    OpenRig rig = rigs.open(id);
    states.setHabits(rig, states.habits(rig).of(Form.whole("People", people)));
    return answer(rig, screen, model);
  }

  @PostMapping("/parked")
  String parked(
      @PathVariable String id,
      @RequestParam String pitch,
      @RequestParam String roll,
      @RequestHeader(name = "X-Screen", defaultValue = "") String screen,
      Model model) {
    OpenRig rig = rigs.open(id);
    states.park(
        rig,
        new Slope(
            Form.plain(Says.NOSE_UP.text(), pitch), Form.plain(Says.LEFT_SIDE_UP.text(), roll)));
    return answer(rig, screen, model);
  }

  @GetMapping("/empty")
  String empty(
      @PathVariable String id,
      @RequestParam(defaultValue = "") Set<PartId> tanks,
      @RequestParam(defaultValue = "false") boolean lines,
      @RequestParam(defaultValue = "false") boolean go,
      Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("tanks", rig.rig().tanks().toList());
    model.addAttribute("chosen", tanks.stream().map(PartId::value).collect(Collectors.toSet()));
    model.addAttribute("lines", lines);
    if (go && (lines || !tanks.isEmpty())) {
      Job job = EmptyingJob.of(rig.network(), tanks, lines);
      return "redirect:/rigs/" + id + "/jobs/" + job.id();
    }
    model.addAttribute("nothing", go);
    return "empty";
  }

  /** A page with scripts says what screen it has and gets the Board alone; others the page anew. */
  private String answer(OpenRig rig, String screen, Model model) {
    if (screen.isEmpty()) {
      return "redirect:/rigs/" + rig.id() + "/board";
    }
    model.addAttribute("board", view(rig, BoardView.Screen.of(screen)));
    return Says.BOARD_BOARD.text();
  }

  private BoardView view(OpenRig rig, BoardView.Screen screen) {
    Standing standing = states.of(rig);
    Outlook outlook = Outlook.of(rig, standing.state());
    Drafter drafter = new Drafter(rig, standing, outlook, clock.instant());
    Logbook.End journal = states.end(rig);
    Habits habits = states.habits(rig);
    return new BoardView(
        rig.id(),
        rig.rig().name(),
        left(journal),
        screen.whole(drafter, () -> layouts.whole(rig.rig())),
        screen.places(drafter, () -> layouts.places(rig.rig())),
        Stream.concat(
                Stream.concat(moving(rig), Stream.concat(asleep(rig), setAside(rig, standing))),
                new Sentences(rig.rig(), standing.state(), outlook).now().stream())
            .toList(),
        outlook.warnings(),
        LastsView.of(
            rig.rig(),
            sleep.asleep(rig).isPresent() ? Lasts.NOTHING : diary.lasts(rig),
            habits,
            unread(rig, standing),
            diary.budget(rig, clock.instant())),
        ParkedView.of(standing.state().slope()),
        journal.canUndo(),
        journal.canRedo());
  }

  /** Fresh tanks of which nobody has said what they hold. */
  private static List<String> unread(OpenRig rig, Standing standing) {
    return rig.rig()
        .tanks(Contents.FRESH)
        .filter(t -> !standing.readings().containsKey(t.id().value()))
        .map(Part::label)
        .toList();
  }

  /** Motors that were told to move, and have not arrived. */
  private Stream<String> moving(OpenRig rig) {
    if (!live.isLive(rig.id())) {
      return Stream.empty();
    }
    return live.commands(rig.id()).stream()
        .filter(c -> c.state().equals("moving") || c.state().equals("failed"))
        .map(c ->
            (c.state().equals("moving") ? Says.IS_MOVING : Says.DID_NOT_ARRIVE)
                .filled(
                    rig.rig().part(PartId.of(c.part())).label(),
                    rig.rig().position(PartId.of(c.part()), PositionId.of(c.position())).words()));
  }

  /** A rig that was put to sleep says so, before anybody turns its pump on. */
  private Stream<String> asleep(OpenRig rig) {
    return sleep
        .asleep(rig)
        .map(s -> Says.WINTERIZED_OF_STEPS_TICKED.filled(s.ticks().size(), s.steps().size()))
        .stream();
  }

  /** A word on readings that cannot be shown, so that none is missed in silence. */
  private static Stream<String> setAside(OpenRig rig, Standing standing) {
    return standing.setAside().stream()
        .filter(tank -> rig.rig().partsById().containsKey(PartId.of(tank)))
        .map(tank ->
            Says.THE_LAST_READING_OF_CANNOT.filled(rig.rig().part(PartId.of(tank)).label()));
  }

  private static String left(Logbook.End journal) {
    return journal
        .newest()
        .map(last ->
            Says.LAST_CHANGE_BY.filled(
                last.at().atZone(ZoneId.systemDefault()).format(LEFT), last.who()))
        .orElseGet(Says.EVERYTHING_AT_REST::text);
  }
}
