package fernwort.core.jobs.find;

import fernwort.core.id.PartId;
import fernwort.core.jobs.goal.Job;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Slope;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Filling a tank no further than to a mark that somebody chooses, for the axle's sake or the
 * hill's: a job like the one that fills it, whose name holds the litres.
 */
public final class FillToMark {

  private static final String TO = "~to~";

  /** Digits as people write them: an exponent could ask for a name of a thousand million zeros. */
  private static final Pattern LITRES = Pattern.compile("\\d{1,6}(\\.\\d{1,3})?");

  private FillToMark() {}

  /** Returns the name of a job of filling to some litres. */
  public static String name(Job filling, BigDecimal litres) {
    return filling.id().split(TO, 2)[0] + TO + litres.stripTrailingZeros().toPlainString();
  }

  /** Returns the tank that a job fills, if it is one whose filling can be stopped before. */
  public static Optional<PartId> tank(Job job) {
    boolean one = job.kind().is(Job.Is.STOPS_AT_A_MARK);
    return one
        ? job.stages().getFirst().until().filter(Job.Until::fills).map(Job.Until::part)
        : Optional.empty();
  }

  /**
   * Returns the job of this name, if it is one of filling to a mark.
   *
   * @throws Refusal when the tank does not take so much
   */
  static Optional<Job> named(Network network, Jobs jobs, String id) {
    int at = id.indexOf(TO);
    Optional<Job> filling = at < 0 ? Optional.empty() : jobs.byId(id.substring(0, at));
    Optional<BigDecimal> litres =
        at < 0 ? Optional.empty() : litres(id.substring(at + TO.length()));
    return filling
        .filter(f -> tank(f).isPresent())
        .flatMap(f -> litres.map(l -> to(network, f, l)));
  }

  private static Optional<BigDecimal> litres(String words) {
    return LITRES.matcher(words).matches()
        ? Optional.of(new BigDecimal(words)).filter(l -> l.signum() > 0)
        : Optional.empty();
  }

  private static Job to(Network network, Job filling, BigDecimal litres) {
    Part tank = network.rig().part(tank(filling).orElseThrow());
    double most = most(network, tank);
    double mark = litres.doubleValue() / 1000;
    if (mark > most) {
      throw new Refusal(Says.TAKES_NO_MORE_THAN_CHOOSE.with(tank.label(), Amount.volume(most)));
    }
    List<Job.Stage> stages = new ArrayList<>(filling.stages());
    Job.Stage first = stages.getFirst();
    stages.set(0, Job.Stage.of(first.goal(), new Job.Until(Job.Until.What.MARK, tank.id(), mark)));
    return new Job(
        name(filling, litres),
        filling.kind(),
        Message.of("{} to {}", filling.title(), Amount.volume(mark)),
        filling.by(),
        stages,
        filling.cautions());
  }

  /** What a tank holds on level ground when it is full by its vents (m³). */
  private static double most(Network network, Part tank) {
    return network.figures(tank, Slope.LEVEL).full();
  }
}
