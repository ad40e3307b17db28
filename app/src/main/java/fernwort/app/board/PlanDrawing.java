package fernwort.app.board;

import fernwort.app.board.layout.Layouts;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Standing;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.time.Instant;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Draws the cutaway of a rig that is only looked at: at rest, or in a state that is tried out. */
@Component
public class PlanDrawing {

  private final Layouts layouts;

  PlanDrawing(Layouts layouts) {
    this.layouts = layouts;
  }

  /** Draws an open rig. */
  public Drawing of(OpenRig rig) {
    return of(rig, new State(rig.rig().atRest(), Map.of(), Slope.LEVEL));
  }

  /** Draws an open rig in a state that nobody recorded. */
  public Drawing of(OpenRig rig, State state) {
    return new Drafter(rig, Standing.unrecorded(state), Outlook.of(rig, state), Instant.EPOCH)
        .whole(layouts.whole(rig.rig()));
  }

  /** Draws a rig that is not kept anywhere. */
  public Drawing of(Rig rig) {
    return of(OpenRig.of("plan", 1, rig));
  }
}
