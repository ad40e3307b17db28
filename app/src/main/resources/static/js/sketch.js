// Openings of a tank: one is chosen, then tapped on a face; its fields follow, to be typed over.
function fill(figure, key, ending, value) {
  const form = figure.closest("form") ?? document.getElementById("keep-form");
  const field = form?.elements[`${figure.dataset.prefix}${key}-${ending}`];
  if (!field) return;
  field.value = value;
  field.dispatchEvent(new Event("input", { bubbles: true }));
}

/** A length (m) as a person would type it: rounded to the step of the sketch. */
function shown(figure, metres) {
  const step = Number(figure.dataset.step);
  return String(Math.round((metres * figure.dataset.perMetre) / step) * step);
}

/** What of the three edges a face fixes, and what lies across and up it. */
function edges(face, across, up, size) {
  switch (face) {
    case "TOP":
      return { x: across, y: up, z: size.z };
    case "BOTTOM":
      return { x: across, y: up, z: 0 };
    case "LEFT":
      return { x: across, y: size.y, z: up };
    case "RIGHT":
      return { x: across, y: 0, z: up };
    case "REAR":
      return { x: 0, y: across, z: up };
    default:
      return { x: size.x, y: across, z: up };
  }
}

function size(figure) {
  const left = figure.querySelector("[data-face=LEFT]").dataset;
  const top = figure.querySelector("[data-face=TOP]").dataset;
  return { x: Number(left.across), y: Number(top.up), z: Number(left.up) };
}

function place(figure, key, rect, x, y) {
  const box = rect.getBoundingClientRect();
  const across = ((x - box.left) / box.width) * rect.dataset.across;
  const up = ((box.bottom - y) / box.height) * rect.dataset.up;
  if (figure.dataset.byFace === "true") {
    fill(figure, key, "face", rect.dataset.face);
    fill(figure, key, "across", shown(figure, across));
    fill(figure, key, "up", shown(figure, up));
  } else {
    const at = edges(rect.dataset.face, across, up, size(figure));
    for (const edge of ["x", "y", "z"]) fill(figure, key, edge, shown(figure, at[edge]));
  }
  const mark = figure.querySelector(`.sketch-mark[data-mark="${key}"] circle`);
  const scale = rect.width.baseVal.value / box.width;
  mark.setAttribute("cx", rect.x.baseVal.value + (x - box.left) * scale);
  mark.setAttribute("cy", rect.y.baseVal.value + (y - box.top) * scale);
  figure.closest("form")?.dispatchEvent(new Event("change", { bubbles: true }));
}

document.addEventListener("click", (event) => {
  const figure = event.target.closest?.(".sketch");
  if (!figure) return;
  const pick = event.target.closest("button[data-mark]");
  if (pick) {
    figure.querySelectorAll("button[data-mark]").forEach((button) => {
      button.setAttribute("aria-pressed", String(button === pick));
    });
    figure.querySelectorAll("g[data-mark]").forEach((mark) => {
      mark.classList.toggle("is-chosen", mark.dataset.mark === pick.dataset.mark);
    });
    return;
  }
  const rect = event.target.closest("[data-face]");
  const chosen = figure.querySelector("button[aria-pressed=true]");
  if (rect && chosen) place(figure, chosen.dataset.mark, rect, event.clientX, event.clientY);
});
