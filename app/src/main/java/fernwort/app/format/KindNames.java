package fernwort.app.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import fernwort.core.rig.Kind;

/** How the kinds of part are named in files, kept apart from the core, which knows no JSON. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
  @Type(value = Kind.HoseInlet.class, name = "hose-inlet"),
  @Type(value = Kind.GravityFiller.class, name = "gravity-filler"),
  @Type(value = Kind.OpenEnd.class, name = "open-end"),
  @Type(value = Kind.Tank.class, name = "tank"),
  @Type(value = Kind.TwoWayValve.class, name = "two-way-valve"),
  @Type(value = Kind.ThreeWayValve.class, name = "three-way-valve"),
  @Type(value = Kind.CheckValve.class, name = "check-valve"),
  @Type(value = Kind.AirAdmittanceValve.class, name = "air-admittance-valve"),
  @Type(value = Kind.Regulator.class, name = "regulator"),
  @Type(value = Kind.Strainer.class, name = "strainer"),
  @Type(value = Kind.Filter.class, name = "filter"),
  @Type(value = Kind.Pump.class, name = "pump"),
  @Type(value = Kind.Accumulator.class, name = "accumulator"),
  @Type(value = Kind.Heater.class, name = "heater"),
  @Type(value = Kind.Tee.class, name = "tee"),
  @Type(value = Kind.Manifold.class, name = "manifold"),
  @Type(value = Kind.Fixture.class, name = "fixture"),
  @Type(value = Kind.DrainTrap.class, name = "drain-trap"),
  @Type(value = Kind.LeakTray.class, name = "leak-tray"),
  @Type(value = Kind.PortableContainer.class, name = "portable-container"),
  @Type(value = Kind.Macerator.class, name = "macerator"),
  @Type(value = Kind.Plug.class, name = "plug")
})
interface KindNames {}
