package fernwort.app.services;

import fernwort.core.demo.DemoRig;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The weather that is told without anybody having given it: that of the demo's own rigs, simulated
 * and said to be so. For any other rig there is none, for nobody knows it.
 */
@Component
public class Weather {

  private final boolean demo;

  Weather(@Value("${fernwort.demo:false}") boolean demo) {
    this.demo = demo;
  }

  /** Tells whether the weather of a rig is simulated. */
  public boolean isSimulated(OpenRig rig) {
    return demo && DemoRig.all().stream().anyMatch(d -> d.id().equals(rig.id()));
  }

  /** Returns the simulated night that begins on a date; empty where nobody told the weather. */
  public Optional<Forecast.Night> night(OpenRig rig, LocalDate date) {
    return isSimulated(rig) ? Optional.of(Forecast.of(date)) : Optional.empty();
  }
}
