package fernwort.app.api;

import fernwort.app.board.ReadingText;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Standing;
import fernwort.app.services.States;
import fernwort.app.store.Logbook;
import fernwort.app.store.RigStore;
import fernwort.app.units.Units;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.EmptyingJob;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Lasts;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.winter.sheets.ResidualWater;
import io.swagger.v3.oas.annotations.Operation;
import java.net.URI;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the pages show and do, as JSON in SI units. */
@RestController
@RequestMapping(value = "/api/v1", produces = MediaType.APPLICATION_JSON_VALUE)
class ApiController {

  private static final String WHO = "program";
  private static final int MOST_LINES = 1000;

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;
  private final JobDesk desk;
  private final Clock clock;

  ApiController(Descriptions rigs, States states, Diary diary, JobDesk desk, Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
    this.desk = desk;
    this.clock = clock;
  }

  /** The header and the token that every change must carry. */
  record Token(String header, String token) {}

  /** The address of a rig. */
  record Address(String id) {}

  /** Positions by part id; volumes in m³ and the time of reading by tank id. */
  record StateAnswer(Map<PartId, PositionId> positions, Map<String, Logbook.Level> levels) {}

  /** The position to turn a handle to. */
  record Turn(String position) {
    Turn {
      if (position == null) {
        throw new Refusal(Says.THE_FIELD_POSITION_IS_MISSING.with());
      }
    }
  }

  /** A reading: an amount in percent, litres, stick (mm) or steps; time as ISO 8601, or now. */
  record TankReading(double amount, String unit, Optional<Instant> at) {
    TankReading {
      if (unit == null) {
        throw new Refusal(Says.THE_FIELD_UNIT_IS_MISSING.with());
      }
      if (!Double.isFinite(amount)) {
        throw new Refusal(Says.THE_FIELD_AMOUNT_IS_NOT_A_NUMBER.with());
      }
    }
  }

  /** What one turn of a handle would change. */
  record Change(
      List<FlowPath.Key> opened,
      List<FlowPath.Key> shut,
      List<Warning> gained,
      List<Warning> lost) {}

  @GetMapping("/token")
  @Operation(summary = "The token that every change must carry in a header, with its cookie")
  Token token(CsrfToken token) {
    return new Token(token.getHeaderName(), token.getToken());
  }

  @GetMapping("/rigs")
  @Operation(summary = "All rigs by name")
  List<RigStore.Summary> all() {
    return rigs.all();
  }

  @PostMapping(value = "/rigs", consumes = MediaType.APPLICATION_JSON_VALUE)
  @Operation(summary = "Import a rig file; 422 with every fault when it is no sound rig")
  ResponseEntity<Address> add(@RequestBody byte[] file) {
    String id = rigs.add(file, "api");
    return ResponseEntity.created(URI.create("/api/v1/rigs/" + id)).body(new Address(id));
  }

  @GetMapping("/rigs/{id}")
  @Operation(summary = "A rig as its file")
  String rig(@PathVariable String id) {
    return rigs.export(id);
  }

  @GetMapping("/rigs/{id}/state")
  @Operation(summary = "Where every handle stands and what every tank held when it was read")
  StateAnswer state(@PathVariable String id) {
    return standing(rigs.open(id));
  }

  private StateAnswer standing(OpenRig rig) {
    Standing standing = states.of(rig);
    return new StateAnswer(standing.state().setting().positions(), standing.readings());
  }

  @GetMapping("/rigs/{id}/ways")
  @Operation(summary = "Every open way, each tank's air, running pumps, moving lines, dead parts")
  FlowPaths ways(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return Outlook.of(rig, states.of(rig).state()).ways();
  }

  @GetMapping("/rigs/{id}/warnings")
  @Operation(summary = "What would go wrong, worst first")
  List<Warning> warnings(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return Outlook.of(rig, states.of(rig).state()).warnings();
  }

  @GetMapping("/rigs/{id}/handles/{part}/preview")
  @Operation(summary = "What turning a handle would change, without turning it")
  Change preview(
      @PathVariable String id, @PathVariable String part, @RequestParam String position) {
    OpenRig rig = rigs.open(id);
    Outlook.Preview preview =
        Outlook.Preview.of(rig, states.of(rig).state(), PartId.of(part), PositionId.of(position));
    Outlook before = preview.before();
    Outlook after = preview.after();
    return new Change(
        newWays(before, after),
        newWays(after, before),
        newWarnings(before, after),
        newWarnings(after, before));
  }

  private static List<FlowPath.Key> newWays(Outlook before, Outlook after) {
    Set<FlowPath.Key> known =
        before.ways().ways().stream().map(FlowPath::key).collect(Collectors.toSet());
    return after.ways().ways().stream().map(FlowPath::key).filter(k -> !known.contains(k)).toList();
  }

  private static List<Warning> newWarnings(Outlook before, Outlook after) {
    Set<Warning.Key> known =
        before.warnings().stream().map(Warning::key).collect(Collectors.toSet());
    return after.warnings().stream().filter(w -> !known.contains(w.key())).toList();
  }

  @PutMapping("/rigs/{id}/handles/{part}")
  @Operation(summary = "Turn a handle, switch, cap or hose")
  StateAnswer turn(@PathVariable String id, @PathVariable String part, @RequestBody Turn turn) {
    OpenRig rig = rigs.open(id);
    states.turn(rig, part, PositionId.of(turn.position()), WHO);
    return standing(rig);
  }

  @PutMapping("/rigs/{id}/tanks/{tank}/reading")
  @Operation(summary = "Record a reading of a tank")
  StateAnswer read(
      @PathVariable String id, @PathVariable String tank, @RequestBody TankReading reading) {
    OpenRig rig = rigs.open(id);
    ReadingText.Typed typed =
        ReadingText.of(
            java.math.BigDecimal.valueOf(reading.amount()).toPlainString(),
            reading.unit(),
            Units.METRIC);
    states.record(
        rig,
        PartId.of(tank),
        typed.reading(),
        typed.shown(),
        reading.at().orElseGet(clock::instant),
        WHO);
    return standing(rig);
  }

  @PostMapping("/rigs/{id}/undo")
  @Operation(summary = "Undo the last change")
  StateAnswer undo(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    states.undo(rig, WHO);
    return standing(rig);
  }

  @PostMapping("/rigs/{id}/redo")
  @Operation(summary = "Redo the change that was undone last")
  StateAnswer redo(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    states.redo(rig, WHO);
    return standing(rig);
  }

  @GetMapping({"/rigs/{id}/changes", "/rigs/{id}/journal"})
  @Operation(summary = "Who changed what and when, newest first")
  List<Logbook.Entry> journal(@PathVariable String id) {
    return states.journal(rigs.open(id), MOST_LINES);
  }

  @GetMapping("/rigs/{id}/habits")
  @Operation(summary = "Who travels and what they use")
  Habits habits(@PathVariable String id) {
    return states.habits(rigs.open(id));
  }

  @PutMapping("/rigs/{id}/habits")
  @Operation(summary = "Set who travels and what they use")
  Habits setHabits(@PathVariable String id, @RequestBody Habits habits) {
    states.setHabits(rigs.open(id), habits);
    return habits;
  }

  @GetMapping("/rigs/{id}/lasts")
  @Operation(summary = "How long fresh water and room for gray last")
  Lasts lasts(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return diary.lasts(rig);
  }

  @GetMapping("/rigs/{id}/flows")
  @Operation(
      summary = "The steady flow with the handles as they are, filters as used as the log tells")
  FlowAnswer flows(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return FlowAnswer.of(rig.hydraulics(), states.of(rig).state());
  }

  @GetMapping("/rigs/{id}/tanks")
  @Operation(summary = "Each tank as parked: litres, usable, stranded, what its gauge shows")
  Map<PartId, TankAnswer> tanks(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return TankAnswer.of(rig.network(), states.of(rig).state());
  }

  /**
   * How to empty what was chosen.
   *
   * @param plan the steps
   * @param leftovers the water that stays, the most first (m³)
   */
  record EmptyAnswer(JobsApiController.Planned plan, List<ResidualWater> leftovers) {}

  @GetMapping({"/rigs/{id}/drain", "/rigs/{id}/empty"})
  @Operation(summary = "In which order to empty tanks and lines, and what stays")
  EmptyAnswer empty(
      @PathVariable String id,
      @RequestParam(defaultValue = "") Set<PartId> tanks,
      @RequestParam(defaultValue = "false") boolean lines) {
    OpenRig rig = rigs.open(id);
    Job job = EmptyingJob.of(rig.network(), tanks, lines);
    Plan plan = desk.plan(rig, job.id(), states.of(rig).state());
    return new EmptyAnswer(
        JobsApiController.Planned.of(rig.rig(), plan),
        ResidualWater.of(rig.network(), plan.after(), tanks, lines));
  }
}
