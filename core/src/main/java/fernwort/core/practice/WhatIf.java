package fernwort.core.practice;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.hydraulics.UnsettledFlowException;
import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What happens with the handles like this? The places to which water goes are told.
 *
 * @param from how handles and levels are
 * @param choices the parts to which water could go
 * @param arrives those to which it goes
 */
public record WhatIf(State from, List<PartId> choices, Set<PartId> arrives) implements Exercise {

  /** It is run for so long (s); own choice: longer than air takes to come out. */
  private static final double RUN = 60;

  /** Less is nothing that anybody sees (m³): 0.1 L. */
  private static final double SEEN = 1e-4;

  public WhatIf {
    choices = List.copyOf(choices);
    arrives = Set.copyOf(arrives);
  }

  /**
   * What somebody got right.
   *
   * @param missed to which water goes, and they did not say so
   * @param wrong to which none goes, and they said so
   */
  public record Verdict(List<PartId> missed, List<PartId> wrong) {

    /** Tells whether all was right. */
    public boolean passed() {
      return missed.isEmpty() && wrong.isEmpty();
    }
  }

  /** Works out where water goes; nothing where it goes nowhere. */
  static Optional<WhatIf> of(Network network, Hydraulics hydraulics, State from) {
    List<PartId> choices =
        network.rig().parts().stream()
            .filter(p ->
                p.kind().is(Purpose.HOLDS)
                    || p.kind().is(Purpose.USE)
                    || p.kind().is(Purpose.OUTLET))
            .map(Part::id)
            .toList();
    try {
      Simulation run = Simulation.start(network, hydraulics, from, Conditions.ORDINARY);
      run.runTo(RUN);
      Moment end = run.moment();
      Set<PartId> arrives = new TreeSet<>();
      for (PartId part : choices) {
        double gained =
            network.rig().part(part).kind().is(Purpose.HOLDS)
                ? end.state().volume(part) - from.volume(part)
                : end.totals().drawn().getOrDefault(part, 0.0)
                    + end.totals().out().getOrDefault(part, 0.0);
        if (gained > SEEN) {
          arrives.add(part);
        }
      }
      return arrives.isEmpty() ? Optional.empty() : Optional.of(new WhatIf(from, choices, arrives));
    } catch (UnsettledFlowException e) {
      return Optional.empty();
    }
  }

  /** Judges what somebody said. */
  public Verdict judge(Set<PartId> said) {
    List<PartId> missed = new ArrayList<>(arrives);
    missed.removeAll(said);
    List<PartId> wrong = new ArrayList<>(said);
    wrong.removeAll(arrives);
    return new Verdict(missed.stream().sorted().toList(), wrong.stream().sorted().toList());
  }
}
