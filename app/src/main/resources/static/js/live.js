// What sensors and motors tell, on a page that is open: values, positions and alarms as they change.
"use strict";
(() => {
  const rig = document.body.dataset.live;
  const bar = () => document.getElementById("alarm-bar");
  const title = document.title;

  // Alarms: sound and speech where the person switched them on, on this device.
  const wants = (what) => {
    try {
      return localStorage.getItem("fernwort alarm " + what) === "on";
    } catch {
      return false;
    }
  };
  let tone;
  const beep = () => {
    tone ??= new AudioContext();
    for (const at of [0, 0.35, 0.7]) {
      const voice = tone.createOscillator();
      const loud = tone.createGain();
      voice.frequency.value = 880;
      loud.gain.value = 0.2;
      voice.connect(loud).connect(tone.destination);
      voice.start(tone.currentTime + at);
      voice.stop(tone.currentTime + at + 0.2);
    }
  };
  const speak = (words) => {
    if (globalThis.speechSynthesis) {
      speechSynthesis.speak(new SpeechSynthesisUtterance(words));
    }
  };
  let said = new Set();
  const call = () => {
    const calling = [...document.querySelectorAll('.alarm[data-calls="true"]')];
    const fresh = calling.filter((a) => !said.has(a.dataset.alarm));
    said = new Set(calling.map((a) => a.dataset.alarm));
    document.title = calling.length > 0 ? "(" + calling.length + "!) " + title : title;
    if (fresh.length > 0 && wants("sound")) beep();
    if (wants("speech")) fresh.forEach((a) => speak(a.querySelector("strong").textContent));
  };
  document.addEventListener("change", ({ target }) => {
    const what = target.dataset?.alarmBy;
    if (!what) return;
    try {
      localStorage.setItem("fernwort alarm " + what, target.checked ? "on" : "off");
    } catch {
      target.checked = false;
    }
    if (target.checked && what === "sound") beep();
    if (target.checked && what === "speech") speak("Alarms are spoken on this device.");
  });
  for (const box of document.querySelectorAll("[data-alarm-by]")) {
    box.checked = wants(box.dataset.alarmBy);
  }
  call();

  // Of the motors, only the one that was chosen says what is sent to it.
  const thing = document.getElementById("thing");
  const showMotor = () => {
    const [kind, , part] = thing.value.split("|");
    const moves = kind === "position" || kind === "pump";
    for (const motor of document.querySelectorAll("[data-motor]")) {
      motor.hidden = !moves || motor.dataset.motor !== part;
    }
    if (kind === "position")
      document.querySelector("[data-motor]")?.closest("details")?.setAttribute("open", "");
  };
  thing?.addEventListener("change", showMotor);
  if (thing) showMotor();
  if (!rig) return;

  const fetched = async (path) => {
    const answer = await fetch(path, { headers: { "HX-Request": "true" } });
    if (!answer.ok) return null;
    return new DOMParser().parseFromString(await answer.text(), "text/html");
  };
  const renewBar = async () => {
    const page = await fetched("/rigs/" + rig + "/alarms/bar");
    const next = page?.getElementById("alarm-bar");
    if (next && next.outerHTML !== bar().outerHTML) bar().replaceWith(next);
    call();
  };

  // Values: only what changed is written.
  const value = (row) => {
    for (const place of document.querySelectorAll(`[data-signal="${CSS.escape(row.name)}"]`)) {
      const parts = { value: row.value, state: row.state };
      for (const [key, text] of Object.entries(parts)) {
        const at = place.querySelector(`[data-live-${key}]`);
        if (at && at.textContent !== text) at.textContent = text;
      }
      place.classList.toggle("is-old", row.bad);
      place.dataset.told = Date.now();
      place.dataset.age = "0";
    }
  };

  // How old each value is, as it grows; the server knows it when the page is made.
  const age = (seconds) => {
    if (seconds < 60) return Math.round(seconds) + " s ago";
    if (seconds < 3600) return Math.round(seconds / 60) + " min ago";
    if (seconds < 86_400) return Math.round(seconds / 3600) + " h ago";
    return Math.round(seconds / 86_400) + " days ago";
  };
  setInterval(() => {
    for (const at of document.querySelectorAll("[data-signal] [data-live-age]")) {
      const row = at.closest("[data-signal]");
      if (!row.dataset.age) continue;
      row.dataset.told ||= Date.now();
      const text = age(Number(row.dataset.age) + (Date.now() - Number(row.dataset.told)) / 1000);
      if (at.textContent !== text) at.textContent = text;
    }
  }, 1000);

  // A wait that a sensor tells the end of: bar, litres and minutes to go, and the tick.
  const told = [];
  const watchWait = (row) => {
    const wait = document.querySelector(`[data-watch="${CSS.escape(row.name)}"]`);
    if (!wait || typeof row.raw !== "number" || row.bad) return;
    const from = Number(wait.dataset.from);
    const to = Number(wait.dataset.to);
    const factor = Number(wait.dataset.factor);
    const now = Date.now();
    told.push({ now, raw: row.raw });
    while (told[0].now < now - 60_000) told.shift();
    const done = Math.min(1, Math.max(0, (row.raw - from) / (to - from)));
    wait.querySelector("progress").value = done;
    const left = Math.abs(to - row.raw) * factor;
    const speed = (row.raw - told[0].raw) / Math.max(1, now - told[0].now);
    const minutes = (to - row.raw) / speed / 60_000;
    const about =
      Number.isFinite(minutes) && minutes > 0 && minutes < 600
        ? ", about " + Math.max(1, Math.round(minutes)) + " min"
        : "";
    wait.querySelector("[data-watch-text]").textContent =
      row.value +
      " now, " +
      left.toFixed(left < 20 ? 1 : 0) +
      " " +
      wait.dataset.sign +
      " to go" +
      about;
    if (done >= 0.9 && !wait.dataset.said) {
      wait.dataset.said = "nearly";
      if (wants("speech")) speak(to > from ? "Nearly full." : "Nearly empty.");
    }
    // Three in a row, so that one splash ends nothing.
    const last = told.slice(-3);
    const reached = last.length === 3 && last.every((t) => (t.raw - from) / (to - from) >= 0.99);
    if (reached && !wait.dataset.reached) {
      wait.dataset.reached = "yes";
      if (wants("sound")) beep();
      if (wants("speech")) speak("Reached. The step is ticked.");
      document.getElementById(wait.dataset.done)?.click();
    }
  };

  // The Board: what looks as before is left alone, so that nobody loses what they hold.
  const PIECES = [".sheet svg > g", ".place-card svg > g", ".panel > .now"];
  const changePieces = (board, next, selector) => {
    const old = [...board.querySelectorAll(selector)];
    const anew = [...next.querySelectorAll(selector)];
    if (old.length !== anew.length) return false;
    old.forEach((piece, i) => {
      if (piece.outerHTML === anew[i].outerHTML || piece.contains(document.activeElement)) return;
      piece.replaceWith(anew[i]);
      globalThis.htmx?.process(anew[i]);
    });
    return true;
  };
  const changeWarnings = (board, next) => {
    const old = board.querySelector(".panel > .warnings");
    const anew = next.querySelector(".panel > .warnings");
    if (old?.outerHTML === anew?.outerHTML) return;
    old?.remove();
    if (anew) board.querySelector(".panel > .now").after(anew);
  };
  let renewing = false;
  let again = false;
  const renewBoard = async () => {
    const board = document.getElementById("board");
    if (!board || board.querySelector("dialog[open]")) return;
    if (renewing) {
      again = true;
      return;
    }
    renewing = true;
    try {
      const page = await fetched("/rigs/" + rig + "/board");
      const next = page?.getElementById("board");
      if (next) {
        const same = PIECES.every((selector) => changePieces(board, next, selector));
        if (same) {
          changeWarnings(board, next);
        } else {
          board.replaceWith(next);
          globalThis.htmx?.process(next);
        }
      }
    } finally {
      renewing = false;
      if (again) {
        again = false;
        setTimeout(renewBoard, 1000);
      }
    }
  };

  const watch = () => {
    const source = new EventSource("/rigs/" + rig + "/devices/events");
    source.addEventListener("signal", ({ data }) => {
      const row = JSON.parse(data);
      value(row);
      watchWait(row);
    });
    source.addEventListener("alarm", renewBar);
    source.addEventListener("board", renewBoard);
    source.addEventListener("anew", () => {
      renewBar();
      renewBoard();
    });
  };
  watch();
})();
