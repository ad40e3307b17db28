package fernwort.app.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.app.services.OpenRig;
import fernwort.app.units.Units;
import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.kind.Position;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Simulation;
import fernwort.core.say.Refusal;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Rehearsals without a browser. */
class RehearsalTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final OpenRig RIG = OpenRig.of("truck", 1, TRUCK.rig());

  private static Rehearsal rehearsal() {
    return new Rehearsal(RIG, Simulation.start(RIG.network(), TRUCK.state()));
  }

  @Test
  void playedOnItStopsAtTheFirstEventAndSaysWhich() {
    Rehearsal rehearsal = rehearsal();
    rehearsal.pace(600, true);
    rehearsal.play();
    for (int i = 0; i < 20; i++) {
      rehearsal.tick(0.2);
    }
    assertThat(rehearsal.isPlaying()).isFalse();
    assertThat(rehearsal.stopped()).matches("Gray is full to its vent at 12 min \\d\\d s");
  }

  @Test
  void whateverTheHandlesThePageCanSayWhatRunsAndWhatComesNext() {
    for (DemoRig demo : DemoRig.all()) {
      OpenRig rig = OpenRig.of(demo.id(), 1, demo.rig());
      for (int seed = 0; seed < 12; seed++) {
        Random random = new Random(seed);
        State state = demo.state();
        for (Part part : demo.rig().handles().toList()) {
          List<Position> positions = part.kind().positions();
          state = state.with(part.id(), positions.get(random.nextInt(positions.size())).id());
        }
        Simulation run = Simulation.start(rig.network(), state);
        Snapshot now = Snapshot.of(new Rehearsal(rig, run), Units.METRIC);
        assertThat(now.rows()).as("%s, seed %d", demo.id(), seed).isNotEmpty();
        assertThat(RehearsalAnswers.flows(rig, run, Units.METRIC)).isNotNull();
      }
    }
  }

  @Test
  void goingBackTakesLevelsAndEventsBack() {
    Rehearsal rehearsal = rehearsal();
    rehearsal.pace(600, true);
    rehearsal.play();
    for (int i = 0; i < 20; i++) {
      rehearsal.tick(0.2);
    }
    rehearsal.back(true);
    assertThat(rehearsal.moment().time()).isZero();
    assertThat(rehearsal.events()).isEmpty();
    assertThat(rehearsal.moment().state().volume(PartId.of("gray"))).isEqualTo(0.041);
  }

  @Test
  void aTapThatIsShutWhileItRunsStopsTheWater() {
    Rehearsal rehearsal = rehearsal();
    rehearsal.pace(60, true);
    rehearsal.play();
    rehearsal.tick(0.2);
    rehearsal.set("sink", "shut");
    double before = rehearsal.moment().state().volume(PartId.of("main"));
    rehearsal.tick(0.2);
    assertThat(rehearsal.moment().state().volume(PartId.of("main"))).isEqualTo(before);
    assertThat(rehearsal.isPlaying()).isTrue();
  }

  @Test
  void aSnapshotSpeaksInThePersonsUnits() {
    Snapshot now = Snapshot.of(rehearsal(), Units.of("US gal,psi"));
    assertThat(now.tanks().get("main").text()).endsWith("US gal");
    assertThat(now.rows()).anyMatch(r -> r.startsWith("Sink") && r.contains("psi"));
    assertThat(now.lines()).containsKey("p5");
  }

  @Test
  void whatOpeningAnotherTapCostsTheFirstIsToldBeforehand() {
    var rows = RehearsalAnswers.alsoOpen(RIG, rehearsal().ahead(), Units.METRIC);
    assertThat(rows).anyMatch(r -> r.what().equals("Shower") && r.working().contains("Sink then"));
    var flows = RehearsalAnswers.flows(RIG, rehearsal().ahead(), Units.METRIC);
    for (RehearsalAnswers.Row row : flows) {
      boolean ranged = row.working().contains("the range is for fittings");
      assertThat(row.figure())
          .matches(ranged ? "[\\d.]+ L/min \\([\\d.]+ L/min to [\\d.]+ L/min\\)" : "[\\d.]+ L/min");
    }
    var until = RehearsalAnswers.until(RIG, rehearsal().ahead(), Units.METRIC);
    assertThat(until.getFirst().what().toString()).contains("Gray is full");
    assertThat(until.getFirst().figure()).startsWith("in 12 min");
  }

  @Test
  void theRoomMovesWhatIsWatchedAndPausesWhatIsLeft() throws Exception {
    RehearsalRoom room = new RehearsalRoom();
    room.start();
    try {
      String id = room.start(RIG, Simulation.start(RIG.network(), TRUCK.state()));
      Page page = new Page();
      room.watch(id, page, r -> Snapshot.of(r, Units.METRIC));
      room.get(id).pace(10, true);
      room.get(id).play();
      assertThat(page.looks.poll(5, TimeUnit.SECONDS)).isNotNull();
      await(() -> room.get(id).moment().time() > 0);
      page.gone = true;
      await(() -> !room.get(id).isPlaying());
      assertThat(room.watched()).isZero();
      assertThatThrownBy(() -> room.get("gone")).isInstanceOf(Refusal.class);
    } finally {
      room.stop();
    }
  }

  @Test
  void aPageThatReadsNothingHoldsUpNobody() throws Exception {
    RehearsalRoom room = new RehearsalRoom();
    room.start();
    try {
      String stuck = room.start(RIG, Simulation.start(RIG.network(), TRUCK.state()));
      Page slow = new Page();
      slow.reads.drainPermits();
      room.watch(stuck, slow, r -> Snapshot.of(r, Units.METRIC));
      String quick = room.start(RIG, Simulation.start(RIG.network(), TRUCK.state()));
      Page page = new Page();
      room.watch(quick, page, r -> Snapshot.of(r, Units.METRIC));
      room.get(quick).pace(1, false);
      room.get(quick).play();
      for (int look = 0; look < 5; look++) {
        assertThat(page.looks.poll(2, TimeUnit.SECONDS)).as("look %d", look).isNotNull();
      }
      Page reloaded = new Page();
      room.watch(stuck, reloaded, r -> Snapshot.of(r, Units.METRIC));
      assertThat(reloaded.looks.poll(2, TimeUnit.SECONDS)).isNotNull();
      assertThat(room.watched()).as("one page a rehearsal").isEqualTo(2);
      slow.reads.release(1000);
      await(() -> slow.ended);
    } finally {
      room.stop();
    }
  }

  private static void await(BooleanSupplier holds) throws InterruptedException {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
    while (!holds.getAsBoolean()) {
      assertThat(System.nanoTime()).as("waiting in vain").isLessThan(end);
      TimeUnit.MILLISECONDS.sleep(20);
    }
  }

  /** A page as the room sees it: it takes looks as long as it may, or has gone. */
  private static final class Page extends SseEmitter {

    final BlockingQueue<Object> looks = new LinkedBlockingQueue<>();
    final Semaphore reads = new Semaphore(100_000);
    volatile boolean gone;
    volatile boolean ended;

    @Override
    public void send(Object look, MediaType type) throws IOException {
      if (gone) {
        throw new IOException("the page has gone");
      }
      reads.acquireUninterruptibly();
      looks.add(look);
    }

    @Override
    public void complete() {
      ended = true;
    }
  }
}
