import { fromBuffer, type OscPacketOutput, timetagToDate, toBuffer } from "osc-min";
import { t } from "../../core/language/t.ts";
import type { MessageValue } from "../../core/triggers/happening.ts";

export interface OscMessage {
  readonly address: string;
  readonly args: readonly MessageValue[];
  /** When it is to count, ms since the epoch by the sender's clock; null: at once. */
  readonly atMs: number | null;
}

/** The longest packet that is looked at. */
export const LONGEST_OSC_BYTES = 4_096;
const MOST_MESSAGES = 64;
const DEEPEST_BUNDLE = 4;
const MOST_ARGS = 32;
const LONGEST_TEXT = 400;
/** NTP time 0, fraction 1: "at once" (OSC 1.0, "OSC Time Tags"). The library counts seconds from 1970. */
const isAtOnce = ([seconds, fraction]: readonly [number, number]) =>
  seconds <= 0 && fraction <= 1e-9 * 2 ** 32;

/** Reads a packet of OSC 1.0: a message, or a bundle of them. @returns why it cannot be read, as the end of a sentence */
export function readOsc(
  bytes: Uint8Array,
): { readonly messages: readonly OscMessage[] } | { readonly problem: string } {
  if (bytes.length > LONGEST_OSC_BYTES) return { problem: t`it has ${bytes.length} bytes` };
  if (bytes.length % 4 !== 0) return { problem: t`its length is no multiple of four` };
  let packet: OscPacketOutput;
  try {
    packet = fromBuffer(bytes);
  } catch {
    return { problem: t`it is no OSC packet` };
  }
  const messages: OscMessage[] = [];
  const gather = (of: OscPacketOutput, atMs: number | null, depth: number): string | undefined => {
    if (of.oscType === "bundle") {
      if (depth >= DEEPEST_BUNDLE) return t`its bundles are too deep`;
      const own = isAtOnce(of.timetag) ? atMs : timetagToDate(of.timetag).getTime();
      for (const element of of.elements) {
        const problem = gather(element, own, depth + 1);
        if (problem !== undefined) return problem;
      }
      return undefined;
    }
    if (messages.length >= MOST_MESSAGES) return t`it has more than ${MOST_MESSAGES} messages`;
    if (!of.address.startsWith("/") || of.address.length > 120) return t`its address begins with no slash`;
    if (of.args.length > MOST_ARGS) return t`it has more than ${MOST_ARGS} values`;
    messages.push({ address: of.address, args: of.args.map(messageValueOf), atMs });
    return undefined;
  };
  const problem = gather(packet, null, 0);
  return problem === undefined ? { messages } : { problem };
}

type Arg = Extract<OscPacketOutput, { oscType: "message" }>["args"][number];

function messageValueOf({ type, value }: Arg): MessageValue {
  switch (type) {
    case "string":
    case "symbol":
    case "character":
      return value.slice(0, LONGEST_TEXT);
    case "integer":
    case "float":
    case "double":
      return value;
    case "bigint":
      return Number(value);
    case "true":
    case "false":
      return value;
    case "bang":
      return true;
    default:
      return null;
  }
}

/** A message as OSC 1.0 has it: whole numbers as integers where 32 bits hold them, others as floats. */
export function writeOsc(address: string, args: readonly (string | number)[]): Uint8Array {
  const isInt = (value: number) => Number.isInteger(value) && Math.abs(value) < 2 ** 31;
  const { buffer, byteOffset, byteLength } = toBuffer({
    address,
    args: args.map((value) =>
      typeof value === "string"
        ? { type: "string" as const, value }
        : { type: isInt(value) ? ("integer" as const) : ("float" as const), value },
    ),
  });
  return new Uint8Array(buffer, byteOffset, byteLength);
}
