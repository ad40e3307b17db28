// Charts: every figure with data-chart is drawn into its plot, in the colours of its keys. A chart is
// a slider over its points: the pointer or the arrow keys move it, and it says what stands there.
const charts = (() => {
  const drawn = new WeakMap();
  const HEIGHT = 190;
  const DASHES = {
    "chart-low": [2, 5],
    "chart-high": [9, 5],
    "chart-limit": [12, 4],
    "chart-dashed": [6, 3],
    "chart-broken": [12, 4, 2, 4],
  };

  /** What a figure draws: {at, courses: [{name, values}], strokes}; the table's, if nobody gave any. */
  function numbers(figure) {
    const number = (cell) => (cell.dataset.number ? Number(cell.dataset.number) : null);
    const rows = [...figure.querySelectorAll("tbody tr")];
    const names = [...figure.querySelectorAll("thead th")].slice(1);
    return {
      at: rows.map((row) => number(row.cells[0])),
      shownAt: rows.map((row) => row.cells[0].textContent),
      courses: names.map((head, n) => ({
        name: head.textContent,
        values: rows.map((row) => number(row.cells[n + 1])),
        shown: rows.map((row) => row.cells[n + 1].textContent),
      })),
      strokes: (figure.dataset.marks ?? "").split(" ").filter(Boolean).map(Number),
    };
  }

  const withUnit = (text, unit) => (unit ? `${text} ${unit}` : text);

  /** A number with three digits, as the table has it. */
  function rounded(value) {
    if (value === null || value === undefined) return "–";
    const digits = value === 0 ? 0 : 2 - Math.floor(Math.log10(Math.abs(value)));
    return value.toFixed(Math.min(3, Math.max(0, digits)));
  }

  const clock = (hours) =>
    `${String(Math.floor(hours % 24)).padStart(2, "0")}:${String(Math.round((hours % 1) * 60)).padStart(2, "0")}`;

  const round = (value) => (value === null ? "" : String(Number(value.toPrecision(6))));

  function span(seconds) {
    const minutes = Math.floor(seconds / 60);
    const rest = Math.round(seconds % 60);
    if (minutes === 0) return `${rest} s`;
    if (minutes < 60) return rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
    return minutes % 60 === 0
      ? `${minutes / 60} h`
      : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
  }

  const SPANS = [
    1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1200, 1800, 3600, 7200, 10800, 21600, 43200, 86400,
    172800, 432000,
  ];

  function options(figure, plot, data) {
    const style = getComputedStyle(figure);
    const keys = [...figure.querySelectorAll(".key")];
    const ink = style.color;
    const edge = getComputedStyle(plot).borderTopColor;
    const timed = figure.dataset.acrossUnit === "time";
    const clocked = figure.dataset.acrossUnit === "clock";
    const font = `12px ${style.fontFamily}`;
    const axis = (label, more) => ({
      label,
      labelSize: 20,
      labelFont: font,
      font,
      stroke: ink,
      grid: { stroke: edge, width: 1 },
      ticks: { stroke: edge, size: 4 },
      values: (_, at) => at.map(round),
      ...more,
    });
    return {
      width: Math.max(200, plot.clientWidth),
      height: HEIGHT,
      legend: { show: false },
      scales: { x: { time: false }, y: { range: (_, low, high) => reach(low, high) } },
      axes: [
        axis(figure.dataset.across, {
          size: 34,
          ...(timed ? { incrs: SPANS, values: (_, at) => at.map(span), space: 70 } : {}),
          ...(clocked
            ? { incrs: [1, 2, 3, 6, 12], values: (_, at) => at.map(clock), space: 60 }
            : {}),
        }),
        axis(figure.dataset.up, { size: 46 }),
      ],
      cursor: { drag: { x: false, y: false }, y: false, points: { size: 7 } },
      series: [
        {},
        ...data.courses.map((course, n) => {
          const kind = [...(keys[n]?.classList ?? [])].find((name) => name.startsWith("chart-"));
          return {
            label: course.name,
            stroke: keys[n] ? getComputedStyle(keys[n]).borderTopColor : ink,
            width: kind === "chart-upon" || kind === "chart-limit" ? 1.5 : 2.5,
            dash: DASHES[kind],
            spanGaps: kind !== "chart-dots",
            ...(kind === "chart-dots" ? { paths: () => null } : {}),
            points: { show: kind === "chart-dots", size: 7 },
          };
        }),
      ],
      hooks: {
        setCursor: [(u) => u.cursor.idx === null || say(figure, u.cursor.idx)],
        draw: [(u) => strokes(u, drawn.get(figure)?.data.strokes ?? [], ink)],
      },
    };
  }

  /** Up from nothing where that is near or where little changes, so that heights can be compared. */
  function reach(low, high) {
    const bottom = low >= 0 && (low < high / 2 || low > 0.9 * high) ? 0 : low;
    return uPlot.rangeNum(bottom, high > bottom ? high : bottom + 1, {
      min: { pad: bottom === 0 ? 0 : 0.1, soft: 0, mode: bottom === 0 ? 1 : 0 },
      max: { pad: 0.05, soft: 0, mode: 0 },
    });
  }

  function strokes(u, at, colour) {
    u.ctx.save();
    u.ctx.strokeStyle = colour;
    u.ctx.setLineDash([3, 3]);
    for (const x of at) {
      const left = Math.round(u.valToPos(x, "x", true)) + 0.5;
      u.ctx.beginPath();
      u.ctx.moveTo(left, u.bbox.top);
      u.ctx.lineTo(left, u.bbox.top + u.bbox.height);
      u.ctx.stroke();
    }
    u.ctx.restore();
  }

  function say(figure, index) {
    const { data, plot } = drawn.get(figure) ?? {};
    if (!data || index < 0 || index >= data.at.length) return;
    const { across, acrossUnit, upUnit } = figure.dataset;
    const where =
      acrossUnit === "time"
        ? `after ${span(data.at[index])}`
        : acrossUnit === "clock"
          ? `at ${data.shownAt[index]}`
          : withUnit(`${across.split(",")[0]} ${data.shownAt[index]}`, acrossUnit);
    const values = data.courses.map(
      (c) => `${c.name} ${withUnit(c.shown?.[index] ?? rounded(c.values[index]), upUnit)}`,
    );
    const words = `${where}: ${values.join(", ")}`;
    plot.setAttribute("aria-valuenow", index);
    plot.setAttribute("aria-valuetext", words);
    figure.querySelector(".chart-readout").textContent = words;
  }

  function move(figure, index) {
    const { u, data } = drawn.get(figure);
    const to = Math.min(data.at.length - 1, Math.max(0, index));
    u.setCursor({ left: u.valToPos(data.at[to], "x"), top: 0 });
    say(figure, to);
  }

  /** Draws a figure anew, from its table or from other numbers. */
  function draw(figure, data = numbers(figure)) {
    const plot = figure.querySelector(".chart-plot");
    const old = drawn.get(figure);
    plot.setAttribute("aria-valuemax", Math.max(0, data.at.length - 1));
    const columns = [data.at, ...data.courses.map((c) => c.values)];
    if (old && old.names === data.courses.map((c) => c.name).join()) {
      old.data = data;
      old.u.setData(columns);
      return;
    }
    old?.u.destroy();
    if (!old) {
      plot.tabIndex = 0;
      plot.setAttribute("role", "slider");
      plot.setAttribute("aria-label", figure.dataset.title);
      plot.setAttribute("aria-valuemin", 0);
      plot.setAttribute("aria-valuenow", 0);
      plot.setAttribute("aria-valuetext", "arrow keys read the numbers");
      new ResizeObserver(() => {
        const u = drawn.get(figure)?.u;
        if (u && plot.clientWidth > 0 && u.width !== plot.clientWidth) {
          u.setSize({ width: plot.clientWidth, height: HEIGHT });
        }
      }).observe(plot);
    }
    const entry = { data, plot, names: data.courses.map((c) => c.name).join() };
    drawn.set(figure, entry);
    entry.u = new uPlot(options(figure, plot, data), columns, plot);
  }

  /** Draws all of a part of the page that has come. */
  function drawAll(part) {
    part.querySelectorAll("figure[data-chart=table]").forEach((figure) => {
      if (drawn.has(figure)) return;
      draw(figure);
      figure.querySelector("details").open = false;
    });
  }

  function recolour() {
    document.querySelectorAll("figure[data-chart]").forEach((figure) => {
      const entry = drawn.get(figure);
      if (!entry) return;
      entry.names = "";
      draw(figure, entry.data);
    });
  }

  document.addEventListener("keydown", (event) => {
    const figure = event.target.closest?.(".chart-plot")?.closest("figure");
    const entry = figure && drawn.get(figure);
    if (!entry) return;
    const last = entry.data.at.length - 1;
    const now = Number(entry.plot.getAttribute("aria-valuenow"));
    const step = Math.max(1, Math.round(last / 10));
    const to = {
      ArrowRight: now + 1,
      ArrowUp: now + 1,
      ArrowLeft: now - 1,
      ArrowDown: now - 1,
      PageUp: now + step,
      PageDown: now - step,
      Home: 0,
      End: last,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    move(figure, to);
  });
  document.addEventListener("htmx:load", (event) => drawAll(event.detail.elt));
  for (const media of ["(prefers-color-scheme: dark)", "print"]) {
    matchMedia(media).addEventListener("change", recolour);
  }

  return { draw, rounded, span };
})();
