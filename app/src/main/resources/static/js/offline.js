// What a phone keeps for where there is no network, and what waits in it to be sent. The worker does
// it; this tells people about it.
(() => {
  if (!("serviceWorker" in navigator)) return;
  // What may wait: the same as in worker.js, by a test.
  const QUEUED =
    /^\/rigs\/[^/]+\/(runs\/[^/]+\/steps\/\d+\/(done|note|skip|wait)|cold\/sheets\/[^/]+\/(ticks|acts|waits)\/\d+|log\/notes)$/;
  const path = (form) =>
    new URL(form.getAttribute("hx-post") ?? form.action, location.href).pathname;

  const field = (form, name, value) => {
    const input =
      form.querySelector(`input[name="${name}"]`) ??
      form.appendChild(Object.assign(document.createElement("input"), { type: "hidden", name }));
    input.value = value;
  };
  /** What a person would call it, for when it has to wait. */
  const what = (form) => {
    const step = form.closest("li")?.querySelector(".step-what")?.textContent ?? "";
    const note = form.querySelector("textarea, input[name=note]")?.value ?? "";
    const read = form.querySelector("input[name=amount][size]");
    const unit = form.querySelector("select[name=unit]")?.selectedOptions[0]?.text ?? "";
    const level = read ? `${form.dataset.what ?? ""} ${read.value} ${unit}` : "";
    return (step || note || level || document.title).replace(/\s+/g, " ").trim().slice(0, 200);
  };
  document.addEventListener(
    "submit",
    (event) => {
      const form = event.target;
      if (form.method !== "post" || !QUEUED.test(path(form))) return;
      field(form, "once", crypto.randomUUID());
      field(form, "what", what(form));
    },
    true,
  );

  const bar = (text) => {
    const old = document.getElementById("waiting");
    if (!text) {
      old?.remove();
      return;
    }
    const line = old ?? document.createElement("p");
    line.id = "waiting";
    line.className = "offline-bar";
    line.setAttribute("role", "status");
    line.textContent = text;
    if (!old) document.body.prepend(line);
  };
  let again;
  const show = (waiting) => {
    const n = waiting.length;
    // The network may be back without a word of it.
    clearTimeout(again);
    if (n > 0) again = setTimeout(() => tell({ flush: true }), 10_000);
    bar(
      n === 0
        ? ""
        : (n === 1 ? "1 change waits" : n + " changes wait") +
            " on this device to be sent: " +
            waiting.map((w) => w.what).join("; "),
    );
    for (const form of document.querySelectorAll("form[method=post]")) {
      if (waiting.some((w) => w.path === path(form) && !w.path.endsWith("/notes"))) {
        for (const button of form.querySelectorAll("button")) {
          button.disabled = true;
          button.textContent = "Waits to be sent";
        }
      }
    }
  };

  const tell = (message) =>
    navigator.serviceWorker.ready.then((worker) => worker.active?.postMessage(message));
  navigator.serviceWorker.addEventListener("message", ({ data }) => {
    if (data.waiting) show(data.waiting);
    if (data.sent > 0) location.reload();
  });
  const follow = () => {
    const rig = /^\/rigs\/[^/]+/.exec(location.pathname)?.[0];
    const seen = [...document.querySelectorAll("a[href*='/runs/'], a[href*='/cold/sheets/']")]
      .map((a) => new URL(a.href).pathname)
      .slice(0, 5);
    const keep = rig ? [rig + "/board", rig + "/next", rig + "/jobs", ...seen] : [];
    // A page that came from the device is not asked for again.
    if (!document.querySelector(".offline-bar[data-old]")) tell({ keep });
    tell({ flush: true });
  };
  navigator.serviceWorker.register("/sw.js").then(follow, () => {});
  addEventListener("online", () => tell({ flush: true }));
})();
