/**
 * What to do next, as somebody who knows the rig would say it in the morning. The one thing to call
 * is {@link fernwort.core.advice.Advisor#of}.
 *
 * <p>An advice names a job only where that can be done as things are, which is found by planning
 * it; warnings are not said again, for they stand beside it. What may be touched: when something is
 * soon, and the order, which is that of what is lost when it is left.
 */
@NullMarked
package fernwort.core.advice;

import org.jspecify.annotations.NullMarked;
