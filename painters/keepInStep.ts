import { fetchPatiently } from "./fetchPatiently.ts";

/** Off by less than this, a clip is left alone; up to the next, it runs a little faster or slower; beyond, it jumps. */
const IN_STEP_S = 0.02;
const JUMP_S = 0.25;
const NUDGE = 0.06;
/** A jump aims ahead by what the last one took, up to this. */
const MOST_AHEAD_S = 2;

/** How long the last jump of each element took, s. */
const jumpTookS = new WeakMap<HTMLMediaElement, number>();

/** Where a clip or a sound should be, by the page's clock. */
export interface Position {
  readonly positionMs: number;
  readonly isPlaying: boolean;
}

/** Keeps a media element where the page's clock has it: small drifts are run off by the speed, large ones by a jump. */
export function keepInStep(
  media: HTMLMediaElement,
  { positionMs, isPlaying }: Position,
  content: { readonly durationMs: number; readonly atEnd: string },
  play: () => void,
): void {
  if (media.readyState < HTMLMediaElement.HAVE_METADATA) {
    if (isPlaying && media.paused) play();
    return;
  }
  const positionS = positionMs / 1_000;
  const lengthS = content.durationMs / 1_000;
  let off = positionS - media.currentTime;
  // On a loop the shorter way around counts.
  if (content.atEnd === "loop") {
    if (off > lengthS / 2) off -= lengthS;
    if (off < -lengthS / 2) off += lengthS;
  }
  if (!isPlaying) {
    if (!media.paused) media.pause();
    const last = Math.max(0, Math.min(positionS, media.duration - 0.01));
    if (Math.abs(media.currentTime - last) > IN_STEP_S) media.currentTime = last;
    return;
  }
  const isFar = Math.abs(off) > JUMP_S;
  if (isFar && !media.seeking) jump(media, positionS, content.atEnd === "loop" ? lengthS : null);
  media.playbackRate = Math.abs(off) < IN_STEP_S || isFar ? 1 : 1 + Math.sign(off) * NUDGE;
  if (media.paused) play();
}

/**
 * Jumps to where the page's clock will be when the jump is done: a machine that takes half a second for it would
 * otherwise be late again at once, and jump without end.
 * @param loopS the length of a clip that goes round, s; null: it ends
 */
function jump(media: HTMLMediaElement, positionS: number, loopS: number | null): void {
  const begunAtMs = performance.now();
  const ahead = positionS + (jumpTookS.get(media) ?? 0);
  media.currentTime = loopS === null ? Math.min(ahead, media.duration || ahead) : ahead % loopS;
  const done = () => jumpTookS.set(media, Math.min((performance.now() - begunAtMs) / 1_000, MOST_AHEAD_S));
  media.addEventListener("seeked", done, { once: true });
}

/** Whenever a media element could not fetch its file, it is loaded again once that is there. */
export function loadAnewOnError(media: HTMLMediaElement, signal: AbortSignal): void {
  const load = async () => {
    // Loading takes the last frame off: only once the file is there again.
    const { ok, status } = await fetch(media.src, { method: "HEAD", signal });
    if (!ok) throw new Error(`${status} for ${media.src}`);
    await new Promise((resolve, reject) => {
      media.onloadeddata = resolve;
      media.onerror = reject;
      media.load();
    });
  };
  media.onerror = () =>
    void fetchPatiently(load, signal).then(
      () => loadAnewOnError(media, signal),
      () => undefined,
    );
}
