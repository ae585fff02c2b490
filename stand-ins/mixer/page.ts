import { INPUTS } from "./mixer.ts";
import { FILMS } from "./player.ts";

const STYLE = `
  * { box-sizing: border-box; }
  body { margin: 0; padding: 16px; background: #15110f; color: #f4ebdd; font: 16px/1.4 sans-serif; }
  h1 { margin: 0 0 12px; font-size: 20px; }
  h2 { margin: 0 0 4px; font-size: 16px; font-weight: 600; }
  p { margin: 4px 0; color: #b9aa9a; }
  canvas { display: block; width: 100%; background: #000; border-radius: 6px; }
  .buses { display: grid; grid-template-columns: 1fr 1fr; gap: 16px; }
  .bus { padding: 8px; border: 3px solid #3a302a; border-radius: 10px; }
  #program-bus { border-color: #ff5b39; }
  #preview-bus { border-style: dashed; border-color: #f6b73c; }
  .inputs { display: grid; grid-template-columns: repeat(7, 1fr); gap: 10px; margin-top: 16px; }
  .input { padding: 6px; border: 3px solid #3a302a; border-radius: 8px; background: #1d1815; }
  .input.program { border-color: #ff5b39; }
  .input.preview { border-style: dashed; border-color: #f6b73c; }
  .state { min-height: 22px; font-weight: 600; }
  button { min-height: 36px; padding: 0 12px; border: 1px solid #3a302a; border-radius: 6px; background: #27201c; color: inherit; font: inherit; cursor: pointer; }
  button:hover { background: #3a302a; }
  button:focus-visible, input:focus-visible { outline: 2px solid #7fc8b5; outline-offset: 2px; }
  button[aria-pressed="true"] { background: #7fc8b5; color: #15110f; }
  .input button { width: 100%; margin-top: 6px; padding: 0; }
  .controls { display: flex; flex-wrap: wrap; align-items: center; gap: 10px; margin-top: 16px; }
  .controls label { display: flex; align-items: center; gap: 8px; }
  #lever { width: 220px; accent-color: #7fc8b5; }
  #heard { margin: 6px 0 0; padding: 0; list-style: none; font-family: monospace; min-height: 90px; }
  @media (max-width: 900px) { .inputs { grid-template-columns: repeat(4, 1fr); } }
`;

const tile = ({ input, name }: (typeof INPUTS)[number]) => `
  <div class="input" id="input-${input}">
    <h2>${input} ${name}</h2>
    <canvas id="picture-${input}" width="320" height="180" role="img" aria-label="${name}"></canvas>
    <div class="state" id="state-${input}"></div>
    <button type="button" data-kind="preview" data-value="${input}">to preview</button>
    <button type="button" data-kind="program" data-value="${input}">to program</button>
  </div>`;

/** The mixer's own page. */
export const pageOf = (): string => `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>Simulated mixer</title><link rel="icon" href="data:,"><style>${STYLE}</style></head>
<body>
  <h1>Simulated mixer</h1>
  <div class="buses">
    <section class="bus" id="program-bus" aria-label="Program">
      <h2>PROGRAM <span id="program-name"></span></h2>
      <canvas id="program-picture" width="640" height="360" role="img" aria-label="Program"></canvas>
    </section>
    <section class="bus" id="preview-bus" aria-label="Preview">
      <h2>PREVIEW <span id="preview-name"></span></h2>
      <canvas id="preview-picture" width="640" height="360" role="img" aria-label="Preview"></canvas>
    </section>
  </div>
  <div class="controls">
    <button type="button" data-kind="cut">Cut</button>
    <button type="button" data-kind="mix" data-value="1000">Mix in 1 s</button>
    <label>Lever <input type="range" id="lever" min="0" max="1" step="0.01" value="0"></label>
    <button type="button" id="by-itself" aria-pressed="false">Changes by itself</button>
  </div>
  <section class="controls" aria-label="Player">
    <strong>Player</strong>
    ${FILMS.map(({ name, seconds }) => `<button type="button" data-kind="play" data-value="${name}">${name}, ${seconds} s</button>`).join("")}
    <button type="button" data-kind="pause">Pause</button>
    <button type="button" data-kind="goOn">Go on</button>
    <button type="button" data-kind="stop">Stop</button>
    <span id="film"></span>
  </section>
  <section class="inputs" aria-label="Inputs">${INPUTS.map(tile).join("")}</section>
  <section aria-label="Heard" style="margin-top: 16px">
    <p id="where"></p>
    <h2>What others have sent</h2>
    <ul id="heard"></ul>
  </section>
  <script src="/page.js"></script>
</body>
</html>`;
