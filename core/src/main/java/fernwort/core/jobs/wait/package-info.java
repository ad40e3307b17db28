/** What happens while one waits within a job, by running it. */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs.wait;
