/**
 * What motor valves and switches do by themselves, tried before it is trusted. The one thing to
 * call is {@link fernwort.core.jobs.automation.AutomationCheck}.
 *
 * <pre>{@code
 * Automation full = Automation.shutOnLeak(rig);
 * List<AutomationCheck.Finding> harm = AutomationCheck.of(network).findings(full, state);
 * }</pre>
 *
 * <p>A new aim is a constant of {@code Automation.Aim} with its rules.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.automation;
