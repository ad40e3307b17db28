/**
 * Where everything stands on the Board: a cutaway of the vehicle, laid out from the rig's own
 * coordinates and places, the same every time.
 *
 * <p>Three steps. {@link fernwort.app.board.layout.Rooms} cuts the drawing into one rectangle per
 * place, always along the vehicle or across its height, so that what is further back is drawn
 * further left and what is higher is drawn higher; of all such cuts it takes the one that leaves
 * the most air around parts. {@link fernwort.app.board.layout.Packing} sets a place's parts out in
 * rows by height. {@link fernwort.app.board.layout.Router} leads every line at right angles round
 * parts and labels (A* over a square grid, after Hart, Nilsson and Raphael 1968), paying for bends,
 * crossings and crowding.
 *
 * <p>Everything is in cells of {@link fernwort.app.board.layout.Grid#CELL} pixels; x runs from the
 * rear to the nose, y from the roof down.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.board.layout;
