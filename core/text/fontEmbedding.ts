/** What the maker of a font allows to be done with it, as the font itself says. */
export const FONT_EMBEDDING = ["installable", "editable", "previewAndPrint", "restricted", "unsaid"] as const;
export type FontEmbedding = (typeof FONT_EMBEDDING)[number];

/**
 * What a font says of being carried in other files.
 * Source: OpenType specification 1.9.1, table OS/2, field fsType, bits 0 to 3. Of several bits, which versions 0 to 2 of the table
 * allow, the least restrictive counts, as it says there.
 * @param bytes a whole TrueType or OpenType font
 */
export function fontEmbedding(bytes: Uint8Array): FontEmbedding {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = bytes.length < 12 ? 0 : view.getUint16(4);
  for (let at = 12; at + 16 <= Math.min(bytes.length, 12 + count * 16); at += 16) {
    if (String.fromCharCode(...bytes.subarray(at, at + 4)) !== "OS/2") continue;
    const offset = view.getUint32(at + 8);
    if (offset + 10 > bytes.length) return "unsaid";
    const type = view.getUint16(offset + 8) & 0xf;
    if (type === 0) return "installable";
    if (type & 0x8) return "editable";
    if (type & 0x4) return "previewAndPrint";
    return type & 0x2 ? "restricted" : "unsaid";
  }
  return "unsaid";
}
