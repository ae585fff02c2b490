import { t } from "../../core/language/t.ts";
import type { MediaInfo } from "../../core/scene/media.ts";
import { problemOf } from "../../core/wire/problem.ts";
import type { Answered } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { sendFile } from "../api/sendFile.ts";

/** A picture or clip; nothing more is said of a font. */
export interface BroughtIn {
  readonly item?: { readonly id: string; readonly hash: string; readonly info: MediaInfo };
}

/**
 * Sends a file to the library; of a clip also a still, as this browser sees it.
 * @param replaces the item whose file it is to be, and who does it
 * @param onSending told how much of it is sent, 0 to 1, and how to call it off
 */
export async function bringIn(
  file: File,
  onSending: (share: number, callOff: () => void) => void,
  {
    replaces,
    folder,
  }: {
    readonly replaces?: { readonly id: string; readonly actor: string };
    /** Where it lies in the library; in no folder when not said. */
    readonly folder?: string;
  } = {},
): Promise<Answered<BroughtIn>> {
  const poster = file.type.startsWith("video/") ? await posterOf(file) : undefined;
  const about = {
    id: newId(),
    name: file.name.slice(0, 200),
    ...(replaces && { replaces: replaces.id, actor: replaces.actor }),
    ...(folder !== undefined && { folder: folder.slice(0, 120) }),
    ...(poster && { posterBytes: String(poster.size) }),
  };
  let isCalledOff = false;
  const sending = sendFile<BroughtIn>("/library", about, poster ? new Blob([poster, file]) : file, (share) =>
    onSending(share, callOff),
  );
  const callOff = () => {
    isCalledOff = true;
    sending.callOff();
  };
  onSending(0, callOff);
  const sentence = () =>
    isCalledOff
      ? t`“${file.name}” was called off. Nothing was added.`
      : t`“${file.name}” could not be sent: the server cannot be reached, or the file is larger than 300 MB. Nothing was added.`;
  return (await sending.answer) ?? problemOf("unreachable", sentence());
}

const LOOK_MS = 8_000;

async function posterOf(file: File): Promise<Blob | undefined> {
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
    video.currentTime = Math.min(video.duration / 3, 2);
    await once(video, "seeked");
    const canvas = document.createElement("canvas");
    canvas.width = video.videoWidth;
    canvas.height = video.videoHeight;
    canvas.getContext("2d")?.drawImage(video, 0, 0);
    const poster = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    return poster ?? undefined;
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
