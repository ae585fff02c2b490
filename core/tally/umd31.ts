import { t } from "../language/t.ts";
import type { ReadTally, TallyReport } from "./tallyReport.ts";

/**
 * The UMD tally protocol, version 3.1: 18 bytes for one display. From memory of its published layout:
 * 0x80 + address (0–126), control (bits 0–3: tallies 1–4, bits 4–5: brightness, bits 6–7: 0), then 16 characters 0x20–0x7E.
 */
export const UMD31_BYTES = 18;
const HEADER = 0x80;
const HIGHEST_ADDRESS = 126;
const LABEL_CHARACTERS = 16;
const FULL_BRIGHTNESS = 0b11 << 4;

/** Which of its four tallies mean program and preview; devices differ. */
export interface Umd31Tallies {
  readonly program: 1 | 2 | 3 | 4;
  readonly preview: 1 | 2 | 3 | 4;
}

/** @param bytes of one packet; a device may put several displays into one */
export function readUmd31(bytes: Uint8Array, { program, preview }: Umd31Tallies): ReadTally {
  if (bytes.length === 0 || bytes.length % UMD31_BYTES !== 0)
    return { problem: t`it has ${bytes.length} bytes, which are no whole displays` };
  const reports: TallyReport[] = [];
  for (let at = 0; at < bytes.length; at += UMD31_BYTES) {
    const [header = 0, control = 0] = bytes.subarray(at, at + 2);
    const input = header - HEADER;
    if (input < 0 || input > HIGHEST_ADDRESS) return { problem: t`its header is ${header}` };
    if ((control & 0b1100_0000) !== 0) return { problem: t`its control byte is ${control}` };
    const isOn = (tally: number) => (control & (1 << (tally - 1))) !== 0;
    const letters = [...bytes.subarray(at + 2, at + UMD31_BYTES)];
    const label = letters
      .filter((code) => code >= 0x20 && code <= 0x7e)
      .map((code) => String.fromCharCode(code))
      .join("")
      .trim();
    reports.push({ input, isOnProgram: isOn(program), isOnPreview: isOn(preview), label });
  }
  return { reports };
}

/** @throws when the input has no address in it */
export function writeUmd31(report: TallyReport, { program, preview }: Umd31Tallies): Uint8Array {
  const { input, isOnProgram, isOnPreview, label } = report;
  if (!Number.isInteger(input) || input < 0 || input > HIGHEST_ADDRESS)
    throw new Error(`Input ${input} has no address from 0 to ${HIGHEST_ADDRESS}`);
  const bytes = new Uint8Array(UMD31_BYTES).fill(0x20);
  bytes[0] = HEADER + input;
  bytes[1] =
    FULL_BRIGHTNESS | (isOnProgram ? 1 << (program - 1) : 0) | (isOnPreview ? 1 << (preview - 1) : 0);
  for (let at = 0; at < Math.min(label.length, LABEL_CHARACTERS); at++) {
    const code = label.charCodeAt(at);
    bytes[2 + at] = code >= 0x20 && code <= 0x7e ? code : 0x3f;
  }
  return bytes;
}
