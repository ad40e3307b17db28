/**
 * A simulated rig that speaks MQTT: the stand-in for sensors and motors that nobody has at hand. It
 * runs as a program of its own ({@code fernwort sim}) or beside the demo, and knows of Fernwort
 * only what is said over the broker.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.sim;
