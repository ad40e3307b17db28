/** Whether a rig was put together as planned, and holds its pressure. */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.check;
