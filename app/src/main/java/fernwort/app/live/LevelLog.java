package fernwort.app.live;

import fernwort.app.services.OpenRig;
import fernwort.app.store.Logbook;
import fernwort.core.diary.Entry;
import fernwort.core.kind.tank.Contents;
import fernwort.core.live.LevelCourse;
import fernwort.core.live.LiveRig;
import fernwort.core.live.Now;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.tank.Reading;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What level sensors tell, for Today and for the log: readings from time to time, and fills and
 * dumps when they are over. One thread alone uses it.
 */
final class LevelLog {

  /** A level shown anew has changed by more than this (share of the tank); own choice. */
  private static final double SHOWN_STEP = 0.005;

  /** A level becomes a reading when it changed by this (share of the tank); own choice. */
  private static final double READING_STEP = 0.02;

  /** At most so often (s); own choice. */
  private static final double READING_PAUSE = 900;

  /** Who notes a fill or dump by hand does it no longer before it begins; own choice. */
  private static final Duration BY_HAND = Duration.ofMinutes(10);

  private final Room.House house;
  private final Map<String, Double> logged = new HashMap<>();
  private final Map<String, LevelCourse> courses = new HashMap<>();

  LevelLog(Room.House house) {
    this.house = house;
  }

  /** Follows what sensors tell; tells whether something is shown anew. */
  boolean follow(OpenRig rig, List<LiveRig.Told> told, Now now) {
    Map<String, Logbook.Level> before = house.levels().of(rig.id());
    Map<String, Logbook.Level> levels = new LinkedHashMap<>();
    for (LiveRig.Told one : told) {
      if (one.signal().kind() == SignalKind.LEVEL
          && one.state().canBeActedOn()
          && one.value().orElse(null) instanceof Value.Amount level) {
        Part tank = rig.rig().part(one.signal().on().id().part());
        double capacity = rig.network().room(tank.id()).capacity();
        Logbook.Level shown = before.get(tank.id().value());
        boolean moved =
            shown == null || Math.abs(shown.volume() - level.amount()) > SHOWN_STEP * capacity;
        levels.put(tank.id().value(), moved ? level(level.amount(), now.wall()) : shown);
        note(rig, tank, level.amount(), capacity, now);
      }
    }
    boolean anew = !levels.equals(before);
    if (anew) {
      house.levels().set(rig.id(), levels);
    }
    return anew;
  }

  private static Logbook.Level level(double volume, Instant at) {
    return new Logbook.Level(volume, at, shown(volume));
  }

  private static String shown(double volume) {
    return Entry.Reading.bySensor(Amount.volume(volume).toString());
  }

  private void note(OpenRig rig, Part tank, double volume, double capacity, Now now) {
    LevelCourse course =
        courses.computeIfAbsent(
            tank.id().value(), t -> new LevelCourse(capacity, !tank.kind().holds(Contents.FRESH)));
    Optional<LevelCourse.Passed> passed = course.take(volume, now);
    if (passed.isPresent()) {
      over(rig, tank, passed.get(), now);
      read(rig, tank, volume, now.wall());
      logged.put(tank.id().value(), now.steady());
    } else if (!course.isGoing()) {
      // While it fills, readings in between would look like water from nowhere.
      double last =
          Optional.ofNullable(house.states().kept(rig, tank.id()))
              .map(Logbook.Level::volume)
              .orElse(-1.0);
      if (Math.abs(last - volume) >= READING_STEP * capacity && isDue(tank.id().value(), now)) {
        read(rig, tank, volume, now.wall());
      }
    }
  }

  private boolean isDue(String tank, Now now) {
    Double before = logged.get(tank);
    if (before != null && now.steady() - before < READING_PAUSE) {
      return false;
    }
    logged.put(tank, now.steady());
    return true;
  }

  private void read(OpenRig rig, Part tank, double volume, Instant at) {
    house
        .states()
        .record(rig, tank.id(), new Reading.Volume(volume), shown(volume), at, Room.SENSOR);
  }

  /** A fill or dump is noted with what was there before it, unless somebody noted it by hand. */
  private void over(OpenRig rig, Part tank, LevelCourse.Passed passed, Now now) {
    Instant begun = passed.begun().wall();
    Instant since = begun.minus(BY_HAND);
    List<Entry> noted = house.diary().recent(rig, since);
    boolean byHand =
        noted.stream()
            .filter(e -> e.what().part().equals(tank.id()))
            .anyMatch(e ->
                switch (e.what().kind()) {
                  case FILL, HAUL, DUMP -> true;
                  case READING, PEOPLE, AWAY, SANITIZE, UPKEEP, NOTE -> false;
                });
    if (byHand) {
      return;
    }
    // What was read after it began, before anybody knew that it did, is what it began with.
    Optional<Entry> read =
        noted.stream()
            .filter(e -> e.what().kind() == Entry.Kind.READING && !e.at().isBefore(begun))
            .filter(e -> e.what().part().equals(tank.id()))
            .reduce((one, next) -> next.at().isAfter(one.at()) ? next : one);
    double from = read.map(e -> ((Entry.Reading) e.what()).volume()).orElse(passed.from());
    Instant at = read.map(Entry::at).orElse(begun);
    if (read.isEmpty()) {
      house
          .diary()
          .add(rig, new Entry.Reading(tank.id(), from, shown(from), false, ""), begun, Room.SENSOR);
    }
    double moved = Math.abs(passed.to() - from);
    Instant when = at.plusMillis(1);
    String words = Says.SEEN_BY_THE_SENSOR.text();
    house
        .diary()
        .add(
            rig,
            passed.what() == LevelCourse.What.FILL
                ? new Entry.Fill(tank.id(), Optional.of(moved), Entry.Bought.UNKNOWN, false, words)
                : new Entry.Dump(tank.id(), Optional.of(moved), words),
            when.isAfter(now.wall()) ? now.wall() : when,
            Room.SENSOR);
  }
}
