package fernwort.app.live;

import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import fernwort.app.OwnCopy;
import fernwort.app.services.Descriptions;
import fernwort.app.services.States;
import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.live.AlarmCode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Sensors and motors against a real broker: what is told, alarmed, moved and refused. */
class LiveMosquittoTest {

  private static final String TERN = "/api/v1/rigs/tern";

  @TempDir static Path home;
  private static OwnCopy copy;
  private static Mosquitto broker;

  @BeforeAll
  static void start() throws IOException {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    copy = OwnCopy.start(home.resolve("data"));
    copy.add("tern");
    copy.add("marginalia");
    broker = new Mosquitto(home);
    connect("");
  }

  private static void connect(String more) throws IOException {
    copy.change("PUT", "/api/v1/live/broker", "{\"url\":\"" + broker.url() + "\"" + more + "}");
    assertThat(until(() -> get("/api/v1/live").get("connected").asBoolean())).isTrue();
  }

  @AfterAll
  static void stop() {
    if (broker != null) {
      copy.close();
      broker.close();
    }
  }

  private static JsonNode get(String path) {
    try {
      return copy.json(path);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static int put(String name, String signal) throws IOException {
    return copy.change("PUT", TERN + "/live/signals/" + name, signal).statusCode();
  }

  private static Stream<JsonNode> all(String path) {
    return get(path).valueStream();
  }

  private static JsonNode signal(String name) {
    return all(TERN + "/live/signals")
        .filter(s -> s.get("name").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private static boolean alarms(Predicate<JsonNode> such) {
    return all(TERN + "/live/alarms").anyMatch(such);
  }

  private static String handle(String part) {
    var rig = copy.bean(Descriptions.class).open("tern");
    return copy.bean(States.class).of(rig).state().setting().of(PartId.of(part)).value();
  }

  @Test
  void aLevelIsToldAndCountsForTheRigAndNonsenseChangesNothing() throws IOException {
    assertThat(
            put(
                "fore",
                "{\"kind\":\"level\",\"part\":\"fore\",\"topic\":\"van/fore\",\"scale\":0.001}"))
        .isEqualTo(200);
    assertThat(
            until(() -> {
              broker.say("van/fore", "60");
              return signal("fore").get("state").asString().equals("live");
            }))
        .isTrue();
    assertThat(signal("fore").get("value").asDouble()).isCloseTo(0.06, within(1e-9));
    assertThat(
            until(() ->
                Math.abs(get(TERN + "/state").at("/levels/fore/volume").asDouble() - 0.06) < 1e-3))
        .isTrue();
    for (String bad :
        List.of("nothing", "1e999", "{".repeat(5000), "x".repeat(1_000_000), "-5", "")) {
      broker.say("van/fore", bad);
    }
    broker.say("van/fore", "60");
    assertThat(until(() -> signal("fore").get("raw").asDouble() > 0.0599)).isTrue();
    assertThat(signal("fore").get("value").asDouble()).isCloseTo(0.06, within(1e-3));
    assertThat(all("/api/v1/rigs/tern/log?kind=reading"))
        .anyMatch(e -> e.get("who").asString().equals("sensor"));
  }

  @Test
  void aLeakAsksUntilItIsGoneAndSeenAndThatIsInTheLog() throws IOException {
    put(
        "leak",
        "{\"kind\":\"leak\",\"place\":\"garage\",\"topic\":\"van/leak\",\"pointer\":\"/wet\"}");
    broker.say("van/leak", "{\"wet\":true}");
    Predicate<JsonNode> asks =
        a -> a.get("code").asString().equals("LEAK") && a.get("seen").isNull();
    assertThat(until(() -> alarms(asks))).isTrue();
    assertThat(copy.get("/rigs/marginalia/log").body()).contains("Water at Garage, right");
    broker.say("van/leak", "{\"wet\":false}");
    assertThat(until(() -> alarms(asks.and(a -> !a.get("gone").isNull())))).isTrue();
    String id =
        all(TERN + "/live/alarms").filter(asks).findFirst().orElseThrow().get("id").asString();
    assertThat(copy.change("POST", TERN + "/live/alarms/" + id + "/seen", "").statusCode())
        .isEqualTo(200);
    assertThat(alarms(asks)).isFalse();
    assertThat(copy.get("/rigs/marginalia/log").body()).doesNotContain("Water at Garage, right");
    assertThat(all("/api/v1/rigs/tern/log?kind=note"))
        .anyMatch(e -> e.get("note").asString().startsWith("Alarm seen: Water at Garage, right"));
  }

  @Test
  void anAlarmThatIsSwitchedOffDoesNotCallAndOthersOnTheNetworkAreTold() throws IOException {
    put("air", "{\"kind\":\"temperature\",\"place\":\"seat\",\"topic\":\"van/air\"}");
    Predicate<JsonNode> frost = a -> a.get("code").asString().equals("FROST");
    copy.bean(LiveDesk.class).switchAlarmsOff("tern", java.util.Set.of(AlarmCode.FROST));
    broker.say("van/air", "1");
    assertThat(until(() -> signal("air").get("value").asDouble() == 1)).isTrue();
    assertThat(
            until(() -> {
              broker.say("van/air", "0.5");
              return signal("air").get("value").asDouble() == 0.5;
            }))
        .isTrue();
    assertThat(alarms(frost)).isFalse();
    copy.bean(LiveDesk.class).switchAlarmsOff("tern", java.util.Set.of());
    assertThat(until(() -> alarms(frost))).isTrue();
    String own = "homie/" + copy.bean(BrokerSettings.class).clientId();
    assertThat(until(() -> broker.heard(own + "/tern/alarm").equals("true"))).isTrue();
    assertThat(until(() -> broker.heard(own + "/tern/alarms").contains("near freezing"))).isTrue();
    assertThat(broker.heard(own + "/$state")).isEqualTo("ready");
    assertThat(all("/api/v1/live/found"))
        .noneMatch(f -> f.get("topic").asString().startsWith(own + "/"));
    broker.say("van/air", "9");
  }

  @Test
  void aValveIsToldToMoveItsHandleFollowsAndOneThatDoesNotArriveIsAnAlarm() throws IOException {
    put(
        "arch",
        "{\"kind\":\"position\",\"part\":\"arch-motor\",\"topic\":\"van/arch\",\"command\":"
            + "{\"topic\":\"van/arch/set\",\"payloads\":{\"open\":\"OPEN\",\"shut\":\"CLOSE\"}}}");
    broker.say("van/arch", "OPEN");
    assertThat(until(() -> handle("arch-motor").equals("open"))).isTrue();
    assertThat(move("arch-motor", "shut").statusCode()).isEqualTo(202);
    assertThat(until(() -> broker.heard("van/arch/set").equals("CLOSE"))).isTrue();
    broker.say("van/arch", "CLOSE");
    assertThat(until(() -> handle("arch-motor").equals("shut"))).isTrue();
    assertThat(all(TERN + "/live/commands").findFirst().orElseThrow().get("state").asString())
        .isEqualTo("reached");

    assertThat(move("arch-motor", "open").statusCode()).isEqualTo(202);
    assertThat(until(() -> alarms(a -> a.get("code").asString().equals("VALVE_FAILED")))).isTrue();
  }

  private static java.net.http.HttpResponse<String> move(String part, String position)
      throws IOException {
    return copy.change(
        "POST",
        TERN + "/live/commands",
        "{\"part\":\"" + part + "\",\"position\":\"" + position + "\"}");
  }

  @Test
  void aRuleThatWouldDoHarmStaysAtTellsAndItsStoryIsShown() throws IOException {
    put("tray", "{\"kind\":\"leak\",\"tray\":\"tray\",\"topic\":\"van/tray\"}");
    put(
        "fore-valve",
        "{\"kind\":\"position\",\"part\":\"fore-motor\",\"topic\":\"van/fv\",\"command\":"
            + "{\"topic\":\"van/fv/set\",\"payloads\":{\"open\":\"OPEN\",\"shut\":\"CLOSE\"}}}");
    copy.bean(States.class)
        .adopt(
            copy.bean(Descriptions.class).open("tern"),
            DemoRig.called("tern").state(),
            v -> v + " m3",
            "program");
    String rule =
        "{\"when\":[{\"signal\":\"tray\",\"is\":true}],\"do\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}],"
            + "\"atMost\":60,\"onFailure\":[{\"turn\":\"fore-motor\",\"to\":\"shut\"}],\"state\":\"live\"}";
    var refused = copy.change("PUT", TERN + "/live/rules/shut", rule);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("stays at tells only", "draws air");
    JsonNode kept = get(TERN + "/live/rules/shut");
    assertThat(kept.get("state").asString()).isEqualTo("tells");
    assertThat(get(TERN + "/live/rules/shut/proof").get("stories").get(0).get("story").size())
        .isGreaterThan(2);
    broker.say("van/tray", "wet");
    assertThat(
            until(() ->
                get(TERN + "/live/rules/shut").get("told").asString().startsWith("It would turn")))
        .isTrue();
    assertThat(broker.heard("van/fv/set")).isEmpty();
    assertThat(copy.change("DELETE", TERN + "/live/rules/shut", "").statusCode()).isEqualTo(204);
    broker.say("van/tray", "dry");
  }

  @Test
  void aRuleThatHeldTellsOnlyOnceWhatItWasTriedWithHasChanged() throws IOException {
    put("seat", "{\"kind\":\"leak\",\"place\":\"seat\",\"topic\":\"van/seat\"}");
    put(
        "aft",
        "{\"kind\":\"position\",\"part\":\"aft-motor\",\"topic\":\"van/aft\",\"command\":"
            + "{\"topic\":\"van/aft/set\",\"payloads\":{\"open\":\"OPEN\",\"shut\":\"CLOSE\"}}}");
    var acts =
        copy.change(
            "PUT",
            TERN + "/live/rules/aft",
            "{\"when\":[{\"signal\":\"seat\",\"is\":true}],"
                + "\"do\":[{\"turn\":\"aft-motor\",\"to\":\"shut\"}],\"atMost\":60,\"state\":\"live\"}");
    assertThat(acts.statusCode()).as(acts.body()).isEqualTo(200);
    assertThat(get(TERN + "/live/rules/aft").get("state").asString()).isEqualTo("live");
    put("aft-air", "{\"kind\":\"temperature\",\"place\":\"bed\",\"topic\":\"van/bed\"}");
    JsonNode rule = get(TERN + "/live/rules/aft");
    assertThat(rule.get("state").asString()).isEqualTo("tells");
    assertThat(rule.get("told").asString()).contains("let it act anew");
    copy.change("DELETE", TERN + "/live/signals/seat", "");
    assertThat(get(TERN + "/live/rules/aft").get("state").asString()).isEqualTo("off");
    copy.change("DELETE", TERN + "/live/rules/aft", "");
  }

  @Test
  void aRuleAtAButtonActsWhenItIsPressedAndAMarkOfOnesOwnCalls() throws IOException {
    put(
        "bed",
        "{\"kind\":\"temperature\",\"place\":\"bed\",\"topic\":\"van/b\",\"alarmAbove\":30}");
    put(
        "arch",
        "{\"kind\":\"position\",\"part\":\"arch-motor\",\"topic\":\"van/arch\",\"command\":"
            + "{\"topic\":\"van/arch/set\",\"payloads\":{\"open\":\"OPEN\",\"shut\":\"CLOSE\"}}}");
    String to = handle("arch-motor").equals("open") ? "shut" : "open";
    String rule = TERN + "/live/rules/arch";
    var kept =
        copy.change(
            "PUT",
            rule,
            "{\"when\":[{\"pressed\":true}],\"do\":[{\"turn\":\"arch-motor\",\"to\":\""
                + to
                + "\"},{\"pause\":1},{\"say\":\"done\"}],\"atMost\":60,\"state\":\"live\"}");
    assertThat(kept.statusCode()).as(kept.body()).isEqualTo(200);
    assertThat(get(rule).at("/rule/when/0/pressed").asBoolean()).isTrue();
    assertThat(get(rule).at("/rule/do/1/pause").asDouble()).isEqualTo(1);
    assertThat(copy.change("POST", rule + "/press", "").statusCode()).isEqualTo(202);
    assertThat(
            until(() -> {
              broker.say("van/arch", to.equals("open") ? "OPEN" : "CLOSE");
              return handle("arch-motor").equals(to);
            }))
        .isTrue();
    assertThat(until(() -> get(rule).get("told").asString().equals("It has ended"))).isTrue();
    String own = "homie/" + copy.bean(BrokerSettings.class).clientId();
    assertThat(until(() -> broker.heard(own + "/tern/rule-arch").contains("ended"))).isTrue();
    assertThat(until(() -> !broker.heard(own + "/tern/days-fresh").isEmpty())).isTrue();
    copy.change(
        "PUT", rule, "{\"when\":[{\"pressed\":true}],\"do\":[{\"say\":\"x\"}],\"state\":\"off\"}");
    assertThat(copy.change("POST", rule + "/press", "").body())
        .contains("has no button, or is off");
    copy.change("DELETE", rule, "");
    copy.change("DELETE", TERN + "/live/signals/arch", "");
    broker.say("van/b", "31");
    assertThat(until(() -> alarms(a -> a.get("code").asString().equals("ABOVE_MARK")))).isTrue();
    broker.say("van/b", "20");
    assertThat(
            put(
                "bed",
                "{\"kind\":\"temperature\",\"place\":\"bed\",\"topic\":\"van/b\",\"alarmAbove\":9e9}"))
        .isEqualTo(422);
  }

  @Test
  void devicesAreFoundAndWhatIsWrongIsRefusedByName() throws IOException {
    broker.announce();
    assertThat(
            until(() ->
                all("/api/v1/live/found")
                    .anyMatch(
                        f -> f.get("topic").asString().equals("homie/tank-board/fore/level"))))
        .isTrue();
    assertThat(put("x", "{\"kind\":\"level\",\"part\":\"pump\",\"topic\":\"a\"}")).isEqualTo(422);
    assertThat(put("x", "{\"kind\":\"level\",\"part\":\"fore\",\"topic\":\"a/#\"}")).isEqualTo(422);
    assertThat(put("x", "{\"kind\":\"warmth\",\"topic\":\"a\"}")).isEqualTo(422);
    assertThat(put("x", "{}")).isEqualTo(422);
    assertThat(copy.change("PUT", "/api/v1/live/broker", "{\"url\":\"ftp://x\"}").statusCode())
        .isEqualTo(422);
    assertThat(copy.change("DELETE", TERN + "/live/signals/none", "").statusCode()).isEqualTo(404);
    assertThat(move("heater", "on").statusCode()).isEqualTo(422);
    assertThat(copy.change("POST", TERN + "/live/commands", "{}").statusCode()).isEqualTo(422);
    assertThat(copy.get("/api/v1/rigs/none/live/signals").statusCode()).isEqualTo(404);
  }

  @Test
  void thePasswordIsInNoAnswerNoLogAndNoBackupAndOnlyItsOwnerReadsIt() throws IOException {
    connect(",\"user\":\"ida\",\"password\":\"hush-4711\"");
    assertThat(copy.get("/api/v1/live").body()).contains("ida").doesNotContain("hush-4711");
    assertThat(copy.get("/rigs/tern/devices").body()).doesNotContain("hush-4711");
    assertThat(copy.get("/api/v1/rigs").statusCode()).isEqualTo(200);
    Path secret = home.resolve("data/live-password");
    assertThat(Files.readString(secret)).isEqualTo("hush-4711");
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(secret)))
        .isEqualTo("rw-------");
    assertThat(Files.readString(home.resolve("data/fernwort.log"))).doesNotContain("hush-4711");
    assertThat(Files.readAllBytes(home.resolve("data/fernwort.mv.db")))
        .asString(java.nio.charset.StandardCharsets.ISO_8859_1)
        .doesNotContain("hush-4711");
    connect("");
  }
}
