import { wornIn } from "../../core/rundown/content.ts";
import { composeTimeline } from "../../core/screens/compose.ts";
import type { Timeline } from "../../core/screens/piece.ts";
import { settledUntil } from "../../core/screens/placements.ts";
import { canvasOf, type Output } from "../../core/screens/plan.ts";
import { contentsOf } from "../../core/show/state.ts";
import { FRAME_RATES, type FrameRateName, framesPerSecond } from "../../core/time/timecode.ts";
import { hasGpu } from "../../painters/hasGpu.ts";
import { type FrameReport, StageLoop } from "../../painters/stageLoop.ts";
import { Connection } from "../live/connection.ts";
import { Drawing } from "../live/drawing.ts";
import { primePlates } from "../live/primePlates.ts";
import { ShowCopy } from "../live/showCopy.ts";
import { drawTestPicture } from "../ui/drawTestPicture.ts";
import { newId } from "../ui/newId.ts";
import { type Glass, makeGlass } from "./glass.ts";
import { groundOf } from "./ground.ts";
import { coverWith, findKeptShow, keepPage, keepShow, loadStandBy } from "./standBy.ts";
import { Ticks } from "./ticks.ts";

const REPORT_MS = 500;
const SOON_MS = 100;
const RELOAD_FONTS_MS = 1_000;
/** The show is kept for a start without the server once it has been quiet for this long. */
const KEEP_AFTER_MS = 1_500;

/** Browsers draw 60 frames a second; a slower output places its frames by the clock at its own rate. */
const FASTEST_OWN_RATE = 59;
const ownFrameMs = (rate: FrameRateName): number | null => {
  const perSecond = framesPerSecond(FRAME_RATES[rate]);
  return perSecond < FASTEST_OWN_RATE ? 1_000 / perSecond : null;
};

/** The stage for the window's present size. Another size means other plates. */
interface Fitted extends Glass {
  readonly loop: StageLoop;
}

/**
 * Runs an output in an element that fills the window: connects, draws by the server's clock, reports.
 * The picture stays as it is whatever happens to the server; started without one, it shows its stand-by.
 * @returns a function that stops it
 */
export function runOutput(
  root: HTMLElement,
  outputAtStart: Output,
  token: string,
  timeZone: string,
  overPicture: boolean,
): () => void {
  let output = outputAtStart;
  const copy = new ShowCopy();
  let drawing: Drawing | undefined;
  let fitted: Fitted | undefined;
  let timeline: Timeline = { pieces: [] };
  let stopped = false;
  let isWelcome = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let keeping: ReturnType<typeof setTimeout> | undefined;
  const tally = { firstFrameMs: 0, frames: 0, missed: 0, slowestMs: 0, paintedSeq: -1 };
  // Looking for one starts the browser's 3D machinery: only where the answer matters.
  let isGpu: boolean | null = null;
  const stopKeeping = keepPage();

  const windowId = newId();
  const connection = new Connection(
    () => ({ token, windowId }),
    (message) => {
      const change = copy.hear(message);
      if (message.kind === "welcome") isWelcome = true;
      if (message.kind === "documents")
        for (const document of Object.values(message.documents)) drawing?.look(document);
      if (change === "broken") connection.restart();
      else if (change === "outdated") location.reload();
      else if (change === "prime") primeSoon();
      else if (message.kind === "setUp") setUpAnew();
      else if (change !== "nothing") update();
      if (change === "state" && isWelcome) keepSoon();
    },
    (status) => {
      root.dataset.connection = status.kind;
      if (status.kind === "lost" && !isWelcome) void standBy();
    },
  );
  const ticks = new Ticks(() => connection.now());

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
    for (const cover of fitted.covers) coverWith(cover, null);
    drawTest();
    timeline = composeTimeline(copy.state, output, drawing.dress);
    fitted.loop.setTimeline(timeline);
    root.dataset.ready = "yes";
  };

  const drawTest = () => {
    const number = copy.outputs.findIndex(({ id }) => id === output.id) + 1;
    const test = copy.state?.tests[output.id]?.picture ?? null;
    for (const cover of fitted?.covers ?? [])
      drawTestPicture(cover, output, test, number, () => connection.now());
    ticks.set(test === "sync" && output.sound);
    root.dataset.test = test ?? "";
  };

  /** There has been no server since this window was opened. */
  const standBy = async () => {
    const { show } = output.standBy;
    root.dataset.standBy = show;
    if (output.standBy.show === "picture") {
      for (const cover of fitted?.covers ?? []) coverWith(cover, output.standBy.file);
      return;
    }
    const kept = show === "last" ? await findKeptShow(token) : undefined;
    if (!kept || isWelcome) return;
    copy.learn(kept);
    for (const document of copy.documents.values()) drawing?.look(document);
    update();
  };

  const keepSoon = () => {
    clearTimeout(keeping);
    keeping = setTimeout(() => {
      const { state, outputs, plans } = copy;
      if (!state) return;
      const documents = Object.fromEntries(
        [...contentsOf(state)].flatMap((hash) => {
          const content = copy.documents.get(hash);
          const needed = content?.kind === "page" ? [hash, ...wornIn(content), ...content.media] : [];
          return needed.flatMap((each) => {
            const document = copy.documents.get(each);
            return document ? [[each, document] as const] : [];
          });
        }),
      );
      keepShow(token, { state, outputs, plans, documents }).catch((error) => console.warn(error));
    }, KEEP_AFTER_MS);
  };

  let giveUpPriming = () => {};
  const primeSoon = () => {
    giveUpPriming();
    const { state, primed } = copy;
    const { dress } = drawing ?? {};
    if (!state || !dress || !fitted) return;
    const onDone = () => {
      root.dataset.primed = primed
        .map(({ content, step }) => `${content.slice(0, 8)}/${step.occurrence}/${step.unit}`)
        .join(" ");
    };
    const endings = fitted.caches.map((plates) =>
      primePlates(primed, state, canvasOf(output), dress, plates, onDone),
    );
    giveUpPriming = () => {
      for (const end of endings) end();
    };
  };

  const makeStage = () => {
    if (!drawing) return;
    fitted?.loop.stop();
    fitted?.element.remove();
    for (const element of [document.documentElement, document.body])
      element.style.background = groundOf(output, overPicture);
    loadStandBy(output, copy.state?.standBy ?? null);
    const glass = makeGlass(root, output, drawing, overPicture || output.program);
    const loop = new StageLoop(
      glass.stage,
      canvasOf(output),
      () => connection.now(),
      onFrame,
      0,
      ownFrameMs(output.frameRate),
    );
    fitted = { ...glass, loop };
    update();
    if (root.dataset.connection === "lost" && !isWelcome) void standBy();
    primeSoon();
  };

  const sendReport = () => {
    const ratio = window.devicePixelRatio;
    const sum = (of: "coldPaints" | "bytes") =>
      (fitted?.caches ?? []).reduce((total, cache) => total + cache[of], 0);
    const sound = output.sound ? ticks.ask() : "off";
    root.dataset.sound = sound;
    if (output.trim.brightness !== 1 || output.trim.gamma !== 1) isGpu ??= hasGpu();
    if (root.dataset.test) drawTest();
    connection.send({
      kind: "painted",
      seq: Math.max(0, tally.paintedSeq),
      atMs: tally.firstFrameMs,
      frames: tally.frames,
      missed: tally.missed,
      slowestMs: tally.slowestMs,
      coldPaints: sum("coldPaints"),
      plateBytes: sum("bytes"),
      widthPx: Math.round(window.innerWidth * ratio),
      heightPx: Math.round(window.innerHeight * ratio),
      clock: connection.clock,
      isHidden: document.hidden,
      sound,
      hasGpu: isGpu,
      isSecure: window.isSecureContext,
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
    drawing.shelf.onLoaded((file) => {
      for (const cache of fitted?.caches ?? []) cache.repaint(file);
    });
    drawing.onChange(update);
    makeStage();
  };
  void start();

  const reporting = setInterval(sendReport, REPORT_MS);
  const onHidden = () => sendReport();
  const toFullScreen = () => void document.documentElement.requestFullscreen?.().catch(() => undefined);
  window.addEventListener("resize", makeStage);
  document.addEventListener("visibilitychange", onHidden);
  root.addEventListener("dblclick", toFullScreen);
  return () => {
    stopped = true;
    clearTimeout(retry);
    clearTimeout(keeping);
    stopKeeping();
    clearInterval(reporting);
    giveUpPriming();
    ticks.close();
    window.removeEventListener("resize", makeStage);
    document.removeEventListener("visibilitychange", onHidden);
    root.removeEventListener("dblclick", toFullScreen);
    fitted?.loop.stop();
    fitted?.element.remove();
    connection.close();
  };
}
