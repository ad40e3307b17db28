package fernwort.app.web;

import fernwort.app.format.RigFormat;
import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The clock and the rig format, shared by all. */
@Configuration
class AppConfig {

  @Bean
  Clock clock() {
    return Clock.systemDefaultZone();
  }

  @Bean
  RigFormat rigFormat() {
    return new RigFormat();
  }
}
