package fernwort.app.rig;

import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.store.RigStore;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.core.describe.Comparison;
import fernwort.core.network.Network;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.sizing.Habits;
import fernwort.core.sizing.Holds;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Two rigs, or two versions of one, side by side. */
@Controller
class CompareController {

  private final Descriptions rigs;
  private final States states;

  CompareController(Descriptions rigs, States states) {
    this.rigs = rigs;
    this.states = states;
  }

  /** One line of the comparison: what, in the first, in the second. */
  public record Row(String what, String first, String second) {

    /** Tells whether the two differ. */
    public boolean differs() {
      return !first.equals(second);
    }
  }

  @GetMapping("/rigs/{id}/compare")
  String compare(
      @PathVariable String id,
      @RequestParam(name = "with", defaultValue = "") String other,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    List<RigStore.Version> versions = rigs.versions(id);
    model.addAttribute("rig", id);
    model.addAttribute("name", open.rig().name());
    model.addAttribute("version", open.version());
    model.addAttribute("versions", versions);
    model.addAttribute("rigs", rigs.all().stream().filter(r -> !r.id().equals(id)).toList());
    model.addAttribute("other", other);
    if (!other.isEmpty()) {
      Rig second = open.rig();
      Rig first = first(id, other);
      model.addAttribute("rows", rows(first, second, states.habits(open), units));
      model.addAttribute("lists", lists(first, second, units));
    }
    return "compare";
  }

  /** A version of this rig by its number, or another rig by its address. */
  private Rig first(String id, String other) {
    return other.matches("v[0-9]{1,6}")
        ? rigs.version(id, Integer.parseInt(other.substring(1)))
        : rigs.open(other).rig();
  }

  private static List<Row> rows(Rig first, Rig second, Habits habits, Units units) {
    List<Row> rows = new ArrayList<>();
    rows.add(row("Name", first, second, Rig::name));
    rows.add(row("Parts", first, second, r -> Integer.toString(r.parts().size())));
    rows.add(row("Lines", first, second, r -> Integer.toString(r.lines().size())));
    Holds one = Holds.of(Network.of(first), habits);
    Holds two = Holds.of(Network.of(second), habits);
    rows.add(
        row(Says.FRESH_WATER_FULL.text(), one, two, h -> units.show(Measure.VOLUME, h.fresh())));
    rows.add(row(Says.GRAY_WATER_FULL.text(), one, two, h -> units.show(Measure.VOLUME, h.gray())));
    rows.add(
        row(
            Says.DAYS_FROM_FULL_FOR.filled(habits.people()),
            one,
            two,
            h -> String.format(Locale.ROOT, "%.1f", h.lasts().days())));
    rows.add(
        row(
            Says.FINDINGS_OF_THE_REVIEW.text(),
            first,
            second,
            r -> Integer.toString(LayoutReview.of(Network.of(r)).size())));
    return rows;
  }

  private static <T> Row row(String what, T first, T second, Function<T, String> figure) {
    return new Row(what, figure.apply(first), figure.apply(second));
  }

  /** A heading with what stands under it. */
  public record Listed(String heading, List<String> items) {}

  private static List<Listed> lists(Rig first, Rig second, Units units) {
    Comparison c = Comparison.of(first, second);
    Set<String> before = keys(first);
    Set<String> after = keys(second);
    return List.of(
            new Listed(Says.PARTS_GONE.text(), c.onlyFirst().stream().map(Part::label).toList()),
            new Listed(Says.PARTS_NEW.text(), c.onlySecond().stream().map(Part::label).toList()),
            new Listed(Says.PARTS_CHANGED.text(), c.changed().stream().map(Part::label).toList()),
            new Listed(
                Says.LINES_GONE.text(), c.linesOnlyFirst().stream().map(Line::label).toList()),
            new Listed(
                Says.LINES_NEW.text(), c.linesOnlySecond().stream().map(Line::label).toList()),
            new Listed(
                Says.LINES_CHANGED.text(), c.linesChanged().stream().map(Line::label).toList()),
            new Listed(Says.FINDINGS_GONE.text(), titles(first, after, units)),
            new Listed(Says.FINDINGS_NEW.text(), titles(second, before, units)))
        .stream()
        .filter(l -> !l.items().isEmpty())
        .toList();
  }

  private static Set<String> keys(Rig rig) {
    Set<String> keys = new HashSet<>();
    LayoutReview.of(Network.of(rig)).forEach(f -> keys.add(f.key()));
    return keys;
  }

  private static List<String> titles(Rig rig, Set<String> known, Units units) {
    return LayoutReview.of(Network.of(rig)).stream()
        .filter(f -> !known.contains(f.key()))
        .map(f -> units.say(f.title()))
        .toList();
  }
}
