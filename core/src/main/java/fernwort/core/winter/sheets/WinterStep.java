package fernwort.core.winter.sheets;

import fernwort.core.say.Message;

/**
 * One line of a winter run sheet.
 *
 * @param act what it does
 * @param place id of the place where one stands for it; empty for none
 * @param words what to do
 * @param why what for, or what to mind
 * @param seconds how long it takes, roughly (s)
 * @param timed whether it is waited for with a timer
 * @param litres antifreeze it takes (m³)
 */
public record WinterStep(
    Operation act,
    String place,
    Message words,
    Message why,
    double seconds,
    boolean timed,
    double litres) {}
