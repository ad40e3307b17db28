// The script of the pocket copy: ticks and notes stay in the phone, and leave it as a table that the
// Log takes in. It asks nobody for anything.
"use strict";
(() => {
  const body = document.body;
  const copy = body.dataset.rig + " " + body.dataset.stamp;
  const place = "fernwort pocket " + copy;
  const at = (id) => document.getElementById(id);
  let kept = { ticks: {}, notes: [], look: "auto", who: "" };
  let keeps = true;

  const read = () => {
    try {
      kept = { ...kept, ...JSON.parse(localStorage.getItem(place) ?? "{}") };
    } catch {
      keeps = false;
    }
  };
  const write = () => {
    try {
      localStorage.setItem(place, JSON.stringify(kept));
    } catch {
      keeps = false;
    }
    at("unkept").hidden = keeps;
  };

  const id = () =>
    globalThis.crypto?.randomUUID?.() ??
    "pocket-" + Date.now().toString(36) + "-" + Math.random().toString(36).slice(2);

  // Ticks: each step of each way of each job by its place; a job whose last step is ticked is noted.
  const ways = [...document.querySelectorAll(".pocket-way")];
  const nameOf = (way) => way.closest("details").dataset.job;
  const ticked = (way) => [...way.querySelectorAll(".pocket-tick")];
  ways.forEach((way, w) => {
    const boxes = ticked(way);
    boxes.forEach((box, b) => {
      box.addEventListener("change", () => {
        const key = w + "." + b;
        if (box.checked) {
          kept.ticks[key] = new Date().toISOString();
        } else {
          delete kept.ticks[key];
        }
        box.closest("li").classList.toggle("is-done", box.checked);
        if (box.checked && boxes.every((other) => other.checked)) {
          note({ kind: "note", note: "Did by the pocket copy: " + nameOf(way) });
        }
        write();
      });
    });
  });

  const draw = () => {
    const list = at("kept");
    list.replaceChildren();
    for (const one of kept.notes) {
      const row = document.createElement("li");
      const what = one.kind === "reading" ? one.label + ": " + one.litres + " L" : one.note;
      row.append(new Date(one.at).toLocaleString() + ": " + what + " ");
      const away = document.createElement("button");
      away.type = "button";
      away.className = "button";
      away.textContent = "Take back";
      away.addEventListener("click", () => {
        kept.notes = kept.notes.filter((other) => other.id !== one.id);
        write();
        draw();
      });
      row.append(away);
      list.append(row);
    }
  };
  const note = (what) => {
    kept.notes.push({ id: id(), at: new Date().toISOString(), ...what });
    write();
    draw();
  };

  at("note").addEventListener("submit", (event) => {
    event.preventDefault();
    const text = at("text").value.trim();
    if (text) {
      note({ kind: "note", note: text });
      at("text").value = "";
    }
  });
  at("level").addEventListener("submit", (event) => {
    event.preventDefault();
    const litres = Number(at("litres").value.replace(",", "."));
    if (at("litres").value.trim() === "" || !(litres >= 0)) {
      at("said").textContent = "Write the litres as a number, such as 42.";
      at("litres").focus();
      return;
    }
    const tank = at("tank");
    note({
      kind: "reading",
      part: tank.value,
      label: tank.selectedOptions[0].textContent.trim(),
      litres,
    });
    at("litres").value = "";
  });

  // A cell as a table wants it; one that would be a formula is marked as the Log marks it.
  const cell = (value) => {
    const text = String(value ?? "");
    const plain = /^[=+\-@]/.test(text) ? "'" + text : text;
    return /[",\n\r]/.test(plain) ? '"' + plain.replaceAll('"', '""') + '"' : plain;
  };
  const table = () => {
    const who = at("who").value.trim();
    const rows = [["id", "at", "kind", "part", "volume (L)", "shown", "note", "who"]];
    for (const one of kept.notes) {
      rows.push(
        one.kind === "reading"
          ? [one.id, one.at, "reading", one.part, one.litres, one.litres + " L", "", who]
          : [one.id, one.at, "note", "", "", "", one.note, who],
      );
    }
    return rows.map((row) => row.map(cell).join(",")).join("\n") + "\n";
  };
  at("save").addEventListener("click", () => {
    const parts = ways
      .map((way) => [nameOf(way), ticked(way)])
      .filter(([, boxes]) => boxes.some((b) => b.checked) && !boxes.every((b) => b.checked));
    for (const [job, boxes] of parts) {
      const done = boxes.filter((b) => b.checked).length;
      note({
        kind: "note",
        note: "Begun by the pocket copy: " + job + ", " + done + " of " + boxes.length + " steps",
      });
    }
    if (kept.notes.length === 0) {
      at("said").textContent = "There is nothing to save yet.";
      return;
    }
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([table()], { type: "text/csv" }));
    link.download = body.dataset.rig + "-notes.csv";
    link.click();
    at("said").textContent =
      "Saved as " + link.download + ". Give it to whoever runs Fernwort: Log, Import a log.";
  });

  at("look").addEventListener("change", () => {
    kept.look = at("look").value;
    document.documentElement.dataset.theme = kept.look;
    write();
  });
  at("who").addEventListener("change", () => {
    kept.who = at("who").value;
    write();
  });
  at("print").addEventListener("click", () => print());
  addEventListener("beforeprint", () => {
    document.querySelectorAll("details").forEach((d) => (d.open = true));
  });

  let zoom = 1;
  document.querySelectorAll("[data-zoom]").forEach((button) =>
    button.addEventListener("click", () => {
      const by = Number(button.dataset.zoom);
      zoom = by === 0 ? 1 : Math.min(8, Math.max(1, zoom * by));
      document.querySelector(".pocket-drawing svg").style.width = 100 * zoom + "%";
    }),
  );

  read();
  const over = at("over");
  if (over && new Date() > new Date(new Date(over.dataset.until + " 23:59"))) {
    over.hidden = false;
  }
  document.documentElement.dataset.theme = kept.look;
  at("look").value = kept.look;
  if (kept.who) {
    at("who").value = kept.who;
  }
  ways.forEach((way, w) =>
    ticked(way).forEach((box, b) => {
      box.checked = Boolean(kept.ticks[w + "." + b]);
      box.closest("li").classList.toggle("is-done", box.checked);
    }),
  );
  write();
  draw();
})();
