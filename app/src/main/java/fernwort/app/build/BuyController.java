package fernwort.app.build;

import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.questions.Sketch;
import fernwort.app.questions.Trip;
import fernwort.app.services.Descriptions;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.CsvTable;
import fernwort.core.build.cut.CutList;
import fernwort.core.build.cut.Cutting;
import fernwort.core.build.drill.DrillSheet;
import fernwort.core.build.joints.BuyList;
import fernwort.core.build.joints.Region;
import fernwort.core.kind.Shop;
import fernwort.core.rig.Part;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What to buy, and how to cut it. */
@Controller
@RequestMapping("/rigs/{id}/build/buy")
class BuyController {

  /** A foot (m). */
  private static final double FOOT = 0.3048;

  /** Lengths that coils are sold in (m). */
  private static final List<Double> COILS = List.of(10.0, 25.0, 50.0, 100.0);

  /** The same by the foot: 25, 50, 100 and 300 (m). */
  private static final List<Double> COILS_BY_FEET =
      Stream.of(25, 50, 100, 300).map(feet -> feet * FOOT).toList();

  /** Lengths that sticks are sold in (m). */
  private static final List<Double> STICKS = List.of(3.0, 6.0);

  /** The same by the foot: 10 and 20 (m). */
  private static final List<Double> STICKS_BY_FEET =
      Stream.of(10, 20).map(feet -> feet * FOOT).toList();

  /** How high a stick is drawn (share of its length). */
  private static final double STICK_HIGH = 0.05;

  /** More sticks than this are not drawn. */
  private static final int MOST_DRAWN = 8;

  private static final double KERF = 0.002;

  private final Descriptions rigs;
  private final QuestionDesk desk;

  BuyController(Descriptions rigs, QuestionDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
  }

  /** A line of the list. */
  record Row(
      String key,
      String what,
      int needed,
      int spare,
      int all,
      String places,
      String price,
      boolean box) {}

  /** A shop with its lines. */
  record Shelf(String title, List<Row> rows) {

    /** Returns how many lines of it are in the box. */
    public long boxed() {
      return rows.stream().filter(Row::box).count();
    }
  }

  @GetMapping
  String buy(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String by,
      @ModelAttribute("units") Units units,
      Model model) {
    Trip trip = desk.trip(id, units);
    List<BuyList.Item> items = items(trip);
    List<Shelf> shops = new ArrayList<>();
    for (Shop shop : Shop.values()) {
      List<Row> rows = items.stream().filter(i -> i.shop() == shop).map(i -> row(trip, i)).toList();
      if (!rows.isEmpty()) {
        shops.add(new Shelf(shop.title(), rows));
      }
    }
    model.addAttribute("by", by);
    model.addAttribute("places", by.equals("place") ? places(items) : List.of());
    desk.show(trip, "kept", cuts(trip), model);
    model.addAttribute("shops", shops);
    model.addAttribute("sum", sum(shops, units));
    model.addAttribute(
        "boxed", shops.stream().flatMap(s -> s.rows().stream()).filter(Row::box).count());
    model.addAttribute("all", items.size());
    return "build/buy";
  }

  @PostMapping("/kept")
  String keep(
      @PathVariable String id,
      @RequestParam Map<String, String> form,
      @ModelAttribute("units") Units units) {
    return "redirect:/rigs/" + id + "/build/buy" + desk.keep(id, form, units);
  }

  private static List<BuyList.Item> items(Trip trip) {
    TreeSet<Double> saws = new TreeSet<>();
    for (Part tank : trip.rig().tanks().toList()) {
      saws.addAll(
          DrillSheet.of(
                  trip.rig(),
                  tank,
                  trip.network().room(tank.id()),
                  DrillSheet.Measured.NOTHING,
                  trip.units().region())
              .saws());
    }
    return BuyList.of(trip.rig(), List.copyOf(saws), trip.units().region());
  }

  private static Row row(Trip trip, BuyList.Item item) {
    return new Row(
        item.key(),
        item.what(),
        item.needed(),
        item.spare(),
        item.all(),
        item.places().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(e -> e.getValue() == 1 ? e.getKey() : e.getValue() + " " + e.getKey())
            .collect(Collectors.joining(", ")),
        kept(trip, "price-" + item.key()),
        kept(trip, "box-" + item.key()).equals("true"));
  }

  /** A place with what goes there. */
  record Place(String label, List<String> items) {}

  /** The same by where it goes: what to carry there. */
  private static List<Place> places(List<BuyList.Item> items) {
    Map<String, List<String>> places = new TreeMap<>();
    for (BuyList.Item item : items) {
      item.places()
          .forEach((place, count) ->
              places
                  .computeIfAbsent(place, p -> new ArrayList<>())
                  .add(count + " × " + item.what()));
    }
    return places.entrySet().stream().map(e -> new Place(e.getKey(), e.getValue())).toList();
  }

  private static String kept(Trip trip, String field) {
    var kept = trip.kept().get(field);
    return kept == null ? "" : kept.text();
  }

  /** What is not in the box yet, where a price is a number. */
  private static String sum(List<Shelf> shops, Units units) {
    BigDecimal sum = BigDecimal.ZERO;
    boolean any = false;
    for (Shelf shop : shops) {
      for (Row row : shop.rows()) {
        String price = row.price().strip().replace(',', '.');
        if (price.matches("[0-9]{1,7}(\\.[0-9]{1,2})?")) {
          any = true;
          sum =
              row.box()
                  ? sum
                  : sum.add(new BigDecimal(price).multiply(BigDecimal.valueOf(row.all())));
        }
      }
    }
    return any ? units.price(sum) : "";
  }

  private static List<Question> cuts(Trip trip) {
    return CutList.of(trip.rig(), trip.units().region()).stream().map(c -> cut(trip, c)).toList();
  }

  private static Question cut(Trip trip, CutList list) {
    Form form = trip.form();
    String key = list.sort().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    double stock =
        form.amount(
            "coil-" + key,
            list.rigid() ? Says.A_STICK_IS.text() : Says.A_COIL_IS.text(),
            Measure.LENGTH,
            sold(list, trip.units().region()),
            "");
    double kerf = form.amount("kerf-" + key, Says.EACH_CUT_TAKES.text(), Measure.LENGTH, KERF, "");
    return Question.of(
        "cut-" + key,
        list.sort(),
        form,
        Says.LENGTHS_ALONG_THE_RUN.text(),
        () -> {
          Cutting cutting = Cutting.of(list.pieces(), stock, kerf);
          List<List<String>> rows = new ArrayList<>();
          for (int i = 0; i < cutting.sticks().size(); i++) {
            Cutting.Stick stick = cutting.sticks().get(i);
            rows.add(
                List.of(
                    Integer.toString(i + 1),
                    stick.pieces().stream()
                        .map(
                            p -> "%s %s".formatted(trip.show(Measure.LENGTH, p.length()), p.mark()))
                        .collect(Collectors.joining("; ")),
                    trip.show(Measure.LENGTH, stick.rest())));
          }
          return new Question.Answer(
              List.of(
                  new Question.Row(
                      "Buy",
                      "%s of %s"
                          .formatted(cutting.sticks().size(), trip.show(Measure.LENGTH, stock)),
                      Says.IN_IS_LEFT_OVER.filled(
                          trip.show(Measure.LENGTH, list.length()),
                          list.pieces().size() == 1
                              ? Says.ONE_PIECE.text()
                              : list.pieces().size() + " pieces",
                          trip.show(Measure.LENGTH, cutting.waste()),
                          cutting.exact() ? Says.FEWER_ARE_NOT_ENOUGH.text() : ""))),
              List.of(
                  new Question.Table(
                      Says.CUT_FROM_EACH.text(), List.of("number", "pieces", "left"), rows)),
              List.of(),
              List.of(sticks(trip, list.sort(), cutting, stock)));
        });
  }

  /** The sticks under each other, each with its pieces. */
  private static Sketch sticks(Trip trip, String sort, Cutting cutting, double stock) {
    double high = stock * STICK_HIGH;
    List<String> around = new ArrayList<>();
    List<String> within = new ArrayList<>();
    int rows = Math.min(MOST_DRAWN, cutting.sticks().size());
    for (int i = 0; i < rows; i++) {
      double top = 2 * high * i;
      around.add(box(0, top, stock, high));
      double from = 0;
      for (Cutting.Piece piece : cutting.sticks().get(i).pieces()) {
        within.add(box(from, top, piece.length(), high));
        from += piece.length();
      }
    }
    return new Sketch(
        Says.EACH_STICK_WITH_ITS_CUTS.filled(sort),
        trip.show(Measure.LENGTH, stock),
        1000 * stock,
        1000 * 2 * high * rows,
        String.join("", around),
        String.join("", within));
  }

  private static String box(double x, double y, double width, double height) {
    return String.format(
        Locale.ROOT,
        Says.M_H_V_H_Z.text(),
        1000 * x,
        1000 * y,
        1000 * width,
        1000 * height,
        -1000 * width);
  }

  /** Returns the shortest length sold that the longest piece can be cut from (m). */
  private static double sold(CutList list, Region region) {
    boolean feet = region == Region.US;
    List<Double> sold =
        list.rigid() ? feet ? STICKS_BY_FEET : STICKS : feet ? COILS_BY_FEET : COILS;
    double longest = longest(list);
    return sold.stream().filter(s -> s >= longest).findFirst().orElse(longest);
  }

  private static double longest(CutList list) {
    return list.pieces().stream().mapToDouble(Cutting.Piece::length).max().orElse(0) + KERF;
  }

  /** The list for a shop. */
  @GetMapping("/list.csv")
  ResponseEntity<String> csv(@PathVariable String id, @ModelAttribute("units") Units units) {
    Trip trip = desk.trip(id, units);
    List<List<String>> rows = new ArrayList<>();
    for (BuyList.Item item : items(trip)) {
      Row row = row(trip, item);
      rows.add(
          List.of(
              item.shop().title(),
              row.what(),
              Integer.toString(row.needed()),
              Integer.toString(row.spare()),
              Integer.toString(row.all()),
              row.places(),
              row.price(),
              row.box() ? "yes" : "no"));
    }
    return csv(
        id + "-buy.csv",
        CsvTable.of(
            List.of(
                "shop",
                "what",
                "needed",
                "spare",
                "buy",
                "places",
                Says.PRICE_EACH.text(),
                "bought"),
            rows));
  }

  /** The pieces to cut. */
  @GetMapping("/cut.csv")
  ResponseEntity<String> cutCsv(@PathVariable String id) {
    List<List<String>> rows = new ArrayList<>();
    for (CutList list : CutList.of(rigs.open(id).rig())) {
      for (Cutting.Piece piece : list.pieces()) {
        String length = String.format(Locale.ROOT, "%.3f", piece.length());
        rows.add(List.of(list.sort(), piece.mark(), length));
      }
    }
    return csv(id + "-cut.csv", CsvTable.of(List.of("sort", "mark", Says.LENGTH_M.text()), rows));
  }

  private static ResponseEntity<String> csv(String name, String text) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .body(text);
  }
}
