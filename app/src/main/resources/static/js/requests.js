// Every change carries the token; a refused one says why and leaves the page as it is. A press made
// while another change is still on its way is not lost: it is made again on the page that comes.
const narrow = matchMedia("(max-width: 900px)");
let busy = false;
const waiting = [];

const SILENT = "Fernwort does not answer. What was confirmed before is kept; try again.";

function notice(text) {
  const box = document.getElementById("notice");
  box.textContent = text;
  box.classList.toggle("is-shown", text !== "");
}

/** Offers to keep what looks like a slip, as it was typed. */
function ask(form) {
  const keep = document.createElement("button");
  keep.type = "button";
  keep.className = "button";
  keep.textContent = "Keep it as typed";
  keep.addEventListener("click", () => {
    form.querySelector("input[name=sure]").value = "true";
    form.requestSubmit();
  });
  document.getElementById("notice").append(" ", keep);
}

function next() {
  busy = false;
  const id = waiting.shift();
  if (id) {
    document
      .getElementById(id)
      ?.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
  }
}

/** Tells what a renewed part has to say by a place that stays: a swapped one would not be heard. */
function say(part) {
  const words = part.matches?.("[data-say]") ? part : part.querySelector?.("[data-say]");
  const text = words?.textContent.replace(/\s+/g, " ").trim() ?? "";
  const said = document.getElementById("said");
  if (text && said && said.textContent !== text) said.textContent = text;
}

document.addEventListener("htmx:afterSettle", (event) => say(event.detail.elt));
const wasDone = document.getElementById("was-done");
// A screen reader hears what changes after the page is there.
if (wasDone) setTimeout(() => say(wasDone), 500);
document.addEventListener("htmx:configRequest", (event) => {
  event.detail.headers["X-XSRF-TOKEN"] = document.querySelector("meta[name=csrf]").content;
  event.detail.headers["X-Screen"] = narrow.matches ? "narrow" : "wide";
});
// An answer holds the drawing for this screen only; a screen that changes asks for its own.
narrow.addEventListener("change", () => {
  if (document.getElementById("board")) {
    htmx.ajax("GET", location.pathname, { target: "#board", swap: "outerHTML", select: "#board" });
  }
});
// What is only read meanwhile, such as what is next, neither begins a change nor ends one.
const changes = (event) => event.detail.requestConfig?.verb !== "get";
document.addEventListener("htmx:beforeRequest", (event) => {
  if (changes(event)) busy = true;
});
document.addEventListener("htmx:afterSettle", (event) => {
  if (changes(event)) next();
});
document.addEventListener("click", (event) => {
  if (event.target.closest?.("[data-print]")) print();
});
document.addEventListener(
  "click",
  (event) => {
    const pressed =
      busy && event.target.closest?.("#main [hx-post][id]:not(form), #main form button[id]");
    if (pressed) {
      event.preventDefault();
      event.stopImmediatePropagation();
      waiting.push(pressed.id);
    }
  },
  true,
);

// A session that has ended: the passphrase is asked for here, over the page, and what was pressed or
// typed goes on afterwards.
const byScript = { "X-Script": "true" };

async function renewToken() {
  const answer = await fetch("/api/v1/token", { headers: byScript });
  const { token } = await answer.json();
  document.querySelector("meta[name=csrf]").content = token;
  document.querySelectorAll("input[name=_csrf]").forEach((input) => (input.value = token));
  return token;
}

async function logIn(passphrase) {
  const answer = await fetch("/login", {
    method: "POST",
    headers: { ...byScript, "X-XSRF-TOKEN": await renewToken() },
    body: new URLSearchParams({ who: "owner", passphrase }),
  });
  if (answer.ok) await renewToken();
  return answer.status;
}

/** What was refused while nobody was known, in order: a press does not take the place of another. */
const refused = [];

function askPassphrase(sentence, goOn) {
  const dialog = document.getElementById("ask");
  if (!dialog) {
    notice(sentence);
    return;
  }
  refused.push(goOn);
  if (dialog.open) return;
  const field = document.getElementById("ask-passphrase");
  const wrong = document.getElementById("ask-wrong");
  document.getElementById("ask-words").textContent = sentence;
  wrong.textContent = "";
  field.value = "";
  dialog.querySelector("form").onsubmit = async (event) => {
    if (event.submitter?.value === "not") {
      waiting.length = 0;
      return;
    }
    event.preventDefault();
    const status = await logIn(field.value);
    if (status < 300) {
      const all = refused.splice(0);
      dialog.close();
      all.forEach((one) => one());
    } else {
      wrong.textContent =
        status === 429
          ? "Too many wrong tries. Wait five minutes."
          : "That is not the passphrase. Try again.";
    }
  };
  dialog.oncancel = () => {
    waiting.length = 0;
  };
  dialog.onclose = () => {
    if (!dialog.open) refused.length = 0;
  };
  dialog.showModal();
}

// Forms that load a page anew look first whether the session still holds, lest they lose their text.
document.addEventListener("submit", async (event) => {
  const form = event.target;
  const plain = form.method === "post" && !form.hasAttribute("hx-post");
  if (!plain || !document.getElementById("ask") || form.dataset.looked) return;
  event.preventDefault();
  const submit = () => {
    form.dataset.looked = "true";
    form.requestSubmit(event.submitter ?? undefined);
  };
  const answer = await fetch("/api/v1/rigs", { headers: byScript }).catch(() => null);
  if (answer?.status === 401) {
    askPassphrase("Nobody has used this page for a while. What you typed is still here.", submit);
  } else if (answer || form.querySelector("input[name=once]")) {
    // Without a network, a tick or a note waits on the device.
    submit();
  } else {
    notice(SILENT);
  }
});

// What takes minutes says so once it is sent, and is not sent a second time.
document.addEventListener("submit", (event) => {
  const form = event.target;
  if (!form.dataset.wait || event.defaultPrevented) return;
  if (form.querySelector("[data-waits]")) {
    event.preventDefault();
    return;
  }
  const said = document.createElement("p");
  said.setAttribute("role", "status");
  said.dataset.waits = "";
  form.append(said);
  said.textContent = form.dataset.wait;
});
// Who comes back to the page may press again.
addEventListener("pageshow", () => {
  document.querySelectorAll("[data-waits]").forEach((said) => said.remove());
});

function again(element) {
  const form = element.closest("form");
  // What loads by itself after the page is not pressed.
  if (element.hasAttribute("data-patient")) htmx.trigger(element, "again");
  else if (form) form.requestSubmit();
  else element.dispatchEvent(new MouseEvent("click", { bubbles: true, cancelable: true }));
}

// What loads by itself after the page and is refused because Fernwort has too much to do is asked
// for again: nobody pressed anything that could be pressed again.
const MOST_TRIES = 10;
const PAUSE_MS = 3000;

function triesAgain(element) {
  const tries = Number(element.dataset.tries ?? 0) + 1;
  if (!element.hasAttribute("data-patient") || tries > MOST_TRIES) return false;
  element.dataset.tries = tries;
  setTimeout(() => htmx.trigger(element, "again"), PAUSE_MS);
  return true;
}

/** A change came to nothing: what was pressed after it is let go, for it counted on it. */
function failed(event) {
  if (!changes(event)) return;
  // Who gives the passphrase goes on with all of it.
  if (event.detail.xhr.status !== 401) waiting.length = 0;
  busy = false;
}

document.addEventListener("htmx:responseError", (event) => {
  failed(event);
  if (event.detail.xhr.status === 503 && triesAgain(event.detail.elt)) return;
  if (event.detail.xhr.status === 401) {
    const sentence = event.detail.xhr.getResponseHeader("X-Problem") ?? "";
    askPassphrase(decodeURIComponent(sentence.replaceAll("+", " ")), () => again(event.detail.elt));
    return;
  }
  const said = (name) => event.detail.xhr.getResponseHeader(name);
  // Slips stand at their fields; saying them twice would only be in the way.
  const problem = said("X-Slips") ? "Not+kept+yet%3A+look+at+what+is+marked." : said("X-Problem");
  notice(
    problem
      ? decodeURIComponent(problem.replaceAll("+", " "))
      : "That did not work. Nothing was changed.",
  );
  // Somebody else changed the rig: what is typed here goes to the newer version next time.
  if (said("X-Version")) {
    document.querySelectorAll("input[name=version]").forEach((input) => {
      input.value = said("X-Version");
    });
  }
  const form = event.detail.elt.closest("form");
  if (said("X-Ask") && form) ask(form);
});
document.addEventListener("htmx:sendError", (event) => {
  failed(event);
  // A page that the device kept says already that there is no network.
  if (!changes(event) && document.querySelector(".offline-bar[data-old]")) return;
  notice(SILENT);
});
document.addEventListener("htmx:afterRequest", (event) => {
  if (event.detail.successful) notice("");
  // An answer without a page settles nothing.
  if (event.detail.xhr.status === 204) next();
});
