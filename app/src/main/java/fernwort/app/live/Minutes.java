package fernwort.app.live;

import fernwort.app.store.ReadingStore;
import fernwort.core.live.Value;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Collects what the sensors of a rig tell until a minute is over, and then hands it on to be kept:
 * all values of the minute in one packed row, with the means that are complete.
 */
final class Minutes {

  /** So many values of a signal are kept of a minute; own choice. */
  private static final int MOST = 600;

  /** No minute unpacks to more (bytes); own choice. */
  private static final int LARGEST = 4_000_000;

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final TypeReference<Map<String, List<List<Object>>>> SHAPE =
      new TypeReference<>() {};

  private Instant from = Instant.MIN;
  private final Map<String, List<List<Object>>> values = new LinkedHashMap<>();
  private final Map<String, Mean> ten = new LinkedHashMap<>();
  private final Map<String, Mean> hour = new LinkedHashMap<>();

  private static final class Mean {
    final Instant from;
    double sum;
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    int counted;

    Mean(Instant from) {
      this.from = from;
    }

    void add(double value) {
      sum += value;
      least = Math.min(least, value);
      most = Math.max(most, value);
      counted++;
    }

    ReadingStore.Mean kept(String name, int span) {
      return new ReadingStore.Mean(name, span, from, sum / counted, least, most, counted);
    }
  }

  /** What is ready to be kept. */
  record Ready(List<ReadingStore.Minute> minutes, List<ReadingStore.Mean> means) {
    boolean isEmpty() {
      return minutes.isEmpty() && means.isEmpty();
    }
  }

  /** Takes a value. */
  void add(String name, Value value, Instant at) {
    if (from.equals(Instant.MIN)) {
      from = at.truncatedTo(ChronoUnit.MINUTES);
    }
    List<List<Object>> own = values.computeIfAbsent(name, n -> new ArrayList<>());
    if (own.size() < MOST) {
      Object said =
          switch (value) {
            case Value.Amount amount ->
                (Object) Double.valueOf(Float.toString((float) amount.amount()));
            case Value.Contact contact -> contact.on();
            case Value.Stop stop -> stop.position().value();
          };
      own.add(List.of(ChronoUnit.MILLIS.between(from, at), said));
    }
    switch (value) {
      case Value.Amount amount -> add(name, amount.amount(), at);
      case Value.Contact contact -> add(name, contact.on() ? 1 : 0, at);
      case Value.Stop stop -> {}
    }
  }

  private void add(String name, double value, Instant at) {
    mean(ten, name, start(at, ReadingStore.TEN_MINUTES)).add(value);
    mean(hour, name, start(at, ReadingStore.HOUR)).add(value);
  }

  private static Mean mean(Map<String, Mean> means, String name, Instant from) {
    return means.computeIfAbsent(name, n -> new Mean(from));
  }

  private static Instant start(Instant at, int span) {
    return Instant.ofEpochSecond(Math.floorDiv(at.getEpochSecond(), span) * span);
  }

  /** Returns what is complete, and begins anew with it. A clock that was set begins anew, too. */
  Ready ready(Instant now) {
    List<ReadingStore.Minute> minutes = new ArrayList<>();
    Instant minute = now.truncatedTo(ChronoUnit.MINUTES);
    if (!values.isEmpty() && !from.equals(minute)) {
      minutes.add(new ReadingStore.Minute(from, packed(values)));
      values.clear();
      from = Instant.MIN;
    }
    List<ReadingStore.Mean> means = new ArrayList<>();
    over(ten, ReadingStore.TEN_MINUTES, now, means);
    over(hour, ReadingStore.HOUR, now, means);
    return new Ready(minutes, means);
  }

  /** Returns all there is, complete or not: the copy is about to stop. */
  Ready all() {
    return ready(Instant.MAX.truncatedTo(ChronoUnit.DAYS));
  }

  private static void over(
      Map<String, Mean> open, int span, Instant now, List<ReadingStore.Mean> means) {
    open.entrySet()
        .removeIf(e -> {
          Mean mean = e.getValue();
          boolean over = now.isBefore(mean.from) || !now.isBefore(mean.from.plusSeconds(span));
          if (over && mean.counted > 0) {
            means.add(mean.kept(e.getKey(), span));
          }
          return over;
        });
  }

  private static byte[] packed(Map<String, List<List<Object>>> values) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflater = new DeflaterOutputStream(bytes)) {
      deflater.write(JSON.writeValueAsBytes(values));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  /**
   * A value that was kept.
   *
   * @param value a number, whether it was on, or a position
   */
  record Past(Instant at, Object value) {}

  /** Unpacks what one signal told in a minute. */
  static List<Past> of(ReadingStore.Minute minute, String name) {
    try (InflaterInputStream in =
        new InflaterInputStream(new ByteArrayInputStream(minute.packed()))) {
      byte[] bytes = in.readNBytes(LARGEST);
      return JSON.readValue(bytes, SHAPE).getOrDefault(name, List.of()).stream()
          .map(v -> new Past(minute.from().plusMillis(((Number) v.get(0)).longValue()), v.get(1)))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
