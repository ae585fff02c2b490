const own = location.pathname.replace(/\/$/, "");
const find = (id) => document.getElementById(id);
const HOLD_MS = 500;
const LOOK_EVERY_MS = 500;
let isTaking = false;

const seconds = (ms) =>
  ms < 1_500
    ? "a moment ago"
    : ms < 120_000
      ? `${Math.round(ms / 1_000)} s ago`
      : `${Math.round(ms / 60_000)} min ago`;

const filesToCome = (count) =>
  count === 0
    ? ""
    : `${count === 1 ? "1 picture, clip or font is" : `${count} pictures, clips and fonts are`} still to come.`;

function show({ head, look, say, files = "", note = "", canTake }) {
  find("head").textContent = head;
  find("head").className = look;
  find("say").textContent = say;
  find("files").textContent = files;
  find("note").textContent = note;
  find("take").disabled = !canTake;
}

function tell({ leader, state }) {
  switch (state.kind) {
    case "copying":
      return show({
        head: "The show is being copied here",
        look: "",
        say:
          state.ofBytes === 0
            ? `From ${leader}.`
            : `${Math.floor((100 * state.bytes) / state.ofBytes)} % of ${(state.ofBytes / 1e6).toFixed(0)} MB, from ${leader}.`,
        canTake: false,
      });
    case "ready":
      return show({
        head: "Ready to take over",
        look: "ready",
        say: `“${state.show}” is here as it is on the first machine, ${leader}. Heard ${seconds(state.heardMsAgo)}.`,
        files: filesToCome(state.filesLeft),
        note: "The first machine gives over and stops leading. Screens keep their picture and go on from here.",
        canTake: true,
      });
    case "lost":
      return show({
        head: "The first machine is not heard",
        look: "lost",
        say:
          state.heardMsAgo === null
            ? `${leader}: ${state.why}`
            : `${leader}: ${state.why} Last heard ${seconds(state.heardMsAgo)}.${state.show === null ? "" : ` “${state.show}” is here, up to then.`}`,
        files: filesToCome(state.filesLeft),
        note:
          state.show === null
            ? "Nothing of the show is here yet, so this machine cannot lead."
            : "If it still runs, and only the network between the two is broken, stop it before you take over: until they find one another again, both would lead.",
        canTake: state.show !== null,
      });
  }
}

async function look() {
  try {
    const answer = await fetch(`${own}/state`, { cache: "no-store" });
    const state = answer.ok ? await answer.json() : { kind: "opening" };
    if (state.kind === "leads") return location.replace(own);
    if (state.kind === "follows" && !isTaking) tell(state);
    else if (state.kind === "opening") opening();
  } catch {
    show({
      head: "This machine is not reached",
      look: "lost",
      say: "Its server does not answer. Start it again; this page goes on by itself.",
      canTake: false,
    });
  }
  setTimeout(look, LOOK_EVERY_MS);
}

const opening = () =>
  show({
    head: "Taking over",
    look: "ready",
    say: "The show is being opened here. The desk comes in a moment.",
    canTake: false,
  });

async function take() {
  isTaking = true;
  find("problem").textContent = "";
  opening();
  try {
    const answer = await fetch(`${own}/take-over`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: "{}",
    });
    if (!answer.ok) find("problem").textContent = (await answer.json()).problem;
  } catch {
    find("problem").textContent = "That did not reach this machine’s server. Try again.";
  }
  isTaking = false;
}

const button = find("take");
let timer;
const release = () => {
  clearTimeout(timer);
  timer = undefined;
  button.classList.remove("held");
};
const hold = () => {
  if (button.disabled || timer !== undefined) return;
  button.classList.add("held");
  timer = setTimeout(() => {
    release();
    void take();
  }, HOLD_MS);
};
for (const name of ["pointerup", "pointerleave", "pointercancel", "blur", "keyup"])
  button.addEventListener(name, release);
button.addEventListener("pointerdown", hold);
button.addEventListener("keydown", ({ key }) => (key === "Enter" || key === " ") && hold());
look();
