/** Water that stays fit to drink: doses that sanitize, and the changes of water after them. */
@org.jspecify.annotations.NullMarked
package fernwort.core.hygiene;
