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
    const pressed = busy && event.target.closest?.("#board [hx-post][id], #board [type=submit][id]");
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
  notice(event.detail.xhr.getResponseHeader("X-Problem") || "That did not work. Nothing was changed.");
});
document.addEventListener("htmx:sendError", () => {
  waiting.length = 0;
  busy = false;
  notice("Fernwort does not answer. What was confirmed before is kept; try again.");
});
document.addEventListener("htmx:afterRequest", (event) => {
  if (event.detail.successful) notice("");
});
