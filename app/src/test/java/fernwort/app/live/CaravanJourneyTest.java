package fernwort.app.live;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static fernwort.app.live.Mosquitto.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import fernwort.app.Chromium;
import fernwort.app.OwnCopy;
import fernwort.app.services.Descriptions;
import fernwort.app.services.States;
import fernwort.core.describe.Fittings;
import fernwort.core.format.RigFormat;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.live.AlarmCode;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A caravan with a float switch, from nothing to an alarm, in a browser against a real broker. */
class CaravanJourneyTest {

  @RegisterExtension static final Chromium CHROMIUM = new Chromium();

  @TempDir static Path home;
  private static OwnCopy copy;
  private static Mosquitto broker;

  @BeforeAll
  static void begin() throws IOException {
    assumeTrue(Mosquitto.isHere(), "there is no mosquitto on this machine");
    copy = OwnCopy.start(home.resolve("data"));
    broker = new Mosquitto(home);
  }

  @AfterAll
  static void end() {
    if (broker != null) {
      copy.close();
      broker.close();
    }
  }

  private static LiveDesk live() {
    return copy.bean(LiveDesk.class);
  }

  private static boolean asks(String rig, AlarmCode code) {
    return live().alarms(rig).stream().anyMatch(a -> a.code() == code && a.gone() == null);
  }

  private static void connect(Page page, String rig) {
    page.navigate(copy.address() + "/rigs/" + rig + "/devices");
    if (live().connection().connected()) {
      return;
    }
    page.locator("#url").fill(broker.url());
    page.locator("form[action$='/broker'] .button-main").click();
    assertThat(page.locator("#device-signals")).containsText("Connected to " + broker.url());
  }

  private static String taken(Rig rig) throws IOException {
    var answer = copy.change("POST", "/api/v1/rigs", new RigFormat().write(rig));
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(201);
    return tools.jackson.databind.json.JsonMapper.shared()
        .readTree(answer.body())
        .get("id")
        .asString();
  }

  private static Rig caravan() {
    Vehicle vehicle =
        new Vehicle(
            Vehicle.Body.TRAILER,
            -1,
            4,
            2,
            0.6,
            2.6,
            0.2,
            List.of(new Axle("axle", 0, 1200, 900)),
            Optional.empty());
    Kind tank =
        Fittings.tank(
            Contents.FRESH,
            new Shape.Box(0.5, 0.5, 0.5),
            0,
            Fittings.stick(0.1, 0.1),
            Fittings.port(PortId.of("low"), TankPort.Use.FEED, 0.1, 0.1, 0),
            Fittings.port(PortId.of("high"), TankPort.Use.VENT, 0.1, 0.1, 0.2),
            Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.48));
    return RigBuilder.named("Made-up caravan")
        .vehicle(vehicle)
        .place("box", "Box", "reach in", 0, 0, 1)
        .part("tank", "Tank", 0, 0, 1, tank)
        .part("air", "Air", 0.1, 0.1, 1.6, Fittings.end(OpenEnd.Role.VENT))
        .line("vent", "Vent", "tank.vent > air.in", 19, 0.3, Material.PVC_HOSE, 1)
        .part("inlet", "Inlet", 0, 0, 0.9, Fittings.inlet(2))
        .part("check", "Check valve", 0, 0, 1, Fittings.check())
        .part("tap", "Tap", 0, 0, 0.5, Fittings.fixture(Type.TAP, false, 6))
        .line("a", "A", "inlet.out > check.in", 12, 1, Material.PEX, 1)
        .line("b", "B", "check.out > tank.high", 12, 1, Material.PEX, 1)
        .line("c", "C", "tank.low > tap.cold", 12, 1, Material.PEX, 1)
        .build();
  }

  @Test
  @Tag("sweep")
  void aCaravanIsCalledWhenItsFloatSwitchComesUpAndWhenItsSensorFallsSilent() throws IOException {
    String id = taken(caravan());
    try (BrowserContext context = CHROMIUM.browser().newContext()) {
      Page page = context.newPage();
      connect(page, id);
      page.locator("#topic").fill("homie/caravan/float/up");
      page.locator("#thing").selectOption("switch|part|tank");
      page.locator("details:has(#height) > summary").click();
      page.locator("#height").fill("150");
      page.locator("form[action$='/signals'] > button").click();
      assertThat(page.locator("#device-signals")).containsText("Float switch");
      broker.say("homie/caravan/float/up", "off");
      assertThat(page.locator("[data-signal] [data-live-value]")).hasText("dry");

      // The hose fills it, and the float comes up: somebody has to close the tap outside.
      copy.bean(States.class)
          .turn(copy.bean(Descriptions.class).open(id), "inlet", PositionId.of("mains"), "Ida");
      broker.say("homie/caravan/float/up", "on");
      assertThat(until(() -> asks(id, AlarmCode.FRESH_FULL))).isTrue();
      assertThat(page.locator("#alarm-bar")).containsText("is full and still filling");
      broker.say("homie/caravan/float/up", "off");

      // Its board loses power: the broker says so in its place.
      broker.say("homie/caravan/$state", "lost");
      assertThat(until(() -> asks(id, AlarmCode.SIGNAL_LOST))).isTrue();
      assertThat(page.locator("#alarm-bar")).containsText("tells nothing any more");
    }
  }
}
