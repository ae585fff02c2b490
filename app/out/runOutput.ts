import { composeTimeline } from "../../core/compose/compose.ts";
import type { Timeline } from "../../core/compose/piece.ts";
import { settledUntil } from "../../core/compose/stillUntil.ts";
import type { ShowState } from "../../core/show/state.ts";
import { NO_CHAINS, pageTable, withValuesOf } from "../../core/values/liveChain.ts";
import { needsGpu, type Pace, paceOf } from "../../core/venue/pace.ts";
import { canvasOf, type Output } from "../../core/venue/plan.ts";
import { hasGpu } from "../../painters/hasGpu.ts";
import { isSameProgram } from "../../painters/program/shownSource.ts";
import { type FrameReport, StageLoop } from "../../painters/stageLoop.ts";
import { newId } from "../api/newId.ts";
import { chainsInSight } from "../live/chainsInSight.ts";
import { onCameraChosen } from "../live/chosenCamera.ts";
import { Connection } from "../live/connection.ts";
import { Drawing } from "../live/drawing.ts";
import { preloadPlates } from "../live/preloadPlates.ts";
import { openProgram } from "../live/program.ts";
import { ShowCopy } from "../live/showCopy.ts";
import { drawTestPicture } from "../pictures/drawTestPicture.ts";
import { FrameTally } from "./frameTally.ts";
import { type Glass, makeGlass } from "./glass.ts";
import { GoOver, tellWhole } from "./goOver.ts";
import { groundOf } from "./ground.ts";
import { measureScreen } from "./measureScreen.ts";
import { ShowKeeping } from "./showKeeping.ts";
import { coverWith, findKeptShow, keepPage, loadStandBy } from "./standBy.ts";
import { Ticks } from "./ticks.ts";

const REPORT_MS = 500;
const SOON_MS = 100;
const PRELOAD_VALUES_EVERY_MS = 1_000;
const RELOAD_FONTS_MS = 1_000;

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
  let chains = NO_CHAINS;
  let stopped = false;
  let isWelcome = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  const keeping = new ShowKeeping(token, copy);
  const tally = new FrameTally();
  // Looking for one starts the browser's 3D machinery: only where the answer matters.
  let isGpu: boolean | null = null;
  let screenHz: number | null = null;
  let pace: Pace = paceOf(output.frameRate, screenHz);
  const endMeasuring = measureScreen((hz) => {
    screenHz = hz;
    choosePace();
  });
  const stopKeeping = keepPage();
  const goOver = new GoOver(token, () => stop());

  const windowId = newId();
  const connection = new Connection(
    () => ({ token, windowId }),
    (message) => {
      const change = copy.hear(message);
      if (message.kind === "welcome") isWelcome = true;
      if (message.kind === "second") goOver.learn(message.address);
      if (message.kind === "documents")
        for (const document of Object.values(message.documents)) drawing?.loadFontsFor(document);
      if (message.kind === "values") drawing?.loadFontsForValues(message.changes);
      if (message.kind === "allValues") drawing?.loadFontsForValues(message.values);
      if (change === "broken") connection.restart();
      else if (change === "outdated") location.reload();
      else if (change === "preload") preloadSoon();
      else if (message.kind === "setUp") setUpAnew();
      else if (change === "values") fill();
      else if (change === "sources") showProgram();
      else if (change !== "nothing") update();
      if (change === "state" && isWelcome) keeping.soon();
    },
    (status) => {
      root.dataset.connection = status.kind;
      if (status.kind === "open") goOver.heard();
      else if (status.kind === "lost" || status.kind === "silent") goOver.lost();
      if (status.kind === "lost" && !isWelcome) void standBy();
    },
    { isWatchful: true },
  );
  const ticks = new Ticks(() => connection.now());
  const program = openProgram(
    "output",
    () => connection.now(),
    () => output.sound,
  );
  let programShown: ShowState | undefined;
  const endCameras = onCameraChosen(() => program.chooseAnew());

  const onFrame = (report: FrameReport) => {
    const seq = copy.state?.seq ?? 0;
    if (tally.add(report, seq)) {
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
    if (!isSameProgram(copy.state, programShown)) showProgram();
    drawTest();
    chains = chainsInSight(copy.chains, copy.state, chains);
    timeline = composeTimeline(copy.state, output, drawing.dress, chains);
    fitted.loop.setTimeline(timeline);
    root.dataset.ready = "yes";
  };

  /** What fills pages is other now: that is of no matter where none of them is seen. */
  const fill = () => {
    if (copy.state && chainsInSight(copy.chains, copy.state, chains) !== chains) update();
    // Begun anew with each of many changes in a second, nothing would ever be ready.
    if (copy.preloaded.some((target) => copy.values.tables[pageTable(target)]))
      preloading ??= setTimeout(preloadSoon, PRELOAD_VALUES_EVERY_MS);
  };

  const showProgram = () => {
    programShown = copy.state;
    program.show(copy.onProgram);
    root.dataset.program = copy.onProgram.map(({ source }) => source.id).join(" ");
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
    for (const document of copy.documents.values()) drawing?.loadFontsFor(document);
    update();
  };

  let giveUpPreloading = () => {};
  let preloading: ReturnType<typeof setTimeout> | undefined;
  const preloadSoon = () => {
    clearTimeout(preloading);
    preloading = undefined;
    giveUpPreloading();
    program.makeReady(copy.clipAhead);
    const { state, preloaded } = copy;
    if (!state || !drawing || !fitted) return;
    giveUpPreloading = preloadPlates({
      targets: preloaded.map((target) => withValuesOf(target, copy.values)),
      state,
      output: canvasOf(output),
      drawing,
      caches: fitted.caches,
      isMoving: () => root.dataset.moving === "yes",
      onDone: () => {
        root.dataset.preloaded = preloaded
          .map(({ content, step }) => `${content.slice(0, 8)}/${step.occurrence}/${step.unit}`)
          .join(" ");
      },
    });
  };

  /** By what its window and its screen are now. */
  const choosePace = () => {
    const pixels = window.innerWidth * window.innerHeight * window.devicePixelRatio ** 2;
    const { brightness, gamma } = output.trim;
    if (needsGpu(pixels) || brightness !== 1 || gamma !== 1) isGpu ??= hasGpu();
    pace = paceOf(output.frameRate, screenHz);
    fitted?.loop.setPace(pace);
  };

  const makeStage = () => {
    if (!drawing) return;
    choosePace();
    fitted?.loop.stop();
    fitted?.element.remove();
    for (const element of [document.documentElement, document.body])
      element.style.background = groundOf(output, overPicture);
    loadStandBy(output, copy.state?.standBy ?? null, drawing.shelf);
    const glass = makeGlass(root, output, drawing, {
      // A keyer's halves are over black: what lies beneath comes from the mixer itself.
      isOver: overPicture && output.backdrop === "transparent" && output.signal === "picture",
      make: overPicture || output.program ? () => program.makeElement() : null,
    });
    const loop = new StageLoop(glass.stage, canvasOf(output), () => connection.now(), onFrame, pace);
    fitted = { ...glass, loop };
    update();
    if (root.dataset.connection === "lost" && !isWelcome) void standBy();
    preloadSoon();
  };

  const sendReport = () => {
    const ratio = window.devicePixelRatio;
    const sum = (of: "coldPaints" | "bytes") =>
      (fitted?.caches ?? []).reduce((total, cache) => total + cache[of], 0);
    const sound = output.sound ? ticks.ask() : "off";
    root.dataset.sound = sound;
    if (root.dataset.test) drawTest();
    connection.send({
      kind: "painted",
      ...tally.take(),
      coldPaints: sum("coldPaints"),
      plateBytes: sum("bytes"),
      widthPx: Math.round(window.innerWidth * ratio),
      heightPx: Math.round(window.innerHeight * ratio),
      clock: connection.clock,
      isHidden: document.hidden,
      sound,
      hasGpu: isGpu,
      screenHz,
      perSecond: pace.perSecond,
      isSecure: window.isSecureContext,
    });
  };

  const start = async () => {
    try {
      drawing = await Drawing.load(copy.documents, timeZone);
      drawing.loadFontsForValues(copy.values);
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
  const isWhole = () =>
    root.dataset.ready === "yes" &&
    drawing?.isWhole === true &&
    [...root.querySelectorAll("video")].every(
      ({ readyState, error }) => readyState >= HTMLMediaElement.HAVE_CURRENT_DATA || error !== null,
    );
  const stopTelling = tellWhole(isWhole);
  const stop = () => {
    if (stopped) return;
    stopped = true;
    endMeasuring();
    goOver.close();
    stopTelling();
    clearTimeout(retry);
    keeping.close();
    stopKeeping();
    clearInterval(reporting);
    giveUpPreloading();
    clearTimeout(preloading);
    ticks.close();
    window.removeEventListener("resize", makeStage);
    document.removeEventListener("visibilitychange", onHidden);
    root.removeEventListener("dblclick", toFullScreen);
    fitted?.loop.stop();
    fitted?.element.remove();
    drawing?.close();
    connection.close();
    endCameras();
    program.close();
  };
  return stop;
}
