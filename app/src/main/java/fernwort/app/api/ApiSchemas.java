package fernwort.app.api;

import fernwort.core.kind.PortId;
import fernwort.core.kind.PositionId;
import fernwort.core.rig.ElementId;
import fernwort.core.rig.LineId;
import fernwort.core.rig.PartId;
import fernwort.core.rig.PlaceId;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.List;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Configuration;

/** How the description for programs shows what is a type of its own here: an id is a text. */
@Configuration(proxyBeanMethods = false)
class ApiSchemas {

  private static final List<Class<?>> IDS =
      List.of(
          PartId.class,
          LineId.class,
          PlaceId.class,
          ElementId.class,
          PortId.class,
          PositionId.class);

  ApiSchemas() {
    IDS.forEach(id -> SpringDocUtils.getConfig().replaceWithSchema(id, new StringSchema()));
  }
}
