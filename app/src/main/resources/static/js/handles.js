// Handles: keys turn them like a click; pointing, focus or a long press shows what would change.
const WAIT = 140;
const LONG_PRESS = 450;
let timer = 0;
let held = false;

function box() {
  return document.getElementById("preview");
}

async function show(url, focus) {
  const answer = await fetch(url, { headers: { "X-Script": "true" } });
  if (!answer.ok) return;
  box().innerHTML = await answer.text();
  box().hidden = false;
  htmx.process(box());
  if (focus) box().querySelector("input:not([type=hidden]), button")?.focus();
}

function soon(target) {
  clearTimeout(timer);
  timer = setTimeout(() => show(target.dataset.preview, false), WAIT);
}

function part(event) {
  return event.target.closest?.("[data-preview], [data-open]");
}

document.addEventListener("pointerover", (event) => {
  const target = event.pointerType === "mouse" && event.target.closest?.("[data-preview]");
  if (target) soon(target);
});
document.addEventListener("focusin", (event) => {
  const target = event.target.closest?.("[data-preview]");
  if (target && target.matches(":focus-visible")) soon(target);
});
document.addEventListener("pointerdown", (event) => {
  const target = event.target.closest?.("[data-preview]");
  held = false;
  if (target && event.pointerType !== "mouse") {
    timer = setTimeout(() => {
      held = true;
      show(target.dataset.preview, false);
    }, LONG_PRESS);
  }
});
document.addEventListener("pointerup", (event) => {
  if (event.pointerType !== "mouse") clearTimeout(timer);
});
document.addEventListener(
  "click",
  (event) => {
    const target = part(event);
    if (target && held) {
      event.preventDefault();
      event.stopPropagation();
      held = false;
    } else if (target?.dataset.open) {
      show(target.dataset.open, true);
    } else if (event.target.closest?.("[data-close]")) {
      box().hidden = true;
    }
  },
  true,
);
document.addEventListener("contextmenu", (event) => {
  if (part(event)) event.preventDefault();
});
document.addEventListener("keydown", (event) => {
  const target = part(event);
  if (target && (event.key === "Enter" || event.key === " ")) {
    event.preventDefault();
    target.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
  } else if (event.key === "Escape") {
    box().hidden = true;
  } else if ((event.ctrlKey || event.metaKey) && !event.target.closest("input, select, textarea")) {
    const key = event.key.toLowerCase();
    const redo = key === "y" || (key === "z" && event.shiftKey);
    if (redo || key === "z") {
      event.preventDefault();
      document.getElementById(redo ? "redo" : "undo")?.click();
    }
  }
});
document.addEventListener("htmx:afterSwap", (event) => {
  if (event.detail.requestConfig?.elt?.closest?.("#preview")) box().hidden = true;
});
