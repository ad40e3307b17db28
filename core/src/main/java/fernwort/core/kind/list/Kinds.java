package fernwort.core.kind.list;

import fernwort.core.kind.Kind;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.end.BottleFiller;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.FloatVent;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.MixingValve;
import fernwort.core.kind.line.Regulator;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.line.VacuumBreaker;
import fernwort.core.kind.machine.GangSwitch;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.machine.Pump;
import java.util.List;

/** The list of the kinds of part. A new kind is one file, a line here, its drawing, its words. */
public final class Kinds {

  private static final List<Entry> ALL =
      List.of(
          new Entry("hose-inlet", HoseInlet.class),
          new Entry("gravity-filler", GravityFiller.class),
          new Entry("open-end", OpenEnd.class),
          new Entry("tank", Tank.class),
          new Entry("two-way-valve", TwoWayValve.class),
          new Entry("three-way-valve", ThreeWayValve.class),
          new Entry("check-valve", CheckValve.class),
          new Entry("air-admittance-valve", AirAdmittanceValve.class),
          new Entry("regulator", Regulator.class),
          new Entry("strainer", Strainer.class),
          new Entry("filter", Filter.class),
          new Entry("pump", Pump.class),
          new Entry("accumulator", Accumulator.class),
          new Entry("heater", Heater.class),
          new Entry("tee", Tee.class),
          new Entry("manifold", Manifold.class),
          new Entry("fixture", Fixture.class),
          new Entry("drain-trap", DrainTrap.class),
          new Entry("leak-tray", LeakTray.class),
          new Entry("portable-container", PortableContainer.class),
          new Entry("macerator", Macerator.class),
          new Entry("plug", Plug.class),
          new Entry("bottle-filler", BottleFiller.class, BottleFiller.OFFER),
          new Entry("float-vent", FloatVent.class, FloatVent.OFFER),
          new Entry("vacuum-breaker", VacuumBreaker.class, VacuumBreaker.OFFER),
          new Entry("mixing-valve", MixingValve.class, MixingValve.OFFER),
          new Entry("switch", GangSwitch.class, GangSwitch.OFFER));

  private Kinds() {}

  /** Returns every kind, each once. */
  public static List<Entry> all() {
    return ALL;
  }

  /**
   * A kind of part.
   *
   * @param type what it is called in a rig file
   * @param kind what describes it
   * @param offers ordinary ones, ready to be put into a rig
   */
  public record Entry(String type, Class<? extends Kind> kind, List<NewPart> offers) {

    /** Makes an entry whose ordinary ones are listed elsewhere. */
    Entry(String type, Class<? extends Kind> kind) {
      this(type, kind, List.of());
    }

    Entry(String type, Class<? extends Kind> kind, NewPart offer) {
      this(type, kind, List.of(offer));
    }
  }
}
