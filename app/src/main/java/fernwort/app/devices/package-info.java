/**
 * Sensors and motors as people meet them: the page on which they are found and bound, and the bar
 * of alarms on every page.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.devices;
