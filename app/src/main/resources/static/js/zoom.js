// Zoom of the drawing: buttons, + − 0 on the keyboard while it has the focus, or two fingers.
const LEAST = 0.2;
const MOST = 4;
const FIT = null;
let scale = FIT;

function drawing() {
  return document.querySelector(".cutaway-whole");
}

function apply() {
  const svg = drawing();
  if (!svg) return;
  svg.classList.toggle("is-zoomed", scale !== FIT);
  if (scale === FIT) {
    svg.removeAttribute("width");
    svg.removeAttribute("height");
  } else {
    svg.setAttribute("width", Math.round(svg.dataset.width * scale));
    svg.setAttribute("height", Math.round(svg.dataset.height * scale));
  }
}

/** How large it is drawn now, fitted or not. */
function current(svg) {
  const box = svg.getBoundingClientRect();
  return Math.min(box.width / svg.dataset.width, box.height / svg.dataset.height);
}

function set(to) {
  scale = to === FIT ? FIT : Math.min(MOST, Math.max(LEAST, to));
  apply();
}

function zoom(how) {
  const svg = drawing();
  if (svg) set(how === "fit" ? FIT : current(svg) * (how === "in" ? 1.25 : 0.8));
}

document.addEventListener("click", (event) => {
  const button = event.target.closest?.("[data-zoom]");
  if (button) zoom(button.dataset.zoom);
});
document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.target.closest("input, select, textarea")) return;
  const how = { "+": "in", "-": "out", 0: "fit" }[event.key];
  if (how) zoom(how);
});
document.addEventListener("htmx:afterSettle", apply);

// --- two fingers ---------------------------------------------------------------------------------

const fingers = new Map();
let grip = null;

function between() {
  const [a, b] = [...fingers.values()];
  return {
    x: (a.x + b.x) / 2,
    y: (a.y + b.y) / 2,
    apart: Math.hypot(a.x - b.x, a.y - b.y),
  };
}

/** Takes hold of the point of the drawing between two fingers. */
function hold(sheet) {
  const svg = drawing();
  const box = svg.getBoundingClientRect();
  const at = between();
  grip = {
    sheet,
    scale: current(svg),
    apart: at.apart,
    along: (at.x - box.left) / box.width,
    down: (at.y - box.top) / box.height,
  };
}

/** Keeps that point between the fingers, as far apart as they are. */
function move() {
  const at = between();
  set((grip.scale * at.apart) / grip.apart);
  const box = drawing().getBoundingClientRect();
  grip.sheet.scrollLeft += box.left + grip.along * box.width - at.x;
  grip.sheet.scrollTop += box.top + grip.down * box.height - at.y;
}

document.addEventListener("pointerdown", (event) => {
  const sheet = event.pointerType === "touch" && event.target.closest?.(".sheet");
  if (!sheet) return;
  fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
  if (fingers.size === 2 && drawing()) hold(sheet);
});
document.addEventListener("pointermove", (event) => {
  if (!fingers.has(event.pointerId)) return;
  fingers.set(event.pointerId, { x: event.clientX, y: event.clientY });
  if (grip && fingers.size === 2) move();
});
for (const end of ["pointerup", "pointercancel"]) {
  document.addEventListener(end, (event) => {
    fingers.delete(event.pointerId);
    if (fingers.size < 2) grip = null;
  });
}
