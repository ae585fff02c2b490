import { readFileSync } from "node:fs";
import wawoff2 from "wawoff2";
import { t } from "../../core/language/t.ts";

/** What HarfBuzz, and every painter, needs of a font. */
const NEEDED = ["cmap", "head", "hhea", "hmtx", "maxp"];
const OUTLINES = [["glyf", "loca"], ["CFF "], ["CFF2"]];
const LARGEST_BYTES = 48 * 1024 * 1024;
const SIGNATURES = new Set([0x00010000, 0x74727565, 0x4f54544f]);
/** "wOF2". */
const WOFF2 = 0x774f4632;
const SAMPLE = "Hamburg ﬁ 0123 Ñandú ΣЖ שלום سلام नमस्ते สวัสดี 日本";

/** A font that can be kept; or what is wrong with it, in a sentence. */
export type CheckedFont =
  | {
      /** As TrueType or OpenType, where its file is pressed for the web; null: it is so already. */
      readonly openType: Uint8Array | null;
    }
  | { readonly problem: string };

/** Looks a font file through before it is kept. */
export async function checkFont({
  path,
  name,
}: {
  readonly path: string;
  readonly name: string;
}): Promise<CheckedFont> {
  const bytes = readFileSync(path);
  if (bytes.length < 20 || bytes.readUInt32BE(0) !== WOFF2) {
    const problem = await findFault(bytes, name);
    return problem === undefined ? { openType: null } : { problem };
  }
  // Source: W3C WOFF 2.0, header: totalSfntSize.
  if (bytes.readUInt32BE(16) > LARGEST_BYTES) return { problem: tooLarge(name) };
  const openType = await wawoff2.decompress(bytes).catch(() => undefined);
  if (!openType) return { problem: damaged(name, t`it cannot be unpacked`) };
  const problem = await findFault(Buffer.from(openType), name);
  return problem === undefined ? { openType } : { problem };
}

const damaged = (name: string, what: string) =>
  t`“${name}” is a damaged font: ${what}. Nothing was added; bring in the file as its maker gives it.`;
const tooLarge = (name: string) => t`“${name}” is larger than 48 MB. Nothing was added.`;

/**
 * What is wrong with a font: its directory, its tables, their sums, and HarfBuzz's own reading of it.
 * Source: OpenType specification 1.9, "The OpenType Font File".
 * @returns a sentence; undefined when nothing is
 */
async function findFault(bytes: Buffer, name: string): Promise<string | undefined> {
  const broken = (what: string) => damaged(name, what);
  const noFont = t`“${name}” is not a TrueType, OpenType or WOFF2 font. Nothing was added.`;
  if (bytes.length < 12 || !SIGNATURES.has(bytes.readUInt32BE(0))) return noFont;
  if (bytes.length > LARGEST_BYTES) return tooLarge(name);
  const tables = new Map<string, Buffer>();
  const count = bytes.readUInt16BE(4);
  if (count === 0 || 12 + count * 16 > bytes.length) return broken(t`its list of tables is cut off`);
  for (let i = 0; i < count; i++) {
    const at = 12 + i * 16;
    const tag = bytes.toString("latin1", at, at + 4);
    const [sum, offset, length] = [4, 8, 12].map((by) => bytes.readUInt32BE(at + by)) as [
      number,
      number,
      number,
    ];
    if (offset + length > bytes.length) return broken(t`its table “${tag.trim()}” is cut off`);
    const table = bytes.subarray(offset, offset + length);
    // The sum of "head" leaves a field out; signatures are written after all sums.
    if (tag !== "head" && tag !== "DSIG" && sumOf(table) !== sum)
      return broken(t`its table “${tag.trim()}” was changed`);
    tables.set(tag, table);
  }
  const missing = NEEDED.find((tag) => !tables.has(tag));
  if (missing !== undefined) return broken(t`it has no table “${missing}”`);
  if (!OUTLINES.some((tags) => tags.every((tag) => tables.has(tag))))
    return broken(t`it has no outlines that can be drawn`);
  const unitsPerEm =
    (tables.get("head") as Buffer).length >= 54 ? (tables.get("head") as Buffer).readUInt16BE(18) : 0;
  if (unitsPerEm < 16 || unitsPerEm > 16_384) return broken(t`it does not say how large its letters are`);
  const glyphs =
    (tables.get("maxp") as Buffer).length >= 6 ? (tables.get("maxp") as Buffer).readUInt16BE(4) : 0;
  if (glyphs === 0) return broken(t`it has no letters`);
  try {
    await tryInHarfBuzz(bytes);
  } catch {
    return broken(t`its letters cannot be set`);
  }
  return undefined;
}

/** Sets and draws with it what nobody would miss if it fails here. */
async function tryInHarfBuzz(bytes: Uint8Array): Promise<void> {
  const hb = await import("harfbuzzjs");
  const { createHarfBuzzShaper } = await import("../../core/text/harfbuzz.ts");
  const shaper = createHarfBuzzShaper(hb, new Map([["under-test", bytes]]));
  const shaped = shaper.shape("under-test", SAMPLE, 0, SAMPLE.length, "ltr", "Latn");
  for (const { id } of shaped) shaper.outline("under-test", id);
}

function sumOf(table: Buffer): number {
  let sum = 0;
  for (let at = 0; at < table.length; at += 4) {
    let word = 0;
    for (let i = 0; i < 4; i++) word = word * 256 + (table[at + i] ?? 0);
    sum = (sum + word) >>> 0;
  }
  return sum;
}
