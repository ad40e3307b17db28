// Zoom of the drawing: buttons, or + − 0 on the keyboard while it has the focus.
let scale = 1;

function apply() {
  const svg = document.querySelector(".cutaway-whole");
  if (!svg) return;
  if (scale === 1) {
    svg.removeAttribute("width");
    svg.removeAttribute("height");
    svg.classList.remove("is-zoomed");
  } else {
    svg.classList.add("is-zoomed");
    svg.setAttribute("width", Math.round(svg.dataset.width * scale));
    svg.setAttribute("height", Math.round(svg.dataset.height * scale));
  }
}

function zoom(how) {
  scale = how === "fit" ? 1 : Math.min(4, Math.max(0.5, scale * (how === "in" ? 1.25 : 0.8)));
  if (Math.abs(scale - 1) < 0.05) scale = 1;
  apply();
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
