// Forms lose nothing: what cannot be read is told at its field, and what was begun and not kept yet
// is there again when somebody comes back to it.
const NOT_TYPED = ["version", "sure", "_csrf"];

function fieldOf(form, name) {
  return [...form.elements].find((element) => element.name === name);
}

// --- slips at their fields -----------------------------------------------------------------------

function clearSlip(field) {
  document.getElementById(`e-${field.name}`)?.remove();
  field.removeAttribute("aria-invalid");
  field.removeAttribute("aria-describedby");
}

function showSlip(form, name, sentence) {
  const field = fieldOf(form, name);
  if (!field) return null;
  clearSlip(field);
  const words = document.createElement("small");
  words.id = `e-${name}`;
  words.className = "field-error";
  words.textContent = `${sentence}.`;
  field.setAttribute("aria-invalid", "true");
  field.setAttribute("aria-describedby", words.id);
  field.after(words);
  for (let at = field.closest("details"); at; at = at.parentElement.closest("details")) {
    at.open = true;
  }
  return field;
}

document.addEventListener("htmx:responseError", (event) => {
  const slips = event.detail.xhr.getResponseHeader("X-Slips");
  const form = event.detail.elt.closest("form");
  if (!slips || !form) return;
  const wrong = [...new URLSearchParams(slips)].map(([name, words]) => showSlip(form, name, words));
  [...form.elements].find((element) => wrong.includes(element))?.focus();
});

// --- drafts --------------------------------------------------------------------------------------

function key(form) {
  const at = form.elements.at?.value ?? "";
  return `draft ${new URL(form.action).pathname} ${at}`;
}

/** What each field holds, by its name. */
function held(form) {
  const fields = {};
  for (const element of form.elements) {
    if (element.name && element.type !== "hidden") fields[element.name] ??= [];
  }
  for (const [name, value] of new FormData(form)) {
    if (!NOT_TYPED.includes(name) && fields[name]) fields[name].push(value);
  }
  return fields;
}

/** What an element held as the page came, whatever was typed before the scripts were there. */
function cameWith(element) {
  switch (element.type) {
    case "checkbox":
    case "radio":
      return element.defaultChecked ? [element.value] : [];
    case "select-one":
    case "select-multiple": {
      const options = [...element.options];
      const chosen = options.filter((option) => option.defaultSelected);
      const first = element.multiple || chosen.length > 0 ? chosen : options.slice(0, 1);
      return first.map((option) => option.value);
    }
    case "submit":
    case "button":
      return [];
    default:
      return [element.defaultValue];
  }
}

/** What each field held as the page came, by its name. */
function came(form) {
  const fields = {};
  for (const element of form.elements) {
    if (!element.name || element.type === "hidden" || NOT_TYPED.includes(element.name)) continue;
    fields[element.name] ??= [];
    if (!element.disabled) fields[element.name].push(...cameWith(element));
  }
  return fields;
}

/** Only what somebody changed: the rest may be changed otherwise meanwhile. */
function changed(form) {
  const before = came(form);
  return Object.fromEntries(
    Object.entries(held(form)).filter(
      ([name, values]) => JSON.stringify(values) !== JSON.stringify(before[name] ?? []),
    ),
  );
}

/** Keeps what somebody changed until it is sent. */
function keepDraft(form) {
  const draft = changed(form);
  if (Object.keys(draft).length === 0) sessionStorage.removeItem(key(form));
  else sessionStorage.setItem(key(form), JSON.stringify(draft));
}

function note(form) {
  if (form.querySelector(".draft-note")) return;
  const words = document.createElement("p");
  words.className = "draft-note";
  words.setAttribute("role", "status");
  words.textContent = "Begun before, and not kept yet. ";
  const forget = document.createElement("button");
  forget.type = "button";
  forget.className = "tool";
  forget.textContent = "Forget it";
  forget.addEventListener("click", () => {
    sessionStorage.removeItem(key(form));
    form.reset();
    words.remove();
  });
  words.append(forget);
  form.prepend(words);
}

const restored = new WeakSet();

function restore(form) {
  if (restored.has(form)) return;
  restored.add(form);
  const typed = changed(form);
  const draft = sessionStorage.getItem(key(form));
  if (!draft) {
    if (Object.keys(typed).length > 0) keepDraft(form);
    return;
  }
  // What was typed just now, before the scripts were there, is newer than what was begun before.
  const begun = { ...JSON.parse(draft), ...typed };
  for (const element of form.elements) {
    const values = begun[element.name];
    if (!values) continue;
    if (element.type === "checkbox" || element.type === "radio") {
      element.checked = values.includes(element.value);
    } else {
      element.value = values[0] ?? "";
    }
  }
  keepDraft(form);
  if (Object.keys(changed(form)).length > 0) note(form);
}

function restoreAll() {
  document.querySelectorAll("form[data-draft]").forEach(restore);
}

document.addEventListener("input", (event) => {
  if (event.target.hasAttribute?.("aria-invalid")) clearSlip(event.target);
  const form = event.target.closest?.("form[data-draft]");
  if (form) keepDraft(form);
});
document.addEventListener("htmx:beforeSwap", (event) => {
  const form = event.detail.requestConfig?.elt;
  if (form?.matches?.("form[data-draft]") && event.detail.xhr.status < 400) {
    sessionStorage.removeItem(key(form));
  }
});
document.addEventListener("htmx:afterSettle", restoreAll);
restoreAll();

// What somebody unfolded stays unfolded when it is put there anew.
let unfolded = [];
document.addEventListener("htmx:beforeSwap", (event) => {
  const open = event.detail.target?.querySelectorAll("details[open][data-stays]") ?? [];
  unfolded = [...open].map((fold) => fold.id);
});
document.addEventListener("htmx:afterSwap", () => {
  for (const id of unfolded) document.getElementById(id)?.setAttribute("open", "");
});

// Of many steps in a row the one that is answered is in view.
document
  .querySelector(".guide-steps [aria-current]")
  ?.scrollIntoView({ block: "nearest", inline: "center" });
