/** The Cold screen: what stays, schools of winter, tonight's frost, spring. */
@org.jspecify.annotations.NullMarked
package fernwort.app.cold;
