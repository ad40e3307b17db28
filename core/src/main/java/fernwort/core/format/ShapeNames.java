package fernwort.core.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import fernwort.core.kind.tank.Shape;

/** How the shapes of tanks are named in files. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
  @Type(value = Shape.Box.class, name = "box"),
  @Type(value = Shape.UprightCylinder.class, name = "upright-cylinder"),
  @Type(value = Shape.LyingCylinder.class, name = "lying-cylinder"),
  @Type(value = Shape.Prism.class, name = "prism"),
  @Type(value = Shape.Straddling.class, name = "straddling"),
  @Type(value = Shape.DepthTable.class, name = "depth-table")
})
interface ShapeNames {}
