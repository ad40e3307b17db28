/** What motor valves and switches do by themselves, tried before it is trusted. */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.automation;
