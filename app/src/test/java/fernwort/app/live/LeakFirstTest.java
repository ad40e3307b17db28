package fernwort.app.live;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fernwort.app.OwnCopy;
import java.nio.file.Path;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.Table;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.json.JsonMapper;

/** A leak comes before all else: other rules, a motor that is on its way, a disk that is full. */
class LeakFirstTest {

  private static final String TERN = "/api/v1/rigs/tern/live";
  private static final String VALVE = "van/valve";

  /** From the message to the valve (ns), with room for a slow machine. */
  private static final long AT_ONCE = 3_000_000_000L;

  @TempDir Path home;
  private OwnCopy copy;
  private Mosquitto broker;

  @BeforeEach
  void begin() throws Exception {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    broker = new Mosquitto(home);
    copy = OwnCopy.start(home.resolve("data"));
    copy.add("tern");
    copy.change("PUT", "/api/v1/live/broker", "{\"url\":\"" + broker.url() + "\"}");
    bind("fore", "{\"kind\":\"level\",\"part\":\"fore\",\"topic\":\"van/fore\",\"scale\":0.001}");
    bind("leak", "{\"kind\":\"leak\",\"place\":\"garage\",\"topic\":\"van/leak\"}");
    bind(
        "valve",
        "{\"kind\":\"position\",\"part\":\"fore-motor\",\"topic\":\"van/valve\",\"command\":"
            + "{\"topic\":\"van/valve/set\",\"payloads\":{\"open\":\"OPEN\",\"shut\":\"CLOSE\"}}}");
    rule(
        "leak",
        "{\"when\":[{\"signal\":\"leak\",\"is\":true}],"
            + "\"do\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}],\"atMost\":60,"
            + "\"onFailure\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}]}");
  }

  @AfterEach
  void end() {
    if (broker != null) {
      copy.close();
      broker.close();
    }
  }

  private void bind(String name, String signal) throws Exception {
    assertThat(copy.change("PUT", TERN + "/signals/" + name, signal).statusCode()).isEqualTo(200);
  }

  /** A rule that acts, as if it had been tried. */
  private void rule(String name, String text) throws Exception {
    RuleText rule = copy.bean(JsonMapper.class).readValue(text, RuleText.class);
    LiveDesk live = copy.bean(LiveDesk.class);
    live.in(
        "tern",
        room -> {
          String tried = room.asBuilt().triedWith();
          room.rules().put(name, rule.triedWith(tried), RuleBook.LIVE, live.hands(room));
          return true;
        });
  }

  private List<RuleBook.Kept> rules() {
    return copy.bean(LiveDesk.class).in("tern", room -> room.rules().all());
  }

  private boolean isActing(String name) {
    return rules().stream().filter(r -> r.name().equals(name)).findFirst().orElseThrow().acting();
  }

  /** Its valve opens, and it would go on filling for an hour. */
  private void fills() throws Exception {
    rule(
        "fill",
        "{\"when\":[{\"signal\":\"fore\",\"below\":0.02}],"
            + "\"do\":[{\"turn\":\"fore-motor\",\"to\":\"open\"},"
            + "{\"until\":[{\"signal\":\"fore\",\"above\":0.05}]}],\"atMost\":3600,"
            + "\"then\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}],"
            + "\"onFailure\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}]}");
    assertThat(
            until(() -> {
              broker.say("van/fore", "10");
              return broker.heard("van/valve/set").equals("OPEN");
            }))
        .isTrue();
  }

  private void leakShutsTheValveAtOnce() {
    long wet = System.nanoTime();
    broker.say("van/leak", "wet");
    assertThat(until(() -> broker.heard("van/valve/set").equals("CLOSE"))).isTrue();
    assertThat(System.nanoTime() - wet).isLessThan(AT_ONCE);
    broker.say(VALVE, "CLOSE");
  }

  private boolean asks() {
    return copy.bean(LiveDesk.class).alarms("tern").stream()
        .anyMatch(a -> a.code().name().equals("LEAK") && a.gone() == null);
  }

  @Test
  void itBreaksOffARuleThatFillsAndHoldsItOffUntilItIsDry() throws Exception {
    fills();
    broker.say(VALVE, "OPEN");
    assertThat(until(() -> isActing("fill"))).isTrue();
    leakShutsTheValveAtOnce();
    assertThat(until(() -> !isActing("fill") && !isActing("leak"))).isTrue();
    assertThat(rules())
        .filteredOn(r -> r.name().equals("fill"))
        .allSatisfy(r -> assertThat(r.told()).startsWith("Broken off: a leak was told"));
    // It is empty anew, and the leak is still there.
    for (int litres : List.of(30, 30, 30, 10, 10, 10)) {
      broker.say("van/fore", Integer.toString(litres));
    }
    Thread.sleep(2500);
    assertThat(broker.heard("van/valve/set")).isEqualTo("CLOSE");
  }

  @Test
  void aMotorThatIsOnItsWayElsewhereIsCalledBack() throws Exception {
    fills();
    // The motor has not said yet that it is open: as far as anybody knows it is still shut.
    leakShutsTheValveAtOnce();
  }

  @Test
  void aDiskThatTakesNothingHoldsItUpAsLittle() throws Exception {
    fills();
    broker.say(VALVE, "OPEN");
    assertThat(until(() -> isActing("fill"))).isTrue();
    DSLContext store = copy.bean(DSLContext.class);
    for (Table<?> table : store.meta().getTables()) {
      if ("PUBLIC".equalsIgnoreCase(table.getSchema() == null ? "" : table.getSchema().getName())) {
        store.execute(
            "alter table \""
                + table.getName()
                + "\" add constraint if not exists \"full_"
                + table.getName()
                + "\" check (1 = 0) nocheck");
      }
    }
    leakShutsTheValveAtOnce();
    assertThat(until(() -> !isActing("leak"))).as("it has seen the valve shut").isTrue();
  }

  @Test
  void itsAlarmIsNotOverAfterARestartOfWhichItsContactSaysNothing() throws Exception {
    broker.say("van/leak", "wet");
    assertThat(until(this::asks)).isTrue();
    copy.close();
    copy = OwnCopy.start(home.resolve("data"));
    assertThat(until(() -> copy.bean(LiveDesk.class).connection().connected())).isTrue();
    Thread.sleep(2500);
    assertThat(asks()).isTrue();
    broker.say("van/leak", "dry");
    assertThat(until(() -> !asks())).isTrue();
  }
}
