package fernwort.app.log;

import fernwort.app.questions.Chart;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.DiaryStore;
import fernwort.app.store.Logbook;
import fernwort.app.units.Units;
import fernwort.app.web.CsvTable;
import fernwort.app.web.When;
import fernwort.core.budget.Budget;
import fernwort.core.budget.ConsumptionFilter;
import fernwort.core.budget.Daily;
import fernwort.core.budget.Fact;
import fernwort.core.diary.Entry;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The Log: what was noted, and what is learnt from it. */
@Controller
class LogController {

  /** So many rows of a file are shown before they go in. */
  private static final int SHOWN = 30;

  private static final LocalTime NOON = LocalTime.of(12, 0);
  private static final String[] COLUMNS = {
    "number", "time", "who", "kind", "subject", "label", "before", "after", "standing"
  };

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;
  private final LogLines lines;
  private final WaitingImports waiting;
  private final Clock clock;

  LogController(
      Descriptions rigs,
      States states,
      Diary diary,
      LogLines lines,
      WaitingImports waiting,
      Clock clock) {
    this.waiting = waiting;
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
    this.lines = lines;
    this.clock = clock;
  }

  /** A tank as the quick forms show it. */
  record Tank(String id, String label, String last, boolean fresh, List<Integer> steps) {

    /** Returns what the gauge says at a step: Empty, a fraction, Full. */
    public String word(int step) {
      int full = steps.size() - 1;
      if (step == 0 || step == full) {
        return step == 0 ? "Empty" : "Full";
      }
      int common = BigInteger.valueOf(step).gcd(BigInteger.valueOf(full)).intValue();
      return step / common + "/" + full / common;
    }
  }

  @GetMapping("/rigs/{id}/log")
  String log(
      @PathVariable String id,
      @RequestParam(defaultValue = "") Set<String> kind,
      @RequestParam(name = "q", defaultValue = "") String words,
      @RequestParam Optional<Instant> before,
      @RequestParam Optional<LocalDate> until,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    LogLines.Page page = lines.page(rig, new LogLines.Asked(kind, words, before), units);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("lines", page.lines());
    model.addAttribute("next", page.next().map(Instant::toString).orElse(""));
    model.addAttribute("groups", LogLines.Group.values());
    model.addAttribute("chosen", kind);
    model.addAttribute("words", words);
    model.addAttribute("first", before.isEmpty());
    model.addAttribute("ahead", diary.ahead(rig).map(When::full).orElse(""));
    if (before.isEmpty()) {
      List<Entry> entries = recent(rig);
      Budget budget = diary.budget(rig, clock.instant(), entries);
      model.addAttribute("tanks", tanks(rig));
      model.addAttribute(
          "kinds",
          List.of(
              Entry.Kind.FILL,
              Entry.Kind.HAUL,
              Entry.Kind.PEOPLE,
              Entry.Kind.AWAY,
              Entry.Kind.SANITIZE,
              Entry.Kind.NOTE));
      model.addAttribute(
          "blank",
          Map.of(
              "at",
              NoteForm.field(clock.instant()),
              "people",
              Integer.toString(budget.crew().at(budget.at()))));
      model.addAttribute("places", diary.places(rig));
      model.addAttribute("until", until.map(LocalDate::toString).orElse(""));
      model.addAttribute("budget", view(rig, budget, entries, until, units));
    }
    return "log/log";
  }

  private List<Tank> tanks(OpenRig rig) {
    Map<String, Logbook.Level> levels = states.of(rig).readings();
    return rig.network().tanks().stream()
        .map(t -> {
          fernwort.core.kind.end.Tank tank = (fernwort.core.kind.end.Tank) t.kind();
          int steps = tank.gauge().showsSteps() ? tank.gauge().steps() : -1;
          return new Tank(
              t.id().value(),
              t.label(),
              Optional.ofNullable(levels.get(t.id().value())).map(Logbook.Level::shown).orElse(""),
              tank.contents() == Contents.FRESH,
              IntStream.rangeClosed(0, steps).boxed().toList());
        })
        .toList();
  }

  private List<Entry> recent(OpenRig rig) {
    return diary.recent(rig, clock.instant().minus(Budget.MEMORY));
  }

  private BudgetView view(
      OpenRig rig, Budget budget, List<Entry> entries, Optional<LocalDate> until, Units units) {
    return BudgetView.of(
        budget,
        days(rig, budget, entries),
        states.habits(rig),
        until.map(d -> d.atTime(NOON).atZone(ZoneId.systemDefault()).toInstant()),
        units);
  }

  private List<Daily> days(OpenRig rig, Budget budget, List<Entry> entries) {
    Instant at = Instant.ofEpochSecond((long) budget.at());
    return Daily.of(rig.network(), entries, diary.asked(rig, at));
  }

  /** What is learnt, with its pictures. */
  @GetMapping("/rigs/{id}/log/budget")
  String budget(
      @PathVariable String id,
      @RequestParam Optional<LocalDate> until,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    List<Entry> entries = recent(rig);
    Budget budget = diary.budget(rig, clock.instant(), entries);
    List<Chart> charts = new ArrayList<>();
    charts.add(
        BudgetView.levels(
            Says.FRESH_WATER.text(),
            rig,
            ids(rig, Contents.FRESH),
            budget.fresh(),
            budget.at(),
            entries,
            looks(rig, Contents.FRESH, entries),
            units));
    budget
        .gray()
        .filter(ConsumptionFilter::isKnown)
        .ifPresent(g ->
            charts.add(
                BudgetView.levels(
                    Says.GRAY_WATER.text(),
                    rig,
                    ids(rig, Contents.GRAY),
                    g,
                    budget.at(),
                    entries,
                    looks(rig, Contents.GRAY, entries),
                    units)));
    BudgetView.daily(days(rig, budget, entries), budget.at(), units).ifPresent(charts::add);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("until", until.map(LocalDate::toString).orElse(""));
    model.addAttribute("budget", view(rig, budget, entries, until, units));
    model.addAttribute("charts", budget.fresh().isKnown() ? charts : List.of());
    return "log/budget";
  }

  private List<Fact.Seen> looks(OpenRig rig, Contents contents, List<Entry> entries) {
    return Budget.looks(rig.network(), contents, entries, diary.asked(rig, clock.instant()));
  }

  private static List<String> ids(OpenRig rig, Contents contents) {
    return rig.rig().tanks(contents).map(x -> x.id().value()).toList();
  }

  /** Notes something and comes back to the log. */
  @PostMapping("/rigs/{id}/log/notes")
  String note(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    NoteForm typed = new NoteForm(form, units);
    Entry.What what = typed.what(rig, states, states.parked(rig));
    diary.add(rig, typed.entry(what, clock.instant()), who);
    return "redirect:/rigs/" + id + "/log";
  }

  /** What a wrong clock dated ahead is dated back to now. */
  @PostMapping("/rigs/{id}/log/clock")
  String clock(@PathVariable String id, @ModelAttribute("who") String who) {
    diary.dateBack(rigs.open(id), who);
    return "redirect:/rigs/" + id + "/log";
  }

  /** An entry with its form, to correct it. */
  @GetMapping("/rigs/{id}/log/notes/{entry}")
  String entry(
      @PathVariable String id,
      @PathVariable String entry,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    DiaryStore.Kept kept = diary.get(rig, entry);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("entry", entry);
    model.addAttribute("kind", kept.entry().what().kind());
    model.addAttribute("words", EntryWords.of(rig.rig(), kept.entry(), units));
    model.addAttribute(
        "trace",
        Says.NOTED_BY.filled(When.full(kept.made()), kept.who())
            + (kept.standing() == DiaryStore.Standing.STANDS
                ? ""
                : ", " + kept.standing().words()));
    model.addAttribute("stands", kept.standing() == DiaryStore.Standing.STANDS);
    model.addAttribute("f", EntryFields.of(kept.entry(), units));
    model.addAttribute("tanks", tanks(rig));
    model.addAttribute("places", diary.places(rig));
    return "log/entry";
  }

  @PostMapping("/rigs/{id}/log/notes/{entry}")
  String correct(
      @PathVariable String id,
      @PathVariable String entry,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    NoteForm typed = new NoteForm(form, units);
    DiaryStore.Kept kept = diary.get(rig, entry);
    diary.correct(
        rig, entry, typed.what(rig, states, kept.slope()), typed.at(kept.entry().at()), who);
    return "redirect:/rigs/" + id + "/log";
  }

  @PostMapping("/rigs/{id}/log/notes/{entry}/{how:back|again}")
  String takeBack(
      @PathVariable String id,
      @PathVariable String entry,
      @PathVariable String how,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    if (how.equals("back")) {
      diary.takeBack(rig, entry, who);
    } else {
      diary.putBack(rig, entry, who);
    }
    return "redirect:/rigs/" + id + "/log";
  }

  /** The whole journal as a table for other programs. */
  @GetMapping("/rigs/{id}/journal.csv")
  ResponseEntity<String> csv(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    Map<PartId, Part> parts = rig.rig().partsById();
    List<List<String>> rows = new ArrayList<>();
    for (Logbook.Entry e : states.journal(rig, Integer.MAX_VALUE).reversed()) {
      Part part = parts.get(PartId.of(e.subject()));
      rows.add(
          List.of(
              Long.toString(e.seq()),
              e.at().toString(),
              e.who(),
              e.kind().name(),
              e.subject(),
              part == null ? "" : part.label(),
              e.before(),
              e.after(),
              e.standing()));
    }
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + "-journal.csv").build().toString())
        .body(CsvTable.of(List.of(COLUMNS), rows));
  }

  /** What was noted, with its trace, as a table that can be brought in again. */
  @GetMapping("/rigs/{id}/log.csv")
  ResponseEntity<String> diary(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + "-log.csv").build().toString())
        .body(DiaryCsv.write(diary.all(rig)));
  }

  @GetMapping("/rigs/{id}/log/import")
  String bringIn(@PathVariable String id, Model model) {
    model.addAttribute("rig", id);
    model.addAttribute("name", rigs.open(id).rig().name());
    model.addAttribute("added", -1);
    return "log/import";
  }

  /** Reads a table and shows what is in it; nothing is added yet. */
  @PostMapping("/rigs/{id}/log/import")
  String looked(
      @PathVariable String id,
      @RequestParam MultipartFile file,
      @ModelAttribute("units") Units units,
      @ModelAttribute("who") String who,
      Model model)
      throws IOException {
    OpenRig rig = rigs.open(id);
    String text = new String(file.getBytes(), StandardCharsets.UTF_8);
    List<DiaryStore.Kept> all = DiaryCsv.read(rig, text, who, clock.instant());
    Set<String> there = diary.known(rig, all);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("added", -1);
    model.addAttribute("rows", all.size());
    model.addAttribute("known", there.size());
    model.addAttribute(
        "preview",
        all.stream()
            .filter(k -> !there.contains(k.entry().id()))
            .limit(SHOWN)
            .map(k -> LogLines.preview(rig, k, units))
            .toList());
    model.addAttribute("token", waiting.keep(id, all));
    return "log/import";
  }

  /** Takes in what was looked at. */
  @PostMapping("/rigs/{id}/log/import/{token}")
  String taken(
      @PathVariable String id,
      @PathVariable String token,
      @ModelAttribute("who") String who,
      Model model) {
    OpenRig rig = rigs.open(id);
    List<DiaryStore.Kept> all = waiting.take(id, token);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("added", diary.restore(rig, all, who));
    model.addAttribute("rows", all.size());
    return "log/import";
  }
}
