package fernwort.app.board;

import fernwort.app.board.layout.Layouts;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Outlook;
import fernwort.app.services.Standing;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.time.Instant;
import java.util.List;
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

  /** A drawing to pick from: whole, and place by place for a phone. */
  public record ToPick(Drawing whole, List<Drawing> places) {}

  /**
   * Draws an open rig to pick from, in a state that nobody recorded, with the water that moves in
   * it.
   */
  public ToPick toPick(OpenRig rig, State state) {
    return toPick(rig, state, Outlook.of(rig, state));
  }

  /** Draws an open rig to pick from, with handles and levels, but not where water moves. */
  public ToPick still(OpenRig rig, State state) {
    return toPick(
        rig, state, Outlook.of(rig, new State(rig.rig().atRest(), Map.of(), Slope.LEVEL)));
  }

  private ToPick toPick(OpenRig rig, State state, Outlook outlook) {
    Drafter drafter = new Drafter(rig, Standing.supposed(state), outlook, Instant.EPOCH);
    return new ToPick(
        drafter.whole(layouts.whole(rig.rig())),
        layouts.places(rig.rig()).stream().map(drafter::place).toList());
  }

  /** Draws a rig that is not kept anywhere. */
  public Drawing of(Rig rig) {
    return of(OpenRig.of("plan", 1, rig));
  }
}
