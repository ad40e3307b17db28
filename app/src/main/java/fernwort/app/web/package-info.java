/** What all pages share: the frame, the look, who is using it, errors. */
@org.jspecify.annotations.NullMarked
package fernwort.app.web;
