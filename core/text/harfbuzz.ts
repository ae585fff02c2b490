import type * as HarfBuzz from "harfbuzzjs";
import type { FontMetrics, OutlineCommand, ShapedGlyph, Shaper } from "./shaper.ts";

interface LoadedFont {
  readonly font: HarfBuzz.Font;
  readonly unitsPerEm: number;
  readonly metrics: FontMetrics;
  readonly outlines: Map<number, readonly OutlineCommand[]>;
  /** Whether the font has a glyph, by code point: asked for every letter of every text. */
  readonly coverage: Map<number, boolean>;
}

/** "true", "OTTO" or version 1.0: what a single-face TrueType or OpenType file begins with. */
const SFNT_SIGNATURES = new Set([0x00010000, 0x74727565, 0x4f54544f]);

/**
 * A shaper over HarfBuzz.
 * @param hb the harfbuzzjs module, already initialised
 * @param files font id → bytes of a TrueType or OpenType file
 * @param late fonts that are read when the first of their letters is met
 * @throws when a file is not a font (HarfBuzz itself would go on with an empty one), or when an unknown font
 *   id is asked for later
 */
export function createHarfBuzzShaper(
  hb: typeof HarfBuzz,
  files: ReadonlyMap<string, Uint8Array>,
  late: ReadonlyMap<string, { readonly covers: RegExp; readonly read: () => Uint8Array }> = new Map(),
): Shaper {
  const fonts = new Map<string, LoadedFont>();
  for (const [id, bytes] of files) fonts.set(id, loadFont(hb, id, bytes));
  // One buffer for good: a new one per call keeps memory that is never given back.
  const buffer = new hb.Buffer();

  const getFont = (fontId: string): LoadedFont => {
    let found = fonts.get(fontId);
    const coming = found ? undefined : late.get(fontId);
    if (coming) {
      found = loadFont(hb, fontId, coming.read());
      fonts.set(fontId, found);
    }
    if (!found) throw new Error(`No font "${fontId}" is loaded; loaded: ${[...fonts.keys()].join(", ")}`);
    return found;
  };

  return {
    shape(fontId, text, start, end, direction, script, features = []) {
      const { font, unitsPerEm } = getFont(fontId);
      buffer.reset();
      buffer.addText(text, start, end - start);
      buffer.setDirection(direction === "rtl" ? hb.Direction.RTL : hb.Direction.LTR);
      buffer.setScript(script);
      hb.shape(
        font,
        buffer,
        features.map((tag) => new hb.Feature(tag, 1)),
      );
      const infos = buffer.getGlyphInfos();
      const positions = buffer.getGlyphPositions();
      const glyphs: ShapedGlyph[] = new Array(infos.length);
      for (let i = 0; i < infos.length; i++) {
        const info = infos[i] as HarfBuzz.GlyphInfo;
        const position = positions[i] as HarfBuzz.GlyphPosition;
        glyphs[i] = {
          id: info.codepoint,
          cluster: info.cluster,
          advanceEm: position.xAdvance / unitsPerEm,
          offsetXEm: position.xOffset / unitsPerEm,
          offsetYEm: -position.yOffset / unitsPerEm,
        };
      }
      return glyphs;
    },
    hasFont: (fontId) => fonts.has(fontId) || late.has(fontId),
    addFont(fontId, bytes) {
      if (!fonts.has(fontId)) fonts.set(fontId, loadFont(hb, fontId, bytes));
    },
    metrics: (fontId) => getFont(fontId).metrics,
    hasGlyph(fontId, codePoint) {
      const coming = fonts.has(fontId) ? undefined : late.get(fontId);
      if (coming && !coming.covers.test(String.fromCodePoint(codePoint))) return false;
      const { font, coverage } = getFont(fontId);
      let has = coverage.get(codePoint);
      if (has === undefined) {
        has = Boolean(font.glyph(codePoint));
        coverage.set(codePoint, has);
      }
      return has;
    },
    outline(fontId, glyphId) {
      const loaded = getFont(fontId);
      let outline = loaded.outlines.get(glyphId);
      if (!outline) {
        outline = readOutline(loaded.font.glyphToJson(glyphId), loaded.unitsPerEm);
        loaded.outlines.set(glyphId, outline);
      }
      return outline;
    },
  };
}

function loadFont(hb: typeof HarfBuzz, id: string, bytes: Uint8Array): LoadedFont {
  if (bytes.length < 12) throw new Error(`Font "${id}" is not a font file (${bytes.length} bytes)`);
  const signature = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(0);
  if (!SFNT_SIGNATURES.has(signature))
    throw new Error(
      `Font "${id}" is not a TrueType or OpenType file (it begins with ${signature.toString(16)})`,
    );
  const face = new hb.Face(new hb.Blob(bytes));
  const font = new hb.Font(face);
  const unitsPerEm = face.upem;
  const extents = font.hExtents();
  return {
    font,
    unitsPerEm,
    metrics: { ascentEm: extents.ascender / unitsPerEm, descentEm: -extents.descender / unitsPerEm },
    outlines: new Map(),
    coverage: new Map(),
  };
}

function readOutline(commands: readonly HarfBuzz.SvgPathCommand[], unitsPerEm: number): OutlineCommand[] {
  return commands.map(({ type, values }) => {
    const kind = type as OutlineCommand[0];
    return [
      kind,
      ...values.map((v: number, i: number) => (i % 2 === 0 ? v : -v) / unitsPerEm),
    ] as OutlineCommand;
  });
}
