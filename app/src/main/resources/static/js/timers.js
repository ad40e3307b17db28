// Waits on a run sheet: each timer counts down from when it was begun, and sounds once at its end.
const sounded = new Set();

function soundTimer() {
  const context = new AudioContext();
  [0, 0.35, 0.7].forEach((at) => {
    const tone = context.createOscillator();
    const loudness = context.createGain();
    tone.frequency.value = 880;
    loudness.gain.value = 0.25;
    tone.connect(loudness).connect(context.destination);
    tone.start(context.currentTime + at);
    tone.stop(context.currentTime + at + 0.2);
  });
}

function showTimer(timer) {
  const end = Number(timer.dataset.begun) + 1000 * Number(timer.dataset.seconds);
  const left = Math.round((end - Date.now()) / 1000);
  const whole = Math.abs(left);
  const clock = `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
  timer.textContent = left >= 0 ? `${clock} to go` : `over by ${clock}`;
  timer.classList.toggle("is-over", left < 0);
  if (left <= 0 && left > -5 && !sounded.has(timer.dataset.begun)) {
    sounded.add(timer.dataset.begun);
    soundTimer();
  }
}

setInterval(() => document.querySelectorAll(".timer").forEach(showTimer), 500);
