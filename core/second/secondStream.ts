import { z } from "zod";

/** What the first machine says between the bytes of its show. */
export const saidSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("hello"),
    show: z.string().max(300),
    /** Both must run the same program. */
    program: z.string().max(60),
  }),
  /** All pages of the database follow, of one moment. */
  z.strictObject({ kind: z.literal("pages"), bytes: z.number().int().min(0) }),
  z.strictObject({ kind: z.literal("pagesEnd") }),
  /** The log of the database begins anew: what came of it before is folded into the pages. */
  z.strictObject({ kind: z.literal("newLog") }),
  /** With the pages and the log up to here it is the show as it is. */
  z.strictObject({ kind: z.literal("caughtUp") }),
  /** The first machine's time, ms since 1970, several times a second. */
  z.strictObject({ kind: z.literal("beat"), atMs: z.number() }),
  /** The first machine has stopped leading; nothing comes after. */
  z.strictObject({ kind: z.literal("gaveOver") }),
]);
export type Said = z.infer<typeof saidSchema>;

export type StreamPart =
  | { readonly kind: "said"; readonly said: Said }
  | { readonly kind: "pages"; readonly bytes: Uint8Array }
  | { readonly kind: "log"; readonly bytes: Uint8Array };

const KINDS = ["said", "pages", "log"] as const;
const HEAD_BYTES = 5;
/** The largest part, in bytes; whoever sends more is not a first machine. */
export const LARGEST_PART = 4 * 1024 * 1024;

/** A part as it is sent: one byte for its kind, four for its length (the most significant first), its bytes. */
export function writePart(part: StreamPart): Uint8Array {
  const body = part.kind === "said" ? new TextEncoder().encode(JSON.stringify(part.said)) : part.bytes;
  if (body.length > LARGEST_PART) throw new RangeError(`a part of ${body.length} bytes`);
  const bytes = new Uint8Array(HEAD_BYTES + body.length);
  bytes[0] = KINDS.indexOf(part.kind);
  new DataView(bytes.buffer).setUint32(1, body.length);
  bytes.set(body, HEAD_BYTES);
  return bytes;
}

/** Reads parts from bytes that come in pieces of any size. */
export class PartReader {
  #waiting: Uint8Array = new Uint8Array(0);

  /** @returns the parts that are whole now; undefined when this is no such stream */
  read(piece: Uint8Array): StreamPart[] | undefined {
    const bytes = this.#waiting.length === 0 ? piece : joined(this.#waiting, piece);
    const parts: StreamPart[] = [];
    let at = 0;
    while (bytes.length - at >= HEAD_BYTES) {
      const kind = KINDS[bytes[at] as number];
      const length = new DataView(bytes.buffer, bytes.byteOffset + at + 1, 4).getUint32(0);
      if (kind === undefined || length > LARGEST_PART) return undefined;
      if (bytes.length - at - HEAD_BYTES < length) break;
      const body = new Uint8Array(bytes.subarray(at + HEAD_BYTES, at + HEAD_BYTES + length));
      at += HEAD_BYTES + length;
      if (kind !== "said") parts.push({ kind, bytes: body });
      else {
        const said = readSaid(body);
        if (!said) return undefined;
        parts.push({ kind, said });
      }
    }
    this.#waiting = new Uint8Array(bytes.subarray(at));
    return parts;
  }
}

function joined(first: Uint8Array, second: Uint8Array): Uint8Array {
  const both = new Uint8Array(first.length + second.length);
  both.set(first);
  both.set(second, first.length);
  return both;
}

function readSaid(body: Uint8Array): Said | undefined {
  try {
    return saidSchema.safeParse(JSON.parse(new TextDecoder().decode(body))).data;
  } catch {
    return undefined;
  }
}
