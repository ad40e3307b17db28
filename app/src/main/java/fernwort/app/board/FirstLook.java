package fernwort.app.board;

import fernwort.app.board.layout.Layouts;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.store.RigStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;

/**
 * Prepares the rig that people will look at first while the rest is still starting, for which the
 * other processor has nothing to do.
 */
@Component
class FirstLook implements SmartInitializingSingleton {

  private static final Logger LOG = LoggerFactory.getLogger(FirstLook.class);

  private final Descriptions rigs;
  private final Layouts layouts;

  FirstLook(Descriptions rigs, Layouts layouts) {
    this.rigs = rigs;
    this.layouts = layouts;
  }

  @Override
  public void afterSingletonsInstantiated() {
    Thread.ofPlatform().daemon().name(Says.FIRST_LOOK.text()).start(this::prepare);
  }

  private void prepare() {
    try {
      rigs.all().stream()
          .filter(r -> !r.archived())
          .findFirst()
          .map(RigStore.Summary::id)
          .map(rigs::open)
          .map(OpenRig::rig)
          .ifPresent(rig -> {
            layouts.whole(rig);
            layouts.places(rig);
          });
    } catch (RuntimeException e) {
      // The page itself will say what is wrong with it.
      LOG.warn("the first rig could not be prepared", e);
    }
  }
}
