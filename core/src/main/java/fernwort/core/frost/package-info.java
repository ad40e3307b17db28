/**
 * How lines, bodies and tanks cool in the air around them.
 *
 * <p>A still, full line loses heat through its wall, its insulation and the film of air round it,
 * until its water is at 0 °C, then gives off the heat of freezing (ASHRAE Handbook, Fundamentals:
 * insulation for mechanical systems). Bodies and tanks are well mixed: m·c·dT/dt = UA·(T_place − T)
 * + P, integrated exactly over each straight piece of a night. The heat held by wall and insulation
 * is neglected, which is on the safe side.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.frost;
