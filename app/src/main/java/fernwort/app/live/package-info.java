/**
 * Sensors and motors over MQTT: the connection, what is bound to which rig, what was told, alarms
 * and commands. One thread does it all, in the order in which it comes; it is not there before
 * somebody gives the address of a broker. The one thing to call is {@link
 * fernwort.app.live.LiveDesk}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.live;
