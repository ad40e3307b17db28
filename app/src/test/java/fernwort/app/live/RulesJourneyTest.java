package fernwort.app.live;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import fernwort.app.Chromium;
import fernwort.app.OwnCopy;
import fernwort.app.mqtt.BrokerAddress;
import fernwort.app.services.Descriptions;
import fernwort.app.services.States;
import fernwort.app.sim.SimulatedDevice;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.format.RigFormat;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.live.AlarmCode;
import fernwort.core.network.Network;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.Vehicle;
import fernwort.core.sim.SimulatedRig;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/**
 * A bus that keeps its tank between two marks and a van with motor valves, from nothing to rules
 * that act: a simulated rig beside a real broker, the pages in a real browser, two faults each.
 */
@Tag("sweep")
class RulesJourneyTest {

  /** A level is the median of half a minute, so that what follows from one takes its time (s). */
  private static final int PATIENCE = 90;

  private static final double MINUTES = 60_000;

  @RegisterExtension static final Chromium CHROMIUM = new Chromium();

  @TempDir Path home;
  private OwnCopy copy;
  private Mosquitto broker;
  private SimulatedDevice device;

  @BeforeEach
  void begin() throws IOException {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    copy = OwnCopy.start(home.resolve("data"));
    broker = new Mosquitto(home);
  }

  @AfterEach
  void end() {
    if (broker != null) {
      if (device != null) {
        device.close();
      }
      copy.close();
      broker.close();
    }
  }

  private LiveDesk live() {
    return copy.bean(LiveDesk.class);
  }

  private boolean asks(String rig, AlarmCode code) {
    return live().alarms(rig).stream().anyMatch(a -> a.code() == code && a.gone() == null);
  }

  private Object tells(String rig, String signal) {
    for (LiveAnswers.SignalNow now : live().signals(rig)) {
      if (now.name().equals(signal) && now.value() != null) {
        return now.value();
      }
    }
    return "";
  }

  private static boolean within(BooleanSupplier holds) {
    for (int i = 0; i < PATIENCE * 4; i++) {
      if (holds.getAsBoolean()) {
        return true;
      }
      LockSupport.parkNanos(250_000_000);
    }
    return false;
  }

  private void simulate(String id, Rig rig, State state, double speed) {
    device =
        new SimulatedDevice(
            id,
            new SimulatedRig(rig, state, new Random(3)),
            BrokerAddress.of(broker.url()),
            "",
            "",
            speed);
    device.start();
  }

  private void connect(Page page, String rig) {
    page.navigate(copy.address() + "/rigs/" + rig + "/devices");
    page.locator("#url").fill(broker.url());
    page.locator("form[action$='/broker'] .button-main").click();
    assertThat(page.locator("#device-signals")).containsText("Connected to " + broker.url());
  }

  /** A property that was found is used for a thing of the rig. */
  private static void use(Page page, String property, String thing) {
    page.locator("#device-signals a[href*='/" + property + "/']")
        .click(new Locator.ClickOptions().setTimeout(MINUTES));
    page.locator("#thing").selectOption(thing);
    if (property.endsWith("-runs")) {
      // Its board stops a pump by itself when the link is gone; rules are tried with that.
      Locator lost = page.locator("#lost-" + property.replace("-runs", ""));
      lost.evaluate("e => { e.closest('details').open = true; }");
      lost.selectOption("off");
    }
    page.locator("form[action$='/signals'] > button").click();
    assertThat(page.locator("#device-signals h2").first()).hasText("What they tell");
  }

  /** An automation is made, becomes a rule, is tried, and may act. */
  private void rule(Page page, String rig, String purpose, Map<String, String> fields) {
    page.navigate(copy.address() + "/rigs/" + rig + "/automations");
    page.locator("nav.tabs a", new Page.LocatorOptions().setHasText(purpose)).click();
    fields.forEach((field, value) -> {
      Locator at = page.locator("#" + field);
      if ("SELECT".equals(at.evaluate("e => e.tagName"))) {
        at.selectOption(value);
      } else {
        at.fill(value);
      }
    });
    page.locator("button", new Page.LocatorOptions().setHasText("Check and save it")).click();
    page.locator("button", new Page.LocatorOptions().setHasText("Use it on the real motors"))
        .click();
    Locator act = page.locator("button", new Page.LocatorOptions().setHasText("Let it act"));
    for (int i = 0; i < PATIENCE && act.isDisabled(); i++) {
      LockSupport.parkNanos(1_000_000_000);
      page.reload();
    }
    assertThat(act.isEnabled()).as(page.locator("main").innerText()).isTrue();
    act.click();
    assertThat(page.locator("main h2"))
        .containsText("live", new LocatorAssertions.ContainsTextOptions().setTimeout(MINUTES));
  }

  private String taken(Rig rig) throws IOException {
    var answer = copy.change("POST", "/api/v1/rigs", new RigFormat().write(rig));
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
    return tools.jackson.databind.json.JsonMapper.shared()
        .readTree(answer.body())
        .get("id")
        .asString();
  }

  private static Kind tank(double height) {
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(0.5, 0.5, height),
        0,
        Fittings.stick(0.1, 0.1),
        Fittings.port(PortId.of("low"), TankPort.Use.FEED, 0.1, 0.1, 0),
        Fittings.port(PortId.of("high"), TankPort.Use.FILL, 0.1, 0.1, height - 0.05),
        Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, height - 0.02));
  }

  private static Rig bus() {
    Vehicle vehicle =
        new Vehicle(
            Vehicle.Body.TRUCK,
            -2,
            6,
            2.4,
            0.8,
            3,
            0.3,
            List.of(new Axle("rear", 0, 4000, 2500)),
            Optional.empty());
    return RigBuilder.named("Made-up bus")
        .vehicle(vehicle)
        .place("box", "Box", "reach in", 0, 0, 1)
        .part("tank", "Tank", 0, 0, 1.4, tank(0.5))
        .part("tank-air", "Tank air", 0, 0, 2.1, Fittings.end(OpenEnd.Role.VENT))
        .part("store", "Store", 2, 0, 0.4, tank(1))
        .part("store-air", "Store air", 2, 0, 2, Fittings.end(OpenEnd.Role.VENT))
        .part("pump", "Lift pump", 1, 0, 0.3, Fittings.transferPump(8, 1))
        .part("check", "Check valve", 1, 0, 1.2, Fittings.check())
        .part("tap", "Tap", 0, 0, 0.5, Fittings.fixture(Type.TAP, false, 6))
        .line("u", "Tank vent", "tank.vent > tank-air.in", 19, 0.3, Material.PVC_HOSE, 1)
        .line("v", "Store vent", "store.vent > store-air.in", 19, 0.6, Material.PVC_HOSE, 1)
        .line("a", "Lift suction", "store.low > pump.in", 12, 1, Material.PEX, 1)
        .line("b", "Lift", "pump.out > check.in", 12, 1, Material.PEX, 1)
        .line("c", "Lift on", "check.out > tank.high", 12, 1, Material.PEX, 1)
        .line("d", "To the tap", "tank.low > tap.cold", 12, 1, Material.PEX, 1)
        .build();
  }

  @Test
  void aBusKeepsItsTankBetweenTwoMarksAndIsCalledWhenAHoseLeaksAndTheLinkIsCut()
      throws IOException {
    Rig rig = bus();
    String id = taken(rig);
    Network network = Network.of(rig);
    State low =
        new State(
            rig.atRest(),
            Map.of(
                PartId.of("tank"), 0.35 * network.room(PartId.of("tank")).capacity(),
                PartId.of("store"), 0.9 * network.room(PartId.of("store")).capacity()),
            Slope.LEVEL);
    simulate(id, rig, low, 10);
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = context.newPage();
      connect(page, id);
      use(page, "tank-level", "level|part|tank");
      use(page, "store-level", "level|part|store");
      use(page, "pump-runs", "pump|part|pump");
      use(page, "box-leak", "leak|place|box");
      rule(
          page,
          id,
          "Keep a tank between two marks",
          Map.of("tank", "tank", "valve", "pump", "low", "50", "high", "70"));
      // It begins by itself, fills to the mark, and stops.
      assertThat(within(() -> Boolean.TRUE.equals(tells(id, "pump-pump")))).isTrue();
      double mark = 0.68 * network.room(PartId.of("tank")).capacity();
      assertThat(within(() -> tells(id, "tank-level") instanceof Double v && v > mark)).isTrue();
      assertThat(within(() -> Boolean.FALSE.equals(tells(id, "pump-pump")))).isTrue();

      live().tellSimulated(id, "mishap/leak", "d");
      assertThat(within(() -> asks(id, AlarmCode.LEAK))).isTrue();
      assertThat(page.locator("#alarm-bar")).containsText("Water at Box");
      live().tellSimulated(id, "mishap/leak", "");

      live().tellSimulated(id, "mishap/link-cut", "all");
      assertThat(within(() -> asks(id, AlarmCode.SIGNAL_LOST))).isTrue();
      assertThat(page.locator("#alarm-bar")).containsText("tells nothing any more");
    }
  }

  @Test
  void aVanClosesItsValvesOnALeakAndIsCalledWhenOneSticks() {
    copy.add("tern");
    DemoRig tern = DemoRig.called("tern");
    State working =
        tern.state()
            .with(PartId.of("fore-motor"), PositionId.of("open"))
            .with(PartId.of("suction"), PositionId.of("tanks"))
            .with(PartId.of("pump"), PositionId.of("on"));
    simulate("tern", tern.rig(), working, 5);
    try (BrowserContext context =
        CHROMIUM.browser().newContext(new Browser.NewContextOptions().setViewportSize(390, 844))) {
      Page page = context.newPage();
      // What is noted by hand is what hands have turned on the made-up rig.
      copy.bean(States.class)
          .turn(
              copy.bean(Descriptions.class).open("tern"), "suction", PositionId.of("tanks"), "Ida");
      connect(page, "tern");
      use(page, "garage-leak", "leak|place|garage");
      use(page, "fore-motor-position", "position|part|fore-motor");
      use(page, "aft-motor-position", "position|part|aft-motor");
      use(page, "arch-motor-position", "position|part|arch-motor");
      use(page, "frost-motor-position", "position|part|frost-motor");
      use(page, "pump-runs", "pump|part|pump");
      rule(page, "tern", "on a leak", Map.of());
      live().tellSimulated("tern", "mishap/leak", "d5");
      assertThat(within(() -> asks("tern", AlarmCode.LEAK)))
          .as(live().simulated("tern") + "\n" + live().signals("tern"))
          .isTrue();
      assertThat(within(() -> "shut".equals(tells("tern", "fore-motor-position"))))
          .as(live().signals("tern") + "\n" + live().alarms("tern"))
          .isTrue();
      assertThat(page.locator("#alarm-bar")).containsText("Water at");
      live().tellSimulated("tern", "mishap/leak", "");

      live().tellSimulated("tern", "mishap/valve-stuck", "fore-motor");
      live().command("tern", "fore-motor", "open", true, "Ida");
      assertThat(within(() -> asks("tern", AlarmCode.VALVE_FAILED))).isTrue();
      assertThat(page.locator("#alarm-bar")).containsText("Fore valve");
    }
  }
}
