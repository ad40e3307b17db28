package fernwort.core.build.joints;

import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Shop;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.TankSupport;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * All that has to be bought for a rig: parts, fittings, adapters, clamps, seals, cement, tape,
 * tools, and hose by the metre.
 */
public final class BuyList {

  /**
   * Something to buy.
   *
   * @param key what tells it from others, the same as long as it is the same thing
   * @param what what to ask for
   * @param needed how many the rig needs
   * @param spare how many more to have
   * @param places where they go, place by place with how many
   */
  public record Item(
      String key, Shop shop, String what, int needed, int spare, Map<String, Integer> places) {

    public Item {
      places = Map.copyOf(places);
    }

    /** Returns how many to buy. */
    public int all() {
      return needed + spare;
    }
  }

  /** One more for every so many fittings. */
  private static final int SPARE_EACH = 8;

  private static final int CLAMPS_EACH = 5;

  /** A pound of force (N). */
  private static final double POUND_FORCE = 4.448;

  private final Rig rig;
  private final Region region;
  private final Map<PortRef, Line> lines;
  private final Map<String, Made> items = new TreeMap<>();

  private static final class Made {
    private final Shop shop;
    private final String what;
    private final boolean spared;
    private final Map<String, Integer> places = new TreeMap<>();

    private Made(Shop shop, String what, boolean spared) {
      this.shop = shop;
      this.what = what;
      this.spared = spared;
    }
  }

  private BuyList(Rig rig, Region region) {
    this.rig = rig;
    this.region = region;
    lines = rig.linesByPort();
  }

  /** Returns the list, shop by shop, in metric sizes. */
  public static List<Item> of(Rig rig, List<Double> saws) {
    return of(rig, saws, Region.METRIC);
  }

  /**
   * Returns the list, shop by shop.
   *
   * @param saws saws for the holes in tanks (m)
   * @param region whose sizes are asked for
   */
  public static List<Item> of(Rig rig, List<Double> saws, Region region) {
    BuyList list = new BuyList(rig, region);
    list.parts();
    list.joints();
    list.supports();
    list.tools(saws);
    return list.made();
  }

  private void parts() {
    for (Part part : rig.parts()) {
      Goods goods = part.kind().goods(part.label(), size(part));
      add(goods.shop(), goods.what(), place(part), 1, goods.spared());
      part.kind().tankPorts().stream()
          .filter(p -> lines.get(part.port(p.id())) == null)
          .filter(p -> p.use() != TankPort.Use.GAUGE)
          .forEach(p -> add(Shop.PLUMBING, Says.PLUG_FOR_AN_OPENING.text(), place(part), 1, false));
    }
  }

  /** The bore of the first line that is on it. */
  private String size(Part part) {
    return part.kind().ports().stream()
        .map(p -> lines.get(part.port(p)))
        .filter(l -> l != null)
        .findFirst()
        .map(l -> Adapter.words(JointEnds.usualEnd(l, region)))
        .orElse(Says.AS_ITS_LINE.text());
  }

  private String place(Part part) {
    return rig.place(part.place()).label();
  }

  private void joints() {
    TreeSet<String> cements = new TreeSet<>();
    boolean tape = false;
    for (JointEnds ends : JointEnds.of(rig, region)) {
      String place = place(rig.part(ends.at().part()));
      Connection.Form at = ends.port().form();
      if (at instanceof Connection.Bulkhead b) {
        add(Shop.PLUMBING, Adapter.words(b), place, 1, true);
      }
      for (Adapter adapter : Adapters.shelf().between(at, ends.end().form()).orElse(List.of())) {
        add(Shop.PLUMBING, adapter.words(), place, 1, true);
        tape |= isTapered(adapter.one()) || isTapered(adapter.other());
        ring(adapter.one(), place);
        ring(adapter.other(), place);
        cement(adapter.one(), cements);
        cement(adapter.other(), cements);
      }
      if (ends.end().form() instanceof Connection.HoseEnd h && !(at instanceof Connection.Open)) {
        add(Shop.PLUMBING, Says.HOSE_CLAMP_STAINLESS_FOR.filled(Adapter.words(h)), place, 1, true);
      }
      tape |= isTapered(at);
      ring(at, place);
      cement(at, cements);
      if (isFlat(at)) {
        add(Shop.PLUMBING, Says.FLAT_WASHER_FOR_A_PARALLEL.text(), place, 1, true);
      }
    }
    for (String plastic : cements) {
      add(Shop.HARDWARE, Says.CEMENT_AND_CLEANER_FOR.filled(plastic), "everywhere", 1, false);
    }
    if (tape) {
      add(Shop.HARDWARE, Says.PTFE_TAPE_FOR_DRINKING_WATER.text(), "everywhere", 1, false);
    }
  }

  /** Each crimped socket takes a ring. */
  private void ring(Connection.Form form, String place) {
    if (form instanceof Connection.TubeSocket s && s.crimped()) {
      Sizes.tubeInInches(s.outside())
          .ifPresent(
              inches -> add(Shop.PLUMBING, Says.CRIMP_RING_FOR.filled(inches), place, 1, true));
      add(Shop.HARDWARE, Says.CRIMP_TOOL_WITH_ITS_GAUGE.text(), "everywhere", 1, false);
    }
  }

  private static boolean isTapered(Connection.Form form) {
    return form instanceof Connection.Thread t
        && (t.standard() == Standard.NPT || t.standard() == Standard.BSP_TAPERED);
  }

  private static boolean isFlat(Connection.Form form) {
    return form instanceof Connection.Thread t
        && (t.standard() == Standard.BSP_PARALLEL || t.standard() == Standard.GARDEN_HOSE);
  }

  private static void cement(Connection.Form form, TreeSet<String> cements) {
    if (form instanceof Connection.Socket s && s.plastic().cements()) {
      cements.add(Adapter.words(s.plastic()));
    }
  }

  private void supports() {
    for (TankSupport support : rig.built().supports()) {
      String place = place(rig.part(support.tank()));
      add(
          Shop.HARDWARE,
          Says.MM_WIDE.filled(word(support.type()), Math.round(1000 * support.width())),
          place,
          1,
          false);
      add(
          Shop.HARDWARE,
          Says.BOLT_WITH_NUT_WASHERS_AND_LOCK.filled(
              region == Region.US
                  ? String.format(Locale.ROOT, "%.0f lbf", support.pull() / POUND_FORCE)
                  : String.format(Locale.ROOT, "%.1f kN", support.pull() / 1000)),
          place,
          support.fasteners(),
          true);
    }
  }

  private static String word(TankSupport.Type type) {
    return type.name().toLowerCase(Locale.ROOT);
  }

  private void tools(List<Double> saws) {
    for (double saw : saws) {
      add(Shop.HARDWARE, Says.HOLE_SAW.filled(Sizes.saw(saw, region)), "tanks", 1, false);
    }
    for (Line line : rig.lines()) {
      if (JointEnds.usualEnd(line, region) instanceof Connection.TubeEnd) {
        add(Shop.HARDWARE, Says.TUBE_CUTTER_AND_DEBURRER.text(), "everywhere", 1, false);
        return;
      }
    }
  }

  private void add(Shop shop, String what, String place, int count, boolean spared) {
    if (count > 0) {
      boolean once = place.equals("everywhere") || place.equals("tanks");
      items
          .computeIfAbsent(shop.ordinal() + what, key -> new Made(shop, what, spared))
          .places
          .merge(place, count, (a, b) -> once ? a : Integer.sum(a, b));
    }
  }

  private List<Item> made() {
    List<Item> made = new ArrayList<>();
    for (Made item : items.values()) {
      int needed = item.places.values().stream().mapToInt(n -> n).sum();
      int each = item.what.startsWith("hose clamp") ? CLAMPS_EACH : SPARE_EACH;
      int spare = item.spared ? (needed + each - 1) / each : 0;
      made.add(new Item(key(item.what), item.shop, item.what, needed, spare, item.places));
    }
    made.sort(Comparator.comparing(Item::shop).thenComparing(Item::what));
    return made;
  }

  private static String key(String what) {
    String plain = what.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    return plain.substring(0, Math.min(40, plain.length()))
        + "-"
        + Integer.toHexString(what.hashCode());
  }
}
