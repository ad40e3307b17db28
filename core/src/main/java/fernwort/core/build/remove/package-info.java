/** How a part is taken out, and what the rig does meanwhile. */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.remove;
