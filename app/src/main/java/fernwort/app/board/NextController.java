package fernwort.app.board;

import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.sizing.Lasts;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** What to do next, beside the Board; fetched once the Board is there, for jobs are planned. */
@Controller
class NextController {

  private final Descriptions rigs;
  private final Diary diary;
  private final Sleep sleep;
  private final NextLines next;
  private final Clock clock;

  /** Until this a time of day is worth saying (days). */
  private static final double NEAR = 2;

  /** Later than this nobody plans by (days). */
  private static final double FAR = 30;

  private static final DateTimeFormatter HOUR =
      DateTimeFormatter.ofPattern("EEE HH':00'", Locale.ENGLISH);

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  NextController(Descriptions rigs, Diary diary, Sleep sleep, NextLines next, Clock clock) {
    this.rigs = rigs;
    this.diary = diary;
    this.sleep = sleep;
    this.next = next;
    this.clock = clock;
  }

  /**
   * The water of one sort as a bar.
   *
   * @param sort its name for styles: fresh or gray
   * @param what what it is
   * @param level what of how much
   * @param share how full (0 to 100)
   * @param until when it ends, or is full
   */
  record Bar(String sort, String what, String level, double share, String until) {}

  @GetMapping("/rigs/{id}/next")
  String next(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig rig = rigs.open(id);
    Lasts lasts = diary.lasts(rig);
    boolean asleep = sleep.asleep(rig).isPresent();
    model.addAttribute("rig", id);
    model.addAttribute("bars", bars(rig, asleep ? lasts.withoutEnd() : lasts, units));
    model.addAttribute("next", next.of(rig, units));
    return "board/next";
  }

  private List<Bar> bars(OpenRig rig, Lasts lasts, Units units) {
    List<Bar> bars = new ArrayList<>();
    if (!lasts.fresh().isEmpty()) {
      bars.add(
          bar(
              rig,
              "fresh",
              "Fresh",
              lasts.fresh(),
              Says.LASTS_UNTIL.text(),
              lasts.freshDays(),
              units));
    }
    lasts
        .grayDays()
        .ifPresent(days ->
            bars.add(bar(rig, "gray", "Gray", lasts.gray(), Says.FULL_ABOUT.text(), days, units)));
    return bars;
  }

  private Bar bar(
      OpenRig rig,
      String sort,
      String what,
      List<Lasts.Share> tanks,
      String words,
      double days,
      Units units) {
    double holds = tanks.stream().mapToDouble(Lasts.Share::holds).sum();
    double full = tanks.stream().mapToDouble(t -> rig.network().room(t.tank()).capacity()).sum();
    return new Bar(
        sort,
        what,
        units.show(Measure.VOLUME, holds) + " of " + units.show(Measure.VOLUME, full),
        Math.clamp(100 * holds / full, 0, 100),
        until(words, days));
  }

  /** One date, to the hour where it is near and to the day where it is not. */
  private String until(String words, double days) {
    if (days > FAR) {
      return "";
    }
    ZonedDateTime at = clock.instant().atZone(ZoneId.systemDefault()).plusSeconds(seconds(days));
    return words + at.format(days < NEAR ? HOUR : DAY);
  }

  private static long seconds(double days) {
    return Math.round(days * Duration.ofDays(1).toSeconds());
  }
}
