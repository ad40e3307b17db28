package fernwort.core.format;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import fernwort.core.kind.list.Kinds;
import tools.jackson.databind.jsontype.NamedType;

/** How the kinds of part are told apart in files; the kinds themselves know none. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
interface KindNames {

  /** Returns what each kind is called. */
  static NamedType[] all() {
    return Kinds.all().stream()
        .map(k -> new NamedType(k.kind(), k.type()))
        .toArray(NamedType[]::new);
  }
}
