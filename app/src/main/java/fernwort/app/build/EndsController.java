package fernwort.app.build;

import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Waterway;
import fernwort.app.units.Measure;
import fernwort.app.units.Units;
import fernwort.app.web.Done;
import fernwort.app.web.Field;
import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.Adapters;
import fernwort.core.build.joints.EndFinding;
import fernwort.core.build.joints.JointCheck;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Narrow;
import fernwort.core.build.joints.Region;
import fernwort.core.build.joints.Sizes;
import fernwort.core.describe.Alteration;
import fernwort.core.describe.PortNames;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Purpose;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Ends that fit: what meets where, what goes between, and what does not mate. */
@Controller
@RequestMapping("/rigs/{id}/build")
class EndsController {

  /** Chosen where nobody says anything. */
  private static final String USUAL = "";

  /** More questions at once nobody answers. */
  private static final int MOST_ASKED = 12;

  private final Descriptions rigs;
  private final Waterway waterway;
  private final PlanDrawing drawings;

  EndsController(Descriptions rigs, Waterway waterway, PlanDrawing drawings) {
    this.drawings = drawings;
    this.rigs = rigs;
    this.waterway = waterway;
  }

  /** An end of a line. */
  record End(
      String part,
      String port,
      String where,
      String offers,
      String line,
      boolean usual,
      String between) {}

  /** A line with its two ends. */
  record Row(String id, String label, String place, List<End> ends) {}

  /** Something that does not fit. */
  record Told(String where, String what, String fix, String part, String port) {}

  @GetMapping
  String ends(@PathVariable String id, @ModelAttribute("units") Units units, Model model) {
    OpenRig open = rigs.open(id);
    Rig rig = open.rig();
    List<JointEnds> all = JointEnds.of(rig, units.region());
    PortNames names = PortNames.of(rig);
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i < rig.lines().size(); i++) {
      rows.add(
          new Row(
              rig.lines().get(i).id().value(),
              rig.lines().get(i).label(),
              rig.place(rig.part(rig.lines().get(i).from().part()).place()).label(),
              List.of(end(names, all.get(2 * i)), end(names, all.get(2 * i + 1)))));
    }
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.name());
    model.addAttribute("rows", rows);
    List<Told> told =
        JointCheck.of(rig, units.region()).stream().map(f -> told(names, f, units)).toList();
    model.addAttribute("told", told);
    model.addAttribute("drawing", drawings.of(open));
    model.addAttribute(
        "marks",
        told.stream().collect(Collectors.toMap(Told::part, t -> "△", (first, next) -> first)));
    model.addAttribute(
        "narrow",
        waterway
            .running(open)
            .map(state ->
                Narrow.of(open.hydraulics(), all, state).stream()
                    .map(n -> narrow(names, n, units))
                    .toList())
            .orElse(List.of()));
    model.addAttribute("usual", all.stream().filter(JointEnds::portUsual).count());
    model.addAttribute(
        "asked",
        all.stream()
            .filter(e -> e.isAsked(rig))
            .map(e -> end(names, e))
            .limit(MOST_ASKED)
            .toList());
    model.addAttribute("hoses", hoses(rig, units.region()));
    model.addAttribute("hose", Adapter.words(HOSE));
    model.addAttribute("sizes", sizes(units));
    return "build/ends";
  }

  /** What a hose inlet has outside where hoses are sold with a thread of their own. */
  private static final Connection.Form HOSE =
      new Connection.Thread(Connection.Standard.GARDEN_HOSE, "3/4", Connection.Gender.FEMALE);

  /** Returns the inlets that such a hose screws on; elsewhere hoses snap onto what one chose. */
  private static List<String> hoses(Rig rig, Region region) {
    return region == Region.METRIC
        ? List.of()
        : rig.parts().stream().filter(p -> p.kind().is(Purpose.INLET)).map(Part::label).toList();
  }

  private static End end(PortNames names, JointEnds ends) {
    Optional<List<Adapter>> chain = Adapters.shelf().between(ends.port().form(), ends.end().form());
    return new End(
        ends.at().part().value(),
        ends.at().port().value(),
        names.at(ends.at()),
        Adapter.words(ends.port().form()),
        Adapter.words(ends.end().form()),
        ends.portUsual(),
        chain
            .map(c -> c.isEmpty() ? "" : JointCheck.words(c))
            .orElse(Says.NO_CHAIN_OF_ADAPTERS_IS_KNOWN.text()));
  }

  private static Told told(PortNames names, EndFinding found, Units units) {
    return new Told(
        names.at(found.at()),
        units.say(found.what()),
        units.say(found.fix()),
        found.at().part().value(),
        found.at().port().value());
  }

  private static Told narrow(PortNames names, Narrow narrow, Units units) {
    return new Told(
        names.at(narrow.at()),
        Says.IS_NARROWER_THAN_IT_COSTS_OF.filled(
            units.show(Measure.LENGTH, narrow.bore()),
            narrow.line().label(),
            units.show(Measure.FLOW, narrow.costs()),
            units.show(Measure.FLOW, narrow.without())),
        Says.A_FITTING_OF_THE_NEXT_SIZE.text(),
        narrow.at().part().value(),
        narrow.at().port().value());
  }

  /** A size as the table shows it. */
  record Size(String standard, String size, String outside, String pitch, String bore) {}

  private static List<Size> sizes(Units units) {
    return Sizes.threads().stream()
        .map(t ->
            new Size(
                Adapter.words(t.standard()),
                t.size(),
                units.show(Measure.LENGTH, t.outside()),
                String.format(Locale.ROOT, "%.2f mm", 1000 * t.pitch()),
                units.show(Measure.LENGTH, t.bore())))
        .toList();
  }

  // --- describing one joint ----------------------------------------------------------------------

  @GetMapping("/ends/{part}/{port}")
  String joint(
      @PathVariable String id,
      @PathVariable PartId part,
      @PathVariable PortId port,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig open = rigs.open(id);
    Rig rig = open.rig();
    PortRef at = at(rig, part, port);
    Optional<Joint> joint = rig.built().joint(at);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.name());
    model.addAttribute("version", open.version());
    model.addAttribute("part", part.value());
    model.addAttribute("port", port);
    PortNames names = PortNames.of(rig);
    model.addAttribute("where", names.full(at));
    JointEnds.of(rig, units.region()).stream()
        .filter(e -> e.at().equals(at))
        .findFirst()
        .ifPresent(e -> {
          model.addAttribute("line", e.line().label());
          model.addAttribute("now", end(names, e));
        });
    List<Field> fields = new ArrayList<>();
    fields.addAll(fields("port", Says.THE_PORT.text(), joint.flatMap(Joint::port)));
    fields.addAll(fields("line", Says.THE_END_OF_THE_LINE.text(), joint.flatMap(Joint::line)));
    model.addAttribute("fields", fields);
    return "build/joint";
  }

  private static PortRef at(Rig rig, PartId part, PortId port) {
    if (!rig.part(part).kind().ports().contains(port)) {
      throw new Refusal(Says.HAS_NO_SUCH_PORT_PICK.with(rig.part(part).label()));
    }
    return new PortRef(part, port);
  }

  private static List<Field> fields(String side, String label, Optional<Connection> said) {
    List<Field.Option> forms = new ArrayList<>();
    forms.add(new Field.Option(USUAL, Says.AS_USUAL_FOR_ITS_KIND.text()));
    Adapters.forms().forEach(f -> forms.add(new Field.Option(Adapter.words(f), Adapter.words(f))));
    said.map(c -> Adapter.words(c.form()))
        .filter(w -> forms.stream().noneMatch(o -> o.value().equals(w)))
        .ifPresent(w -> forms.add(new Field.Option(w, w)));
    return List.of(
        Field.choice(
            side + "-form", label, said.map(c -> Adapter.words(c.form())).orElse(USUAL), forms),
        Field.choice(
            side + "-made",
            Says.MADE_OF.filled(label),
            said.flatMap(Connection::made).map(Enum::name).orElse(USUAL),
            options(Connection.Made.values())),
        Field.choice(
            side + "-seal",
            Says.SEALED_BY.filled(label),
            said.flatMap(Connection::seal).map(Enum::name).orElse(USUAL),
            options(Connection.Seal.values())));
  }

  private static List<Field.Option> options(Enum<?>[] values) {
    List<Field.Option> options = new ArrayList<>();
    options.add(new Field.Option(USUAL, Says.NOT_SAID.text()));
    Arrays.stream(values)
        .forEach(v ->
            options.add(
                new Field.Option(v.name(), v.name().toLowerCase(Locale.ROOT).replace('_', ' '))));
    return options;
  }

  @PostMapping("/ends/{part}/{port}")
  String keep(
      @PathVariable String id,
      @PathVariable PartId part,
      @PathVariable PortId port,
      @RequestParam int version,
      @RequestParam Map<String, String> form,
      @ModelAttribute("who") String who,
      RedirectAttributes to) {
    OpenRig open = rigs.open(id);
    PortRef at = at(open.rig(), part, port);
    Optional<Joint> before = open.rig().built().joint(at);
    Joint joint =
        new Joint(
            at,
            read(form, "port", before.flatMap(Joint::port)),
            read(form, "line", before.flatMap(Joint::line)));
    rigs.change(open, version, who, new Alteration.Joined(joint));
    Done.say(to, Says.THE_ENDS_AT_ARE_SAVED_UNDO.filled(open.rig().part(part).label()));
    return "redirect:/rigs/" + id + "/build#" + part + "." + port;
  }

  private static Optional<Connection> read(
      Map<String, String> form, String side, Optional<Connection> before) {
    String words = form.getOrDefault(side + "-form", USUAL);
    if (words.isEmpty()) {
      return Optional.empty();
    }
    // A size that no shop keeps came in with a file, and stays.
    Connection.Form found =
        Adapters.forms().stream()
            .filter(f -> Adapter.words(f).equals(words))
            .findFirst()
            .or(() -> before.map(Connection::form).filter(f -> Adapter.words(f).equals(words)))
            .orElseThrow(() -> new Refusal(Says.IS_NOT_A_CONNECTION.with(words)));
    return Optional.of(
        new Connection(
            found,
            named(Connection.Made.values(), form.getOrDefault(side + "-made", USUAL)),
            named(Connection.Seal.values(), form.getOrDefault(side + "-seal", USUAL))));
  }

  private static <E extends Enum<E>> Optional<E> named(E[] values, String name) {
    return Arrays.stream(values).filter(v -> v.name().equals(name)).findFirst();
  }
}
