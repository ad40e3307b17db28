package fernwort.app.services;

import fernwort.core.build.mount.UsualBuild;
import fernwort.core.demo.DemoLog;
import fernwort.core.demo.DemoRig;
import fernwort.core.tank.Reading;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts the three demo rigs into a data folder that has no rig yet, as their people left them. */
@Component
@ConditionalOnProperty(name = "fernwort.demo", havingValue = "true")
public class DemoData implements ApplicationRunner {

  private static final String WHO = "demo";

  /** The small one is new: nothing was noted of it yet. */
  private static final String WITHOUT_LOG = "samphire";

  private final Descriptions rigs;
  private final States states;
  private final Diary diary;
  private final Clock clock;

  DemoData(Descriptions rigs, States states, Diary diary, Clock clock) {
    this.rigs = rigs;
    this.states = states;
    this.diary = diary;
    this.clock = clock;
  }

  /** All of it or nothing, so that a start that was broken off begins again. */
  @Override
  @Transactional
  public void run(ApplicationArguments args) {
    if (rigs.all().isEmpty()) {
      DemoRig.all().forEach(this::add);
    }
  }

  private void add(DemoRig demo) {
    OpenRig rig =
        rigs.open(rigs.add(UsualBuild.on(demo.rig()), WHO, Says.CAME_WITH_THE_DEMO.text()));
    Instant read = clock.instant().minus(Duration.ofHours(3));
    leave(demo, rig, read, WHO);
    if (!demo.id().equals(WITHOUT_LOG)) {
      DemoLog.of(demo, rig.network(), read).forEach(e -> diary.add(rig, e, WHO));
    }
  }

  /** Leaves a rig as the people of a demo left theirs: its tanks read then, its handles put so. */
  @Transactional
  public void leave(DemoRig demo, OpenRig rig, Instant read, String who) {
    demo.litres()
        .forEach((tank, litres) ->
            states.record(
                rig,
                tank,
                new Reading.Volume(litres / 1000),
                String.format(Locale.ROOT, "%.0f L", litres),
                read,
                who));
    demo.positions().forEach((part, position) -> states.turn(rig, part.value(), position, who));
  }
}
