package fernwort.core.jobs.goal;

import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.line.Coupling;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A loose hose from an outlet of one tank to the inlet by which the rig draws: the rig as it is
 * with the hose laid out, to plan and run in, and the steps as hands do them.
 *
 * @param outlet where the water is let out
 * @param inlet where the rig draws it in
 */
public record TransferHose(Part outlet, Part inlet) {

  /** An ordinary one; own choice (m). */
  private static final double BORE = 0.016;

  /** As long as the way along the vehicle, and so much more; own choice (m). */
  private static final double SLACK = 1.5;

  /** Two couplings and its bends; own choice (1). */
  private static final double LOSS = 2;

  /** Returns the hose that a job needs, if it needs one. */
  public static Optional<TransferHose> of(Network network, Job job) {
    Rig rig = network.rig();
    Map<PartId, PositionId> musts = job.stages().getFirst().goal().musts();
    if (job.kind() != Job.Kind.MOVE || musts.size() != 2) {
      return Optional.empty();
    }
    Optional<Part> inlet =
        musts.keySet().stream().map(rig::part).filter(p -> p.kind().is(Purpose.INLET)).findFirst();
    return inlet.flatMap(in ->
        musts.keySet().stream()
            .map(rig::part)
            .filter(p -> !p.equals(in))
            .findFirst()
            .map(out -> new TransferHose(out, in)));
  }

  /**
   * Returns the rig with the hose laid out, on neither end yet.
   *
   * @param opened how its outlet stands while the hose is on
   */
  public Network laidOut(Network network, PositionId opened) {
    Rig rig = network.rig();
    List<Part> parts = new ArrayList<>();
    for (Part part : rig.parts()) {
      if (part.id().equals(outlet.id())) {
        parts.add(coupling(part, opened));
      } else {
        parts.add(part.id().equals(inlet.id()) ? coupling(part, HoseInlet.OUTSIDE.id()) : part);
      }
    }
    List<Line> lines = new ArrayList<>(rig.lines());
    double across = outlet.at(port(outlet)).distanceTo(inlet.at(port(inlet)));
    lines.add(
        new Line(
            LineId.of("transfer-hose"),
            Says.TRANSFER_HOSE.text(),
            outlet.port(Coupling.HOSE),
            inlet.port(Coupling.HOSE),
            BORE,
            across + SLACK,
            Line.Material.PVC_HOSE,
            LOSS,
            List.of()));
    return Network.of(
        new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), parts, lines, rig.built()));
  }

  private static Part coupling(Part part, PositionId opened) {
    Position joined =
        part.kind().positions().stream()
            .filter(p -> p.id().equals(opened))
            .findFirst()
            .orElseThrow();
    return part.with(new Coupling(port(part), part.rest(), joined));
  }

  private static PortId port(Part part) {
    return part.kind().ports().getFirst();
  }

  /** Returns a plan that was made with the hose laid out, its hose put on and taken off by hand. */
  public Plan byHand(Network laidOut, Plan plan) {
    List<Step> steps = new ArrayList<>();
    for (Step step : plan.steps()) {
      boolean hose =
          step instanceof Step.Move move
              && (move.part().equals(outlet.id()) || move.part().equals(inlet.id()));
      steps.add(hose ? put(laidOut.rig(), (Step.Move) step) : step);
    }
    return new Plan(plan.job(), steps, plan.stages(), plan.notes(), plan.after(), plan.trouble());
  }

  private static Step put(Rig rig, Step.Move move) {
    Part part = rig.part(move.part());
    boolean off = part.kind().rests(move.to());
    return new Step.Wait(
        new Job.Until(off ? Job.Until.What.HOSE_OUT : Job.Until.What.HOSE_IN, part.id()),
        Message.words(part.kind().act(part.label(), move.from(), move.to())),
        move.notice(),
        Step.Span.UNKNOWN,
        0,
        Map.of(),
        List.of());
  }
}
