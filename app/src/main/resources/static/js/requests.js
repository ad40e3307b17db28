// Every change carries the token; a refused one says why and leaves the page as it is. A press made
// while another change is still on its way is not lost: it is made again on the page that comes.
const narrow = matchMedia("(max-width: 900px)");
let busy = false;
const waiting = [];

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
document.addEventListener("htmx:beforeRequest", (event) => {
  busy = event.detail.requestConfig.verb !== "get";
});
document.addEventListener("htmx:afterSettle", next);
document.addEventListener(
  "click",
  (event) => {
    const pressed = busy && event.target.closest?.("#main [hx-post][id], #main form button[id]");
    if (pressed) {
      event.preventDefault();
      event.stopImmediatePropagation();
      waiting.push(pressed.id);
    }
  },
  true,
);

document.addEventListener("htmx:responseError", (event) => {
  waiting.length = 0;
  busy = false;
  const said = (name) => event.detail.xhr.getResponseHeader(name);
  const problem = said("X-Problem");
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
document.addEventListener("htmx:sendError", () => {
  waiting.length = 0;
  busy = false;
  notice("Fernwort does not answer. What was confirmed before is kept; try again.");
});
document.addEventListener("htmx:afterRequest", (event) => {
  if (event.detail.successful) notice("");
});
