import { t } from "../language/t.ts";
import type { ReadTally, TallyReport } from "./tallyReport.ts";

/**
 * The UMD tally protocol, version 5.0, as a UDP packet. From memory of its published layout, all numbers with the low byte first:
 * PBC (2 bytes: how many follow), VER (1: 0), FLAGS (1: bit 0 UTF-16, bit 1 screen control), SCREEN (2), then displays: INDEX (2),
 * CONTROL (2: bits 0–1 right tally, 2–3 text tally, 4–5 left tally, 6–7 brightness, bit 15 control data), LENGTH (2), TEXT.
 * A tally is 0 off, 1 red, 2 green, 3 amber. Red is program and green preview; amber is both.
 */
export const UMD5_HEADER_BYTES = 6;
/** The longest packet that it allows. */
export const UMD5_MOST_BYTES = 2_048;
const IS_UTF16 = 0b01;
const IS_SCREEN_CONTROL = 0b10;
const IS_CONTROL_DATA = 0x8000;
const RED = 0b01;
const GREEN = 0b10;
const FULL_BRIGHTNESS = 0b11 << 6;

/** Whether a packet can be one of it: its count of bytes is right. */
export const looksLikeUmd5 = (bytes: Uint8Array): boolean =>
  bytes.length >= UMD5_HEADER_BYTES && viewOf(bytes).getUint16(0, true) === bytes.length - 2;

export function readUmd5(bytes: Uint8Array): ReadTally {
  if (bytes.length > UMD5_MOST_BYTES) return { problem: t`it has ${bytes.length} bytes` };
  if (!looksLikeUmd5(bytes)) return { problem: t`its count of bytes is not its length` };
  const view = viewOf(bytes);
  const flags = view.getUint8(3);
  // Control of the displays themselves is not for us.
  if ((flags & IS_SCREEN_CONTROL) !== 0) return { reports: [] };
  const reports: TallyReport[] = [];
  let at = UMD5_HEADER_BYTES;
  while (at < bytes.length) {
    if (at + 6 > bytes.length) return { problem: t`a display breaks off` };
    const input = view.getUint16(at, true);
    const control = view.getUint16(at + 2, true);
    const length = view.getUint16(at + 4, true);
    at += 6;
    if (at + length > bytes.length) return { problem: t`a text is longer than the packet` };
    const text = bytes.subarray(at, at + length);
    at += length;
    if ((control & IS_CONTROL_DATA) !== 0) continue;
    // Whichever lamp it is: a display has one input, and devices light one, two or all three.
    const lit = [control & 0b11, (control >> 2) & 0b11, (control >> 4) & 0b11];
    reports.push({
      input,
      isOnProgram: lit.some((tally) => (tally & RED) !== 0),
      isOnPreview: lit.some((tally) => (tally & GREEN) !== 0),
      label: textOf(text, (flags & IS_UTF16) !== 0),
    });
  }
  return { reports };
}

/** One packet for several displays, all lamps of each alike. @throws when they are too many for one */
export function writeUmd5(reports: readonly TallyReport[], screen = 0): Uint8Array {
  const texts = reports.map(({ label }) => new Uint8Array([...label].flatMap((letter) => utf16(letter))));
  const length = texts.reduce((sum, text) => sum + 6 + text.length, UMD5_HEADER_BYTES);
  if (length > UMD5_MOST_BYTES) throw new Error(`${reports.length} displays are ${length} bytes`);
  const bytes = new Uint8Array(length);
  const view = viewOf(bytes);
  view.setUint16(0, length - 2, true);
  view.setUint8(3, IS_UTF16);
  view.setUint16(4, screen, true);
  let at = UMD5_HEADER_BYTES;
  for (const [index, { input, isOnProgram, isOnPreview }] of reports.entries()) {
    const tally = (isOnProgram ? RED : 0) | (isOnPreview ? GREEN : 0);
    const text = texts[index] as Uint8Array;
    view.setUint16(at, input, true);
    view.setUint16(at + 2, tally | (tally << 2) | (tally << 4) | FULL_BRIGHTNESS, true);
    view.setUint16(at + 4, text.length, true);
    bytes.set(text, at + 6);
    at += 6 + text.length;
  }
  return bytes;
}

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

const utf16 = (letter: string) =>
  Array.from({ length: letter.length }, (_, at) => letter.charCodeAt(at)).flatMap((code) => [
    code & 0xff,
    code >> 8,
  ]);

function textOf(bytes: Uint8Array, isUtf16: boolean): string {
  const codes = isUtf16
    ? Array.from(
        { length: bytes.length >> 1 },
        (_, at) => (bytes[at * 2] ?? 0) | ((bytes[at * 2 + 1] ?? 0) << 8),
      )
    : [...bytes];
  return String.fromCharCode(...codes.filter((code) => code >= 0x20)).trim();
}
