package fernwort.core.describe;

import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What two people changed of one description, both kept: what was answered over what was drawn.
 *
 * <p>Record by record and field by field: a field that the answers changed is theirs, every other
 * stays as it was drawn. Lists of things with an id are joined by it; any other value is taken
 * whole. O(n) in what is described.
 */
public final class ThreeWay {

  private ThreeWay() {}

  /**
   * Returns a rig with what changed between two others.
   *
   * @param before what the answers made before
   * @param after what they make now
   * @param now what was drawn since
   * @throws InvalidRigException when the two do not fit together
   */
  public static Rig joined(Rig before, Rig after, Rig now) {
    return (Rig) Objects.requireNonNull(join(before, after, now));
  }

  private static @Nullable Object join(
      @Nullable Object before, @Nullable Object after, @Nullable Object now) {
    if (Objects.equals(before, after)) {
      return now;
    }
    if (Objects.equals(before, now) || before == null || after == null || now == null) {
      return after;
    }
    boolean same = before.getClass() == after.getClass() && after.getClass() == now.getClass();
    if (same && after instanceof Record) {
      return fields(before, after, now);
    }
    return before instanceof List<?> b
            && after instanceof List<?> a
            && now instanceof List<?> n
            && haveIds(b)
            && haveIds(a)
            && haveIds(n)
        ? things(byId(b), byId(a), byId(n))
        : after;
  }

  private static Object fields(Object before, Object after, Object now) {
    RecordComponent[] parts = after.getClass().getRecordComponents();
    Class<?>[] types = new Class<?>[parts.length];
    @Nullable Object[] values = new Object[parts.length];
    for (int i = 0; i < parts.length; i++) {
      types[i] = parts[i].getType();
      values[i] = join(of(parts[i], before), of(parts[i], after), of(parts[i], now));
    }
    try {
      Constructor<?> made = after.getClass().getDeclaredConstructor(types);
      made.setAccessible(true);
      return made.newInstance(values);
    } catch (InvocationTargetException refused) {
      if (refused.getCause() instanceof Refusal why) {
        throw why;
      }
      throw new IllegalStateException(refused);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private static @Nullable Object of(RecordComponent part, Object record) {
    try {
      part.getAccessor().setAccessible(true);
      return part.getAccessor().invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What the answers have, and what was drawn beside it; what either took away is gone. */
  private static List<Object> things(
      Map<Object, Object> before, Map<Object, Object> after, Map<Object, Object> now) {
    List<Object> all = new ArrayList<>();
    after.forEach((id, made) -> {
      @Nullable Object was = before.get(id);
      @Nullable Object drawn = now.get(id);
      if (was == null) {
        all.add(made);
      } else if (drawn != null) {
        all.add(Objects.requireNonNull(join(was, made, drawn)));
      }
    });
    now.forEach((id, drawn) -> {
      if (!before.containsKey(id) && !after.containsKey(id)) {
        all.add(drawn);
      }
    });
    return all;
  }

  private static boolean haveIds(List<?> list) {
    return list.stream().allMatch(one -> one instanceof Record && id(one) != null);
  }

  private static Map<Object, Object> byId(List<?> list) {
    Map<Object, Object> all = new LinkedHashMap<>();
    list.forEach(one -> all.put(Objects.requireNonNull(id(one)), one));
    return all;
  }

  private static @Nullable Object id(Object record) {
    for (RecordComponent part : record.getClass().getRecordComponents()) {
      if (part.getName().equals("id")) {
        return of(part, record);
      }
    }
    return null;
  }
}
