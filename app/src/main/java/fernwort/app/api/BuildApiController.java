package fernwort.app.api;

import fernwort.app.services.Descriptions;
import fernwort.app.services.JobDesk;
import fernwort.app.services.OpenRig;
import fernwort.app.services.States;
import fernwort.app.services.Waterway;
import fernwort.core.build.check.AssemblyCheck;
import fernwort.core.build.check.ModelFit;
import fernwort.core.build.cut.CutList;
import fernwort.core.build.cut.Cutting;
import fernwort.core.build.drill.DrillSheet;
import fernwort.core.build.drill.FaceSheet;
import fernwort.core.build.drill.Hole;
import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.Adapters;
import fernwort.core.build.joints.BuyList;
import fernwort.core.build.joints.JointCheck;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Region;
import fernwort.core.build.mount.Hanging;
import fernwort.core.build.remove.TakeApart;
import fernwort.core.describe.TankResize;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Point;
import fernwort.core.rig.Face;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import fernwort.core.tank.TankRoom;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Building as JSON in SI units: ends, holes, supports, lists, taking apart, the check. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}/build", produces = MediaType.APPLICATION_JSON_VALUE)
class BuildApiController {

  private final Descriptions rigs;
  private final States states;
  private final JobDesk desk;
  private final Waterway waterway;

  BuildApiController(Descriptions rigs, States states, JobDesk desk, Waterway waterway) {
    this.waterway = waterway;
    this.rigs = rigs;
    this.states = states;
    this.desk = desk;
  }

  /** Whose sizes are answered in where nobody asks for others. */
  private static final String METRIC = "metric";

  private static Region region(String units) {
    return switch (units) {
      case METRIC -> Region.METRIC;
      case "us" -> Region.US;
      default -> throw new Refusal(Says.UNITS_ARE_METRIC_OR_US.with(units));
    };
  }

  /** An end of a line: what meets, and the pieces between; no pieces known is told. */
  record End(
      String line,
      PortRef at,
      String port,
      String end,
      boolean usual,
      boolean known,
      List<String> between) {
    static End of(JointEnds ends) {
      var chain = Adapters.shelf().between(ends.port().form(), ends.end().form());
      return new End(
          ends.line().id().value(),
          ends.at(),
          Adapter.words(ends.port().form()),
          Adapter.words(ends.end().form()),
          ends.portUsual() || ends.endUsual(),
          chain.isPresent(),
          chain.map(c -> c.stream().map(a -> a.words()).toList()).orElse(List.of()));
    }
  }

  /** Something that does not fit. */
  record Told(String code, PortRef at, String line, Message what, Message fix) {}

  /** All ends of a rig, and what does not fit. */
  record EndsAnswer(List<End> ends, List<Told> findings) {}

  @GetMapping("/ends")
  @Operation(summary = "What meets at each end of each line, the adapters between, and findings")
  EndsAnswer ends(@PathVariable String id, @RequestParam(defaultValue = METRIC) String units) {
    Region region = region(units);
    Rig rig = rigs.open(id).rig();
    return new EndsAnswer(
        JointEnds.of(rig, region).stream().map(End::of).toList(),
        JointCheck.of(rig, region).stream()
            .map(f ->
                new Told(
                    f.code().name().toLowerCase(Locale.ROOT),
                    f.at(),
                    f.line().value(),
                    f.what(),
                    f.fix()))
            .toList());
  }

  /** The holes of a tank, side by side, and the saws to have (m). */
  record DrillAnswer(List<DrawnFace> faces, List<Double> saws) {}

  /** One side, with what its left and lower edges are called. */
  @Schema(name = "FaceSheet")
  record DrawnFace(
      Face face, double width, double height, String fromLeft, String fromBelow, List<Hole> holes) {

    static DrawnFace of(FaceSheet sheet) {
      return new DrawnFace(
          sheet.face(),
          sheet.width(),
          sheet.height(),
          sheet.fromLeft().words(),
          sheet.fromBelow().words(),
          sheet.holes());
    }
  }

  @GetMapping("/drill/{tank}")
  @Operation(summary = "Where to drill a tank, each side seen from outside (m)")
  DrillAnswer drill(
      @PathVariable String id,
      @PathVariable String tank,
      @RequestParam(defaultValue = METRIC) String units) {
    OpenRig open = rigs.open(id);
    DrillSheet sheet =
        DrillSheet.of(
            open.rig(),
            tank(open, tank),
            open.network().room(PartId.of(tank)),
            DrillSheet.Measured.NOTHING,
            region(units));
    return new DrillAnswer(sheet.faces().stream().map(DrawnFace::of).toList(), sheet.saws());
  }

  private static Part tank(OpenRig open, String id) {
    Part part = open.rig().part(PartId.of(id));
    if (!part.kind().is(Purpose.HOLDS)) {
      throw new Refusal(Says.IS_NOT_A_TANK_NAME.with(part.label()));
    }
    return part;
  }

  @GetMapping({"/mount/{tank}", "/hang/{tank}"})
  @Operation(summary = "What each described support of a full tank carries, parked and driving (N)")
  Hanging hang(@PathVariable String id, @PathVariable String tank) {
    OpenRig open = rigs.open(id);
    Part part = tank(open, tank);
    TankRoom room = open.network().room(PartId.of(tank));
    Point centre = room.centroid(room.highest(Slope.LEVEL), Slope.LEVEL);
    return Hanging.of(
        Hanging.fullMass(room),
        centre.x(),
        centre.z(),
        room.highest(Slope.LEVEL),
        TankResize.width((Tank) part.kind()),
        open.rig().built().supports(PartId.of(tank)),
        Hanging.Moving.USUAL);
  }

  @GetMapping({"/shopping", "/buy"})
  @Operation(summary = "What to buy for the rig as described, with spares")
  List<BuyList.Item> buy(
      @PathVariable String id, @RequestParam(defaultValue = METRIC) String units) {
    return BuyList.of(rigs.open(id).rig(), List.of(), region(units));
  }

  /** How one sort of hose, tube or pipe is cut. */
  record Cut(String sort, boolean exact, List<Cutting.Stick> sticks) {}

  @GetMapping("/cuts")
  @Operation(summary = "Each sort of line cut from coils or sticks of one length (m)")
  List<Cut> cuts(
      @PathVariable String id,
      @RequestParam(defaultValue = "10") double stock,
      @RequestParam(defaultValue = "0.002") double kerf,
      @RequestParam(defaultValue = METRIC) String units) {
    if (!(stock > 0 && stock <= 1000 && kerf >= 0 && kerf < 0.1)) {
      throw new Refusal(Says.THE_STOCK_IS_FROM_0_TO_1000.with());
    }
    List<Cut> cuts = new ArrayList<>();
    for (CutList list : CutList.of(rigs.open(id).rig(), region(units))) {
      Cutting cutting = Cutting.of(list.pieces(), stock, kerf);
      cuts.add(new Cut(list.sort(), cutting.exact(), cutting.sticks()));
    }
    return cuts;
  }

  /** Flows timed at taps, by their ids (m³/s). */
  record Timed(Map<PartId, Double> flows) {}

  @PostMapping("/fit")
  @Operation(summary = "Losses of fittings and free flow of pumps fitted to timed flows (m3/s)")
  ModelFit fit(@PathVariable String id, @RequestBody Timed body) {
    OpenRig open = rigs.open(id);
    if (body.flows() == null) {
      throw new Refusal("Give the timed flows, as \"flows\": {\"sink\": 0.00008}");
    }
    body.flows()
        .forEach((fixture, flow) -> {
          boolean flows = Objects.requireNonNullElse(flow, 0.0) > 0;
          if (!flows || !open.rig().part(fixture).kind().is(Purpose.USE)) {
            throw new Refusal(
                Says.MUST_BE_A_TAP_WITH_A_FLOW.with(open.rig().part(fixture).label()));
          }
        });
    State state =
        waterway.toTaps(open).orElseThrow(() -> new Refusal(Says.NO_TAP_OF_THIS_RIG_RUNS.with()));
    return ModelFit.of(open.network(), state, body.flows());
  }

  /** What comes out. */
  record Out(List<PartId> out) {}

  /** A handle to turn, with what it keeps back (m³). */
  record Turn(String part, String to, double keeps) {}

  /** A joint to undo, with what comes (m³). */
  record Undo(int tag, String line, PortRef at, double comes) {}

  /** How to take parts out. */
  record ApartAnswer(
      List<Turn> off,
      List<Turn> shut,
      Map<PartId, Double> empty,
      List<Undo> joints,
      double litres,
      Map<String, Integer> caps,
      List<Message> heed) {}

  @PostMapping({"/remove", "/apart"})
  @Operation(summary = "How to take parts out: what to close and empty, joints in order (m³)")
  ApartAnswer apart(
      @PathVariable String id,
      @RequestBody Out body,
      @RequestParam(defaultValue = METRIC) String units) {
    OpenRig open = rigs.open(id);
    TakeApart plan =
        TakeApart.of(
            open.network(),
            states.of(open).state(),
            new LinkedHashSet<>(named(body)),
            region(units));
    return new ApartAnswer(
        plan.off().stream().map(BuildApiController::turn).toList(),
        plan.shut().stream().map(BuildApiController::turn).toList(),
        plan.empty(),
        plan.joints().stream()
            .map(j -> new Undo(j.tag(), j.line().id().value(), j.at(), j.comes()))
            .toList(),
        plan.litres(),
        plan.caps(),
        plan.heed());
  }

  private static List<PartId> named(Out body) {
    if (body.out() == null || body.out().isEmpty()) {
      throw new Refusal(Says.NAME_THE_PARTS_THAT_COME.with());
    }
    return body.out();
  }

  private static Turn turn(TakeApart.Turn turn) {
    return new Turn(turn.part().id().value(), turn.to().id().value(), turn.keeps());
  }

  /** A look: what comes when all is right, and what anything else means. */
  record Look(PortRef at, String right, Map<String, List<Message>> wrong) {}

  /** A trial: the handles, and the looks. */
  record Try(Message as, Map<PartId, PositionId> handles, List<Look> looks) {}

  /** The fewest trials. */
  record CheckAnswer(int mistakes, boolean fewest, List<Try> trials, List<Message> unseen) {}

  @PostMapping("/check")
  @Operation(
      summary = "The fewest trials that tell parts put back rightly from every single mistake")
  CheckAnswer check(@PathVariable String id, @RequestBody Out body) {
    OpenRig open = rigs.open(id);
    Set<PartId> out = new LinkedHashSet<>(named(body));
    out.forEach(p -> open.rig().part(p));
    List<PortRef> joints =
        open.rig().lines().stream()
            .flatMap(l -> List.of(l.from(), l.to()).stream())
            .filter(e -> out.contains(e.part()))
            .toList();
    AssemblyCheck check = AssemblyCheck.of(desk.book(open).plans(), joints);
    return new CheckAnswer(
        check.mistakes(),
        check.fewest(),
        check.steps().stream()
            .map(s ->
                new Try(
                    s.trial().as(),
                    s.trial().turns(open.network(), open.rig().atRest()),
                    s.looks().stream().map(BuildApiController::look).toList()))
            .toList(),
        check.unseen());
  }

  private static Look look(AssemblyCheck.Look look) {
    Map<String, List<Message>> wrong = new TreeMap<>();
    look.wrong().forEach(w -> wrong.put(word(w.comes()), w.means()));
    return new Look(look.at(), word(look.right()), wrong);
  }

  private static String word(AssemblyCheck.What what) {
    return what.name().toLowerCase(Locale.ROOT);
  }
}
