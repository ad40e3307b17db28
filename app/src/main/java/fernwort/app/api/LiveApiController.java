package fernwort.app.api;

import fernwort.app.live.LiveAnswers;
import fernwort.app.live.LiveDesk;
import fernwort.app.live.RuleDesk;
import fernwort.app.live.RuleText;
import fernwort.app.live.SignalText;
import fernwort.app.live.StandsAgainst;
import fernwort.app.security.AccessRecord;
import fernwort.app.web.CsvTable;
import fernwort.core.hazard.Warning;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Sensors, motors, alarms and commands for programs. */
@RestController
@RequestMapping(value = "/api/v1", produces = MediaType.APPLICATION_JSON_VALUE)
class LiveApiController {

  private static final String WHO = "program";

  private final AccessRecord record;
  private final LiveDesk live;
  private final RuleDesk rules;

  LiveApiController(LiveDesk live, RuleDesk rules, AccessRecord record) {
    this.record = record;
    this.live = live;
    this.rules = rules;
  }

  /**
   * Where the broker is.
   *
   * @param url such as mqtt://192.168.1.20 or mqtts://name:8883; empty to connect to none
   * @param user who connects; left out for nobody
   * @param password left out to leave it as it is
   * @param ca the certificate (PEM) of who vouches for the broker; left out to leave it as it is
   */
  record Broker(
      @Nullable String url,
      @Nullable String user,
      @Nullable String password,
      @Nullable String ca) {}

  @GetMapping("/live")
  @Operation(summary = "Whether there is a connection to the broker, since when, and to which")
  LiveAnswers.Connection connection() {
    return live.connection();
  }

  @PutMapping("/live/broker")
  @Operation(summary = "Connect to a broker, now and after each start; an empty url ends it")
  LiveAnswers.Connection connect(@RequestBody Broker broker, HttpServletRequest request) {
    LiveAnswers.Connection now =
        live.connect(broker.url(), broker.user(), broker.password(), broker.ca());
    record.add(AccessRecord.What.BROKER, request.getRemoteAddr());
    return now;
  }

  @GetMapping("/live/found")
  @Operation(summary = "What devices offer by the Homie convention, ready to be bound")
  List<LiveAnswers.FoundNow> found() {
    return live.found();
  }

  @GetMapping("/rigs/{id}/live/signals")
  @Operation(summary = "What the sensors of a rig tell, how old it is and whether to trust it")
  List<LiveAnswers.SignalNow> signals(@PathVariable String id) {
    return live.signals(id);
  }

  @PutMapping("/rigs/{id}/live/signals/{name}")
  @Operation(summary = "Bind a topic to a thing of the rig")
  LiveAnswers.SignalNow bind(
      @PathVariable String id, @PathVariable String name, @RequestBody SignalText signal) {
    return live.bind(id, name, signal);
  }

  @DeleteMapping("/rigs/{id}/live/signals/{name}")
  @Operation(summary = "Bind a name no longer")
  ResponseEntity<Void> unbind(@PathVariable String id, @PathVariable String name) {
    live.unbind(id, name);
    return ResponseEntity.noContent().build();
  }

  @GetMapping("/rigs/{id}/live/signals/{name}/history")
  @Operation(summary = "What a signal told: values of two days, means before")
  List<LiveDesk.Past> history(
      @PathVariable String id,
      @PathVariable String name,
      @RequestParam Optional<Instant> from,
      @RequestParam Optional<Instant> to) {
    return live.history(id, name, from.orElse(Instant.EPOCH), to.orElseGet(Instant::now));
  }

  @GetMapping(value = "/rigs/{id}/live/signals/{name}/history", produces = "text/csv")
  @Operation(summary = "The same as a table")
  String historyTable(
      @PathVariable String id,
      @PathVariable String name,
      @RequestParam Optional<Instant> from,
      @RequestParam Optional<Instant> to) {
    return CsvTable.of(
        List.of("at", "value", Says.SPAN_S.text()),
        history(id, name, from, to).stream()
            .map(p -> List.of(p.at().toString(), p.value().toString(), Integer.toString(p.span())))
            .toList());
  }

  @GetMapping("/rigs/{id}/live/alarms")
  @Operation(summary = "Alarms, the newest first; one asks until it is gone and seen")
  List<LiveAnswers.AlarmNow> alarms(@PathVariable String id) {
    return live.alarms(id);
  }

  @PostMapping("/rigs/{id}/live/alarms/{alarm}/seen")
  @Operation(summary = "Somebody saw an alarm")
  LiveAnswers.AlarmNow seen(@PathVariable String id, @PathVariable String alarm) {
    return live.seen(id, alarm, WHO);
  }

  /** For how long an alarm makes no noise (minutes). */
  record Quiet(@Nullable Double minutes) {}

  @PostMapping("/rigs/{id}/live/alarms/{alarm}/snooze")
  @Operation(summary = "An alarm makes no noise for so many minutes")
  LiveAnswers.AlarmNow snooze(
      @PathVariable String id, @PathVariable String alarm, @RequestBody Quiet quiet) {
    if (quiet.minutes() == null) {
      throw new Refusal(Says.THE_FIELD_IS_MISSING.filled("minutes"));
    }
    return live.snooze(id, alarm, quiet.minutes());
  }

  /**
   * What is to move.
   *
   * @param anyway whether a person wants it though it is a danger
   */
  record Command(@Nullable String part, @Nullable String position, @Nullable Boolean anyway) {}

  @PostMapping("/rigs/{id}/live/commands")
  @Operation(summary = "Tell a motor or pump to move; 409 with the warning that stands against it")
  ResponseEntity<LiveAnswers.CommandNow> command(
      @PathVariable String id, @RequestBody Command command) {
    if (command.part() == null || command.position() == null) {
      throw new Refusal(
          Says.THE_FIELD_IS_MISSING.filled(command.part() == null ? "part" : "position"));
    }
    return ResponseEntity.accepted()
        .body(
            live.command(
                id,
                command.part(),
                command.position(),
                Boolean.TRUE.equals(command.anyway()),
                WHO));
  }

  @GetMapping("/rigs/{id}/live/commands")
  @Operation(summary = "The commands since the start, the newest first")
  List<LiveAnswers.CommandNow> commands(@PathVariable String id) {
    return live.commands(id);
  }

  /** Why a command was not sent. */
  record Against(String sentence, Warning warning) {}

  @ExceptionHandler
  ResponseEntity<Against> against(StandsAgainst e) {
    Warning warning = e.warning();
    return ResponseEntity.status(HttpStatus.CONFLICT)
        .body(new Against(warning.title() + ". " + warning.fix(), warning));
  }

  @GetMapping("/rigs/{id}/live/rules")
  @Operation(summary = "The rules of a rig, with what came of trying each")
  List<RuleDesk.RuleNow> rules(@PathVariable String id) {
    return rules.rules(id);
  }

  @GetMapping("/rigs/{id}/live/rules/{name}")
  @Operation(summary = "One rule")
  RuleDesk.RuleNow rule(@PathVariable String id, @PathVariable String name) {
    return rules.rule(id, name);
  }

  @PutMapping("/rigs/{id}/live/rules/{name}")
  @Operation(
      summary = "Keep a rule; a new one tells only, and goes live when it held in the simulation")
  RuleDesk.RuleNow keep(
      @PathVariable String id, @PathVariable String name, @RequestBody RuleText rule) {
    return rules.keep(id, name, rule);
  }

  @DeleteMapping("/rigs/{id}/live/rules/{name}")
  @Operation(summary = "Remove a rule; one in the middle is put safe first")
  ResponseEntity<Void> removeRule(@PathVariable String id, @PathVariable String name) {
    rules.removeRule(id, name);
    return ResponseEntity.noContent().build();
  }

  @PostMapping("/rigs/{id}/live/rules/{name}/press")
  @Operation(summary = "Press the button of a rule that begins at one")
  ResponseEntity<RuleDesk.RuleNow> press(@PathVariable String id, @PathVariable String name) {
    return ResponseEntity.accepted().body(rules.press(id, name));
  }

  @GetMapping("/rigs/{id}/live/rules/{name}/proof")
  @Operation(
      summary = "What came of trying a rule: the runs that ended in harm, as stories in time")
  RuleDesk.Proof proof(@PathVariable String id, @PathVariable String name) {
    return rules.rule(id, name).proof();
  }

  @GetMapping(value = "/rigs/{id}/live/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  @Operation(summary = "Server-sent events: signal, alarm, command, rule")
  SseEmitter events(@PathVariable String id) {
    return live.watch(id, UnaryOperator.identity());
  }
}
