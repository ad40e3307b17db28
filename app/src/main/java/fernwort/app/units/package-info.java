/** Users' units at the edge: everything inside and in files is SI. */
@org.jspecify.annotations.NullMarked
package fernwort.app.units;
