package fernwort.app.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.board.PlanDrawing;
import fernwort.app.board.Symbol;
import fernwort.app.compute.TooBusy;
import fernwort.app.security.PagePolicy;
import fernwort.app.services.Awaited;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.Workers;
import fernwort.app.units.Units;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/**
 * The pocket copy: one file with what somebody needs at the rig, which a phone opens without a
 * network. It holds its own styles, letters and script, and asks nobody for anything.
 */
@Component
class Pocket {

  /** Planning goes on beside it; who presses again finds it done. */
  private static final Duration PATIENCE = Duration.ofSeconds(9);

  private static final Duration FOR_MISTAKES = Duration.ofSeconds(2);
  private static final Duration LONGEST = Duration.ofMinutes(2);
  private static final Pattern FONT = Pattern.compile("url\\((/vendor/[^)]+\\.woff2)\\)");
  private static final DateTimeFormatter MADE =
      DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

  private final JobDesk desk;
  private final States states;
  private final Workers workers;
  private final PlanDrawing drawings;
  private final TemplateEngine templates;
  private final Clock clock;
  private final Cache<Asked, Awaited<List<PocketJob>>> planned =
      Caffeine.newBuilder().maximumSize(10).build();

  Pocket(
      JobDesk desk,
      States states,
      Workers workers,
      PlanDrawing drawings,
      TemplateEngine templates,
      Clock clock) {
    this.desk = desk;
    this.states = states;
    this.workers = workers;
    this.drawings = drawings;
    this.templates = templates;
    this.clock = clock;
  }

  /** What plans are of. */
  private record Asked(OpenRig.Content rig, State now, Set<String> jobs, String units) {}

  /**
   * For whom a copy is.
   *
   * @param who who borrows the rig; empty for its owner
   * @param until the day until which it holds; empty for no day
   * @param jobs ids of the jobs in it; empty for all
   * @param call whom to call
   */
  record Wanted(String who, String until, Set<String> jobs, String call) {}

  /** A handle and how it stands, at rest and when the copy was made. */
  record Handle(String name, String place, String rest, String now, Symbol symbol) {}

  /** What is most worth avoiding in a job. */
  record Mistakes(String job, List<JobView.SlipRow> rows) {}

  /**
   * Makes a copy.
   *
   * @param pages what other pages say, by what it is: winter, upkeep, a stick for each tank
   * @throws TooBusy while the jobs are still being planned
   */
  String copy(OpenRig rig, Wanted wanted, Map<String, String> pages, Units units) {
    State now = states.of(rig).state();
    List<PocketJob> jobs = jobs(rig, now, wanted.jobs(), units);
    Instant made = clock.instant();
    Context context = new Context(Locale.ENGLISH);
    context.setVariable("name", rig.rig().name());
    context.setVariable("wanted", wanted);
    context.setVariable("made", made.atZone(clock.getZone()).format(MADE));
    context.setVariable("stamp", made.toString());
    context.setVariable("rig", rig.id());
    context.setVariable("drawing", drawings.of(rig, now));
    context.setVariable("jobs", jobs);
    context.setVariable("workedOut", JobView.workedOutFrom(rig, units));
    context.setVariable("handles", handles(rig, now));
    context.setVariable("mistakes", mistakes(rig, jobs, units));
    context.setVariable("labels", LabelsController.sheet(rig, units));
    context.setVariable("pages", new TreeMap<>(pages));
    context.setVariable("tanks", rig.network().tanks().stream().map(Part::label).toList());
    context.setVariable("tankIds", rig.network().tanks().stream().map(Part::id).toList());
    String styles = styles();
    String script = file("/static/js/pocket.js");
    context.setVariable("styles", styles);
    context.setVariable("script", script);
    context.setVariable("policy", PagePolicy.alone(styles, script));
    return templates.process("jobs/pocket-copy", context);
  }

  /** Begins to plan what a copy for everything needs, so that it is ready when it is asked for. */
  void prepare(OpenRig rig, Units units) {
    planning(rig, states.of(rig).state(), Set.of(), units);
  }

  private List<PocketJob> jobs(OpenRig rig, State now, Set<String> chosen, Units units) {
    return planning(rig, now, chosen, units)
        .within(PATIENCE)
        .orElseThrow(() -> new TooBusy(Says.THE_POCKET_COPY_IS_BEING_MADE.text()));
  }

  private Awaited<List<PocketJob>> planning(
      OpenRig rig, State now, Set<String> chosen, Units units) {
    Asked asked = new Asked(rig.content(), now, chosen, units.signs());
    return planned
        .asMap()
        .compute(
            asked,
            (key, known) ->
                known == null || known.isEnded()
                    ? workers.begin(
                        LONGEST,
                        LONGEST,
                        () -> PocketJob.of(rig, desk.book(rig), now, chosen, units))
                    : known);
  }

  private static List<Handle> handles(OpenRig rig, State now) {
    return rig.rig()
        .handles()
        .map(part -> {
          PositionId at = now.setting().of(part.id());
          return new Handle(
              part.label(),
              rig.rig().place(part.place()).label(),
              words(part, rig.rig().atRest().of(part.id())),
              words(part, at),
              Symbol.of(part, at));
        })
        .toList();
  }

  private static String words(Part part, PositionId position) {
    return part.kind().positions().stream()
        .filter(p -> p.id().equals(position))
        .map(p -> p.words())
        .findFirst()
        .orElse(position.value());
  }

  /** The mistakes that were tried by now; more are tried meanwhile. */
  private List<Mistakes> mistakes(OpenRig rig, List<PocketJob> jobs, Units units) {
    long end = System.nanoTime() + FOR_MISTAKES.toNanos();
    List<Mistakes> all = new ArrayList<>();
    for (PocketJob job : jobs) {
      if (job.rest().steps().isEmpty()) {
        continue;
      }
      Duration left = Duration.ofNanos(Math.max(1, end - System.nanoTime()));
      Optional<List<Slip>> tried = desk.slips(rig, job.rest().id(), JobView.rest(rig), left);
      List<Slip> bad =
          tried.orElse(List.of()).stream().filter(s -> s.grade() != Slip.Grade.HARMLESS).toList();
      if (!bad.isEmpty()) {
        all.add(new Mistakes(job.rest().name(), JobView.SlipRow.of(bad, units)));
      }
    }
    return all;
  }

  /** The styles of the pages, with their letters in them. */
  private static String styles() {
    Matcher font = FONT.matcher(file("/static/fernwort.css"));
    return font.replaceAll(found -> "url(data:font/woff2;base64," + packed(found.group(1)) + ")");
  }

  private static String packed(String font) {
    return Base64.getEncoder().encodeToString(bytes("/static" + font));
  }

  private static String file(String path) {
    return new String(bytes(path), StandardCharsets.UTF_8);
  }

  private static byte[] bytes(String path) {
    try (InputStream in = Objects.requireNonNull(Pocket.class.getResourceAsStream(path), path)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
