package fernwort.app.board;

import fernwort.app.board.layout.Layouts;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.store.RigStore;
import fernwort.app.units.Units;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/**
 * Prepares the rigs that people will look at first while the rest is still starting, for which the
 * other processor has nothing to do.
 */
@Component
class FirstLook implements SmartInitializingSingleton {

  private static final Logger LOG = LoggerFactory.getLogger(FirstLook.class);

  /** More are not ready by the time somebody looks. */
  private static final int RIGS = 3;

  private final Descriptions rigs;
  private final Layouts layouts;
  private final NextLines next;

  FirstLook(Descriptions rigs, Layouts layouts, NextLines next) {
    this.rigs = rigs;
    this.layouts = layouts;
    this.next = next;
  }

  @Override
  public void afterSingletonsInstantiated() {
    Thread.ofPlatform().daemon().name(Says.FIRST_LOOK.text()).start(this::prepare);
  }

  private void prepare() {
    try {
      rigs.all().stream()
          .filter(r -> !r.archived())
          .limit(RIGS)
          .map(RigStore.Summary::id)
          .map(rigs::open)
          .forEach(this::prepare);
    } catch (RuntimeException e) {
      // The page itself will say what is wrong with it.
      LOG.warn("the first rig could not be prepared", e);
    }
  }

  private void prepare(OpenRig rig) {
    layouts.whole(rig.rig());
    layouts.places(rig.rig());
    next.of(rig, Units.METRIC);
  }
}
