// A turn changes a few parts of a drawing, and of what stands around it. What looks as before stays
// where it is, so that a browser has less to lay out and paint, and what was typed is kept.
const AROUND = [".board-head", ".place-jumps", ".panel", ".now-bar"];

/** What holds the drawings for a wide screen, and for a narrow one: an answer has one of them. */
const HOLDERS = [".sheet", ".places"];

/** Tells whether two drawings have the same pieces, each in its place. */
function areAlike(one, other) {
  return (
    one.getAttribute("viewBox") === other.getAttribute("viewBox") &&
    one.children.length === other.children.length
  );
}

/** Puts another node in the place of one; htmx looks through it afterwards. */
function change(old, anew, changed) {
  old.replaceWith(anew);
  changed.push(anew);
}

/** Tells whether a piece asks for what it shows whenever it is put in. */
const asks = (piece) => piece.getAttribute("hx-trigger") === "load";

function redraw(old, anew, changed) {
  const pieces = [...anew.children];
  [...old.children].forEach((piece, i) => {
    if (asks(pieces[i]) || !piece.isEqualNode(pieces[i])) change(piece, pieces[i], changed);
  });
}

/** What somebody unfolded stays so, in a piece that is put in anew, too. */
function unfold(board, next) {
  board.querySelectorAll("details[open][id]").forEach(({ id }) => {
    next.querySelector(`details[id="${id}"]`)?.setAttribute("open", "");
  });
}

const drawings = (holder) => [...holder.querySelectorAll("svg.cutaway")];

/** Changes a Board into another of the same rig; false where they are not alike. */
function renew(board, next, changed) {
  const pairs = (parts) =>
    parts.map((part) => [board.querySelector(part), next.querySelector(part)]);
  const around = pairs(AROUND);
  const holders = pairs(HOLDERS).filter(([one, other]) => one || other);
  const shown = holders.filter(([, other]) => other);
  const alike = ([one, other]) => {
    const [old, anew] = [one, other].map((holder) => (holder ? drawings(holder) : []));
    return old.length === anew.length && old.every((drawing, i) => areAlike(drawing, anew[i]));
  };
  if (around.flat().includes(null) || !shown.every(alike)) return false;
  holders.filter(([, other]) => !other).forEach(([one]) => one.remove());
  shown.forEach(([one, other]) => {
    const anew = drawings(other);
    drawings(one).forEach((drawing, i) => redraw(drawing, anew[i], changed));
  });
  around.forEach(([one, other]) => {
    const put = one.children.length === other.children.length ? redraw : change;
    put(one, other, changed);
  });
  return true;
}

htmx.defineExtension("pieces", {
  isInlineSwap: (style) => style === "pieces",
  handleSwap(style, board, answer, settle) {
    if (style !== "pieces") return false;
    const next = answer.querySelector("#board");
    const changed = [];
    if (next) unfold(board, next);
    if (next && renew(board, next, changed)) {
      settle.elts.push(board);
      return changed;
    }
    const all = [...answer.children];
    board.replaceWith(...all);
    settle.elts.push(...all);
    return all;
  },
});
