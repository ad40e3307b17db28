package fernwort.app;

import org.springframework.core.env.MutablePropertySources;
import org.springframework.core.env.StandardEnvironment;

/**
 * Settings as the launcher gives them and nothing else: variables of the surroundings such as
 * SERVER_ADDRESS, meant for other programs, must not open this one to the world.
 */
final class OwnWords extends StandardEnvironment {

  @Override
  protected void customizePropertySources(MutablePropertySources sources) {
    // Neither the system's properties nor its variables.
  }
}
