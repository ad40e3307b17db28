// Every change carries the token; a refused one says why and leaves the page as it is.
document.addEventListener("htmx:configRequest", (event) => {
  event.detail.headers["X-XSRF-TOKEN"] = document.querySelector("meta[name=csrf]").content;
});

function notice(text) {
  const box = document.getElementById("notice");
  box.textContent = text;
  box.classList.toggle("is-shown", text !== "");
}

document.addEventListener("htmx:responseError", (event) => {
  notice(event.detail.xhr.getResponseHeader("X-Problem") || "That did not work. Nothing was changed.");
});
document.addEventListener("htmx:sendError", () => {
  notice("Fernwort does not answer. What was confirmed before is kept; try again.");
});
document.addEventListener("htmx:afterRequest", (event) => {
  if (event.detail.successful) notice("");
});
