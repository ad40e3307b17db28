// A finger is wider than a handle: what is nearest to it within its reach answers.
const REACH = 22;
const ANSWERS = "a, [hx-post], [data-open], [data-preview]";
const STEP = 6;

function toBox(box, x, y) {
  const aside = Math.max(box.left - x, 0, x - box.right);
  const below = Math.max(box.top - y, 0, y - box.bottom);
  return Math.hypot(aside, below);
}

/** Distance to a line, sampled along it. */
function toPath(path, x, y) {
  const matrix = path.getScreenCTM();
  let least = Infinity;
  for (let at = 0; at <= path.getTotalLength(); at += STEP) {
    const point = path.getPointAtLength(at).matrixTransform(matrix);
    least = Math.min(least, Math.hypot(point.x - x, point.y - y));
  }
  return least;
}

function distance(element, x, y) {
  const box = element.getBoundingClientRect();
  if (toBox(box, x, y) > REACH) return Infinity;
  const path = element.querySelector(".pipe-target");
  if (path) return toPath(path, x, y);
  // Inside of a figure its middle decides, so that of two that overlap the nearer one answers.
  const middle = Math.hypot(box.left + box.width / 2 - x, box.top + box.height / 2 - y);
  return toBox(box, x, y) + middle / 1000;
}

function nearest(svg, x, y) {
  let found = null;
  let least = REACH;
  for (const element of svg.querySelectorAll(ANSWERS)) {
    const away = distance(element, x, y);
    if (away < least) {
      found = element;
      least = away;
    }
  }
  return found;
}

document.addEventListener(
  "click",
  (event) => {
    const svg = event.isTrusted && event.target.closest?.("svg.cutaway");
    if (!svg || event.pointerType === "mouse" || event.detail === 0) return;
    const wanted = nearest(svg, event.clientX, event.clientY);
    if (!wanted || wanted.contains(event.target)) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    wanted.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
  },
  true,
);

// A link of a drawing to pick from changes the page in its place: neither the place nor the focus is lost.
document.addEventListener("click", (event) => {
  const link = event.target.closest?.(".to-pick svg a[href]");
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  htmx.ajax("GET", link.getAttribute("href"), { source: link });
});
