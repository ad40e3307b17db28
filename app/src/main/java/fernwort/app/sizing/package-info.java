/** The Sizing screen: how much water, for how long, and what it weighs. */
@org.jspecify.annotations.NullMarked
package fernwort.app.sizing;
