/** So many frames of a clip are looked at, over its whole length. */
const FRAMES = 12;
/** No larger than this: what is measured is light, not detail. */
const WIDEST_PX = 480;
const PATIENCE_MS = 8_000;

const once = (target: EventTarget, name: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const settle = (then: () => void) => () => {
      clearTimeout(timer);
      then();
    };
    const timer = setTimeout(() => reject(new Error(`no ${name} in ${PATIENCE_MS} ms`)), PATIENCE_MS);
    target.addEventListener(name, settle(resolve), { once: true });
    target.addEventListener(
      "error",
      settle(() => reject(new Error("cannot be played"))),
      { once: true },
    );
  });

/** Frames of a clip, evenly over its length; none where this browser cannot play it. */
export async function clipFrames(file: string): Promise<ImageBitmap[]> {
  const video = document.createElement("video");
  video.muted = true;
  video.preload = "auto";
  video.src = `/media/${file}`;
  try {
    await once(video, "loadeddata");
    const { duration, videoWidth, videoHeight } = video;
    if (!Number.isFinite(duration) || videoWidth === 0) return [];
    const scale = Math.min(1, WIDEST_PX / videoWidth);
    const size = {
      resizeWidth: Math.max(1, Math.round(videoWidth * scale)),
      resizeHeight: Math.max(1, Math.round(videoHeight * scale)),
    };
    const frames: ImageBitmap[] = [];
    for (let at = 0; at < FRAMES; at++) {
      const sought = once(video, "seeked");
      video.currentTime = (duration * (at + 0.5)) / FRAMES;
      await sought;
      frames.push(await createImageBitmap(video, size));
    }
    return frames;
  } catch {
    return [];
  } finally {
    video.removeAttribute("src");
    video.load();
  }
}
