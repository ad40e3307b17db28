package fernwort.core;

import java.lang.reflect.AnnotatedElement;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.AroundTryHook;
import net.jqwik.api.lifecycle.Lifespan;
import net.jqwik.api.lifecycle.PropagationMode;
import net.jqwik.api.lifecycle.Store;
import net.jqwik.api.lifecycle.TryExecutionResult;
import net.jqwik.api.lifecycle.TryExecutor;
import net.jqwik.api.lifecycle.TryLifecycleContext;

/**
 * Every law is tried on a third of the cases that it asks for, other ones each time; on all of them
 * in the sweep.
 */
public final class FewerTries implements AroundTryHook {

  private static final boolean ALL = Boolean.getBoolean("sweep.cases");

  /** One of so many tries is made. */
  private static final int ONE_OF = 3;

  @Override
  public TryExecutionResult aroundTry(
      TryLifecycleContext context, TryExecutor aTry, List<Object> parameters) {
    TryExecutionResult result = aTry.execute(parameters);
    int asked = context.targetMethod().getAnnotation(Property.class).tries();
    Store<Integer> made = Store.getOrCreate(FewerTries.class, Lifespan.PROPERTY, () -> 0);
    made.update(n -> n + 1);
    boolean enough = made.get() * ONE_OF >= asked;
    return enough && result.status() == TryExecutionResult.Status.SATISFIED
        ? TryExecutionResult.satisfied(true)
        : result;
  }

  /** Laws that say how many tries they ask for. */
  @Override
  public boolean appliesTo(Optional<AnnotatedElement> element) {
    return !ALL
        && element.map(e -> e.getAnnotation(Property.class)).filter(p -> p.tries() > 0).isPresent();
  }

  @Override
  public PropagationMode propagateTo() {
    return PropagationMode.ALL_DESCENDANTS;
  }
}
