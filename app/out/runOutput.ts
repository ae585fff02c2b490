import { composeTimeline, type Timeline } from "../../core/screens/compose.ts";
import { settledUntil } from "../../core/screens/placements.ts";
import type { Output } from "../../core/screens/plan.ts";
import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import { type FrameReport, StageLoop } from "../../painters/stageLoop.ts";
import { Connection } from "../live/connection.ts";
import { Drawing } from "../live/drawing.ts";
import { primePlates } from "../live/primePlates.ts";
import { ShowCopy } from "../live/showCopy.ts";
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
}

/**
 * Runs an output in an element that fills the window: connects, draws by the server's clock, reports.
 * The picture stays as it is whatever happens to the server.
 * @returns a function that stops it
 */
export function runOutput(
  root: HTMLElement,
  output: Output,
  token: string,
  timeZone: string,
  hasProgram: boolean,
): () => void {
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

  const update = () => {
    if (!copy.state || !drawing || !fitted) return;
    timeline = composeTimeline(copy.state, output, drawing.dress);
    fitted.loop.setTimeline(timeline);
    root.dataset.ready = "yes";
  };

  let giveUpPriming = () => {};
  const primeSoon = () => {
    giveUpPriming();
    const { state, primed } = copy;
    if (!state || !drawing || !fitted) return;
    giveUpPriming = primePlates(primed, state, output, drawing.dress, fitted.plates, () => {
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
    const scale = Math.min(windowWidthPx / output.widthPx, windowHeightPx / output.heightPx);
    const element = document.createElement("div");
    const css = (px: number) => `${px / ratio}px`;
    element.style.position = "absolute";
    element.style.overflow = "hidden";
    element.style.width = css(output.widthPx * scale);
    element.style.height = css(output.heightPx * scale);
    element.style.left = css(Math.floor((windowWidthPx - output.widthPx * scale) / 2));
    element.style.top = css(Math.floor((windowHeightPx - output.heightPx * scale) / 2));
    root.append(element);
    const isKey = output.signal === "key";
    const plates = new PlateCache(drawing.kit, scale, isKey ? "key" : "fill");
    const stage = new ElementStage(element, {
      plates,
      scale,
      pixelRatio: ratio,
      isKey,
      videos: drawing.videos(output.sound),
      ...(hasProgram ? { makeProgram: makeProgramPicture } : {}),
    });
    const loop = new StageLoop(stage, output, () => connection.now(), onFrame);
    fitted = { plates, loop, stage, element };
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
