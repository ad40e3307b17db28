/** Jobs: plans, run sheets with ticks, slips, what is printed, cards, automations. */
@org.jspecify.annotations.NullMarked
package fernwort.app.jobs;
