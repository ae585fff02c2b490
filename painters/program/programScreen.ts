import { type ClipPlay, clipPositionMs, isRunning } from "../../core/clips/clipPlay.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { FrameWait } from "../frameWait.ts";
import { keepInStep, loadAnewOnError } from "../keepInStep.ts";
import { playAloud } from "../playAloud.ts";
import { drawBars } from "./drawBars.ts";
import { type ShownSource, shareOf } from "./shownSource.ts";
import { drawTestScene, SCENE_FRAME_MS } from "./testScene.ts";

export interface ProgramParts {
  /** Server time. */
  readonly now: () => number;
  readonly addressOf: (file: string) => string;
  /** A picture that fills a box while nothing is known to be on program. */
  readonly standIn: string;
  /** The camera of this machine that was chosen for a source; null where none was. */
  readonly findCamera: (sourceId: string) => Promise<MediaStream | null>;
  /** Whether the clip that plays is heard here. */
  readonly isHeard: () => boolean;
  /** Pictures of a scene in a second. */
  readonly framesPerSecond: number;
  /** How wide they are drawn. */
  readonly widthPx: () => number;
}

/** One source in one box. */
interface Shown {
  readonly element: HTMLElement;
  readonly draw: ((atMs: number) => void) | null;
  readonly discard: () => void;
  /** The same clip is paused, goes on or has jumped. */
  readonly follow?: (play: ClipPlay | null) => void;
  /** It has its first picture; absent: at once. */
  readonly hasPicture?: Promise<unknown>;
}

interface Box {
  readonly element: HTMLElement;
  readonly shown: Map<string, Shown>;
  readonly madeAtMs: number;
}

/** A box that was made and never stood in the page is given up after this. */
const TAKEN_UP_WITHIN_MS = 5_000;
const KEEP_IN_STEP_EVERY_MS = 500;
/** A clip whose picture takes longer than this leaves what was there before it no longer. */
const PICTURE_WITHIN_MS = 2_000;
/** So many sources at once are drawn as often as one is. */
const MOST_AT_FULL_RATE = 2;

/** The program picture in a window: every box that shows it, kept as the mixer has it. It costs nothing where no box shows it. */
export class ProgramScreen {
  readonly #parts: ProgramParts;
  readonly #boxes = new Set<Box>();
  #sources: readonly ShownSource[] = [];
  readonly #wait = new FrameWait(() => this.#onFrame());
  #drawnFrame = -1;
  /** Films of the player, in the order in which they were made, with the play that they show. */
  readonly #films = new Map<HTMLVideoElement, { readonly begunAtMs: number; isRefused: boolean }>();
  /** What comes next, and its film once a box is there for it. */
  #ahead: MediaInfo | null = null;
  #aheadFilm: HTMLVideoElement | null = null;

  constructor(parts: ProgramParts) {
    this.#parts = parts;
  }

  /** An element that shows the program picture and fills whatever box it is given; it is let go once it has left the page. */
  makeElement(): HTMLElement {
    const element = document.createElement("div");
    element.style.background = `#3a3330 url(${this.#parts.standIn}) center / cover`;
    element.style.overflow = "hidden";
    element.dataset.beneath = "program";
    const box: Box = { element, shown: new Map(), madeAtMs: performance.now() };
    this.#boxes.add(box);
    this.#fill(box);
    this.#fetchAhead();
    this.#wait.next();
    return element;
  }

  /** The clip that comes next: its film is fetched and has its first picture, so that it begins at once. */
  makeReady(media: MediaInfo | null): void {
    if (media?.file === this.#ahead?.file) return;
    this.#dropAhead();
    this.#ahead = media;
    this.#fetchAhead();
  }

  show(sources: readonly ShownSource[]): void {
    this.#sources = sources;
    for (const box of this.#boxes) this.#fill(box);
    this.#drawnFrame = -1;
    this.#wait.next();
  }

  /** A camera of this machine was chosen, or another: those in sight are opened anew. */
  chooseAnew(): void {
    for (const box of this.#boxes) {
      empty(box);
      this.#fill(box);
    }
  }

  close(): void {
    this.#wait.stop();
    this.#dropAhead();
    for (const box of this.#boxes) this.#letGo(box);
  }

  #fill({ element, shown }: Box): void {
    const wanted = new Map(this.#sources.map((source) => [markOf(source), source]));
    const gone = new Map<string | undefined, Shown>();
    for (const [mark, item] of shown)
      if (!wanted.has(mark)) {
        gone.set(item.element.dataset.source, item);
        shown.delete(mark);
      }
    for (const [mark, source] of wanted) {
      const known = shown.get(mark);
      known?.follow?.(source.play);
      const item = known ?? this.#make(source);
      shown.set(mark, item);
      const before = gone.get(source.source.id);
      if (before && item.hasPicture) {
        // What was there stays beneath until the next has a picture: between two clips nothing is black.
        gone.delete(source.source.id);
        before.element.dataset.source = "";
        void item.hasPicture.then(() => letGo(before));
      }
      const index = [...wanted.keys()].indexOf(mark);
      item.element.style.opacity = `${shareOf(index)}`;
      item.element.dataset.source = source.source.id;
      // At the end of those before it: the order is that in which they came.
      element.append(item.element);
    }
    for (const item of gone.values()) letGo(item);
  }

  #make({ source, media, play }: ShownSource): Shown {
    const { picture } = source;
    switch (picture.kind) {
      case "player":
        return media ? this.#media(media, play) : shownAs(blackBox(), null);
      case "scene": {
        const { canvas, context } = this.#canvas();
        return shownAs(canvas, (atMs) => drawTestScene(context, picture.scene, source.name, canvas, atMs));
      }
      case "bars":
      case "black": {
        const { canvas, context } = this.#canvas();
        if (picture.kind === "bars") drawBars(context, canvas);
        return shownAs(canvas, null);
      }
      case "media":
        return media ? this.#media(media, null) : shownAs(blackBox(), null);
      case "camera":
        return this.#camera(source.id);
      case "screen":
        // Shown in itself it would have no end.
        return shownAs(blackBox(), null);
    }
  }

  #canvas() {
    const canvas = document.createElement("canvas");
    canvas.width = this.#parts.widthPx();
    canvas.height = Math.round((canvas.width * 9) / 16);
    const context = canvas.getContext("2d", { alpha: false });
    if (!context) throw new Error(`No canvas of ${canvas.width}×${canvas.height}`);
    return { canvas, context };
  }

  /** @param play the player's; null: it runs round and round by the clock */
  #media(media: MediaInfo, begun: ClipPlay | null): Shown {
    let play = begun;
    const { addressOf, now } = this.#parts;
    if (media.type !== "video") {
      const image = Object.assign(new Image(), { src: addressOf(media.file) });
      return shownAs(image, null);
    }
    const video = (begun && this.#takeAhead(media)) ?? filmOf(addressOf(media.file));
    const end = new AbortController();
    if (begun) this.#films.set(video, { begunAtMs: begun.begunAtMs, isRefused: false });
    const atEnd = !play || play.atEnd === "loop" ? "loop" : "hold";
    video.loop = atEnd === "loop";
    loadAnewOnError(video, end.signal);
    const durationMs = media.durationMs ?? 1;
    const playHere = async () => {
      const isRefused = await playAloud(video);
      const film = this.#films.get(video);
      if (film && isRefused) film.isRefused = true;
    };
    const step = () => {
      if (begun) this.#chooseHeard(begun.begunAtMs);
      // By the clock alone, so that every screen shows the same of it.
      keepInStep(
        video,
        play
          ? { positionMs: clipPositionMs(play, now()), isPlaying: isRunning(play, now()) }
          : { positionMs: now() % durationMs, isPlaying: true },
        { durationMs, atEnd },
        () => void playHere(),
      );
    };
    step();
    const timer = setInterval(step, KEEP_IN_STEP_EVERY_MS);
    const hasPicture = new Promise<void>((done) => {
      const resolve = () => done();
      if (video.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA) resolve();
      video.addEventListener("loadeddata", resolve, { once: true });
      setTimeout(resolve, PICTURE_WITHIN_MS);
    });
    return {
      ...shownAs(video, null),
      hasPicture,
      follow: (now) => {
        play = now;
        step();
      },
      discard: () => {
        this.#films.delete(video);
        clearInterval(timer);
        end.abort();
        unload(video);
      },
    };
  }

  /** In several boxes of one window a play is heard once: in the first that stands there; while none does yet, in the newest. */
  #chooseHeard(begunAtMs: number): void {
    const films = [...this.#films].filter(([, film]) => film.begunAtMs === begunAtMs);
    const heard = films.find(([{ isConnected }]) => isConnected) ?? films.at(-1);
    for (const film of films) film[0].muted = film !== heard || film[1].isRefused || !this.#parts.isHeard();
  }

  #fetchAhead(): void {
    if (this.#ahead?.type === "video" && this.#boxes.size > 0)
      this.#aheadFilm ??= filmOf(this.#parts.addressOf(this.#ahead.file));
  }

  #takeAhead({ file }: MediaInfo): HTMLVideoElement | null {
    if (file !== this.#ahead?.file) return null;
    const film = this.#aheadFilm;
    this.#aheadFilm = null;
    // One that could not be fetched is tried anew.
    return film?.error ? null : film;
  }

  #dropAhead(): void {
    if (this.#aheadFilm) unload(this.#aheadFilm);
    this.#aheadFilm = null;
  }

  #camera(sourceId: string): Shown {
    const video = document.createElement("video");
    Object.assign(video, { muted: true, playsInline: true, autoplay: true });
    video.style.background = "#000";
    let stream: MediaStream | null = null;
    let isGone = false;
    void this.#parts.findCamera(sourceId).then((found) => {
      if (isGone) for (const track of found?.getTracks() ?? []) track.stop();
      else {
        stream = found;
        video.srcObject = found;
      }
    });
    return {
      ...shownAs(video, null),
      discard: () => {
        isGone = true;
        for (const track of stream?.getTracks() ?? []) track.stop();
        video.srcObject = null;
      },
    };
  }

  #onFrame(): void {
    for (const box of this.#boxes)
      if (!box.element.isConnected && performance.now() - box.madeAtMs > TAKEN_UP_WITHIN_MS) this.#letGo(box);
    const { now, framesPerSecond } = this.#parts;
    const atMs = now();
    // Of many at once, which a mixer shows for a moment, each is drawn more seldom: titles over them go on smoothly.
    const share = Math.max(1, this.#sources.length / MOST_AT_FULL_RATE);
    const frameMs = Math.max(SCENE_FRAME_MS, (1_000 * share) / framesPerSecond);
    const frame = Math.floor(atMs / frameMs);
    const isNew = frame !== this.#drawnFrame;
    let moves = false;
    for (const { element, shown } of this.#boxes)
      for (const { draw } of shown.values()) {
        if (!draw) continue;
        moves = true;
        if (isNew && element.isConnected) draw(atMs);
      }
    if (isNew) this.#drawnFrame = frame;
    if (moves) this.#wait.in((frame + 1) * frameMs - atMs);
  }

  #letGo(box: Box): void {
    empty(box);
    this.#boxes.delete(box);
  }
}

function empty({ shown }: Box): void {
  for (const item of shown.values()) letGo(item);
  shown.clear();
}

function letGo({ element, discard }: Shown): void {
  discard();
  element.remove();
}

/** Equal marks mean that what is shown can stay. */
const markOf = ({ source: { id, name, picture }, media, play }: ShownSource): string =>
  JSON.stringify([id, name, picture, media?.file ?? "", play?.clipId, play?.begunAtMs, play?.atEnd]);

function shownAs(element: HTMLElement, draw: Shown["draw"]): Shown {
  Object.assign(element.style, {
    position: "absolute",
    inset: "0",
    width: "100%",
    height: "100%",
    objectFit: "cover",
  });
  return { element, draw, discard: () => {} };
}

const filmOf = (src: string): HTMLVideoElement =>
  Object.assign(document.createElement("video"), { muted: true, playsInline: true, preload: "auto", src });

/** Lets go of what a film has fetched. */
function unload(film: HTMLVideoElement): void {
  film.removeAttribute("src");
  film.load();
}

function blackBox(): HTMLElement {
  const element = document.createElement("div");
  element.style.background = "#000";
  return element;
}
