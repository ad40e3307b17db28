/**
 * What sensors and motor valves tell, and what follows from it: values out of messages, how far a
 * value can be trusted, alarms that stay until they are seen, commands that are watched until the
 * valve has arrived. Nothing here knows how a message comes. The one thing to call is {@link
 * fernwort.core.live.LiveRig}.
 *
 * <pre>{@code
 * LiveRig live = LiveRig.of(rig, List.of(signal));
 * live.take("level", "120", Moment.of(now));
 * List<AlarmCause> causes = live.causes(state, Moment.of(now));
 * }</pre>
 *
 * <p>A new kind of signal is a constant of {@link fernwort.core.live.SignalKind}; a new alarm is a
 * constant of {@link fernwort.core.live.AlarmCode} with its cause in {@link
 * fernwort.core.live.AlarmWatch}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.live;
