import { composeTimeline, type Timeline } from "../../core/screens/compose.ts";
import { cssOf, fittingMap, glassSize, IDENTITY, scaled } from "../../core/screens/fitting.ts";
import { settledUntil } from "../../core/screens/placements.ts";
import { canvasOf, type Output } from "../../core/screens/plan.ts";
import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import { type FrameReport, StageLoop } from "../../painters/stageLoop.ts";
import { Connection } from "../live/connection.ts";
import { Drawing } from "../live/drawing.ts";
import { primePlates } from "../live/primePlates.ts";
import { ShowCopy } from "../live/showCopy.ts";
import { drawTestPicture } from "../ui/drawTestPicture.ts";
import { newId } from "../ui/newId.ts";
import { makeProgramPicture } from "../ui/programPicture.ts";

const REPORT_MS = 500;
const SOON_MS = 100;
const RELOAD_FONTS_MS = 1_000;

/** The stage for the window's present size. Another size means other plates. */
interface Fitted {
  readonly plates: PlateCache;
  readonly loop: StageLoop;
  readonly stage: ElementStage;
  readonly element: HTMLElement;
  /** Lies over the picture; a test picture stands in it. */
  readonly cover: HTMLElement;
}

/**
 * Runs an output in an element that fills the window: connects, draws by the server's clock, reports.
 * The picture stays as it is whatever happens to the server.
 * @returns a function that stops it
 */
export function runOutput(
  root: HTMLElement,
  outputAtStart: Output,
  token: string,
  timeZone: string,
  hasProgram: boolean,
): () => void {
  let output = outputAtStart;
  const copy = new ShowCopy();
  let drawing: Drawing | undefined;
  let fitted: Fitted | undefined;
  let timeline: Timeline = { pieces: [] };
  let stopped = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  const tally = { firstFrameMs: 0, frames: 0, missed: 0, slowestMs: 0, paintedSeq: -1 };

  const connection = new Connection(
    token,
    newId(),
    (message) => {
      const change = copy.hear(message);
      if (message.kind === "documents")
        for (const document of Object.values(message.documents)) drawing?.look(document);
      if (change === "broken") connection.restart();
      else if (change === "outdated") location.reload();
      else if (change === "prime") primeSoon();
      else if (message.kind === "setUp") setUpAnew();
      else if (change !== "nothing") update();
    },
    (status) => {
      root.dataset.connection = status.kind;
    },
  );

  const onFrame = (report: FrameReport) => {
    tally.frames++;
    tally.missed += report.missed;
    tally.slowestMs = Math.max(tally.slowestMs, report.drawMs);
    const seq = copy.state?.seq ?? 0;
    if (seq !== tally.paintedSeq) {
      tally.paintedSeq = seq;
      tally.firstFrameMs = report.atMs;
      root.dataset.seq = `${seq}`;
      root.dataset.firstFrameMs = `${report.atMs}`;
      sendReport();
    }
    // A take begins a little ahead of now: what is about to move counts as moving.
    const settled = settledUntil(timeline, report.atMs);
    root.dataset.moving = settled === null || settled - report.atMs < SOON_MS ? "yes" : "no";
  };

  /** The screen was changed on the desk: this window becomes what it is now. */
  const setUpAnew = () => {
    const now = copy.outputs.find(({ id }) => id === output.id);
    if (!now || JSON.stringify(now) === JSON.stringify(output)) return update();
    output = now;
    makeStage();
  };

  const update = () => {
    if (!copy.state || !drawing || !fitted) return;
    const number = copy.outputs.findIndex(({ id }) => id === output.id) + 1;
    drawTestPicture(fitted.cover, output, copy.state.tests[output.id]?.picture ?? null, number);
    root.dataset.test = copy.state.tests[output.id]?.picture ?? "";
    timeline = composeTimeline(copy.state, output, drawing.dress);
    fitted.loop.setTimeline(timeline);
    root.dataset.ready = "yes";
  };

  let giveUpPriming = () => {};
  const primeSoon = () => {
    giveUpPriming();
    const { state, primed } = copy;
    if (!state || !drawing || !fitted) return;
    giveUpPriming = primePlates(primed, state, canvasOf(output), drawing.dress, fitted.plates, () => {
      root.dataset.primed = primed
        .map(({ content, step }) => `${content.slice(0, 8)}/${step.occurrence}/${step.unit}`)
        .join(" ");
    });
  };

  const makeStage = () => {
    if (!drawing) return;
    fitted?.loop.stop();
    fitted?.element.remove();
    const ratio = window.devicePixelRatio;
    const windowWidthPx = Math.round(window.innerWidth * ratio);
    const windowHeightPx = Math.round(window.innerHeight * ratio);
    const glass = glassSize(output.widthPx, output.heightPx, output.fitting);
    const scale = Math.min(windowWidthPx / glass.widthPx, windowHeightPx / glass.heightPx);
    const css = (px: number) => `${px / ratio}px`;
    const map = fittingMap(output.widthPx, output.heightPx, output.fitting) ?? IDENTITY;
    const cssScale = scale / ratio;
    const element = document.createElement("div");
    Object.assign(element.style, {
      position: "absolute",
      overflow: "hidden",
      width: css(output.widthPx * scale),
      height: css(output.heightPx * scale),
      left: css(Math.floor((windowWidthPx - glass.widthPx * scale) / 2)),
      top: css(Math.floor((windowHeightPx - glass.heightPx * scale) / 2)),
      transformOrigin: "0 0",
      transform: cssOf(scaled(map, cssScale)),
    });
    // A part of a larger canvas is that canvas, moved.
    const canvas = canvasOf(output);
    const picture = document.createElement("div");
    Object.assign(picture.style, {
      position: "absolute",
      width: css(canvas.widthPx * scale),
      height: css(canvas.heightPx * scale),
      left: css(-(output.region?.xPx ?? 0) * scale),
      top: css(-(output.region?.yPx ?? 0) * scale),
    });
    const cover = document.createElement("div");
    Object.assign(cover.style, { position: "absolute", inset: "0", zIndex: "2147483647" });
    element.append(picture, cover);
    root.append(element);
    const isKey = output.signal === "key";
    const plates = new PlateCache(drawing.kit, scale, isKey ? "key" : "fill");
    const stage = new ElementStage(picture, {
      plates,
      scale,
      pixelRatio: ratio,
      isKey,
      videos: drawing.videos(output.sound),
      ...(hasProgram ? { makeProgram: makeProgramPicture } : {}),
    });
    const loop = new StageLoop(stage, canvas, () => connection.now(), onFrame);
    fitted = { plates, loop, stage, element, cover };
    update();
    primeSoon();
  };

  const sendReport = () => {
    const ratio = window.devicePixelRatio;
    connection.send({
      kind: "painted",
      seq: Math.max(0, tally.paintedSeq),
      atMs: tally.firstFrameMs,
      frames: tally.frames,
      missed: tally.missed,
      slowestMs: tally.slowestMs,
      coldPaints: fitted?.plates.coldPaints ?? 0,
      plateBytes: fitted?.plates.bytes ?? 0,
      widthPx: Math.round(window.innerWidth * ratio),
      heightPx: Math.round(window.innerHeight * ratio),
    });
    tally.frames = 0;
    tally.missed = 0;
    tally.slowestMs = 0;
  };

  const start = async () => {
    try {
      drawing = await Drawing.load(copy.documents, timeZone);
    } catch (error) {
      // The server may be on its way down or up: the words can wait, the window must not give up.
      console.error(error);
      if (!stopped) retry = setTimeout(start, RELOAD_FONTS_MS);
      return;
    }
    if (stopped) return;
    drawing.shelf.onLoaded((file) => fitted?.plates.repaint(file));
    drawing.onChange(update);
    makeStage();
  };
  void start();

  const reporting = setInterval(sendReport, REPORT_MS);
  window.addEventListener("resize", makeStage);
  return () => {
    stopped = true;
    clearTimeout(retry);
    clearInterval(reporting);
    giveUpPriming();
    window.removeEventListener("resize", makeStage);
    fitted?.loop.stop();
    fitted?.element.remove();
    connection.close();
  };
}
