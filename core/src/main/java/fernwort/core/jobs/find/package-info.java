/** Which jobs a rig can do: the one thing to call is {@link fernwort.core.jobs.find.Jobs}. */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.find;
