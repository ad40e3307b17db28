package fernwort.core;

import static java.util.stream.Collectors.joining;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.check.AssemblyCheck;
import fernwort.core.build.cut.Cutting;
import fernwort.core.build.drill.Penetration;
import fernwort.core.build.joints.EndFinding;
import fernwort.core.build.joints.JointCheck;
import fernwort.core.build.mount.Hanging;
import fernwort.core.build.remove.TakeApart;
import fernwort.core.build.remove.Undoing;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.format.RigFormat;
import fernwort.core.graph.Arcs;
import fernwort.core.graph.LowestCrest;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.jobs.automation.AutomationCheck;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.jobs.wait.Marks;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Link;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.OpenGraph;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.rig.TankSupport;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.routes.Route;
import fernwort.core.winter.routes.Routes;
import fernwort.core.winter.sheets.ResidualWater;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The examples at the doors of the rooms, run. Each is what stands in the Javadoc of its package,
 * from the line that names the package to the end of the method's paragraph; the comparison keeps
 * them the same.
 */
class AtTheDoorTest {

  private static final Path MAIN = Path.of("src/main/java/fernwort/core");
  private static final Path HERE = Path.of("src/test/java/fernwort/core/AtTheDoorTest.java");

  private static final DemoRig DEMO = DemoRig.called("marginalia");

  private final Rig rig = DEMO.rig();
  private final State state = DEMO.state();
  private final Network network = Network.of(rig);
  private final Plans plans = Plans.of(network);
  private final Job job = Jobs.of(network).all().getFirst();

  @Test
  void kindsDeclare() {
    // kind
    Kind check = new CheckValve(2_000);
    List<Link> one = check.links(PositionId.NONE); // one way, from in to out, once 2 kPa press
    boolean checks = check.is(Purpose.CHECKS);
    Frost frost = check.frost(); // it cracks

    assertThat(one).containsExactly(new Link(0, 1, Link.Law.CHECK, 2_000));
    assertThat(checks).isTrue();
    assertThat(frost).isEqualTo(Frost.CRACKS);
  }

  @Test
  void aFileIsReadAndWritten() {
    byte[] bytes = new RigFormat().write(rig).getBytes(StandardCharsets.UTF_8);
    // format
    RigFormat format = new RigFormat();
    Rig read = format.read(bytes); // or every fault of the file at once
    String text = format.write(read); // the same rig always gives the same bytes

    assertThat(text.getBytes(StandardCharsets.UTF_8)).isEqualTo(bytes);
  }

  @Test
  void waterRisesOverTheLowestCrest() {
    // graph
    Arcs three = Arcs.complete(3);
    double none = Double.POSITIVE_INFINITY;
    double[] level = LowestCrest.of(three, arc -> 0.4, new double[] {0.1, none, none});

    assertThat(level).containsExactly(0.1, 0.4, 0.4);
  }

  @Test
  void aRigIsCompiledOnce() {
    // network
    Network compiled = Network.of(rig);
    OpenGraph open = new OpenGraph(compiled, state.setting()); // what stands open
    Levels levels = Levels.of(compiled, state); // how high everything is, on the slope
    double surface = levels.surface(PartId.of("main")); // m

    assertThat(open.edges()).isPositive();
    assertThat(surface).isPositive();
  }

  @Test
  void whatIsOpenRunsOut() {
    // drain
    Wintering full = Filled.of(network, state.with(PartId.of("cold-drain"), PositionId.of("off")));
    Wintering left = Draining.of(network, full);
    double before = rig.lines().stream().mapToDouble(full.wetness()::volume).sum();
    double stays = rig.lines().stream().mapToDouble(left.wetness()::volume).sum(); // m³

    assertThat(stays).isBetween(0.0, before);
  }

  @Test
  void aRigHasJobs() {
    // jobs.find
    Jobs jobs = Jobs.of(network);
    List<Job> all = jobs.all();
    List<Jobs.Cannot> cannot = jobs.cannot(); // with what would make it possible

    assertThat(all).isNotEmpty();
    assertThat(cannot).allSatisfy(c -> assertThat(c.why()).isNotBlank());
  }

  @Test
  void aJobIsStagesWithGoals() {
    // jobs.goal
    List<Job.Stage> stages = job.stages();
    boolean moves = stages.stream().anyMatch(s -> !s.goal().needs().isEmpty());

    assertThat(stages).isNotEmpty();
    assertThat(moves).isTrue();
  }

  @Test
  void aJobIsPlanned() {
    // jobs.plan
    Plan plan = plans.plan(job, state);
    boolean can = plan.trouble().isEmpty(); // else it says what stands in the way
    State then = plan.after(); // for it was run

    assertThat(can || !plan.trouble().orElseThrow().words().toString().isEmpty()).isTrue();
    assertThat(then.slope()).isEqualTo(state.slope());
  }

  @Test
  void aWaitEnds() {
    Job.Until until = new Job.Until(Job.Until.What.DRY, PartId.of("main"));
    // jobs.wait
    boolean over = Marks.isReached(network, state, job, until);

    assertThat(over).isFalse();
  }

  @Test
  void everySlipIsRun() {
    // jobs.mistake
    List<Slip> slips = Slips.of(network, plans).of(job, state); // the worst first

    assertThat(slips).isNotEmpty();
  }

  @Test
  void anAutomationIsTried() {
    // jobs.automation
    Automation full = Automation.shutOnLeak(rig);
    List<AutomationCheck.Finding> harm = AutomationCheck.of(network).findings(full, state);

    assertThat(full.rules()).isNotEmpty();
    assertThat(harm).allSatisfy(f -> assertThat(f.when()).isNotBlank());
  }

  @Test
  void endsMateOrDoNot() {
    // build.joints
    List<EndFinding> findings = JointCheck.of(rig); // what does not mate, and what would

    assertThat(findings).allSatisfy(f -> assertThat(f.fix().toString()).isNotBlank());
  }

  @Test
  void linesPassWalls() {
    // build.drill
    List<Penetration> holes = Penetration.of(rig);

    assertThat(holes).allSatisfy(h -> assertThat(h.diameter()).isPositive()); // m
  }

  @Test
  void aTankHangsOnStraps() {
    // build.mount
    TankSupport rear =
        new TankSupport(PartId.of("low"), TankSupport.Type.STRAP, 0.1, 0.05, 2, 6000, 4000);
    TankSupport front =
        new TankSupport(PartId.of("low"), TankSupport.Type.STRAP, 0.7, 0.05, 2, 6000, 4000);
    Hanging hanging =
        Hanging.of(80, 0.4, 0.1, 0.2, 0.5, List.of(rear, front), Hanging.Moving.USUAL);
    double each = hanging.loads().getFirst().still(); // N

    assertThat(each).isCloseTo(80 * 9.80665 / 2, within(1e-6));
  }

  @Test
  void sticksAreCut() {
    // build.cut
    Cutting.Piece piece = new Cutting.Piece("Heater in", 0.8); // m
    Cutting cut = Cutting.of(List.of(piece, piece), 2, 0.002); // of sticks of 2 m, by a saw

    assertThat(cut.sticks()).hasSize(1);
  }

  @Test
  void aPartIsTakenOut() {
    // build.remove
    TakeApart plan = TakeApart.of(network, state, Set.of(PartId.of("pump")));
    List<TakeApart.Undo> joints = plan.joints(); // each with what comes out there (m³)

    assertThat(joints).isNotEmpty();
  }

  @Test
  void whatWasPutTogetherIsTried() {
    // build.check
    List<PortRef> joints = Undoing.joints(rig, Set.of(PartId.of("pump")));
    AssemblyCheck check = AssemblyCheck.of(plans, joints);

    assertThat(check.steps()).isNotEmpty();
  }

  @Test
  void aWinterIsPlanned() {
    // winter
    Wintering inUse = Filled.of(network, state);
    List<WinterPlan> ways = WinterizingMethods.of(plans).all(inUse, WinterWish.USUAL);

    assertThat(ways).hasSize(4);
  }

  @Test
  void whatStaysIsTold() {
    // winter.sheets
    List<ResidualWater> stays = ResidualWater.of(network, state, Set.of(), true); // most first

    assertThat(stays).isNotEmpty();
  }

  @Test
  void airFindsItsWay() {
    // winter.routes
    List<Route> routes =
        Routes.from(network, Filled.of(network, state), new PortRef(PartId.of("pump"), PortId.OUT));

    assertThat(routes).extracting(r -> r.outlet().id()).contains(PartId.of("sink"));
  }

  @Test
  void layoutsAreFiles() {
    // demo
    Rig start = ReadyRig.find("one-tank").orElseThrow().rig();

    assertThat(start.tanks()).hasSize(2);
  }

  static Stream<String> examples() throws IOException {
    Matcher found = Pattern.compile("(?m)^    // ([a-z.]+)$").matcher(Files.readString(HERE));
    return found.results().map(m -> m.group(1));
  }

  /** Says the same as the Javadoc of the package, line by line. */
  @ParameterizedTest
  @MethodSource("examples")
  void theExampleIsTheOneThatStandsThere(String room) throws IOException {
    String door =
        Files.readString(MAIN.resolve(room.replace('.', '/')).resolve("package-info.java"));
    assertThat(door).contains("<pre>{@code\n" + asJavadoc(example(room)) + "}</pre>");
    assertThat(door.replaceAll("\\s+\\* ", " ")).contains("one thing to call");
  }

  private static String example(String room) throws IOException {
    String here = Files.readString(HERE);
    String mark = "    // " + room + "\n";
    int from = here.indexOf(mark) + mark.length();
    return here.substring(from, here.indexOf("\n\n", from));
  }

  private static String asJavadoc(String code) {
    return code.lines().map(l -> " * " + l.substring(4) + "\n").collect(joining()) + " * ";
  }
}
