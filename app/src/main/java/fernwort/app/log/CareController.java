package fernwort.app.log;

import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.Winters;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.When;
import fernwort.core.budget.Daily;
import fernwort.core.diary.Entry;
import fernwort.core.hygiene.BadBatch;
import fernwort.core.hygiene.Dose;
import fernwort.core.hygiene.Upkeep;
import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankFigures;
import fernwort.core.winter.Spring;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.Uid;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Maintenance, and water that is not to be trusted. */
@Controller
@RequestMapping("/rigs/{id}/log")
class CareController {

  /** What nobody knows is asked again after so long (days). */
  private static final int MONTH = 30;

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;
  private final Winters winters;
  private final Clock clock;

  CareController(Descriptions rigs, States states, Diary diary, Winters winters, Clock clock) {
    this.winters = winters;
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
    this.clock = clock;
  }

  private List<Entry> entries(OpenRig rig) {
    return diary.recent(rig, clock.instant().minus(Upkeep.MEMORY));
  }

  private List<Upkeep> due(OpenRig rig, Instant now) {
    List<Entry> entries = entries(rig);
    return Upkeep.of(
        rig.rig(),
        entries,
        Daily.of(rig.network(), entries, diary.asked(rig, now)),
        ZoneId.systemDefault(),
        now);
  }

  /** Something due, in words. */
  record Row(
      String subject,
      String what,
      String when,
      boolean due,
      String last,
      String use,
      String putOff,
      String source,
      boolean sanitize,
      String dose,
      String chore) {}

  @GetMapping("/upkeep")
  String upkeep(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    Instant now = clock.instant();
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("month", NoteForm.field(now.plus(Duration.ofDays(30))));
    List<Upkeep> all = due(rig, now);
    List<Row> due = new ArrayList<>();
    List<Row> unknown = new ArrayList<>();
    List<Row> later = new ArrayList<>();
    for (Upkeep u : all) {
      boolean never = u.last().isEmpty() && u.putOff().isEmpty();
      List<Row> into = never ? unknown : u.isDue(now) ? due : later;
      into.add(row(rig, u, now, units));
    }
    model.addAttribute("today", LocalDate.ofInstant(now, ZoneId.systemDefault()).toString());
    model.addAttribute("due", due);
    model.addAttribute("unknown", unknown);
    model.addAttribute("later", later);
    model.addAttribute("verdict", verdict(due, unknown, later));
    return "log/upkeep";
  }

  private static String verdict(List<Row> due, List<Row> unknown, List<Row> later) {
    if (!due.isEmpty()) {
      return due.size() == 1
          ? Says.IS_DUE.filled(due.getFirst().what())
          : Says.THINGS_ARE_DUE.filled(due.size());
    }
    if (!unknown.isEmpty()) {
      return Says.SAY_ONCE_WHEN_THESE_WERE_LAST.text();
    }
    return later.isEmpty()
        ? Says.NOTHING_ON_THIS_RIG_NEEDS.text()
        : Says.NOTHING_IS_DUE_NEXT.filled(later.getFirst().what(), later.getFirst().when());
  }

  /**
   * Notes when things were last done; what nobody knows is asked again in a month.
   *
   * @param form a date by "last-" and the subject, empty for not known; "last-all" for all of which
   *     the date is empty
   */
  @PostMapping("/upkeep")
  String lastDone(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    Instant now = clock.instant();
    for (Upkeep u : due(rig, now)) {
      String date = form.get("last-" + u.subject());
      if (date == null) {
        continue;
      }
      if (date.isBlank()) {
        date = form.getOrDefault("last-all", "");
      }
      boolean tank =
          rig.rig()
              .tanks(Contents.FRESH)
              .map(Part::id)
              .anyMatch(t -> t.value().equals(u.subject()));
      if (date.isBlank()) {
        Optional<Instant> month = Optional.of(now.plus(Duration.ofDays(MONTH)));
        diary.add(
            rig,
            new Entry.Upkeep(PartId.of(u.subject()), month, Says.NOT_KNOWN_WHEN.text()),
            now,
            who);
      } else {
        Instant done = day(u.what(), date, now);
        // What is older is due in any case, and would not be looked at.
        Instant oldest = now.minus(Upkeep.MEMORY).plus(Duration.ofDays(1));
        boolean old = done.isBefore(oldest);
        String note = old ? Says.LAST_DONE.filled(date) : "";
        Entry.What what =
            tank
                ? new Entry.Sanitize(PartId.of(u.subject()), note)
                : new Entry.Upkeep(PartId.of(u.subject()), Optional.empty(), note);
        diary.add(rig, what, old ? oldest : done, who);
      }
    }
    return "redirect:/rigs/" + id + "/log/upkeep";
  }

  private static Instant day(String what, String date, Instant now) {
    try {
      Instant noon = LocalDate.parse(date).atTime(12, 0).atZone(ZoneId.systemDefault()).toInstant();
      return noon.isAfter(now) ? now : noon;
    } catch (DateTimeParseException e) {
      throw new Refusal(Says.IS_NOT_A_DATE_WRITE.with(what, date));
    }
  }

  private static Row row(OpenRig rig, Upkeep u, Instant now, Units units) {
    boolean tank =
        rig.rig().tanks(Contents.FRESH).map(Part::id).anyMatch(t -> t.value().equals(u.subject()));
    return new Row(
        u.subject(),
        u.what(),
        u.isDue(now) ? "due" : "by " + date(u.due()),
        u.isDue(now),
        u.last().map(l -> "last " + date(l)).orElse(Says.NEVER_NOTED.text()),
        u.use().map(use -> used(rig, u.subject(), use, units)).orElse(""),
        u.putOff()
            .map(reason ->
                Says.PUT_OFF.filled((reason.isEmpty() ? Says.NO_REASON_GIVEN.text() : reason)))
            .orElse(""),
        Says.EVERY_DAYS.filled(u.every(), u.source()),
        tank,
        tank ? dose(rig, u.subject(), units) : "",
        tank
            ? Spring.Chore.SANITIZE.name()
            : u.subject().equals(Upkeep.LEAKS.value()) ? Spring.Chore.LOOK_FOR_LEAKS.name() : "");
  }

  private static String used(OpenRig rig, String part, Upkeep.Use use, Units units) {
    return use.ran()
        .map(ran ->
            String.format(
                Locale.ROOT,
                Says.IT_RAN_ABOUT_H_OF_H_SINCE.text(),
                ran / 3600,
                use.mayRun().orElseThrow() / 3600,
                units.show(Measure.VOLUME, use.passed())))
        .orElseGet(() ->
            Says.OF_PASSED_SINCE_BY_THE_LOG.filled(
                units.show(Measure.VOLUME, use.passed()),
                units.show(Measure.VOLUME, use.lasts()),
                clogging(rig, part, use)));
  }

  /** A cartridge whose doubling is known takes so many times its clean loss by now. */
  private static String clogging(OpenRig rig, String part, Upkeep.Use use) {
    return rig.rig().part(PartId.of(part)).kind().clogs()
        ? String.format(Locale.ROOT, Says.IT_TAKES_ABOUT_TIMES_ITS_CLEAN.text(), use.clogging())
        : "";
  }

  private static String date(Instant at) {
    return LocalDate.ofInstant(at, ZoneId.systemDefault()).toString();
  }

  private static String dose(OpenRig rig, String tank, Units units) {
    TankFigures figures = rig.network().figures(rig.rig().part(PartId.of(tank)), Slope.LEVEL);
    double full = figures.full();
    Dose dose = Dose.sanitizing(full, figures.stranded());
    return Says.FULL_OF_PLAIN_BLEACH_OF_6_G.filled(
        units.show(Measure.VOLUME, dose.bleach()), dose.changes());
  }

  /** What is more than a look has a sheet of its own. */
  @PostMapping("/chores/{chore}")
  String chore(
      @PathVariable String id,
      @PathVariable Spring.Chore chore,
      @ModelAttribute("who") String who) {
    return "redirect:/rigs/%s/cold/sheets/%s"
        .formatted(id, winters.begin(rigs.open(id), chore, who));
  }

  /** What falls due, for a calendar. */
  @GetMapping("/due.ics")
  ResponseEntity<String> calendar(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    Calendar calendar =
        new Calendar().withProdId("-//Fernwort//Log//EN").withDefaults().getFluentTarget();
    for (Upkeep u : due(rig, clock.instant())) {
      LocalDate on = LocalDate.ofInstant(u.due(), ZoneId.systemDefault());
      VEvent event = new VEvent(on, "%s: %s".formatted(rig.rig().name(), u.what()));
      event.add(new Uid("%s-%s-%s@fernwort".formatted(id, u.subject().replace(':', '-'), on)));
      event.add(new Description(Says.EVERY_DAYS_STOP.filled(u.every(), u.source())));
      calendar.add(event);
    }
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + "-due.ics").build().toString())
        .body(calendar.toString());
  }

  /** Where a fill that is not to be trusted has come to. */
  @GetMapping("/notes/{entry}/reached")
  String reached(
      @PathVariable String id,
      @PathVariable String entry,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Entry batch = diary.get(rig, entry).entry();
    if (!(batch.what() instanceof Entry.Fill)) {
      throw new Refusal(Says.ONLY_A_FILL_CAN_BE_FOLLOWED_OPEN.with());
    }
    BadBatch found =
        BadBatch.of(
            rig.network(),
            entries(rig),
            batch,
            new BadBatch.Asked(
                states.parked(rig),
                states.habits(rig).people(),
                ZoneId.systemDefault(),
                clock.instant()));
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("entry", entry);
    model.addAttribute("tank", batch.what().part().value());
    model.addAttribute("what", EntryWords.of(rig.rig(), batch, units));
    model.addAttribute("when", When.full(batch.at()));
    model.addAttribute("share", String.format(Locale.ROOT, "%.0f %%", 100 * found.share()));
    model.addAttribute("found", found);
    model.addAttribute("days", String.format(Locale.ROOT, "%.1f", found.personDays()));
    model.addAttribute("flush", units.show(Measure.VOLUME, found.flush()));
    return "log/reached";
  }
}
