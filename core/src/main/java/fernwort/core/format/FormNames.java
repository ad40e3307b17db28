package fernwort.core.format;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonSubTypes.Type;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import fernwort.core.kind.Connection;

/** How the forms of connections are named in files. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
  @Type(value = Connection.Thread.class, name = "thread"),
  @Type(value = Connection.Bulkhead.class, name = "bulkhead"),
  @Type(value = Connection.HoseTail.class, name = "hose-tail"),
  @Type(value = Connection.HoseEnd.class, name = "hose-end"),
  @Type(value = Connection.TubeSocket.class, name = "tube-socket"),
  @Type(value = Connection.TubeEnd.class, name = "tube-end"),
  @Type(value = Connection.Socket.class, name = "socket"),
  @Type(value = Connection.Spigot.class, name = "spigot"),
  @Type(value = Connection.Grommet.class, name = "grommet"),
  @Type(value = Connection.Open.class, name = "open")
})
interface FormNames {}
