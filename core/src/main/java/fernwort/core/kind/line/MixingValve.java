package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A thermostatic mixing valve with a check valve in each of its inlets, so that hot and cold water
 * do not cross in it.
 *
 * @param temperature what it mixes to (K)
 * @param crackingPressure pressure it takes to open a check in it (Pa)
 */
public record MixingValve(double temperature, double crackingPressure) implements Seated {

  /** An ordinary one mixes to 38 °C; 0.03 bar for its checks, our estimate. */
  public static final NewPart OFFER =
      new NewPart(
          "mixing-valve",
          KindWords.MIXING_VALVE.text(),
          KindWords.WHAT_A_MIXING_VALVE_IS.text(),
          new MixingValve(311.15, 3_000),
          0.05);

  /** What a side passes fully open at 1 bar (m³/s): 20 L/min, an ordinary one; our estimate. */
  public static final double PASSES = 20e-3 / 60;

  private static final int COLD = 0;
  private static final int HOT = 1;
  private static final int MIXED = 2;
  private static final int MIDDLE = 3;

  @Override
  public List<PortId> ports() {
    return List.of(PortId.COLD, PortId.HOT, PortId.of("mixed"));
  }

  @Override
  public List<Link> links(PositionId position) {
    return List.of(
        new Link(COLD, MIDDLE, Link.Law.CHECK, crackingPressure),
        new Link(HOT, MIDDLE, Link.Law.CHECK, crackingPressure),
        new Link(MIDDLE, MIXED, Link.Law.FREE, 0),
        new Link(MIXED, MIDDLE, Link.Law.FREE, 0));
  }

  @Override
  public OptionalDouble mixesTo() {
    return OptionalDouble.of(temperature);
  }

  @Override
  public PortFlow flow(PortId port) {
    return port.equals(PortId.of("mixed")) ? PortFlow.OUT : PortFlow.IN;
  }

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut(PortId.COLD, PortId.of("mixed")));
  }

  @Override
  public double loss(double flow) {
    return crackingPressure;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public Optional<String> wayRound() {
    return Optional.of(KindWords.COLD_HOT_AND_MIXED.text());
  }

  @Override
  public boolean appliance() {
    return true;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.THREAD;
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.TRY_MIXING_VALVE.with(label), Care.A_YEAR));
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.MIXES_TO, temperature),
        Property.of(Asked.CRACKING_PRESSURE, crackingPressure));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new MixingValve(answers.amount(Asked.MIXES_TO), answers.amount(Asked.CRACKING_PRESSURE));
  }

  @Override
  public String figure() {
    return "mixing-valve";
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, KindWords.BUY_MIXING_VALVE.with(size), false);
  }
}
