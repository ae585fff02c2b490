import { drawTestScene, frameAt } from "../../painters/program/testScene.ts";
import { INPUTS, type InputNumber } from "./mixer.ts";

/** As the mixer tells it. */
interface Told {
  readonly program: InputNumber;
  readonly preview: InputNumber;
  readonly lever: number;
  readonly byItself: boolean;
  readonly heard: readonly string[];
  readonly lamps: readonly number[];
  readonly umd: string;
  readonly tallyTo: string;
  readonly oscTo: string;
  readonly film: string | null;
  /** Seconds into it. */
  readonly filmAt: number;
  readonly filmRuns: boolean;
}

const BARS = ["#fff", "#bfbf00", "#00bfbf", "#00bf00", "#bf00bf", "#bf0000", "#0000bf", "#000"] as const;
const EVERY_MS = 80;

let state: Told | undefined;

function find<E extends HTMLElement>(id: string): E {
  const element = document.getElementById(id);
  if (!element) throw new Error(`The page has no “${id}”`);
  return element as E;
}

function contextOf(id: string): CanvasRenderingContext2D {
  const context = find<HTMLCanvasElement>(id).getContext("2d");
  if (!context) throw new Error(`No canvas “${id}”`);
  return context;
}

function drawInput(context: CanvasRenderingContext2D, input: InputNumber, atMs: number): void {
  const { canvas } = context;
  const known = INPUTS.find((each) => each.input === input);
  if (known?.shows.kind === "scene") {
    drawTestScene(context, known.shows.scene, known.name, canvas, atMs);
    return;
  }
  context.fillStyle = "#000";
  context.fillRect(0, 0, canvas.width, canvas.height);
  if (known?.shows.kind === "bars")
    for (const [index, color] of BARS.entries()) {
      context.fillStyle = color;
      context.fillRect((index * canvas.width) / 8, 0, canvas.width / 8 + 1, canvas.height);
    }
  if (known?.shows.kind === "clip") {
    const frame = frameAt(atMs);
    for (let i = 0; i < 8; i++) {
      context.fillStyle = `hsl(${200 + i * 9} 40% ${18 + i * 4}%)`;
      context.fillRect(0, (i * canvas.height) / 8, canvas.width, canvas.height / 8 + 1);
    }
    context.fillStyle = "#f4ebdd";
    if (!state?.film) return;
    context.font = "600 20px sans-serif";
    context.textAlign = "center";
    context.fillText(state.film, canvas.width / 2, canvas.height * 0.4);
    context.fillRect(((frame * 3) % (canvas.width + 60)) - 60, canvas.height * 0.45, 60, 6);
  }
}

function draw(): void {
  if (!state) return;
  const atMs = Date.now();
  for (const { input } of INPUTS) drawInput(contextOf(`picture-${input}`), input, atMs);
  const program = contextOf("program-picture");
  drawInput(program, state.program, atMs);
  if (state.lever > 0) {
    program.globalAlpha = state.lever;
    drawInput(program, state.preview, atMs);
    program.globalAlpha = 1;
  }
  drawInput(contextOf("preview-picture"), state.preview, atMs);
}

const nameOf = (input: InputNumber) => INPUTS.find((each) => each.input === input)?.name ?? "";

function show(told: Told): void {
  state = told;
  find("program-name").textContent =
    `· ${nameOf(told.program)}${told.lever > 0 ? `, ${nameOf(told.preview)} comes` : ""}`;
  find("preview-name").textContent = `· ${nameOf(told.preview)}`;
  for (const { input } of INPUTS) {
    const isOn = input === told.program || (told.lever > 0 && input === told.preview);
    const isNext = input === told.preview;
    find(`input-${input}`).className = `input ${isOn ? "program" : isNext ? "preview" : ""}`;
    const lamp = told.lamps.includes(input) ? " · lamp" : "";
    find(`state-${input}`).textContent = `${isOn ? "PROGRAM" : isNext ? "PREVIEW" : ""}${lamp}`;
  }
  const lever = find<HTMLInputElement>("lever");
  if (document.activeElement !== lever || told.lever === 0) lever.value = `${told.lever}`;
  find("by-itself").setAttribute("aria-pressed", `${told.byItself}`);
  find("where").textContent =
    `Tallies go by UMD ${told.umd} to ${told.tallyTo}, messages by OSC to ${told.oscTo}.`;
  find("heard").replaceChildren(
    ...told.heard.map((line) => Object.assign(document.createElement("li"), { textContent: line })),
  );
  find("film").textContent =
    told.film === null
      ? "holds no film"
      : `${told.film}, ${told.filmAt.toFixed(1)} s in${told.filmRuns ? "" : ", stands"}`;
  draw();
}

const ask = (kind: string, value?: number | boolean | string) =>
  void fetch("/do", { method: "POST", body: JSON.stringify({ kind, value }) });

for (const button of document.querySelectorAll<HTMLButtonElement>("button[data-kind]"))
  button.addEventListener("click", () => {
    const { kind = "", value } = button.dataset;
    ask(kind, value === undefined || kind === "play" ? value : Number(value));
  });
find("by-itself").addEventListener("click", () => ask("byItself", !state?.byItself));
find<HTMLInputElement>("lever").addEventListener("input", (event) =>
  ask("lever", Number((event.target as HTMLInputElement).value)),
);
new EventSource("/events").addEventListener("message", ({ data }) => show(JSON.parse(data) as Told));
setInterval(draw, EVERY_MS);
