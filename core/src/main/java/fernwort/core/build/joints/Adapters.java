package fernwort.core.build.joints;

import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The shortest chain of real adapters between two ends: breadth first through what mates with what,
 * those of one region first, then wider ones, so that of chains as short the first found is such.
 * Each pair of ends is looked for once; what mates with each adapter is found when the shelf is
 * filled. O(F²) to fill it, O(A · m) for a pair, A adapters of F forms, of which m mate with one.
 */
public final class Adapters {

  /** A thread comes with tails and sockets from this share of its bore on; own estimate. */
  private static final double THREAD_LEAST = 0.6;

  /** It comes with none above this share of it; own estimate. */
  private static final double THREAD_MOST = 1.6;

  /** A tube joins hoses from this share of its bore on; own estimate. */
  private static final double TAIL_LEAST = 0.7;

  /** It joins none above this share of it; own estimate. */
  private static final double TAIL_MOST = 1.5;

  /** A socket takes a hose tail that differs by less than this share; own estimate. */
  private static final double ABOUT = 0.2;

  /** A longer chain nobody builds. */
  private static final int LONGEST = 4;

  private static final List<String> TRADE =
      List.of("1/4", "3/8", "1/2", "3/4", "1", "1-1/4", "1-1/2", "2", "2-1/2", "3", "4");

  private static final Adapters SHELF = new Adapters(usual());

  private final List<Adapter> all;
  private final List<List<Integer>> next = new ArrayList<>();

  /** The adapters that offer a form, of which there are far fewer than adapters. */
  private final Map<Form, List<Integer>> offering = new HashMap<>();

  private final Map<Pair, Optional<List<Adapter>>> known = new ConcurrentHashMap<>();

  private record Pair(Form from, Form to) {}

  /** Fills a shelf; each adapter lies on it both ways round. */
  public Adapters(Collection<Adapter> adapters) {
    Set<Adapter> both = new LinkedHashSet<>();
    for (Adapter adapter : adapters) {
      both.add(adapter);
      both.add(adapter.turned());
    }
    all =
        both.stream()
            .sorted(
                Comparator.comparing(Adapter::isMixed)
                    .thenComparingDouble(a -> -a.bore())
                    .thenComparing(Adapter::words))
            .toList();
    for (int i = 0; i < all.size(); i++) {
      offering.computeIfAbsent(all.get(i).one(), f -> new ArrayList<>()).add(i);
    }
    Map<Form, List<Integer>> byForm = new HashMap<>();
    for (Adapter adapter : all) {
      next.add(byForm.computeIfAbsent(adapter.other(), this::mating));
    }
  }

  private List<Integer> mating(Form face) {
    List<Integer> mating = new ArrayList<>();
    offering.forEach((form, those) -> {
      if (Mating.mates(face, form)) {
        mating.addAll(those);
      }
    });
    mating.sort(null);
    return mating;
  }

  /** Returns the usual adapters. */
  public static Adapters shelf() {
    return SHELF;
  }

  /** Returns a shelf of the usual adapters on which nothing was looked for yet. */
  public static Adapters stocked() {
    return new Adapters(usual());
  }

  /** Returns every form that a port or an end may have, in the order of their words. */
  public static List<Form> forms() {
    Map<String, Form> forms = new TreeMap<>();
    for (Adapter adapter : SHELF.all) {
      forms.put(Adapter.words(adapter.one()), adapter.one());
    }
    for (Region region : Region.values()) {
      for (double bore : Sizes.hoses(region)) {
        put(forms, new Connection.HoseEnd(bore));
      }
      for (Sizes.Tube tube : Sizes.tubes(region)) {
        put(forms, new Connection.TubeEnd(tube.outside()));
        put(forms, new Connection.TubeSocket(tube.outside(), true));
        put(forms, new Connection.Grommet(tube.outside()));
      }
      for (Plastic plastic : Plastic.values()) {
        for (double pipe : Sizes.pipes(region)) {
          put(forms, new Connection.Socket(plastic, pipe));
          put(forms, new Connection.Spigot(plastic, pipe));
        }
      }
    }
    for (Standard standard : List.of(Standard.BSP_PARALLEL, Standard.NPT)) {
      TRADE.forEach(size -> put(forms, new Connection.Bulkhead(standard, size)));
    }
    put(forms, male(Standard.NPSM, "1/2"));
    put(forms, male(Standard.NPSM, "3/4"));
    put(forms, new Connection.Open());
    return List.copyOf(forms.values());
  }

  private static void put(Map<String, Form> forms, Form form) {
    forms.put(Adapter.words(form), form);
  }

  /**
   * Returns the shortest chain from one end to another: none where they mate as they are, nothing
   * where no chain is known.
   */
  public Optional<List<Adapter>> between(Form from, Form to) {
    return known.computeIfAbsent(new Pair(from, to), p -> find(p.from(), p.to()));
  }

  private Optional<List<Adapter>> find(Form from, Form to) {
    if (Mating.mates(from, to)) {
      return Optional.of(List.of());
    }
    int[] before = new int[all.size()];
    int[] depth = new int[all.size()];
    Deque<Integer> open = new ArrayDeque<>();
    for (int i : mating(from)) {
      before[i] = -1;
      depth[i] = 1;
      open.add(i);
    }
    while (!open.isEmpty()) {
      int at = open.remove();
      if (Mating.mates(all.get(at).other(), to)) {
        return Optional.of(chain(before, at));
      }
      if (depth[at] < LONGEST) {
        for (int i : next.get(at)) {
          if (depth[i] == 0) {
            depth[i] = depth[at] + 1;
            before[i] = at;
            open.add(i);
          }
        }
      }
    }
    return Optional.empty();
  }

  private List<Adapter> chain(int[] before, int last) {
    List<Adapter> chain = new ArrayList<>();
    for (int at = last; at >= 0; at = before[at]) {
      chain.addFirst(all.get(at));
    }
    return chain;
  }

  // --- the usual shelf ---------------------------------------------------------------------------

  private static List<Adapter> usual() {
    List<Adapter> shelf = new ArrayList<>();
    for (Standard standard : List.of(Standard.BSP_PARALLEL, Standard.BSP_TAPERED, Standard.NPT)) {
      threaded(shelf, standard);
    }
    for (Region region : Region.values()) {
      hoses(shelf, region);
      tubes(shelf, region);
      for (Plastic plastic : Plastic.values()) {
        if (plastic.cements()) {
          cemented(shelf, plastic, region);
        }
      }
    }
    swivels(shelf);
    odd(shelf);
    return shelf;
  }

  /** What goes on the tail of a tap by a loose nut with a washer. */
  private static void swivels(List<Adapter> shelf) {
    for (String size : List.of("1/2", "3/4")) {
      Form nut = female(Standard.NPSM, size);
      shelf.add(new Adapter(nut, male(Standard.NPT, size)));
      shelf.add(new Adapter(nut, female(Standard.NPT, size)));
      double bore = Sizes.thread(Standard.NPSM, size).map(Sizes.ThreadSize::bore).orElseThrow();
      for (double hose : Sizes.hoses(Region.US)) {
        if (fits(hose, bore)) {
          shelf.add(new Adapter(nut, new Connection.HoseTail(hose)));
        }
      }
      for (Sizes.Tube tube : Sizes.tubes(Region.US)) {
        if (fits(tube.bore(), bore)) {
          shelf.add(new Adapter(nut, new Connection.TubeSocket(tube.outside(), true)));
          shelf.add(new Adapter(nut, new Connection.TubeSocket(tube.outside(), false)));
        }
      }
    }
  }

  /** Tells whether a thread comes with a tail or socket of such a bore (m). */
  private static boolean fits(double other, double bore) {
    return other > THREAD_LEAST * bore && other < THREAD_MOST * bore;
  }

  /** Threads with tails and sockets are sold in the sizes of their region. */
  private static List<Region> regions(Standard standard) {
    return standard == Standard.NPT ? List.of(Region.METRIC, Region.US) : List.of(Region.METRIC);
  }

  private static Form male(Standard standard, String size) {
    return new Connection.Thread(standard, size, Gender.MALE);
  }

  private static Form female(Standard standard, String size) {
    return new Connection.Thread(standard, size, Gender.FEMALE);
  }

  /** Nipples, sockets, bushes, and threads with tails and push-fits. */
  private static void threaded(List<Adapter> shelf, Standard standard) {
    for (int i = 0; i < TRADE.size(); i++) {
      String size = TRADE.get(i);
      boolean tapered = standard == Standard.BSP_TAPERED;
      shelf.add(new Adapter(male(standard, size), male(standard, size)));
      if (!tapered) {
        shelf.add(new Adapter(female(standard, size), female(standard, size)));
      }
      for (int j = Math.max(0, i - 2); j < i; j++) {
        if (!tapered) {
          shelf.add(new Adapter(male(standard, size), female(standard, TRADE.get(j))));
          shelf.add(new Adapter(female(standard, size), male(standard, TRADE.get(j))));
        }
      }
      double bore = Sizes.thread(standard, size).map(Sizes.ThreadSize::bore).orElse(Double.NaN);
      for (Form tail : tails(regions(standard), bore)) {
        shelf.add(new Adapter(male(standard, size), tail));
        if (!tapered) {
          shelf.add(new Adapter(female(standard, size), tail));
        }
      }
    }
  }

  /** Tails and sockets that a thread of a bore (m) comes with. */
  private static List<Form> tails(List<Region> regions, double bore) {
    List<Form> tails = new ArrayList<>();
    for (Region region : regions) {
      for (double hose : Sizes.hoses(region)) {
        if (fits(hose, bore)) {
          tails.add(new Connection.HoseTail(hose));
        }
      }
      for (Sizes.Tube tube : Sizes.tubes(region)) {
        if (fits(tube.bore(), bore)) {
          tails.add(new Connection.TubeSocket(tube.outside(), false));
          if (region == Region.US) {
            tails.add(new Connection.TubeSocket(tube.outside(), true));
          }
        }
      }
    }
    return tails;
  }

  private static void hoses(List<Adapter> shelf, Region region) {
    List<Double> hoses = Sizes.hoses(region);
    for (int i = 0; i < hoses.size(); i++) {
      for (int j = Math.max(0, i - 2); j <= i; j++) {
        shelf.add(
            new Adapter(
                new Connection.HoseTail(hoses.get(i)), new Connection.HoseTail(hoses.get(j))));
      }
    }
  }

  private static void tubes(List<Adapter> shelf, Region region) {
    tubes(shelf, region, false);
    if (region == Region.US) {
      tubes(shelf, region, true);
      // A push-fit coupling grips the tube beside a crimped fitting.
      for (Sizes.Tube tube : Sizes.tubes(region)) {
        shelf.add(
            new Adapter(
                new Connection.TubeSocket(tube.outside(), true),
                new Connection.TubeSocket(tube.outside(), false)));
      }
    }
  }

  private static void tubes(List<Adapter> shelf, Region region, boolean crimped) {
    List<Sizes.Tube> tubes = Sizes.tubes(region);
    for (int i = 0; i < tubes.size(); i++) {
      Form grips = new Connection.TubeSocket(tubes.get(i).outside(), crimped);
      shelf.add(new Adapter(grips, grips));
      for (int j = Math.max(0, i - 2); j < i; j++) {
        shelf.add(new Adapter(grips, new Connection.TubeSocket(tubes.get(j).outside(), crimped)));
      }
      for (double hose : Sizes.hoses(region)) {
        if (hose > TAIL_LEAST * tubes.get(i).bore() && hose < TAIL_MOST * tubes.get(i).bore()) {
          shelf.add(new Adapter(grips, new Connection.HoseTail(hose)));
        }
      }
    }
  }

  private static void cemented(List<Adapter> shelf, Plastic plastic, Region region) {
    List<Double> pipes = Sizes.pipes(region);
    for (int i = 0; i < pipes.size(); i++) {
      Form socket = new Connection.Socket(plastic, pipes.get(i));
      shelf.add(new Adapter(socket, socket));
      if (i > 0) {
        shelf.add(
            new Adapter(
                new Connection.Spigot(plastic, pipes.get(i)),
                new Connection.Socket(plastic, pipes.get(i - 1))));
      }
      for (double hose : Sizes.hoses(region)) {
        if (Math.abs(hose - pipes.get(i)) < ABOUT * pipes.get(i)) {
          shelf.add(new Adapter(socket, new Connection.HoseTail(hose)));
        }
      }
      for (Standard standard : List.of(Standard.BSP_PARALLEL, Standard.NPT)) {
        String size = Sizes.threadFor(standard, pipes.get(i));
        shelf.add(new Adapter(socket, male(standard, size)));
        shelf.add(new Adapter(socket, female(standard, size)));
      }
    }
  }

  /** Between standards, which only such pieces may join. */
  private static void odd(List<Adapter> shelf) {
    for (String size : List.of("1/2", "3/4", "1")) {
      shelf.add(new Adapter(male(Standard.BSP_PARALLEL, size), female(Standard.NPT, size)));
      shelf.add(new Adapter(female(Standard.BSP_PARALLEL, size), male(Standard.NPT, size)));
    }
    for (Standard standard : List.of(Standard.BSP_PARALLEL, Standard.NPT)) {
      for (String size : List.of("1/2", "3/4")) {
        shelf.add(new Adapter(male(standard, size), female(Standard.GARDEN_HOSE, "3/4")));
        shelf.add(new Adapter(female(standard, size), male(Standard.GARDEN_HOSE, "3/4")));
        shelf.add(new Adapter(male(standard, size), male(Standard.GARDEN_HOSE, "3/4")));
        shelf.add(new Adapter(female(standard, size), female(Standard.GARDEN_HOSE, "3/4")));
      }
    }
    for (String size : List.of("M22x1.5", "M24x1.5")) {
      shelf.add(new Adapter(male(Standard.METRIC, size), male(Standard.BSP_PARALLEL, "1/2")));
      shelf.add(new Adapter(female(Standard.METRIC, size), male(Standard.BSP_PARALLEL, "1/2")));
    }
  }
}
