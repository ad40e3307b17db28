// What is typed is reckoned as soon as one pauses: the answer beside it changes, the field that is
// being typed in does not. A choice may ask for other things, so it renews its whole card; what was
// typed meanwhile is put into the new one. One question of a card is asked at a time.
const PAUSE = 500;
const pauses = new Map();
const typed = new Map();
const asking = new Set();
const queued = new Map();

const formOf = (card) => document.querySelector(`form[data-reckons="${card}"]`);

async function reckon(card, whole) {
  clearTimeout(pauses.get(card));
  if (asking.has(card)) {
    queued.set(card, whole || queued.get(card) === true);
    return;
  }
  asking.add(card);
  typed.delete(card);
  const form = formOf(card);
  const part = whole ? `#${card}` : `#${card}-answer`;
  const unfolded = form.closest("details")?.open;
  const focused = document.activeElement?.id;
  try {
    await htmx.ajax("POST", form.getAttribute("action"), {
      source: form,
      target: part,
      select: part,
      swap: "outerHTML",
    });
    await new Promise(requestAnimationFrame);
  } finally {
    asking.delete(card);
  }
  const fold = formOf(card)?.closest("details");
  if (fold && unfolded) {
    fold.open = true;
    if (document.activeElement === document.body && focused) {
      document.getElementById(focused)?.focus();
    }
  }
  putBack(card);
  if (queued.has(card)) {
    const all = queued.get(card);
    queued.delete(card);
    reckon(card, all);
  }
}

/** Puts what was typed while the answer was on its way into the fields that came with it. */
function putBack(card) {
  for (const [name, value] of Object.entries(typed.get(card) ?? {})) {
    const field = formOf(card)?.elements.namedItem(name);
    if (field) {
      field.value = value;
    }
  }
}

document.addEventListener("input", (event) => {
  const card = event.target.closest?.("form[data-reckons]")?.dataset.reckons;
  if (card && event.target.matches("input:not([type=checkbox]), textarea")) {
    typed.set(card, { ...typed.get(card), [event.target.name]: event.target.value });
    clearTimeout(pauses.get(card));
    pauses.set(
      card,
      setTimeout(() => reckon(card, false), PAUSE),
    );
  }
});
document.addEventListener("change", (event) => {
  const card = event.target.closest?.("form[data-reckons]")?.dataset.reckons;
  if (card && event.target.matches("select, input[type=checkbox]")) {
    reckon(card, true);
  }
});
document.addEventListener("submit", (event) => {
  const card = event.target.closest?.("form[data-reckons]")?.dataset.reckons;
  if (card) {
    event.preventDefault();
    reckon(card, true);
  }
});
