/**
 * The steady flow of a rig in one setting: its open passages as a network of junctions, reservoirs
 * and links, handed to {@link fernwort.core.flow} and read back as litres and pressures by part.
 *
 * <p>What is under water belongs to the network; pumps run on their switch; air that is drawn in is
 * mixed where streams meet; a brim-full or airless tank passes on what it gets.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.hydraulics;
