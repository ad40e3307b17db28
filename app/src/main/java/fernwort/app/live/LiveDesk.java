package fernwort.app.live;

import static java.util.concurrent.TimeUnit.SECONDS;

import fernwort.app.Missing;
import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.mqtt.HiveLink;
import fernwort.app.mqtt.Link;
import fernwort.app.mqtt.Topics;
import fernwort.app.services.Descriptions;
import fernwort.app.services.Diary;
import fernwort.app.services.LiveLevels;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.LiveStore;
import fernwort.app.store.ReadingStore;
import fernwort.app.store.Restored;
import fernwort.core.diary.Entry;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.live.Alarm;
import fernwort.core.live.AlarmCode;
import fernwort.core.live.Now;
import fernwort.core.live.Signal;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/** Everything live: where the broker is, what is bound, told, alarmed and commanded. */
@Service
public class LiveDesk implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(LiveDesk.class);

  /** So many messages of one topic wait; more are let go, the oldest first; own choice. */
  private static final int MOST_WAITING = 1000;

  /** No message of a sensor is longer (bytes); own choice. */
  private static final int LONGEST = 65_536;

  /** So many signals can be bound to one rig; own choice. */
  private static final int MOST_SIGNALS = 200;

  /** The broker has so long to say that it sends what was asked for (s); own choice. */
  private static final long PATIENCE = 3;

  private static final int MOST_ALARMS = 200;
  private static final Duration DAY = Duration.ofDays(1);

  private final BrokerSettings settings;
  private final OwnBroker ownBroker;
  private final LiveEvents events;
  private final Diary diary;
  private final Room.House house;
  private final Loop loop = new Loop(this::round);
  private final Map<String, Room> rooms = new LinkedHashMap<>();
  private final Discovery discovery = new Discovery();
  private final Simulated simulated = new Simulated();
  private final Mailbox<Heard> waiting = new Mailbox<>(MOST_WAITING);
  private final Set<String> bound = ConcurrentHashMap.newKeySet();
  private volatile Set<String> leaks = Set.of();
  private @Nullable Link link;
  private @Nullable Hearing hearing;
  private @Nullable OwnDevice own;
  private boolean opened;
  private boolean connected;
  private @Nullable Instant since;
  private String why = "";
  private volatile boolean running;

  LiveDesk(
      BrokerSettings settings,
      OwnBroker ownBroker,
      LiveEvents events,
      Diary diary,
      Descriptions rigs,
      States states,
      LiveStore store,
      ReadingStore readings,
      LiveLevels levels,
      AlarmBar bar,
      AlarmSwitches switches,
      JsonMapper mapper) {
    this.settings = settings;
    this.ownBroker = ownBroker;
    this.events = events;
    this.diary = diary;
    house =
        new Room.House(rigs, states, diary, store, readings, levels, events, bar, switches, mapper);
  }

  // The connection.

  /** Returns how the connection is. */
  public LiveAnswers.Connection connection() {
    return loop.ask(this::now);
  }

  private LiveAnswers.Connection now() {
    String url = settings.address().map(BrokerAddress::url).orElse("");
    return new LiveAnswers.Connection(connected, since, url, settings.user(), connected ? "" : why);
  }

  /**
   * Connects to a broker, now and after each start.
   *
   * @param url such as mqtt://192.168.1.20; empty for none any more
   * @param user empty for nobody
   * @param password empty for none; null to leave it as it is
   * @param ca the certificate (PEM) of who vouches for the broker; empty for those that the machine
   *     knows; null to leave it as it is
   * @throws Refusal naming what is wrong
   */
  public LiveAnswers.Connection connect(
      @Nullable String url, @Nullable String user, @Nullable String password, @Nullable String ca) {
    if (url == null) {
      throw new Refusal(Says.GIVE_THE_ADDRESS.with());
    }
    Optional<BrokerAddress> address =
        url.isBlank() ? Optional.empty() : Optional.of(BrokerAddress.of(url));
    return loop.ask(() -> {
      boolean other = !settings.address().equals(address);
      if (ca != null) {
        settings.trust(ca.strip().getBytes(StandardCharsets.US_ASCII));
      }
      if (address.isPresent()) {
        // A password goes to the broker it was given for, never to another.
        settings.set(
            address.get(), user == null ? "" : user, other && password == null ? "" : password);
      } else {
        settings.clear();
      }
      disconnect();
      open();
      return now();
    });
  }

  private void open() {
    opened = true;
    rooms.clear();
    Set<String> rigs = new HashSet<>(house.store().rigs());
    rigs.addAll(house.store().ruled());
    rigs.forEach(this::room);
    settings
        .address()
        .ifPresent(address -> {
          Hearing listener = new Hearing();
          OwnDevice device = new OwnDevice(settings.clientId());
          own = device;
          Link made = new HiveLink(address, settings.access(device), listener);
          hearing = listener;
          link = made;
          if (address.own()) {
            ownBroker.start(address, settings.guest(), listener::disconnected);
          }
          made.subscribe(Set.of(Discovery.ALL, Topics.SIMULATED + "+" + Topics.NOW));
          rooms.values().forEach(r -> made.subscribe(r.topics()));
          made.open();
        });
  }

  private void disconnect() {
    // From here on nothing counts that the old connection still says.
    hearing = null;
    if (link != null) {
      link.close();
      link = null;
    }
    ownBroker.stop();
    rooms.values().forEach(Room::stop);
    discovery.clear();
    simulated.clear();
    connected = false;
    since = null;
    why = "";
  }

  private Room room(String rig) {
    Room room = rooms.computeIfAbsent(rig, r -> new Room(r, house));
    note(rig, room);
    return room;
  }

  private void note(String rig, Room room) {
    leaks = rooms.values().stream().flatMap(r -> r.leaks().stream()).collect(Collectors.toSet());
    if (room.topics().isEmpty()) {
      bound.remove(rig);
    } else {
      bound.add(rig);
    }
  }

  private Room there(String rig) {
    if (!opened) {
      open();
    }
    // Asked first: who asks for a rig that is not there makes no room.
    house.rigs().open(rig);
    return room(rig);
  }

  /** A message as it came. */
  private record Heard(byte[] payload, boolean kept) {}

  /** Hears what comes over the connection, on threads of its own. */
  private final class Hearing implements Link.Listener {

    @Override
    public void connected() {
      now(() -> {
        connected = true;
        if (own != null) {
          own.forget();
        }
        since = Instant.now();
        why = "";
      });
    }

    @Override
    public void disconnected(String reason) {
      now(() -> {
        if (connected || since == null) {
          since = Instant.now();
        }
        connected = false;
        why = reason;
      });
    }

    @Override
    public void message(String topic, byte[] payload, boolean kept) {
      if (payload.length > LONGEST) {
        return;
      }
      // What is told last counts most: where too much waits, the oldest is let go.
      boolean first = waiting.add(topic, new Heard(payload, kept));
      if (first && leaks.contains(topic)) {
        loop.first(() -> takeAll(topic));
      } else if (first) {
        loop.soon(() -> takeAll(topic));
      }
    }

    private void takeAll(String topic) {
      for (Heard heard : waiting.take(topic)) {
        if (hearing == this) {
          take(topic, new String(heard.payload(), StandardCharsets.UTF_8), heard.kept());
        }
      }
    }

    private void now(Runnable task) {
      loop.soon(() -> {
        if (hearing == this) {
          task.run();
        }
      });
    }
  }

  private void take(String topic, String payload, boolean kept) {
    if (own != null && own.owns(topic)) {
      return;
    }
    simulated.take(topic, payload);
    Now now = Now.read();
    discovery
        .take(topic, payload, now.wall())
        .ifPresent(device -> rooms.values().forEach(r -> r.lose(device)));
    rooms.values().forEach(r -> r.take(topic, payload, kept, now));
  }

  private void round() {
    Now now = Now.read();
    for (Map.Entry<String, Room> room : List.copyOf(rooms.entrySet())) {
      try {
        room.getValue().round(now, linked());
      } catch (Missing deleted) {
        rooms.remove(room.getKey());
        bound.remove(room.getKey());
      } catch (RuntimeException e) {
        // What fails for one rig, or for a moment, ends nothing: the next round tries again.
        LOG.warn("a round of {} failed", room.getKey(), e);
      }
    }
    tellOthers();
  }

  /** Returns the link, while it is there. */
  private Optional<Link> linked() {
    return connected ? Optional.ofNullable(link) : Optional.empty();
  }

  /** Tells others on the network what changed. */
  private void tellOthers() {
    if (own == null || link == null || !connected) {
      return;
    }
    Map<String, OwnDevice.Telling> rigs = new TreeMap<>();
    for (String rig : bound) {
      Map<String, Double> levels = new TreeMap<>();
      house.levels().of(rig).forEach((tank, level) -> levels.put(tank, level.volume()));
      Room room = rooms.get(rig);
      rigs.put(
          rig,
          room == null
              ? new OwnDevice.Telling(levels, Map.of(), Map.of(), Map.of())
              : new OwnDevice.Telling(
                  levels, room.handles(), room.days(Now.read()), room.rules().told()));
    }
    own.tell(link, rigs, house.bar().all());
  }

  // What is bound and told.

  /** Returns what devices offer. */
  public List<LiveAnswers.FoundNow> found() {
    // Only what is shared is asked for there; a long list is made where it is read.
    return loop.ask(discovery::copy).found().stream().map(LiveAnswers.FoundNow::of).toList();
  }

  /**
   * Binds a signal under a name, in the place of what was. What a sensor says after this returns is
   * heard, where there is a connection.
   *
   * @throws Refusal naming what is missing
   */
  public LiveAnswers.SignalNow bind(String rig, String name, SignalText text) {
    Bound done =
        loop.ask(() -> {
          Room room = there(rig);
          Signal signal = text.signal(name).checked(room.rig().rig());
          Map<String, String> kept = house.store().signals(rig);
          if (!kept.containsKey(name) && kept.size() >= MOST_SIGNALS) {
            throw new Refusal(Says.SO_MANY_SIGNALS.with(MOST_SIGNALS));
          }
          house.store().bind(rig, name, house.mapper().writeValueAsString(SignalText.of(signal)));
          CompletableFuture<Void> heard = renew(room);
          return new Bound(
              LiveAnswers.SignalNow.of(room.told(name, Now.read()).orElseThrow()), heard);
        });
    // Waited for here, and not by the one thread on which the broker's answer may depend.
    done.heard().exceptionally(refused -> null).completeOnTimeout(null, PATIENCE, SECONDS).join();
    return done.signal();
  }

  /**
   * A signal that was bound.
   *
   * @param heard done when the broker sends what it says
   */
  private record Bound(LiveAnswers.SignalNow signal, CompletableFuture<Void> heard) {}

  /** Binds a name no longer. */
  public void unbind(String rig, String name) {
    loop.ask(() -> {
      Room room = there(rig);
      if (!house.store().unbind(rig, name)) {
        throw new fernwort.app.Missing(Says.THERE_IS_NO_SIGNAL.filled(name));
      }
      renew(room);
      return true;
    });
  }

  private CompletableFuture<Void> renew(Room room) {
    Set<String> before = room.topics();
    room.renew();
    note(room.rig().id(), room);
    if (link == null) {
      return CompletableFuture.completedFuture(null);
    }
    Set<String> fewer = new HashSet<>(before);
    rooms.values().forEach(r -> fewer.removeAll(r.topics()));
    link.unsubscribe(fewer);
    return link.subscribe(room.topics());
  }

  /** Returns how a simulated rig says that it really is, if there is one of that name. */
  public Optional<String> simulated(String rig) {
    return simulated.of(house.rigs().open(rig).id());
  }

  /**
   * Tells a simulated rig what is to go wrong, or how a hand turns something.
   *
   * @param path what is set, such as mishap/leak
   */
  public void tellSimulated(String rig, String path, String payload) {
    String topic = Topics.SIMULATED + house.rigs().open(rig).id() + "/" + path + "/set";
    loop.ask(() -> {
      if (link != null) {
        link.publish(topic, payload, false);
      }
      return true;
    });
  }

  /** Returns what the signals of a rig tell. */
  public List<LiveAnswers.SignalNow> signals(String rig) {
    return loop.ask(
        () -> there(rig).told(Now.read()).stream().map(LiveAnswers.SignalNow::of).toList());
  }

  /** Returns the names of the signals by which something can be told to move. */
  public Set<String> movable(String rig) {
    return loop.ask(() -> there(rig).movable());
  }

  /** Returns how a signal is bound. */
  public SignalText bound(String rig, String name) {
    return Optional.ofNullable(house.store().signals(rig).get(name))
        .map(b -> house.mapper().readValue(b, SignalText.class))
        .orElseThrow(() -> new fernwort.app.Missing(Says.THERE_IS_NO_SIGNAL.filled(name)));
  }

  /**
   * A value of before.
   *
   * @param value a number in the unit of its kind, whether it was on, or a position
   * @param span how long it is the mean of (s); 0 for a value as it was told
   */
  public record Past(Instant at, Object value, int span) {}

  /**
   * Returns what a signal told from one time to another: every value of the last two days, means of
   * ten minutes before, and of hours before that.
   */
  public List<Past> history(String rig, String name, Instant from, Instant to) {
    OpenRig open = house.rigs().open(rig);
    bound(rig, name);
    Instant values = Instant.now().minus(ReadingStore.VALUES);
    Instant means = Instant.now().minus(ReadingStore.MEANS);
    List<Past> past = new ArrayList<>();
    ReadingStore readings = house.readings();
    if (from.isBefore(means)) {
      readings
          .means(open.id(), name, ReadingStore.HOUR, from, earlier(to, means))
          .forEach(m -> past.add(new Past(m.from(), m.mean(), m.span())));
    }
    if (from.isBefore(values)) {
      readings
          .means(open.id(), name, ReadingStore.TEN_MINUTES, later(from, means), earlier(to, values))
          .forEach(m -> past.add(new Past(m.from(), m.mean(), m.span())));
    }
    for (ReadingStore.Minute minute : readings.minutes(open.id(), later(from, values), to)) {
      for (Minutes.Past value : Minutes.of(minute, name)) {
        if (!value.at().isBefore(from) && !value.at().isAfter(to)) {
          past.add(new Past(value.at(), value.value(), 0));
        }
      }
    }
    past.sort(Comparator.comparing(Past::at));
    return past;
  }

  private static Instant earlier(Instant one, Instant other) {
    return one.isBefore(other) ? one : other;
  }

  private static Instant later(Instant one, Instant other) {
    return one.isAfter(other) ? one : other;
  }

  // Alarms.

  /** Returns the alarms of a rig, the newest first. */
  public List<LiveAnswers.AlarmNow> alarms(String rig) {
    OpenRig open = house.rigs().open(rig);
    return house.store().alarms(open.id(), MOST_ALARMS).stream()
        .map(LiveAnswers.AlarmNow::of)
        .toList();
  }

  /** Somebody saw an alarm; that goes into the log. */
  public LiveAnswers.AlarmNow seen(String rig, String alarm, String who) {
    return change(
        rig,
        alarm,
        a -> {
          if (a.seen().isEmpty()) {
            diary.add(
                house.rigs().open(rig),
                new Entry.Note(
                    Says.ALARM_SEEN.filled(Message.kept(a.words()), AlarmBar.since(a.since()))),
                Instant.now(),
                who);
          }
          return a.seen(who, Instant.now());
        });
  }

  /** Returns which alarms of a rig are switched off. */
  public Set<AlarmCode> alarmsOff(String rig) {
    return house.switches().off(house.rigs().open(rig).id());
  }

  /** Switches alarms of a rig off; all others are on. */
  public void switchAlarmsOff(String rig, Set<AlarmCode> off) {
    house.switches().set(house.rigs().open(rig).id(), off);
  }

  /** An alarm makes no noise for so many minutes. */
  public LiveAnswers.AlarmNow snooze(String rig, String alarm, double minutes) {
    if (!(minutes >= 1) || minutes > DAY.toMinutes()) {
      throw new Refusal(Says.QUIET_FOR.with());
    }
    return change(rig, alarm, a -> a.quiet(Instant.now().plusSeconds(Math.round(minutes * 60))));
  }

  private LiveAnswers.AlarmNow change(String rig, String id, Function<Alarm, Alarm> how) {
    return loop.ask(() -> {
      Room room = there(rig);
      Alarm alarm =
          room.alarm(id)
              .or(() ->
                  house.store().alarms(rig, MOST_ALARMS).stream()
                      .filter(a -> a.id().equals(id))
                      .findFirst())
              .orElseThrow(() -> new fernwort.app.Missing(Says.THERE_IS_NO_ALARM.text()));
      Alarm changed = how.apply(alarm);
      room.set(changed);
      return LiveAnswers.AlarmNow.of(changed);
    });
  }

  // Commands.

  /**
   * Tells a motor or a pump to move.
   *
   * @param anyway whether a person wants it though it is a danger
   * @throws StandsAgainst when it is a danger
   * @throws Refusal when it cannot be told
   */
  public LiveAnswers.CommandNow command(
      String rig, String part, String position, boolean anyway, String who) {
    return loop.ask(() -> {
      Room room = there(rig);
      Link here = link;
      if (here == null || !connected) {
        throw new Refusal(Says.NO_CONNECTION.with(room.rig().rig().part(PartId.of(part)).label()));
      }
      return LiveAnswers.CommandNow.of(room.command(part, position, anyway, who, here, Now.read()));
    });
  }

  /** Returns the danger that moving a part would bring, if it would. */
  public Optional<Warning> danger(String rig, String part, String position) {
    return loop.ask(() -> there(rig).danger(part, position, Now.read()));
  }

  /** Tells whether a part can be told to move now: it is bound, and there is a connection. */
  public boolean canMove(String rig, String part) {
    return isLive(rig) && loop.ask(() -> connected && there(rig).canMove(part));
  }

  /** Returns the commands there were since the start, the newest first. */
  public List<LiveAnswers.CommandNow> commands(String rig) {
    return loop.ask(() -> there(rig).commands().stream().map(LiveAnswers.CommandNow::of).toList())
        .reversed();
  }

  /**
   * Lets somebody watch what changes on a rig.
   *
   * @param shown how what changed is told to them
   */
  public SseEmitter watch(String rig, UnaryOperator<Object> shown) {
    return events.watch(house.rigs().open(rig).id(), shown);
  }

  /** Does something with a rig's room when it is its turn, and returns what came of it. */
  <T> T in(String rig, Function<Room, T> what) {
    return loop.ask(() -> what.apply(there(rig)));
  }

  /** Returns how the rules of a room reach motors and people now. */
  RuleBook.Hands hands(Room room) {
    return room.hands(linked(), Now.read());
  }

  // From start to stop.

  /** What is kept was replaced: everything is taken from it anew. */
  @EventListener
  void restored(Restored restored) {
    house.switches().forget();
    if (opened) {
      loop.soon(() -> {
        disconnect();
        open();
      });
    }
  }

  @Override
  public void start() {
    running = true;
    if (settings.address().isPresent()) {
      loop.soon(() -> {
        if (!opened) {
          open();
        }
      });
    }
  }

  @Override
  public void stop() {
    running = false;
    loop.end(this::disconnect);
    LOG.debug("Live has ended");
  }

  @Override
  public boolean isRunning() {
    return running;
  }

  /** Tells whether something is bound to a rig, as far as Live has begun; asks no store. */
  public boolean isLive(String rig) {
    return bound.contains(rig);
  }
}
