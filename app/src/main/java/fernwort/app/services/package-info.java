/**
 * Services over what is kept, used by the screens and by programs alike: {@link
 * fernwort.app.services.Descriptions} what rigs are, {@link fernwort.app.services.States} what
 * stands with them, {@link fernwort.app.services.Outlook} what follows from that. No screen is
 * known here.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.services;
