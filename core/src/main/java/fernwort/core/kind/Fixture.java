package fernwort.core.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Where water is used.
 *
 * @param use what it is
 * @param drinking whether people drink or cook from it
 * @param ratedFlow flow at its rated pressure (m³/s)
 * @param ratedPressure pressure for that flow (Pa)
 * @param restrictor most that an aerator or restrictor lets through, if it has one (m³/s)
 */
public record Fixture(
    Type use, boolean drinking, double ratedFlow, double ratedPressure, Optional<Double> restrictor)
    implements Kind {

  /** Makes a fixture without a restrictor. */
  public Fixture(Type use, boolean drinking, double ratedFlow, double ratedPressure) {
    this(use, drinking, ratedFlow, ratedPressure, Optional.empty());
  }

  /** The sorts of fixture. */
  public enum Type {
    TAP,
    MIXER,
    SHOWER,
    TOILET,
    HOSE_POINT;

    /** Tells whether it takes hot water too. */
    public boolean mixes() {
      return this == MIXER || this == SHOWER;
    }
  }

  public static final Position SHUT = new Position("shut", "shut");
  public static final Position COLD = new Position("cold", "open, cold");
  public static final Position WARM = new Position("warm", "open, mixed");
  public static final Position HOT = new Position("hot", "open, hot");

  /** Tells whether a position lets cold water out. */
  public boolean opensCold(String position) {
    return !position.equals(SHUT.id()) && !position.equals(HOT.id());
  }

  /** Tells whether a position lets hot water out. */
  public boolean opensHot(String position) {
    return use.mixes() && (position.equals(HOT.id()) || position.equals(WARM.id()));
  }

  /** Returns the position that lets cold water out, and no hot. */
  public Position cold() {
    return positions().get(1);
  }

  @Override
  public Set<Purpose> purposes() {
    return Set.of(Purpose.END, Purpose.USE);
  }

  @Override
  public boolean onlyOnPurpose() {
    return true;
  }

  @Override
  public PortFlow flow(String port) {
    return port.equals("waste") ? PortFlow.OUT : PortFlow.IN;
  }

  @Override
  public Rank rank(String position) {
    return rests(position) ? Rank.TAP_SHUT : Rank.TAP_OPEN;
  }

  @Override
  public List<Mouth> mouths(String position) {
    List<Mouth> mouths = new ArrayList<>();
    if (opensCold(position)) {
      mouths.add(new Mouth(0, Mouth.Onto.USE));
    }
    if (opensHot(position)) {
      mouths.add(new Mouth(1, Mouth.Onto.USE));
    }
    return mouths;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  public boolean blowsClear() {
    return true;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public boolean forDrinking() {
    return drinking;
  }

  @Override
  public List<String> ports() {
    return switch (use) {
      case TAP, TOILET -> List.of("cold", "waste");
      case MIXER, SHOWER -> List.of("cold", "hot", "waste");
      case HOSE_POINT -> List.of("cold");
    };
  }

  @Override
  public List<Position> positions() {
    return switch (use) {
      case TAP, HOSE_POINT -> List.of(SHUT, new Position("open", "open"));
      case TOILET -> List.of(SHUT, new Position("open", "filling"));
      case MIXER, SHOWER -> List.of(SHUT, COLD, WARM, HOT);
    };
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_RUN_THROUGH;
  }

  /** A mixer opens both ways, so that air can follow by the other. */
  @Override
  public Optional<String> drained() {
    return Optional.of((use.mixes() ? WARM : cold()).id());
  }

  @Override
  public boolean opensToDrain(String position) {
    return drained().filter(position::equals).isPresent();
  }

  @Override
  public Optional<String> runsOut(String port) {
    return port.equals("waste") ? Optional.empty() : drained();
  }

  @Override
  public String purpose(String position) {
    return KindWords.TAP_WASTES_NOTHING.text();
  }

  @Override
  public String notice(String position) {
    return (rests(position) ? KindWords.NO_DRIP : KindWords.RUNS_WITHOUT_SPITTING).text();
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.IN_ITS_VALVE.text();
  }

  @Override
  public String mend() {
    return KindWords.OPEN_OR_BLOW.text();
  }

  @Override
  public String openedNote() {
    return (use == Type.TOILET ? KindWords.CUPFUL_FORGOTTEN : KindWords.AIR_COMES_IN_HERE).text();
  }

  @Override
  public boolean appliance() {
    return true;
  }

  @Override
  public PortEnd end(String port) {
    return port.equals("waste") ? PortEnd.GRIPS_LINE : PortEnd.TAP_THREAD;
  }

  @Override
  public Optional<Adapter> adapter() {
    return use == Type.HOSE_POINT
        ? Optional.of(
            new Adapter("cold", KindWords.SCREW_ON_AND_OPEN.text(), KindWords.ADAPTER_OFF.text()))
        : Optional.empty();
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.FIXTURE, use),
        Property.of(Asked.DRINKING, drinking),
        Property.of(Asked.TAP_RATED_FLOW, ratedFlow),
        Property.of(Asked.RATED_PRESSURE, ratedPressure),
        Property.of(Asked.RESTRICTOR, restrictor));
  }

  @Override
  public Kind with(Answers answers) {
    return new Fixture(
        answers.choice(Asked.FIXTURE, Type.class),
        answers.ticked(Asked.DRINKING),
        answers.amount(Asked.TAP_RATED_FLOW),
        answers.amount(Asked.RATED_PRESSURE),
        answers.optional(Asked.RESTRICTOR));
  }

  @Override
  public String usuallyAt(String port) {
    return port.equals("waste") ? "trap" : "valve";
  }

  @Override
  public String figure() {
    return switch (use) {
      case TOILET -> "toilet";
      case SHOWER -> "shower";
      case TAP, MIXER, HOSE_POINT -> "tap";
    };
  }
}
