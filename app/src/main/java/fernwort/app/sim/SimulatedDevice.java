package fernwort.app.sim;

import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.mqtt.HiveLink;
import fernwort.app.mqtt.Link;
import fernwort.app.mqtt.Topics;
import fernwort.core.format.Ids;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.rig.Part;
import fernwort.core.say.Refusal;
import fernwort.core.sim.Mishap;
import fernwort.core.sim.Sensor;
import fernwort.core.sim.SimulatedRig;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.databind.json.JsonMapper;

/**
 * A simulated rig as a device of the Homie convention. What goes wrong with it is told under {@code
 * sim/RIG/}: {@code mishap/NAME/set} with what it is done to (empty to end it), {@code
 * hand/PART/set} with a position, {@code speed/set} with a number. How things really are stands
 * under {@code sim/RIG/now}.
 */
public final class SimulatedDevice implements AutoCloseable {

  /** So fast it may run. */
  public static final double FASTEST = 600;

  private static final Logger LOG = LoggerFactory.getLogger(SimulatedDevice.class);
  private static final String SET = "/set";

  /** It looks round so often (ms). */
  private static final long BEAT = 250;

  /** It says what changed so often, in its own beats. */
  private static final int SAYS_EVERY = 4;

  /** It says all anew so often, in its own beats: a value that never changes is no dead sensor. */
  private static final int ALL_ANEW = 40;

  /** The simulated time of one beat is no longer than this (s), however late the beat comes. */
  private static final double LONGEST_BEAT = 300;

  private static final double LITRES = 1000;
  private static final double MINUTE = 60;

  private final String id;
  private final SimulatedRig rig;
  private final JsonMapper mapper = JsonMapper.builder().addModule(Ids.module()).build();
  private final BlockingQueue<Runnable> heard = new LinkedBlockingQueue<>(10_000);
  private final Map<String, String> sent = new HashMap<>();
  private final Map<String, String> noted = new HashMap<>();
  private final BrokerAddress address;
  private final String user;
  private final String password;
  private @Nullable Link link;
  private volatile boolean over;
  private double speed;
  private long beats;

  /**
   * How things really are, for a page that shows and changes it.
   *
   * @param time seconds since midnight of the first day
   * @param litres what each tank really holds
   * @param handles how each handle really stands
   * @param mishaps what goes wrong, and with what
   * @param choices what each mishap can be done to
   */
  public record Truth(
      double time,
      double speed,
      double outside,
      Map<PartId, Double> litres,
      Map<PartId, PositionId> handles,
      Map<String, Set<String>> mishaps,
      Map<String, List<String>> choices) {}

  /**
   * Prepares it; {@link #start} begins.
   *
   * @param id what the rig is called in addresses
   * @param speed how many times faster than life
   */
  public SimulatedDevice(
      String id,
      SimulatedRig rig,
      BrokerAddress address,
      String user,
      String password,
      double speed) {
    this.id = id;
    this.rig = rig;
    this.address = address;
    this.user = user;
    this.password = password;
    this.speed = speed;
  }

  /** Returns what a simulated rig is called at the broker. */
  public static String device(String rig) {
    return "sim-" + rig;
  }

  /** Returns the topic under which a sensor of a simulated rig speaks. */
  public static String topic(String rig, Sensor sensor) {
    return Topics.HOMIE + device(rig) + "/" + sensor.name() + "/value";
  }

  /** Starts a thread that lets its time pass. */
  public void start() {
    Thread.ofPlatform().daemon().name("simulated-rig").start(this::run);
  }

  /** Lets its time pass until it is closed. */
  public void run() {
    connect();
    long last = System.nanoTime();
    while (!over) {
      try {
        @Nullable Runnable next = heard.poll(BEAT, TimeUnit.MILLISECONDS);
        while (next != null) {
          safely(next);
          next = heard.poll();
        }
      } catch (InterruptedException e) {
        return;
      }
      long now = System.nanoTime();
      double seconds = (now - last) / 1e9;
      if (seconds * 1000 >= BEAT) {
        last = now;
        safely(() -> beat(seconds));
      }
    }
  }

  private static void safely(Runnable task) {
    try {
      task.run();
    } catch (RuntimeException e) {
      LOG.warn("a step of the simulated rig failed", e);
    }
  }

  private void beat(double seconds) {
    rig.run(Math.min(LONGEST_BEAT, seconds * speed));
    beats++;
    boolean cut = rig.is(Mishap.LINK_CUT);
    if (cut && link != null) {
      disconnect();
    } else if (!cut && link == null) {
      connect();
    }
    if (beats % ALL_ANEW == 0) {
      sent.keySet().removeIf(path -> path.endsWith("/value"));
    }
    if (beats % SAYS_EVERY == 0) {
      say();
    }
  }

  private void connect() {
    Link made =
        new HiveLink(
            address,
            new HiveLink.Access(
                user, password, device(id), new HiveLink.Will(root() + "$state", "lost"), null),
            new Hearing());
    made.subscribe(
        Set.of(
            root() + "+/value" + SET,
            Topics.SIMULATED + id + "/+" + SET,
            Topics.SIMULATED + id + "/+/+" + SET,
            Topics.HOMIE + "+/" + id + "/+"));
    made.open();
    link = made;
    sent.clear();
  }

  private void disconnect() {
    if (link != null) {
      link.publish(root() + "$state", "lost", true);
      link.close();
      link = null;
    }
  }

  private String root() {
    return Topics.HOMIE + device(id) + "/";
  }

  private final class Hearing implements Link.Listener {

    @Override
    public void connected() {
      later(sent::clear);
    }

    @Override
    public void disconnected(String why) {
      LOG.debug("the simulated rig has no connection: {}", why);
    }

    @Override
    public void message(String topic, byte[] payload, boolean kept) {
      String said = new String(payload, StandardCharsets.UTF_8);
      later(() -> take(topic, said));
    }

    private void later(Runnable task) {
      if (!heard.offer(task)) {
        LOG.debug("the simulated rig is told too much");
      }
    }
  }

  private void take(String topic, String said) {
    try {
      if (topic.startsWith(root())) {
        command(topic.substring(root().length()), said);
      } else if (topic.startsWith(Topics.SIMULATED + id + "/")) {
        tell(topic.substring((Topics.SIMULATED + id + "/").length()), said);
      } else {
        note(topic.substring(topic.lastIndexOf('/') + 1), said);
      }
    } catch (Refusal refused) {
      LOG.debug("the simulated rig does not do that", refused);
    }
  }

  private void command(String path, String said) {
    rig.sensors().stream()
        .filter(Sensor::canMove)
        .filter(s -> path.equals(s.name() + "/value" + SET))
        .forEach(s -> rig.command(s.on().id().part(), PositionId.of(said)));
  }

  private void tell(String path, String said) {
    String[] words = path.split("/", -1);
    if (path.equals("speed" + SET)) {
      try {
        speed = Math.clamp(Double.parseDouble(said), 1, FASTEST);
      } catch (NumberFormatException e) {
        LOG.debug("no speed: {}", said);
      }
    } else if (words.length == 3 && words[0].equals("hand") && path.endsWith(SET)) {
      rig.turn(PartId.of(words[1]), PositionId.of(said));
    } else if (words.length == 3 && words[0].equals("mishap") && path.endsWith(SET)) {
      Mishap.of(words[1])
          .ifPresent(m -> {
            if (said.isEmpty()) {
              rig.end(m);
            } else {
              rig.begin(m, m.on() == Mishap.On.ALL ? "" : said);
            }
          });
    }
    say();
  }

  /** Somebody noted a handle: on a made-up rig that is who turned it. */
  private void note(String property, String said) {
    if (property.startsWith(Topics.HANDLE) && !said.equals(noted.put(property, said))) {
      String part = property.substring(Topics.HANDLE.length());
      Part turned = rig.rig().part(PartId.of(part));
      if (!turned.kind().setsItself()) {
        rig.turn(PartId.of(part), PositionId.of(said));
      }
    }
  }

  // What it says.

  private void say() {
    if (link == null || rig.is(Mishap.POWER_CUT)) {
      publish(Topics.SIMULATED + id + Topics.NOW, mapper.writeValueAsString(truth()));
      publish(root() + "$state", "lost");
      return;
    }
    publish(root() + "$homie", "4.0.0");
    publish(root() + "$name", Says.SIMULATED.filled(rig.rig().name()));
    publish(
        root() + "$nodes",
        rig.sensors().stream().map(Sensor::name).collect(Collectors.joining(",")));
    rig.sensors().forEach(this::describe);
    rig.told().forEach(t -> publish(topic(id, t.sensor()), payload(t)));
    publish(root() + "$state", "ready");
    publish(Topics.SIMULATED + id + Topics.NOW, mapper.writeValueAsString(truth()));
  }

  private void describe(Sensor sensor) {
    String node = root() + sensor.name() + "/";
    publish(node + "$properties", "value");
    publish(node + "value/$datatype", datatype(sensor.kind()));
    if (!unit(sensor.kind()).isEmpty()) {
      publish(node + "value/$unit", unit(sensor.kind()));
    }
    publish(node + "value/$settable", Boolean.toString(sensor.canMove()));
    if (sensor.kind() == SignalKind.POSITION) {
      publish(
          node + "value/$format",
          rig.rig().part(sensor.on().id().part()).kind().positions().stream()
              .map(p -> p.id().value())
              .collect(Collectors.joining(",")));
    }
  }

  private static String datatype(SignalKind kind) {
    return switch (kind.form()) {
      case AMOUNT -> "float";
      case CONTACT -> "boolean";
      case STOP -> "enum";
    };
  }

  private static String unit(SignalKind kind) {
    return switch (kind) {
      case LEVEL -> "L";
      case FLOW -> "L/min";
      case TEMPERATURE -> "°C";
      default -> "";
    };
  }

  private static String payload(SimulatedRig.Told told) {
    return switch (told.value()) {
      case Value.Amount(double amount) ->
          switch (told.sensor().kind()) {
            case LEVEL -> number(amount * LITRES);
            case FLOW -> number(amount * LITRES * MINUTE);
            default -> number(amount);
          };
      case Value.Contact(boolean on) -> Boolean.toString(on);
      case Value.Stop(PositionId position) -> position.value();
    };
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }

  private Truth truth() {
    Map<PartId, Double> litres = new TreeMap<>();
    rig.rig()
        .tanks()
        .forEach(t -> litres.put(t.id(), Math.rint(rig.holds(t.id()) * LITRES * 10) / 10));
    Map<String, Set<String>> wrong = new TreeMap<>();
    rig.mishaps().forEach((m, on) -> wrong.put(m.written(), Set.copyOf(on)));
    Map<String, List<String>> choices = new TreeMap<>();
    for (Mishap mishap : Mishap.values()) {
      choices.put(mishap.written(), rig.choices(mishap));
    }
    return new Truth(
        Math.rint(rig.time()),
        speed,
        Math.rint(rig.outside()),
        litres,
        rig.state().setting().positions(),
        wrong,
        choices);
  }

  private void publish(String topic, String payload) {
    Link to = link;
    if (to != null && !Objects.equals(sent.put(topic, payload), payload)) {
      to.publish(topic, payload, true);
    }
  }

  @Override
  public void close() {
    over = true;
    disconnect();
  }
}
