package fernwort.app.live;

import fernwort.app.mqtt.Link;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.LiveLevels;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.States;
import fernwort.app.store.LiveStore;
import fernwort.app.store.ReadingStore;
import fernwort.app.store.StoreTrouble;
import fernwort.core.diary.Entry;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.Alarm;
import fernwort.core.live.AlarmCause;
import fernwort.core.live.AlarmCode;
import fernwort.core.live.LiveRig;
import fernwort.core.live.MotorCommand;
import fernwort.core.live.Now;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.live.rule.RuleRun;
import fernwort.core.live.rule.Sight;
import fernwort.core.network.Turn;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.sizing.Lasts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;
import tools.jackson.databind.json.JsonMapper;

/**
 * One rig that is live: what is bound to it, its alarms, its commands. One thread alone uses it.
 */
final class Room {

  private static final Logger LOG = LoggerFactory.getLogger(Room.class);

  /** Who turns handles and reads tanks for a sensor. */
  static final String SENSOR = "sensor";

  /** It is looked round at least so often (s); own choice. */
  private static final double ROUND = 1;

  /** Whether the rig was changed is looked up so often (s); own choice. */
  private static final double LOOK_UP = 2;

  /** A valve that flutters is written down at most so often (s); own choice. */
  private static final double TURN_PAUSE = 5;

  /** A link may be down for so long before that is an alarm (s); own choice. */
  private static final double LINK_PATIENCE = 60;

  /** For how many days the water lasts is counted so often (s); own choice. */
  private static final double COUNT = 300;

  /** Who did something is no longer in the log (characters). */
  private static final int LONGEST_WHO = 40;

  /** What the rooms share. */
  record House(
      Descriptions rigs,
      States states,
      Diary diary,
      LiveStore store,
      ReadingStore readings,
      LiveLevels levels,
      LiveEvents events,
      AlarmBar bar,
      AlarmSwitches switches,
      JsonMapper mapper) {}

  private final String id;
  private final House house;
  private OpenRig rig;
  private LiveRig live;
  private List<Alarm> alarms;
  private final Map<AlarmCause.Key, Double> caused = new HashMap<>();
  private final Map<String, Double> turned = new HashMap<>();
  private final Map<String, MotorCommand.Progress> published = new HashMap<>();
  private final Map<String, Alarm> unkept = new LinkedHashMap<>();
  private final Map<PartId, Turned> unwritten = new LinkedHashMap<>();
  private final Set<String> news = new LinkedHashSet<>();
  private final Set<String> states = new HashSet<>();
  private final Minutes minutes = new Minutes();
  private final RuleBook rules;
  private final LevelLog levels;
  private double looked = Double.NEGATIVE_INFINITY;
  private double lookedUp = Double.NEGATIVE_INFINITY;
  private double unlinked = Double.NaN;
  private boolean dirty = true;
  private Map<PartId, PositionId> handles = Map.of();
  private Map<String, Double> days = Map.of();
  private double counted = Double.NEGATIVE_INFINITY;

  Room(String id, House house) {
    this.id = id;
    this.house = house;
    rig = house.rigs().open(id);
    live = opened();
    alarms = new ArrayList<>(house.store().asking(id));
    levels = new LevelLog(house);
    rules = new RuleBook(id, house.store(), house.mapper());
    rules.distrust(rig.rig(), live.signals(), triedWith());
    showAlarms();
  }

  private void showAlarms() {
    house.bar().set(id, rig.rig().name(), alarms);
  }

  private LiveRig opened() {
    List<Signal> signals = new ArrayList<>();
    house
        .store()
        .signals(id)
        .forEach((name, bound) -> {
          try {
            signals.add(house.mapper().readValue(bound, SignalText.class).signal(name));
          } catch (RuntimeException e) {
            LOG.warn("a signal of {} cannot be read and is left out", id, e);
          }
        });
    return LiveRig.of(rig.network(), rig.hazards(), signals);
  }

  /** Takes what is bound, and how the rig is built, from what is kept. */
  void renew() {
    rig = house.rigs().open(id);
    live = opened().after(live);
    rules.distrust(rig.rig(), live.signals(), triedWith());
    dirty = true;
  }

  /** Returns how handles stood when it looked last. */
  Map<PartId, PositionId> handles() {
    return handles;
  }

  /**
   * By the log; where sensors tell of other levels, by those at the use that the log has learnt.
   */
  private Lasts lasting(Now now) {
    Lasts logged = house.diary().lasts(rig);
    State noted = house.states().of(rig).state();
    State seen = live.seen(noted, now);
    return seen.volumes().equals(noted.volumes())
        ? logged
        : Lasts.of(rig.network(), seen, house.states().habits(rig)).usedLike(logged);
  }

  /** Returns for how many days the water lasts, by what ends it; looked up now and then. */
  Map<String, Double> days(Now now) {
    if (now.steady() - counted >= COUNT) {
      counted = now.steady();
      Lasts lasts = lasting(now);
      Map<String, Double> anew = new TreeMap<>();
      if (Double.isFinite(lasts.freshDays())) {
        anew.put("fresh", lasts.freshDays());
      }
      lasts.grayDays().filter(Double::isFinite).ifPresent(d -> anew.put("gray", d));
      days = anew;
    }
    return days;
  }

  /** Returns the topics by which contacts tell of water where none should be. */
  Set<String> leaks() {
    return live.signals().stream()
        .filter(s -> s.kind() == SignalKind.LEAK)
        .map(s -> s.source().topic())
        .collect(Collectors.toSet());
  }

  /** Returns the topics it listens to. */
  Set<String> topics() {
    return live.signals().stream().map(s -> s.source().topic()).collect(Collectors.toSet());
  }

  List<LiveRig.Told> told(Now now) {
    return live.told(now);
  }

  Optional<LiveRig.Told> told(String name, Now now) {
    return live.told(name, now);
  }

  /** Tells whether a part can be told to move. */
  boolean canMove(String part) {
    return live.driveOf(PartId.of(part)).isPresent();
  }

  /** Returns the names of the signals by which something can be told to move. */
  Set<String> movable() {
    return live.signals().stream()
        .filter(s -> s.drive().isPresent())
        .map(Signal::name)
        .collect(Collectors.toSet());
  }

  List<MotorCommand> commands() {
    return live.commands();
  }

  OpenRig rig() {
    return rig;
  }

  /** Takes a message that came under a topic. */
  void take(String topic, String payload, boolean kept, Now now) {
    Slope slope = house.states().parked(rig);
    for (Signal signal : live.signals()) {
      if (signal.source().topic().equals(topic)) {
        live.take(signal.name(), payload, kept, slope, now)
            .ifPresent(value -> {
              news.add(signal.name());
              if (!kept) {
                minutes.add(signal.name(), value, now.wall());
              }
              if (signal.kind().form() != SignalKind.Form.AMOUNT) {
                dirty = true;
              }
            });
      }
    }
  }

  /** A device says that it is gone. */
  void lose(String device) {
    live.signals().stream()
        .filter(s -> s.source().topic().startsWith(Discovery.ROOT + device + "/"))
        .forEach(s -> {
          live.lose(s.name());
          news.add(s.name());
          dirty = true;
        });
  }

  /**
   * Tells a part to move.
   *
   * @param anyway whether a person wants it though it is a danger
   * @throws StandsAgainst when it is a danger
   */
  MotorCommand command(
      String part, String position, boolean anyway, String who, Link link, Now now) {
    Turn turn = new Turn(PartId.of(part), PositionId.of(position));
    Signal.Order order = Signal.order(rig.rig(), live.signals(), turn);
    if (!anyway) {
      danger(part, position, now)
          .ifPresent(w -> {
            throw new StandsAgainst(w);
          });
    }
    if (!link.command(order.topic(), order.payload())) {
      throw new Refusal(Says.NO_CONNECTION.with(rig.rig().part(turn.part()).label()));
    }
    MotorCommand command =
        live.command(UUID.randomUUID().toString(), turn.part(), turn.position(), who, now);
    dirty = true;
    return command;
  }

  /** Returns the danger that a turn brings and that is not there before it. */
  Optional<Warning> danger(String part, String position, Now now) {
    State state = live.seen(house.states().of(rig).state(), now);
    Outlook.Preview preview =
        Outlook.Preview.of(rig, state, PartId.of(part), PositionId.of(position));
    Set<Warning.Key> before =
        preview.before().warnings().stream().map(Warning::key).collect(Collectors.toSet());
    return preview.after().warnings().stream()
        .filter(w -> w.severity() == Severity.DANGER && !before.contains(w.key()))
        .findFirst();
  }

  private void tellCommands() {
    published
        .keySet()
        .retainAll(live.commands().stream().map(MotorCommand::id).collect(Collectors.toSet()));
    for (MotorCommand command : live.commands()) {
      if (published.put(command.id(), command.state()) != command.state()) {
        house.events().tell(id, LiveEvents.Topic.COMMAND, LiveAnswers.CommandNow.of(command));
        if (command.hasArrived()) {
          turn(command.part(), command.position(), command.who());
        }
      }
    }
  }

  /** Looks round: motors, handles, levels, alarms, what is to be kept and told. */
  void round(Now now, Optional<Link> link) {
    boolean due = now.steady() - looked >= ROUND;
    if (now.steady() - lookedUp >= LOOK_UP) {
      lookedUp = now.steady();
      OpenRig newest = house.rigs().open(id);
      if (newest.version() != rig.version()) {
        renew();
      }
    }
    tellSignals(now);
    if (!dirty && !due) {
      return;
    }
    dirty = false;
    looked = now.steady();
    live.watchCommands(now);
    Set<AlarmCode> off = house.switches().off(id);
    // Alarms come first, then what makes safe: whatever fails or waits after them, for want of
    // room on the disk, holds neither up.
    alarms(
        causes(now, link.isPresent()).stream().filter(c -> !off.contains(c.code())).toList(), now);
    if (!rules.isEmpty() && link.isPresent()) {
      rules.go(sight(now), hands(link, now), now);
    }
    keepAlarms();
    tellCommands();
    keepTurns();
    Setting noted = house.states().of(rig).state().setting();
    handles = noted.positions();
    followPositions(noted, now);
    isKept(() -> follow(now));
    isKept(() -> keep(minutes.ready(now.wall()), now.wall()));
  }

  private void follow(Now now) {
    if (levels.follow(rig, live.told(now), now)) {
      house
          .events()
          .tell(id, LiveEvents.Topic.BOARD, Map.of("levels", house.levels().of(id).keySet()));
    }
  }

  /** Tells whether something could be kept; a disk that is full ends nothing else. */
  private boolean isKept(Runnable keeping) {
    try {
      keeping.run();
      return true;
    } catch (DataAccessException | TransactionException | StoreTrouble e) {
      LOG.warn("something of {} cannot be kept", id, e);
      return false;
    }
  }

  /** It is looked round at the next turn. */
  void stir() {
    dirty = true;
  }

  RuleBook rules() {
    return rules;
  }

  LiveRig live() {
    return live;
  }

  /** A rig with what is bound to it, to be used on any thread. */
  record AsBuilt(OpenRig rig, List<Signal> signals, String triedWith) {}

  /** Returns what a trial of a rule holds for: how the rig is built, and what is bound. */
  private String triedWith() {
    // Of texts and numbers alone: the hash of an enum differs from start to start.
    return rig.version()
        + " "
        + live.signals().stream()
            .map(s -> s.name() + SignalText.of(s).marked(null, null))
            .toList()
            .hashCode();
  }

  AsBuilt asBuilt() {
    return new AsBuilt(rig, live.signals(), triedWith());
  }

  /** What rules see: what can be trusted, and handles as far as anybody knows. */
  private Sight sight(Now now) {
    Setting setting = house.states().of(rig).state().setting();
    return new Sight() {
      @Override
      public Optional<Value> value(String signal) {
        return live.told(signal, now)
            .filter(t -> t.state().canBeActedOn())
            .flatMap(LiveRig.Told::value);
      }

      @Override
      public PositionId position(PartId part) {
        return arrived(part)
            .or(() -> Optional.ofNullable(unwritten.get(part)).map(Turned::position))
            .orElseGet(() -> setting.of(part));
      }

      /** Where a motor has come to that was told to move, until that is noted. */
      private Optional<PositionId> arrived(PartId part) {
        return last(part)
            .filter(c -> published.get(c.id()) != c.state() && c.hasArrived())
            .map(MotorCommand::position);
      }

      @Override
      public boolean leaves(Turn turn) {
        return last(turn.part())
            .filter(c -> c.state() == MotorCommand.Progress.MOVING)
            .filter(c -> !c.position().equals(turn.position()))
            .isPresent();
      }

      @Override
      public boolean failed(PartId part) {
        return last(part).filter(c -> c.state() == MotorCommand.Progress.FAILED).isPresent();
      }
    };
  }

  /** Returns the last command to a part, if there was one. */
  private Optional<MotorCommand> last(PartId part) {
    return live.commands().stream()
        .filter(c -> c.part().equals(part))
        .reduce((first, last) -> last);
  }

  /** How rules reach motors and people; no rule may bring a danger. */
  RuleBook.Hands hands(Optional<Link> link, Now now) {
    return new RuleBook.Hands() {
      @Override
      public Optional<String> move(Turn turn, String rule) {
        try {
          Link there =
              link.orElseThrow(
                  () -> new Refusal(Says.NO_CONNECTION.with(rig.rig().part(turn.part()).label())));
          command(turn.part().value(), turn.position().value(), false, who(rule), there, now);
          return Optional.empty();
        } catch (StandsAgainst e) {
          return against(rule, e.warning().title().toString());
        } catch (Refusal e) {
          return against(rule, e.saying().toString());
        }
      }

      private Optional<String> against(String rule, String words) {
        tell(rule, words);
        return Optional.of(words);
      }

      @Override
      public void tell(String rule, String words) {
        house.events().tell(id, LiveEvents.Topic.RULE, Map.of("rule", rule, "words", words));
        Entry.What said = new Entry.Note(Says.THE_RULE_SAYS.filled(rule, words));
        isKept(() -> house.diary().add(rig, said, now.wall(), who(rule)));
      }

      @Override
      public String words(Turn turn) {
        return Says.TURNS.filled(
            rig.rig().part(turn.part()).label(),
            rig.rig().position(turn.part(), turn.position()).words());
      }

      @Override
      public void brokenOff(String rule, RuleRun.Why why) {
        AlarmCause cause =
            new AlarmCause(AlarmCode.RULE_BROKEN_OFF, rule, AlarmCode.RULE_BROKEN_OFF.words(rule));
        set(Alarm.raised(UUID.randomUUID().toString(), cause, now.wall()).gone(now.wall()));
      }
    };
  }

  private static String who(String rule) {
    String who = "rule " + rule;
    return who.length() > LONGEST_WHO ? who.substring(0, LONGEST_WHO) : who;
  }

  private void tellSignals(Now now) {
    for (LiveRig.Told told : live.told(now)) {
      String state = told.signal().name() + " " + told.state();
      boolean changed = news.remove(told.signal().name());
      if (states.add(state)) {
        states.removeIf(s -> s.startsWith(told.signal().name() + " ") && !s.equals(state));
        changed = true;
      }
      if (changed) {
        house.events().tell(id, LiveEvents.Topic.SIGNAL, LiveAnswers.SignalNow.of(told));
      }
    }
    news.clear();
  }

  /** A valve that says where it is moves its handle on the Board. */
  private void followPositions(Setting setting, Now now) {
    for (LiveRig.Told told : live.told(now)) {
      if (told.raw().orElse(null) instanceof Value.Stop stop
          && !told.kept()
          && told.state().canBeActedOn()
          && !setting.of(told.signal().on().id().part()).equals(stop.position())
          && isDue(turned, told.signal().on().id().value(), TURN_PAUSE, now)) {
        turn(told.signal().on().id().part(), stop.position(), SENSOR);
      }
    }
  }

  private static boolean isDue(Map<String, Double> last, String key, double pause, Now now) {
    Double before = last.get(key);
    if (before != null && now.steady() - before < pause) {
      return false;
    }
    last.put(key, now.steady());
    return true;
  }

  private void turn(PartId part, PositionId position, String who) {
    unwritten.put(part, new Turned(position, who));
    keepTurns();
  }

  /** A handle that moved and cannot be noted yet, and who moved it. */
  private record Turned(PositionId position, String who) {}

  private void keepTurns() {
    for (Map.Entry<PartId, Turned> one : List.copyOf(unwritten.entrySet())) {
      PartId part = one.getKey();
      Turned turned = one.getValue();
      boolean kept =
          house.states().of(rig).state().setting().has(part, turned.position())
              || isKept(
                  () -> house.states().turn(rig, part.value(), turned.position(), turned.who()));
      if (!kept) {
        return;
      }
      unwritten.remove(part);
      house.events().tell(id, LiveEvents.Topic.BOARD, Map.of("part", part.value()));
    }
  }

  /** Without a link all sensors are silent: that is one alarm, and not one for each. */
  private List<AlarmCause> causes(Now now, boolean linked) {
    List<AlarmCause> causes = new ArrayList<>(live.causes(house.states().of(rig).state(), now));
    if (linked) {
      unlinked = Double.NaN;
      return causes;
    }
    unlinked = Double.isNaN(unlinked) ? now.steady() : unlinked;
    causes.removeIf(c -> c.code() == AlarmCode.SIGNAL_LOST);
    if (now.steady() - unlinked > LINK_PATIENCE && !live.signals().isEmpty()) {
      causes.add(AlarmCode.noLink());
    }
    return causes;
  }

  private void alarms(List<AlarmCause> causes, Now now) {
    causes.forEach(c -> caused.put(c.key(), now.steady()));
    for (AlarmCause cause : causes) {
      Optional<Alarm> known = alarms.stream().filter(a -> a.isOf(cause.key())).findFirst();
      if (known.isEmpty()) {
        set(Alarm.raised(UUID.randomUUID().toString(), cause, now.wall()));
      } else if (known.get().gone().isPresent()) {
        set(known.get().back());
      }
    }
    for (Alarm alarm : List.copyOf(alarms)) {
      AlarmCause.Key key = new AlarmCause.Key(alarm.code(), alarm.about());
      double last = caused.getOrDefault(key, Double.NEGATIVE_INFINITY);
      if (alarm.gone().isEmpty()
          && now.steady() - last > alarm.code().goneAfter()
          && live.canSee(alarm, now)) {
        set(alarm.gone(now.wall()));
      }
    }
  }

  /** Keeps an alarm as it is now, and tells of it. */
  void set(Alarm alarm) {
    alarms.removeIf(a -> a.id().equals(alarm.id()));
    if (alarm.asks()) {
      alarms.add(alarm);
    }
    showAlarms();
    house.events().tell(id, LiveEvents.Topic.ALARM, LiveAnswers.AlarmNow.of(alarm));
    unkept.put(alarm.id(), alarm);
    keepAlarms();
  }

  /** A disk that is full keeps no alarm from being shown: it is kept when that can be. */
  private void keepAlarms() {
    for (Alarm alarm : List.copyOf(unkept.values())) {
      if (!isKept(() -> house.store().keep(id, alarm))) {
        return;
      }
      unkept.remove(alarm.id());
    }
  }

  Optional<Alarm> alarm(String alarm) {
    return alarms.stream().filter(a -> a.id().equals(alarm)).findFirst();
  }

  private void keep(Minutes.Ready ready, Instant now) {
    if (!ready.isEmpty()) {
      house.readings().keep(id, ready.minutes(), ready.means(), now);
    }
  }

  /** Keeps what is not complete: the copy is about to stop. */
  void stop() {
    keep(minutes.all(), Instant.now());
    house.levels().set(id, Map.of());
  }
}
