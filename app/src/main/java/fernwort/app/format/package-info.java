/** Sentences in JSON, as programs read them and as they are kept. */
@org.jspecify.annotations.NullMarked
package fernwort.app.format;
