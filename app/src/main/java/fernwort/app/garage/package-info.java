/**
 * Services over what is kept, used by the screens and by programs alike: {@link
 * fernwort.app.garage.Descriptions} what rigs are, {@link fernwort.app.garage.States} what stands
 * with them, {@link fernwort.app.garage.Outlook} what follows from that. No screen is known here.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.garage;
