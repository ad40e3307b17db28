// Rehearsing: the run is streamed; this draws what it says and sends what the buttons ask.
let stream;
let course = [];
let strokes = [];
let lookingAhead = false;
const streamNames = {};

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

const STYLES = ["expected", "high", "low", "upon"];

/** Gives a figure its keys, one for each course. */
function key(figure, names) {
  const box = figure.querySelector(".chart-keys");
  if (box.dataset.names === names.join()) return;
  box.dataset.names = names.join();
  box.replaceChildren(
    ...names.map((name, n) => {
      const entry = document.createElement("span");
      const sign = document.createElement("i");
      sign.className = `key chart-${STYLES[n % STYLES.length]}`;
      entry.append(sign, ` ${name}`);
      return entry;
    }),
  );
}

/** Writes the numbers of a figure into its table, where somebody has opened it. */
function fillTable(figure, data) {
  const details = figure.querySelector("details");
  if (!details.open) return;
  const row = (cells, scope) => {
    const line = document.createElement("tr");
    line.append(
      ...cells.map((words, n) => {
        const cell = document.createElement(scope === "col" || n === 0 ? "th" : "td");
        if (cell.tagName === "TH") cell.scope = scope;
        cell.textContent = words;
        return cell;
      }),
    );
    return line;
  };
  const every = Math.max(1, Math.ceil(data.at.length / 30));
  const shown = data.at.map((_, i) => i).filter((i) => i % every === 0 || i === data.at.length - 1);
  details
    .querySelector("thead")
    .replaceChildren(row(["time", ...data.courses.map((c) => c.name)], "col"));
  details
    .querySelector("tbody")
    .replaceChildren(
      ...shown.map((i) =>
        row(
          [charts.span(data.at[i]), ...data.courses.map((c) => charts.rounded(c.values[i]))],
          "row",
        ),
      ),
    );
}

function drawCourses(id, ids, name, value) {
  const figure = document.getElementById(id);
  const data = {
    at: course.map((point) => point.seconds),
    courses: ids.map((i) => ({ name: name(i), values: course.map((point) => value(point, i)) })),
    strokes,
  };
  key(
    figure,
    data.courses.map((c) => c.name),
  );
  charts.draw(figure, data);
  fillTable(figure, data);
}

function drawCourse(now) {
  course = course.filter((p) => p.seconds <= now.seconds);
  strokes = strokes.filter((t) => t <= now.seconds);
  const last = course.at(-1);
  if (!last || now.seconds > last.seconds) {
    course.push({
      seconds: now.seconds,
      volumes: Object.fromEntries(Object.entries(now.tanks).map(([id, t]) => [id, t.volume])),
      flows: Object.fromEntries(Object.entries(now.streams).map(([id, s]) => [id, s.flow])),
    });
    if (course.length > 600) course = course.filter((_, i) => i % 2 === 0);
  }
  Object.entries(now.streams).forEach(([id, s]) => (streamNames[id] = s.name));
  if (now.stopped && !strokes.includes(now.seconds)) strokes.push(now.seconds);
  const tanks = Object.keys(now.tanks);
  const streams = [...new Set(course.flatMap((p) => Object.keys(p.flows)))].sort();
  const names = [...document.querySelectorAll("[data-tank]")];
  const tankName = (id) => names.find((n) => n.dataset.tank === id)?.dataset.name ?? id;
  drawCourses("course", tanks, tankName, (p, id) => p.volumes[id] ?? null);
  const streamName = (id) => streamNames[id] ?? id;
  drawCourses("streams", streams, streamName, (p, id) => p.flows[id] ?? 0);
}

/** What follows from here is of the moment it was reckoned at: another one asks for its own. */
async function lookAhead(now) {
  const here = document.getElementById("from-here");
  const stale = Number(here.dataset.at) !== now.seconds;
  here.classList.toggle("is-stale", stale);
  if (!stale || now.playing || lookingAhead) return;
  lookingAhead = true;
  const base = document.getElementById("rehearse").dataset.base;
  try {
    await htmx.ajax("GET", base, { target: "#from-here", select: "#from-here", swap: "outerHTML" });
  } finally {
    lookingAhead = false;
  }
}

function draw(now) {
  if (!document.getElementById("rehearse")) {
    stream.close();
    return;
  }
  text(document.getElementById("clock"), now.time);
  const play = document.getElementById("play");
  text(play, now.playing ? "Pause" : "Play");
  play.value = !now.playing;
  const stopped = document.getElementById("stopped");
  stopped.hidden = !now.stopped;
  text(stopped, now.stopped);
  drawRig(now);
  list("rows", now.rows);
  list("events", now.events);
  drawCourse(now);
  lookAhead(now);
}

document.addEventListener("keydown", (event) => {
  const typing = event.target.closest?.("input, select, textarea, button, [role=button], a");
  if (event.key === " " && document.getElementById("rehearse") && !typing) {
    event.preventDefault();
    document.getElementById("play").click();
  }
});

const rehearsal = document.getElementById("rehearse");
if (rehearsal) {
  stream = new EventSource(rehearsal.dataset.base + "/stream");
  stream.onmessage = (event) => draw(JSON.parse(event.data));
}
// A page that is left ends its stream at once.
addEventListener("pagehide", () => stream?.close());
