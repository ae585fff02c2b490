import { t } from "../../core/language/t.ts";
import { isCutOff } from "./isCutOff.ts";

/** What the container of a clip says of it. */
export type ProbedVideo =
  | {
      readonly mime: "video/webm" | "video/mp4";
      readonly widthPx: number;
      readonly heightPx: number;
      readonly hasAlpha: boolean;
      readonly hasSound: boolean;
      /** To the end of the last picture or sound. */
      readonly durationMs: number;
    }
  | { readonly problem: string };

/** Larger ones are played by no browser in time. */
const LONGEST_SIDE_PX = 8_192;
const MOST_PIXELS = 36_000_000;
const LONGEST_MS = 24 * 3_600_000;

const refuse = (problem: string): ProbedVideo => ({ problem });
const NOT_A_CLIP = refuse(t`The file is not a clip that browsers play (WebM or MP4). Nothing was added.`);
const BROKEN = refuse(t`The clip is cut off or broken: its head cannot be read. Nothing was added.`);
const CUT_OFF = refuse(t`The clip is cut off: its end is missing. Nothing was added; bring in a whole one.`);
const NO_PICTURE = refuse(t`The clip has no picture. Nothing was added.`);
const ONLY_A_HEAD = refuse(
  t`The clip has a head and no pictures behind it. Nothing was added; bring in a whole one.`,
);

/** Reads what a WebM or MP4 file says of itself, and whether all of its pictures are there. */
export async function probeVideo(bytes: Uint8Array): Promise<ProbedVideo> {
  const container = containerOf(bytes);
  if (!container) return NOT_A_CLIP;
  // First: lengths that lead past the end can keep the reader going round for good.
  if (isCutOff(bytes, container)) return CUT_OFF;
  try {
    return await probe(bytes, container);
  } catch {
    return BROKEN;
  }
}

/** By the signs at its start: the reader says of anything else only that it cannot be read. */
function containerOf(bytes: Uint8Array): "webm" | "mp4" | undefined {
  if (bytes.length <= 12) return undefined;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (view.getUint32(0) === 0x1a45dfa3) return "webm";
  return view.getUint32(4) === 0x66747970 ? "mp4" : undefined;
}

async function probe(bytes: Uint8Array, container: "webm" | "mp4"): Promise<ProbedVideo> {
  // A tenth of a second to open, which no other file is to wait for.
  const { BufferSource, EncodedPacketSink, Input, MP4, WEBM } = await import("mediabunny");
  const input = new Input({ source: new BufferSource(bytes), formats: [container === "webm" ? WEBM : MP4] });
  if (!(await input.canRead())) return BROKEN;
  const video = await input.getPrimaryVideoTrack();
  if (!video) return NO_PICTURE;
  const widthPx = await video.getDisplayWidth();
  const heightPx = await video.getDisplayHeight();
  if (widthPx < 1 || heightPx < 1) return NO_PICTURE;
  if (Math.max(widthPx, heightPx) > LONGEST_SIDE_PX || widthPx * heightPx > MOST_PIXELS)
    return refuse(
      t`The clip has ${widthPx}×${heightPx} pixels; at most ${LONGEST_SIDE_PX} on a side and 36 million in all are taken in. Nothing was added; make a smaller one.`,
    );
  const packets = new EncodedPacketSink(video);
  if (!(await packets.getFirstPacket())) return ONLY_A_HEAD;
  if (!(await packets.getPacket(Number.POSITIVE_INFINITY))) return CUT_OFF;
  const durationMs = Math.round((await input.computeDuration()) * 1_000);
  if (durationMs > LONGEST_MS)
    return refuse(t`The clip says that it is longer than a day. Nothing was added.`);
  return {
    mime: container === "webm" ? "video/webm" : "video/mp4",
    widthPx,
    heightPx,
    hasAlpha: await video.canBeTransparent(),
    hasSound: (await input.getPrimaryAudioTrack()) !== null,
    durationMs,
  };
}
