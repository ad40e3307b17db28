/** Describing a rig by answering questions, page by page, with the Board growing beside them. */
@org.jspecify.annotations.NullMarked
package fernwort.app.guide;
