import type { MediaInfo } from "../../core/scene/media.ts";
import { newId } from "../ui/newId.ts";
import { sendFile } from "../ui/sendFile.ts";

export type BroughtIn =
  | { readonly item: { readonly id: string; readonly info: MediaInfo } }
  | { readonly problem: string };

/**
 * Sends a file to the library; of a clip also a still and its length, as this browser sees them.
 * @param onSending told how much of it is sent, 0 to 1, and how to call it off
 */
export async function bringIn(
  file: File,
  onSending: (share: number, callOff: () => void) => void,
): Promise<BroughtIn> {
  const seen = file.type.startsWith("video/") ? await lookAtClip(file) : undefined;
  const about = {
    id: newId(),
    name: file.name.slice(0, 200),
    ...(seen && { durationMs: String(seen.durationMs), posterBytes: String(seen.poster.size) }),
  };
  let isCalledOff = false;
  const sending = sendFile<BroughtIn>(
    "/library",
    about,
    seen ? new Blob([seen.poster, file]) : file,
    (share) => onSending(share, callOff),
  );
  const callOff = () => {
    isCalledOff = true;
    sending.callOff();
  };
  onSending(0, callOff);
  return (
    (await sending.answer) ?? {
      problem: isCalledOff
        ? `“${file.name}” was called off. Nothing was added.`
        : `“${file.name}” could not be sent: the server cannot be reached, or the file is larger than 300 MB. Nothing was added.`,
    }
  );
}

const LOOK_MS = 8_000;

async function lookAtClip(file: File): Promise<{ poster: Blob; durationMs: number } | undefined> {
  const video = document.createElement("video");
  video.muted = true;
  video.preload = "auto";
  video.src = URL.createObjectURL(file);
  try {
    await once(video, "loadeddata");
    if (!Number.isFinite(video.duration)) {
      // A recording without a length in its head: going to the far end makes the browser find it.
      video.currentTime = 1e7;
      await once(video, "seeked");
    }
    const durationMs = video.duration * 1_000;
    video.currentTime = Math.min(video.duration / 3, 2);
    await once(video, "seeked");
    const canvas = document.createElement("canvas");
    canvas.width = video.videoWidth;
    canvas.height = video.videoHeight;
    canvas.getContext("2d")?.drawImage(video, 0, 0);
    const poster = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    return poster && Number.isFinite(durationMs) && durationMs > 0 ? { poster, durationMs } : undefined;
  } catch {
    // The server says what is wrong with it.
    return undefined;
  } finally {
    URL.revokeObjectURL(video.src);
  }
}

function once(video: HTMLVideoElement, event: "loadeddata" | "seeked"): Promise<void> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`no ${event}`)), LOOK_MS);
    const settle = (finish: () => void) => () => {
      clearTimeout(timer);
      finish();
    };
    video.addEventListener(event, settle(resolve), { once: true });
    video.addEventListener(
      "error",
      settle(() => reject(new Error("it cannot be played"))),
      { once: true },
    );
  });
}
