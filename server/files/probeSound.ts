import { t } from "../../core/language/t.ts";
/** What the container of a sound says of it. */
export type ProbedSound =
  | { readonly mime: SoundMime; readonly durationMs: number }
  | { readonly problem: string };
export type SoundMime = "audio/mpeg" | "audio/wav" | "audio/ogg" | "audio/flac" | "audio/mp4" | "audio/webm";

const LONGEST_MS = 24 * 3_600_000;
const refuse = (problem: string): ProbedSound => ({ problem });
const NOT_A_SOUND = refuse(
  t`The file is not a sound that browsers play (MP3, WAV, OGG, FLAC, M4A or WebM). Nothing was added.`,
);
const BROKEN = refuse(t`The sound is cut off or broken: it cannot be read to its end. Nothing was added.`);

/** Reads what a sound file says of itself, and whether there is sound in it up to its end. */
export async function probeSound(bytes: Uint8Array): Promise<ProbedSound> {
  const mime = soundMimeOf(bytes);
  if (!mime) return NOT_A_SOUND;
  if (mime === "audio/wav" && isWavCut(bytes)) return BROKEN;
  try {
    const { ALL_FORMATS, BufferSource, EncodedPacketSink, Input } = await import("mediabunny");
    const input = new Input({ source: new BufferSource(bytes), formats: ALL_FORMATS });
    if (!(await input.canRead())) return BROKEN;
    const sound = await input.getPrimaryAudioTrack();
    if (!sound) return NOT_A_SOUND;
    const packets = new EncodedPacketSink(sound);
    if (!(await packets.getFirstPacket()) || !(await packets.getPacket(Number.POSITIVE_INFINITY)))
      return BROKEN;
    const durationMs = Math.round((await input.computeDuration()) * 1_000);
    if (durationMs <= 0) return BROKEN;
    if (durationMs > LONGEST_MS)
      return refuse(t`The sound says that it is longer than a day. Nothing was added.`);
    return { mime, durationMs };
  } catch {
    return BROKEN;
  }
}

/** By the signs at its start. */
export function soundMimeOf(bytes: Uint8Array): SoundMime | undefined {
  if (bytes.length <= 12) return undefined;
  const text = (from: number, length: number) => String.fromCharCode(...bytes.subarray(from, from + length));
  if (text(0, 4) === "RIFF" && text(8, 4) === "WAVE") return "audio/wav";
  if (text(0, 4) === "OggS") return "audio/ogg";
  if (text(0, 4) === "fLaC") return "audio/flac";
  if (text(0, 3) === "ID3" || (bytes[0] === 0xff && ((bytes[1] ?? 0) & 0xe0) === 0xe0)) return "audio/mpeg";
  if (text(4, 4) === "ftyp") return "audio/mp4";
  if (bytes[0] === 0x1a && bytes[1] === 0x45 && bytes[2] === 0xdf && bytes[3] === 0xa3) return "audio/webm";
  return undefined;
}

/** A WAV whose data goes on past the end of the file (RIFF chunks). */
function isWavCut(bytes: Uint8Array): boolean {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 12;
  while (at + 8 <= bytes.length) {
    const size = view.getUint32(at + 4, true);
    if (at + 8 + size > bytes.length) return true;
    at += 8 + size + (size % 2);
  }
  return false;
}
