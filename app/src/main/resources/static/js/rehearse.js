// Rehearsing: the run is streamed; this draws what it says and sends what the buttons ask.
let stream;
let course = [];
let strokes = [];
const streamNames = {};

async function post(path, values) {
  const answer = await fetch(document.getElementById("rehearse").dataset.base + path, {
    method: "POST",
    headers: { ...byScript, "X-XSRF-TOKEN": document.querySelector("meta[name=csrf]").content },
    body: new URLSearchParams(values),
  });
  const problem = decodeURIComponent((answer.headers.get("X-Problem") ?? "").replaceAll("+", " "));
  if (answer.status === 401) askPassphrase(problem, () => post(path, values));
  else if (!answer.ok) notice(problem || "That did not work. Nothing was changed.");
}

function text(element, words) {
  if (element && element.textContent !== words) element.textContent = words;
}

function list(id, rows) {
  const box = document.getElementById(id);
  if (box.dataset.rows === rows.join("\n")) return;
  box.dataset.rows = rows.join("\n");
  box.replaceChildren(
    ...rows.map((row) => {
      const item = document.createElement("li");
      item.textContent = row;
      return item;
    }),
  );
}

function drawRig(now) {
  document.querySelectorAll("[data-tank]").forEach((tank) => {
    const mark = now.tanks[tank.dataset.tank];
    const water = tank.querySelector(".tank-water");
    const height = Math.max(0, water.dataset.room * Math.min(1, mark.share));
    water.setAttribute("height", height);
    water.setAttribute("y", water.dataset.bottom - height);
    text(tank.querySelector(".tank-amount"), mark.text);
  });
  document.querySelectorAll("[data-line]").forEach((line) => {
    const way = now.lines[line.dataset.line];
    line.classList.toggle("is-moving", way !== undefined);
    line.classList.toggle("flows-forward", way === 1);
    line.classList.toggle("flows-back", way === -1);
  });
  document
    .querySelectorAll("[data-mark]")
    .forEach((mark) => text(mark, now.marks[mark.dataset.mark] ?? ""));
}

const COLOURS = ["chart-expected", "chart-high", "chart-low", "chart-other"];

const SVG = "http://www.w3.org/2000/svg";

function path(kind, d) {
  const element = document.createElementNS(SVG, "path");
  element.setAttribute("class", kind);
  element.setAttribute("d", d);
  return element;
}

// One line for each id over the whole course, the events as upright strokes.
function chart(id, ids, value) {
  const end = Math.max(1, course.at(-1).seconds);
  const top = Math.max(1, ...course.flatMap((p) => ids.map((i) => value(p, i))));
  const x = (t) => (6 + (468 * t) / end).toFixed(1);
  const y = (v) => (144 - (138 * v) / top).toFixed(1);
  const lines = ids.map((i, n) =>
    path(
      "chart-line " + COLOURS[n % COLOURS.length],
      "M" + course.map((p) => `${x(p.seconds)} ${y(value(p, i))}`).join("L"),
    ),
  );
  lines.push(...strokes.map((t) => path("chart-limit", `M${x(t)} 6V144`)));
  document.getElementById(id).replaceChildren(...lines);
}

function key(id, ids, name) {
  const box = document.getElementById(id);
  if (box.dataset.ids === ids.join(" ")) return;
  box.dataset.ids = ids.join(" ");
  box.replaceChildren(
    ...ids.flatMap((i, n) => {
      const sign = document.createElement("i");
      sign.className = "key " + COLOURS[n % COLOURS.length];
      return [sign, ` ${name(i)} `];
    }),
  );
}

function drawCourse(now) {
  course = course.filter((p) => p.seconds <= now.seconds);
  strokes = strokes.filter((t) => t <= now.seconds);
  const last = course.at(-1);
  if (!last || now.seconds > last.seconds) {
    course.push({
      seconds: now.seconds,
      litres: Object.fromEntries(Object.entries(now.tanks).map(([id, t]) => [id, t.litres])),
      flows: Object.fromEntries(Object.entries(now.streams).map(([id, s]) => [id, s.litres])),
    });
    if (course.length > 600) course = course.filter((_, i) => i % 2 === 0);
  }
  Object.entries(now.streams).forEach(([id, s]) => (streamNames[id] = s.name));
  if (now.stopped && !strokes.includes(now.seconds)) strokes.push(now.seconds);
  const tanks = Object.keys(now.tanks);
  const streams = [...new Set(course.flatMap((p) => Object.keys(p.flows)))].sort();
  const names = [...document.querySelectorAll("[data-tank]")];
  chart("course-lines", tanks, (p, id) => p.litres[id]);
  key("course-key", tanks, (id) => names.find((n) => n.dataset.tank === id)?.dataset.name ?? id);
  chart("flow-lines", streams, (p, id) => p.flows[id] ?? 0);
  key("flow-key", streams, (id) => streamNames[id] ?? id);
}

function draw(now) {
  if (!document.getElementById("rehearse")) {
    stream.close();
    return;
  }
  text(document.getElementById("clock"), now.time);
  text(document.getElementById("play"), now.playing ? "Pause" : "Play");
  const stopped = document.getElementById("stopped");
  stopped.hidden = !now.stopped;
  text(stopped, now.stopped ? now.stopped + ". Play on, set something, or go back." : "");
  drawRig(now);
  list("rows", now.rows);
  list("events", now.events);
  drawCourse(now);
}

function toggle() {
  const playing = document.getElementById("play").textContent === "Pause";
  if (playing) {
    post("/pause", {});
  } else {
    post("/play", {
      speed: document.getElementById("speed").value,
      stopping: document.getElementById("stopping").checked,
    });
  }
}

document.addEventListener("click", (event) => {
  if (event.target.closest?.("#play")) toggle();
});
document.addEventListener("change", (event) => {
  const live = event.target.closest?.("#speed, #stopping");
  if (live && document.getElementById("play").textContent === "Pause") {
    post("/play", {
      speed: document.getElementById("speed").value,
      stopping: document.getElementById("stopping").checked,
    });
  }
});
document.addEventListener("keydown", (event) => {
  const typing = event.target.closest?.("input, select, textarea, button, [role=button], a");
  if (event.key === " " && document.getElementById("rehearse") && !typing) {
    event.preventDefault();
    toggle();
  }
});

const rehearsal = document.getElementById("rehearse");
if (rehearsal) {
  stream = new EventSource(rehearsal.dataset.base + "/stream");
  stream.onmessage = (event) => draw(JSON.parse(event.data));
}
// A page that is left ends its stream at once.
addEventListener("pagehide", () => stream?.close());
