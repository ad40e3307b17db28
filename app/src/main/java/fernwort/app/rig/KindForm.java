package fernwort.app.rig;

import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Field;
import fernwort.app.web.ValvePicture;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.line.Valve;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/** What a form asks for each kind of part, and the kind that its answers make. */
final class KindForm {

  private final Units units;

  private final HandleForm handle;

  KindForm(Units units) {
    this(units, PortId::value);
  }

  /**
   * Makes the form.
   *
   * @param ports what the ports of the part are called
   */
  KindForm(Units units, Function<PortId, String> ports) {
    this.units = units;
    handle = new HandleForm(ports);
  }

  // --- asking ----------------------------------------------------------------------------------

  /** Returns what is asked of a kind. */
  List<Field> fields(Kind kind) {
    if (kind instanceof Tank tank) {
      return new TankForm(units).fields(tank);
    }
    return valve(kind)
        .map(handle::fields)
        .orElseGet(() -> kind.properties().stream().map(this::field).toList());
  }

  private static Optional<Valve> valve(Kind kind) {
    return kind instanceof Valve valve ? Optional.of(valve) : Optional.empty();
  }

  /** Returns a three-way valve in each of its positions; nothing for anything else. */
  List<ValvePicture> positions(Kind kind) {
    return valve(kind).filter(v -> v.ports().size() > 2).map(handle::pictures).orElse(List.of());
  }

  private Field field(Property property) {
    Asked asked = property.asked();
    return switch (asked.type()) {
      case AMOUNT -> amount(property);
      case NUMBER ->
          Field.number(
              asked.key(),
              asked.label(),
              property.amount().map(x -> Long.toString(Math.round(x))).orElse(""),
              asked.unit(),
              property.hint());
      case TICK -> Field.tick(asked.key(), asked.label(), property.ticked(), property.hint());
      case CHOICE -> {
        Enum<?> now = property.choice().orElseThrow();
        yield Field.choice(
            asked.key(), asked.label(), Values.key(now), options(now.getDeclaringClass()));
      }
    };
  }

  /** One name for one thing: a hose point outside is what else is called outside rinse. */
  private static List<Field.Option> options(Class<? extends Enum<?>> of) {
    return Values.options(of).stream()
        .map(o ->
            o.value().equals(Values.key(Fixture.Type.HOSE_POINT))
                ? new Field.Option(o.value(), Says.OUTSIDE_RINSE.text())
                : o)
        .toList();
  }

  private Field amount(Property property) {
    Asked asked = property.asked();
    Measure measure = measure(asked);
    String unit = units.unit(measure).sign();
    return property
        .amount()
        .map(x ->
            Field.exact(
                asked.key(), asked.label(), units.number(measure, x), x, unit, property.hint()))
        .orElseGet(() -> Field.number(asked.key(), asked.label(), "", unit, property.hint()));
  }

  private static Measure measure(Asked asked) {
    return asked.quantity().flatMap(Measure::of).orElseThrow();
  }

  /** Returns a kind as a form has it. */
  Kind read(Kind old, Values v) {
    if (old instanceof Tank k) {
      return new TankForm(units).read(k, v);
    }
    return old instanceof Valve k
        ? k.with(handle.stops(k, v), HandleForm.motor(k, v), HandleForm.design(v))
        : old.with(new Entered(v));
  }

  /**
   * What a form has.
   *
   * @param values the form
   */
  private record Entered(Values values) implements EnteredValues {

    @Override
    public double amount(Asked asked) {
      return asked.type() == Asked.Type.NUMBER
          ? values.plain(asked.key(), name(asked))
          : values.amount(
              asked.key(), name(asked), measure(asked), asked.usual().low(), asked.usual().high());
    }

    @Override
    public Optional<Double> optional(Asked asked) {
      return values.text(asked.key()).isEmpty() ? Optional.empty() : Optional.of(amount(asked));
    }

    @Override
    public boolean ticked(Asked asked) {
      return values.tick(asked.key());
    }

    @Override
    public <E extends Enum<E>> E choice(Asked asked, Class<E> of) {
      return values.choice(asked.key(), name(asked), of);
    }

    private static String name(Asked asked) {
      return asked.called().substring(0, 1).toUpperCase(Locale.ROOT) + asked.called().substring(1);
    }
  }
}
