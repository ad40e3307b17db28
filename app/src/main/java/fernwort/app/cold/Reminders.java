package fernwort.app.cold;

import fernwort.app.services.Descriptions;
import fernwort.app.services.Forecast;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.Weather;
import java.time.Clock;
import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneId;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.Uid;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What falls due in the cold, as a calendar (iCalendar, RFC 5545). */
@RestController
class Reminders {

  private static final int AUTUMN_DAY = 15;

  private final Descriptions rigs;
  private final Sleep sleep;
  private final Weather weather;
  private final Clock clock;

  Reminders(Descriptions rigs, Sleep sleep, Weather weather, Clock clock) {
    this.rigs = rigs;
    this.sleep = sleep;
    this.weather = weather;
    this.clock = clock;
  }

  @GetMapping("/rigs/{id}/cold/reminders.ics")
  ResponseEntity<String> reminders(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    Calendar calendar =
        new Calendar().withProdId("-//Fernwort//Cold//EN").withDefaults().getFluentTarget();
    boolean asleep = sleep.asleep(rig).isPresent();
    String name = rig.rig().name();
    if (!asleep) {
      calendar.add(
          event(
              id,
              "autumn",
              next(today, Month.OCTOBER, AUTUMN_DAY),
              "Winterize " + name,
              Says.UNDER_WINTER_WINTERIZE_PICK.text()));
    }
    if (!asleep && weather.isSimulated(rig)) {
      calendar.add(
          event(
              id,
              "frost",
              Forecast.firstFrost(today),
              Says.FIRST_FROST_FOR_SIMULATED.filled(name),
              Says.UNDER_WINTER_TONIGHT.text()));
    }
    calendar.add(
        event(
            id,
            "spring",
            next(today, Month.APRIL, 1),
            "De-winterize " + name,
            Says.UNDER_WINTER_DE_WINTERIZE_CLOSE.text()));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + "-cold.ics").build().toString())
        .body(calendar.toString());
  }

  private static VEvent event(String rig, String what, LocalDate on, String title, String words) {
    VEvent event = new VEvent(on, title);
    event.add(new Uid("%s-%s-%s@fernwort".formatted(rig, what, on)));
    event.add(new Description(words));
    return event;
  }

  private static LocalDate next(LocalDate today, Month month, int day) {
    LocalDate sameYear = LocalDate.of(today.getYear(), month, day);
    return sameYear.isBefore(today) ? sameYear.plusYears(1) : sameYear;
  }
}
