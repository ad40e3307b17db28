/** What somebody answers about a rig, page by page, before anything is made of it. */
@org.jspecify.annotations.NullMarked
package fernwort.core.guide.answers;
