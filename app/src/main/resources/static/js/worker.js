// Keeps the pages that were seen for where there is no network, and sends later what was noted and
// ticked meanwhile. Each page that comes from here says how old it is.
const PAGES = "pages-1";
const FILES = "files-1";
const PATIENCE = 6000;
const SEEN =
  /^\/$|^\/rigs$|^\/rigs\/[^/]+\/(board|jobs(\/.*)?|runs\/[^/]+|cold(\/.*)?|log|labels|pocket|cards)$/;
const QUEUED =
  /^\/rigs\/[^/]+\/(runs\/[^/]+\/steps\/\d+\/(done|note|skip|wait)|cold\/sheets\/[^/]+\/(ticks|acts|waits)\/\d+|log\/notes)$/;
// A piece that a page asks for once it is there.
const PIECE = /^\/rigs\/[^/]+\/next$/;
const NOTHING = "/offline";
const OWN = /^\/(js|vendor)\/|\.(css|svg)$/;

/** Keeps the page for where nothing else is kept, with its styles. */
const prepare = async () => {
  const answer = await fetch(NOTHING);
  const text = await answer.clone().text();
  await (await caches.open(PAGES)).put(NOTHING, answer);
  const files = await caches.open(FILES);
  const own = [...text.matchAll(/(?:href|src)="(\/[^"]+\.(?:css|js|svg))"/g)].map((m) => m[1]);
  await Promise.allSettled(own.map((path) => files.add(path)));
};

self.addEventListener("install", (event) => {
  event.waitUntil(prepare().catch(() => {}));
  self.skipWaiting();
});
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

// What waits to be sent.
const open = () =>
  new Promise((done, fail) => {
    const asked = indexedDB.open("fernwort", 1);
    asked.onupgradeneeded = () =>
      asked.result.createObjectStore("waiting", { keyPath: "number", autoIncrement: true });
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => fail(asked.error);
  });
const store = async (mode, work) => {
  const db = await open();
  return new Promise((done, fail) => {
    const turn = db.transaction("waiting", mode);
    const asked = work(turn.objectStore("waiting"));
    turn.oncomplete = () => {
      db.close();
      done(asked.result);
    };
    turn.onerror = () => fail(turn.error);
  });
};
const waiting = () => store("readonly", (all) => all.getAll());
const keep = (one) => store("readwrite", (all) => all.add(one));
const drop = (number) => store("readwrite", (all) => all.delete(number));

const tellAll = async (message) => {
  for (const page of await self.clients.matchAll({ type: "window" })) page.postMessage(message);
};
const tellWaiting = async () =>
  tellAll({ waiting: (await waiting()).map(({ path, what }) => ({ path, what })) });

const isPage = (request) =>
  request.method === "GET" && (request.headers.get("accept") ?? "").includes("text/html");
const escape = (text) =>
  text.replace(/[&<>"]/g, (c) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[c]);

/** A page from the device, with how old it is. */
const asKept = async (kept) => {
  const at = new Date(kept.headers.get("x-kept") ?? 0).toLocaleString("en-GB", {
    dateStyle: "medium",
    timeStyle: "short",
  });
  const said =
    "No network. This page is as it was on " +
    at +
    "; what changed since is not on it. Ticks and notes are kept here and sent later.";
  const text = (await kept.text()).replace(
    /<body[^>]*>/,
    (body) => body + '<p class="offline-bar" data-old role="status">' + escape(said) + "</p>",
  );
  return new Response(text, { headers: { "content-type": "text/html;charset=UTF-8" } });
};

/** Names the pages that were seen, on the page that was kept for this. */
const nothingKept = async () => {
  const pages = await caches.open(PAGES);
  const frame = await pages.match(NOTHING);
  const rows = [];
  for (const key of await pages.keys()) {
    const { pathname } = new URL(key.url);
    if (pathname === "/" || pathname === NOTHING || PIECE.test(pathname)) continue;
    const title = decodeURIComponent((await pages.match(key)).headers.get("x-title") ?? pathname);
    rows.push('<li><a href="' + escape(pathname) + '">' + title + "</a></li>");
  }
  const text = frame ? await frame.text() : '<h1>No network</h1><ul id="seen"></ul>';
  return new Response(
    text.replace(/(<ul[^>]*id="seen"[^>]*>)/, (list) => list + rows.join("")),
    { status: 503, headers: { "content-type": "text/html;charset=UTF-8" } },
  );
};

const remember = async (path, response) => {
  if (!response.ok || response.redirected || response.headers.has("x-unfinished")) return;
  if (!(response.headers.get("content-type") ?? "").includes("text/html")) return;
  const headers = new Headers({ "content-type": "text/html;charset=UTF-8" });
  headers.set("x-kept", new Date().toISOString());
  const text = await response.text();
  const title = /<title>([^<]*)/.exec(text)?.[1] ?? path;
  headers.set("x-title", encodeURIComponent(title.replace(/ · Fernwort$/, "").trim()));
  const pages = await caches.open(PAGES);
  await pages.put(path, new Response(text, { headers }));
  if (path.endsWith("/board")) await pages.put("/", new Response(text, { headers }));
};

const within = (promise, time) =>
  Promise.race([promise, new Promise((_, fail) => setTimeout(fail, time, new Error("slow")))]);

const page = async (event) => {
  const { pathname } = new URL(event.request.url);
  const known = await (await caches.open(PAGES)).match(pathname);
  const asked = fetch(event.request);
  try {
    // Who has an older copy is not kept waiting by a network that is hardly there.
    const answer = await (known ? within(asked, PATIENCE) : asked);
    if (SEEN.test(pathname)) event.waitUntil(remember(pathname, answer.clone()));
    event.waitUntil(flush());
    return answer;
  } catch {
    return known ? asKept(known) : nothingKept();
  }
};

/** A piece of a page: anew, or as it was kept. */
const piece = async (event) => {
  const { pathname } = new URL(event.request.url);
  try {
    const answer = await fetch(event.request);
    event.waitUntil(remember(pathname, answer.clone()));
    return answer;
  } catch {
    return (await (await caches.open(PAGES)).match(pathname)) ?? Response.error();
  }
};

const file = async (request) => {
  const files = await caches.open(FILES);
  const known = await files.match(request);
  if (known) return known;
  const answer = await fetch(request);
  if (answer.ok) await files.put(request, answer.clone());
  return answer;
};

const change = async (event) => {
  const copy = event.request.clone();
  const { pathname } = new URL(event.request.url);
  try {
    return await fetch(event.request);
  } catch {
    const body = new URLSearchParams(await copy.text());
    body.delete("_csrf");
    body.set("queued-at", new Date().toISOString());
    await keep({ path: pathname, body: body.toString(), what: body.get("what") ?? "a change" });
    await tellWaiting();
    self.registration.sync?.register("flush").catch(() => {});
    if (event.request.headers.get("hx-request")) {
      return new Response("", { headers: { "HX-Refresh": "true" } });
    }
    return Response.redirect(event.request.referrer || "/", 303);
  }
};

const send = async (path, body, token) =>
  fetch(path, {
    method: "POST",
    redirect: "manual",
    headers: {
      "content-type": "application/x-www-form-urlencoded",
      "x-script": "true",
      [token.header]: token.token,
    },
    body,
  });

let flushing = false;
/** Sends what waits, in order; what is not taken becomes a note, so that nothing is lost. */
const flush = async () => {
  if (flushing) return;
  flushing = true;
  let sent = 0;
  try {
    const all = await waiting();
    if (all.length === 0) return;
    const answer = await fetch("/api/v1/token", { headers: { "x-script": "true" } });
    if (!answer.ok) return;
    const token = await answer.json();
    for (const one of all) {
      const said = await send(one.path, one.body, token);
      if (said.status === 401 || said.status === 403 || said.status >= 500) break;
      if (said.type !== "opaqueredirect" && said.status >= 400) {
        const why = decodeURIComponent((said.headers.get("x-problem") ?? "").replaceAll("+", " "));
        const body = new URLSearchParams(one.body);
        const note = new URLSearchParams({
          kind: "NOTE",
          note:
            "Without a network, at " +
            body.get("queued-at") +
            ": " +
            one.what +
            ". Not taken later: " +
            why,
          once: body.get("once") ?? crypto.randomUUID(),
        });
        const rig = /^\/rigs\/[^/]+/.exec(one.path)[0];
        const kept = await send(rig + "/log/notes", note.toString(), token);
        if (kept.type !== "opaqueredirect" && kept.status >= 400) break;
      }
      await drop(one.number);
      sent++;
    }
  } catch {
    // The network is gone again; what is left waits on.
  } finally {
    flushing = false;
    if (sent > 0) {
      await tellWaiting();
      await tellAll({ sent });
    }
  }
};

/** A page to keep; one that is still being worked out is asked for again. */
const whole = async (path) => {
  const ask = () => fetch(path, { headers: { accept: "text/html", "x-script": "true" } });
  let answer = await ask();
  for (let tries = 0; tries < 5 && answer.headers.has("x-unfinished"); tries++) {
    await new Promise((later) => setTimeout(later, 3000));
    answer = await ask();
  }
  return answer;
};

self.addEventListener("sync", (event) => event.waitUntil(flush()));
self.addEventListener("message", (event) => {
  const { data } = event;
  if (data.flush) event.waitUntil(flush().then(tellWaiting));
  if (data.keep) {
    event.waitUntil(
      Promise.allSettled(data.keep.map(async (path) => remember(path, await whole(path)))),
    );
  }
});
self.addEventListener("fetch", (event) => {
  const url = new URL(event.request.url);
  if (url.origin !== self.location.origin) return;
  if (event.request.method === "POST" && QUEUED.test(url.pathname)) {
    event.respondWith(change(event));
  } else if (event.request.method === "GET" && OWN.test(url.pathname)) {
    event.respondWith(file(event.request));
  } else if (event.request.method === "GET" && PIECE.test(url.pathname)) {
    event.respondWith(piece(event));
  } else if (event.request.mode === "navigate" && isPage(event.request)) {
    event.respondWith(page(event));
  }
});
